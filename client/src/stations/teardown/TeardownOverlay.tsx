import type { JobView } from '../../api/client'
import { ScrewSymbol } from '../../mat/ScrewSymbol'
import type { Projection } from '../../mat/view'
import type { Steps } from '../useSteps'

/** Screws of every group where they sit, numbered by the order they come out; press one to count it out. */
export function TeardownOverlay({
  job,
  s,
  p,
  big,
  prefix = 'teardown.',
}: {
  job: JobView
  s: Steps
  p: Projection
  big?: boolean
  prefix?: string
}) {
  const assembly = job.board.assembly
  const plan = job.plan.teardown
  if (!assembly || !plan) return null
  const groups = assembly.fasteners.map((f) => {
    const groups = plan.steps.filter((x) => x.action === 'unscrew').map((x) => x.target)
    const order = prefix === 'teardown.' ? groups.indexOf(f.id) + 1 : groups.length - groups.indexOf(f.id)
    const id = `${prefix}${f.id}`
    return { f, order, now: s.step?.id === id, done: s.signed.has(id), counted: s.counted[id] ?? 0, id }
  })
  return (
    <g>
      {groups
        .filter((g) => g.f.face === p.face)
        .sort((a, b) => Number(a.now) - Number(b.now))
        .map((g) =>
          (g.f.places as number[][]).map(([x, y], i) => {
            const counted = g.done || (g.now && i < g.counted)
            // taken out at teardown, put in on the way back
            const out = prefix === 'teardown.' ? counted : !counted && !g.now
            return (
              <g
                key={g.f.id + i}
                data-screw={`${g.f.id}-${i}`}
                className={g.now && !g.done ? 'cursor-pointer' : undefined}
                onClick={g.now && !g.done ? () => s.setCount(i < g.counted ? i : g.counted + 1) : undefined}
              >
                <ScrewSymbol
                  x={p.x(x)}
                  y={p.y(y)}
                  r={big ? 15 : 9}
                  driver={g.f.driver}
                  state={out ? 'out' : g.now && !counted ? 'now' : prefix === 'teardown.' ? 'plain' : 'done'}
                  label={out ? undefined : g.order}
                  labelSide={p.x(x) > p.width * 0.8 ? -1 : 1}
                />
              </g>
            )
          }),
        )}
    </g>
  )
}
