import { partCorners } from '../../mat/BoardLayer'
import type { OverlayProps } from '../room'

/** The film over each die: its thickness at the corners. */
export function PasteOverlay({ here, p }: OverlayProps) {
  return (
    <g>
      {(here.seating?.dies ?? []).map((d) => {
        const part = here.board.parts.find((x) => x.id === d.part)!
        // an even film is told once, in the middle
        const even = Math.max(...d.bondLinesUm) - Math.min(...d.bondLinesUm) < 1
        const corners = even ? [] : partCorners({ ...part, outline: null })
        return (
          <g key={d.part}>
            <path
              d={p.path(partCorners(part))}
              fill="var(--copper)"
              fillOpacity={0.55}
              stroke="var(--copper)"
              strokeWidth={2}
            />
            {even && (
              <text
                x={p.x(part.x)}
                y={p.y(part.y - part.depthMm / 2) - 8}
                textAnchor="middle"
                className="num"
                fontSize={19}
                fontWeight={600}
                fill="var(--card)"
              >
                {d.bondLinesUm[0].toFixed(0)} µm
              </text>
            )}
            {corners.map((c, i) => {
              const outX = c[0] > part.x ? 1 : -1
              const outY = c[1] > part.y ? 1 : -1
              const sx = p.face === 'back' ? -outX : outX
              return (
                <text
                  key={i}
                  x={p.x(c[0]) + sx * 6}
                  y={p.y(c[1]) - outY * 5 + (outY < 0 ? 12 : 0)}
                  textAnchor={sx > 0 ? 'start' : 'end'}
                  className="num"
                  fontSize={19}
                  fontWeight={600}
                  fill="var(--copper)"
                  stroke="var(--board)"
                  strokeWidth={4}
                  paintOrder="stroke"
                >
                  {d.bondLinesUm[i].toFixed(0)} µm
                </text>
              )
            })}
          </g>
        )
      })}
    </g>
  )
}
