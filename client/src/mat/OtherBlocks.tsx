import type { JobView } from '../api/client'
import type { Here } from '../stations/here'
import { placed } from './place'
import type { Projection } from './view'

/** The other blocks of the order that lie on this board: their outlines and letters. */
export function OtherBlocks({ job, here, p }: { job: JobView; here: Here; p: Projection }) {
  if (job.order.pairs.length < 2) return null
  const plates = (job.plan.match.order?.pairs ?? []).flatMap((fit) => {
    const block = job.order.pairs.find((x) => x.key === fit.key)?.block
    return fit.plates
      .filter((x) => x.board === here.boardKey)
      .flatMap((x) => {
        const plate = block?.plates.find((b) => b.id === x.plate)
        return plate
          ? [{ key: fit.key, face: plate.face, outline: placed(x.placement, plate.outline as number[][]) }]
          : []
      })
  })
  return (
    <g aria-hidden>
      {plates
        .filter((x) => x.face === p.face)
        .map((x) => {
          const mine = x.key === here.pairKey
          const corner = x.outline.reduce((a, b) => (p.x(b[0]) - p.y(b[1]) < p.x(a[0]) - p.y(a[1]) ? b : a))
          // outside its corner: a screw may sit right inside
          const [cx, cy] = [p.x(corner[0]) - 9, p.y(corner[1]) + 9]
          return (
            <g key={x.key + p.path(x.outline)}>
              {!mine && (
                <path
                  d={p.path(x.outline)}
                  fill="none"
                  stroke="var(--copper)"
                  strokeWidth={1.4}
                  strokeDasharray="3 6"
                />
              )}
              <circle
                cx={cx}
                cy={cy}
                r={13}
                fill={mine ? 'var(--copper)' : 'var(--card)'}
                stroke="var(--copper)"
                strokeWidth={2}
              />
              <text
                x={cx}
                y={cy + 5.5}
                textAnchor="middle"
                className="num"
                fontSize={16}
                fontWeight={700}
                fill={mine ? 'var(--on-copper)' : 'var(--ink)'}
              >
                {x.key}
              </text>
            </g>
          )
        })}
    </g>
  )
}
