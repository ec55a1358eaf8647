import type { WorkStep } from '../api/client'
import type { Here } from '../stations/here'
import { BlockInside } from './BlockInside'
import type { Projection } from './view'

type Points = number[][]

const boundsOf = (points: Points) => {
  const [xs, ys] = [points.map((q) => q[0]), points.map((q) => q[1])]
  return { minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys) }
}

/** The socket under a block: package with its corner mark, dies under the lid, what stands beside it, the posts. */
export function SeatLayer({ here, p, block }: { here: Here; p: Projection; block?: boolean }) {
  const { seated, seat } = here
  if (!seated || p.face === 'back') return seat ? <Posts here={here} p={p} /> : null
  const { socket, processor } = seated
  const outline = processor.outline as Points
  const mark = seat?.mark as number[] | null | undefined
  const box = boundsOf(outline)
  const size = Math.max(6, (box.maxX - box.minX) * 0.12)
  return (
    <g aria-hidden data-seat={socket.id}>
      <path d={p.path(outline)} fill="none" stroke="var(--part-line)" strokeWidth={2} />
      {mark && (
        <path
          d={p.path([
            mark,
            [mark[0] - Math.sign(mark[0]) * size, mark[1]],
            [mark[0], mark[1] - Math.sign(mark[1]) * size],
          ])}
          fill="var(--copper)"
        />
      )}
      {(socket.keepOut ?? []).map((k, i) => {
        const b = boundsOf(k.outline as Points)
        return (
          <g key={i}>
            <path d={p.path(k.outline as Points)} fill="var(--hatch)" stroke="var(--hatch-line)" />
            {(b.maxX - b.minX) * p.scale > 34 && (
              <text
                x={p.x((b.minX + b.maxX) / 2)}
                y={p.y((b.minY + b.maxY) / 2) + 5}
                textAnchor="middle"
                fontSize={13}
                fill="var(--ink)"
              >
                {k.heightMm}
              </text>
            )}
          </g>
        )
      })}
      <Posts here={here} p={p} />
      {block && <BlockInside block={here.block} placement={here.placement} p={p} />}
    </g>
  )
}

function Posts({ here, p }: { here: Here; p: Projection }) {
  return (
    <g aria-hidden>
      {(here.seat?.posts ?? []).map((h) => (
        <circle
          key={h.id}
          cx={p.x(h.xMm)}
          cy={p.y(h.yMm)}
          r={Math.max(6, 3 * p.scale)}
          fill="none"
          stroke="var(--copper)"
          strokeWidth={3}
        />
      ))}
    </g>
  )
}

/** Steps whose work is on the package itself. */
const nearTheDie = new Set<WorkStep['kind']>(['coat', 'scrape', 'shear', 'warm', 'spread'])

/** Round the socket, where the work is: a mainboard as a whole would show it too small. */
export function seatPoints(here: Here, step?: WorkStep): Points | undefined {
  if (!here.seat || !here.seated) return undefined
  const outline = here.seated.processor.outline as Points
  if (step && nearTheDie.has(step.kind)) {
    const near = boundsOf(outline)
    return [
      [near.minX - 6, near.minY - 6],
      [near.maxX + 6, near.maxY + 6],
    ]
  }
  const around = [
    ...(here.seat.posts ?? []).map((q) => [q.xMm, q.yMm]),
    ...outline,
    ...(here.seated.socket.keepOut ?? []).flatMap((k) => k.outline as Points),
  ]
  const box = boundsOf(around)
  const rim = 14
  return [[box.minX - rim, box.minY - rim], [box.maxX + rim, box.maxY + rim], ...(step?.places ?? [])]
}
