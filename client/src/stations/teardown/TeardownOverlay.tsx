import { ScrewSymbol } from '../../mat/ScrewSymbol'
import type { OverlayProps } from '../room'

/** Screws of every group where they sit, numbered by the order they come out; press one to count it out. */
export function TeardownOverlay({ here, s, p, big }: OverlayProps) {
  return <Screws here={here} s={s} p={p} big={big} out />
}

/** The same on the way back: screws go in, in the order backwards. */
export function WayBackOverlay({ here, s, p, big }: Pick<OverlayProps, 'here' | 's' | 'p' | 'big'>) {
  return <Screws here={here} s={s} p={p} big={big} out={false} />
}

function Screws({ here, s, p, big, out: away }: Pick<OverlayProps, 'here' | 's' | 'p' | 'big'> & { out: boolean }) {
  const steps = s.steps.filter((x) => x.kind === (away ? 'unscrew' : 'fasten'))
  const groups = steps.flatMap((step, i) => {
    const f = here.assembly?.fasteners.find((x) => x.id === step.targets[0])
    if (!f) return []
    const now = s.step?.id === step.id
    return [{ f, step, order: i + 1, now, done: s.signed.has(step.id), counted: s.counted[step.id] ?? 0 }]
  })
  return (
    <g>
      {groups
        .filter((g) => g.f.face === p.face)
        .sort((a, b) => Number(a.now) - Number(b.now))
        .map((g) =>
          g.step.places.map(([x, y], i) => {
            const counted = g.done || (g.now && i < g.counted)
            // taken out at teardown, put in on the way back
            const out = away ? counted : !counted && !g.now
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
                  state={out ? 'out' : g.now && !counted ? 'now' : away ? 'plain' : 'done'}
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
