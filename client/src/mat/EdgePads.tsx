import type { Schemas } from '../api/client'
import { padPattern } from './PadLayer'
import type { Projection } from './view'

/** Pieces of pad that lie on no part of the board: strips on a carrier's edge, clear of its bolts. */
export function EdgePads({ pieces, p }: { pieces: Schemas['PadPiece'][]; p: Projection }) {
  return (
    <g>
      {pieces
        .filter((x) => x.outline && x.face === p.face)
        .map((x) => {
          const outline = x.outline as number[][]
          const middle = outline.reduce((m, [a, b]) => [m[0] + a / outline.length, m[1] + b / outline.length], [0, 0])
          return (
            <g key={x.id}>
              <title>{`Pad ${x.id} on the ${x.where}, ${x.thicknessMm} mm ${x.material}`}</title>
              <path
                d={p.path(outline)}
                fill={`url(#${padPattern(x.thicknessMm)})`}
                stroke="var(--ink)"
                strokeWidth={1.1}
              />
              <text
                x={p.x(middle[0])}
                y={p.y(middle[1]) + 5}
                textAnchor="middle"
                className="num"
                fontSize={15}
                fontWeight={600}
                fill="var(--ink)"
                stroke="var(--card)"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {x.id}
              </text>
            </g>
          )
        })}
    </g>
  )
}
