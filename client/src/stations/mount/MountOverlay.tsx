import type { Block, JobView, Placement } from '../../api/client'
import { driverOf, holesOf, placed } from '../../mat/place'
import { ScrewSymbol } from '../../mat/ScrewSymbol'
import type { Projection } from '../../mat/view'
import type { Steps } from '../useSteps'

/** Screws in their order, the one to turn now large in copper, the cross of the die ring dotted. */
export function MountOverlay({
  job,
  block,
  placement,
  s,
  p,
  big,
}: {
  job: JobView
  block: Block
  placement: Placement
  s: Steps
  p: Projection
  big?: boolean
}) {
  const order = job.plan.tightening?.order ?? holesOf(block).map((h) => h.id)
  const held = holesOf(block).filter((h) => !order.includes(h.id))
  const numbered = [...order, ...held.map((h) => h.id)]
  const now = new Set(s.step?.targets ?? [])
  const home = new Set(
    numbered.filter((id) => {
      const turns = s.steps.filter((x) => x.id.endsWith(`-${id}`))
      return turns.length > 0 && turns.every((x) => s.signed.has(x.id))
    }),
  )
  const at = Object.fromEntries(holesOf(block).map((h) => [h.id, placed(placement, [[h.x, h.y]])[0]]))
  const ring = order.slice(0, 4).filter((id) => holesOf(block).find((h) => h.id === id)?.role === 'retention')
  const front = block.plates.map((x) => p.path(placed(placement, x.outline as number[][])))
  return (
    <g>
      {front.map((d) => (
        <path key={d} d={d} fill="none" stroke="var(--copper)" strokeWidth={2} strokeDasharray="9 5" />
      ))}
      {ring.length === 4 && (
        <path
          d={`M${p.x(at[ring[0]][0])} ${p.y(at[ring[0]][1])}L${p.x(at[ring[1]][0])} ${p.y(at[ring[1]][1])}M${p.x(at[ring[2]][0])} ${p.y(at[ring[2]][1])}L${p.x(at[ring[3]][0])} ${p.y(at[ring[3]][1])}`}
          stroke="var(--cool)"
          strokeWidth={2}
          strokeDasharray="3 7"
        />
      )}
      {[...numbered]
        .sort((a, b) => Number(now.has(a)) - Number(now.has(b)))
        .map((id) => {
          const hole = holesOf(block).find((h) => h.id === id)!
          const [x, y] = at[id]
          const state = now.has(id)
            ? 'now'
            : home.has(id)
              ? 'done'
              : held.some((h) => h.id === id) && !s.signed.has('mount.back-plate')
                ? 'out'
                : 'plain'
          return (
            <ScrewSymbol
              key={id}
              x={p.x(x)}
              y={p.y(y)}
              r={big ? 15 : 10}
              driver={driverOf(block, hole.thread)}
              state={state}
              label={numbered.indexOf(id) + 1}
              labelSide={p.x(x) > p.width * 0.5 ? 1 : -1}
            />
          )
        })}
    </g>
  )
}
