import type { Block, Placement } from '../api/client'
import { placed } from './place'
import type { Projection } from './view'

/** The block laid over the board: outline dashed in copper, lands outlined, pockets dotted. */
export function BlockLayer({
  block,
  placement,
  p,
  lands = true,
  pockets = true,
  fill,
}: {
  block: Block
  placement: Placement
  p: Projection
  lands?: boolean
  pockets?: boolean
  fill?: boolean
}) {
  return (
    <g>
      {block.plates
        .filter((x) => x.face === p.face || !fill)
        .map((plate) => (
          <g key={plate.id}>
            <path
              d={p.path(placed(placement, plate.outline as number[][]))}
              fill={fill ? 'var(--copper)' : 'none'}
              fillOpacity={0.08}
              stroke="var(--copper)"
              strokeWidth={2.2}
              strokeDasharray="9 5"
            />
            {pockets &&
              plate.pockets.map((k, i) => (
                <path
                  key={i}
                  d={p.path(placed(placement, k.outline as number[][]))}
                  fill="none"
                  stroke="var(--copper)"
                  strokeWidth={1.2}
                  strokeDasharray="2 4"
                />
              ))}
            {lands &&
              plate.lands.map((l) => (
                <path
                  key={l.id}
                  d={p.path(placed(placement, l.outline as number[][]))}
                  fill="none"
                  stroke="var(--copper)"
                  strokeWidth={1.7}
                />
              ))}
          </g>
        ))}
      {(block.carriers ?? [])
        .filter((c) => c.face === p.face)
        .flatMap((c) =>
          c.boltHoles.map((b) => (
            <circle
              key={c.id + b.id}
              cx={p.x(b.x)}
              cy={p.y(b.y)}
              r={(b.diameterMm / 2) * p.scale}
              fill="var(--mat)"
              stroke="var(--ink)"
              strokeWidth={1.6}
            >
              <title>{`bolt ${b.id} of the ${c.id}`}</title>
            </circle>
          )),
        )}
    </g>
  )
}
