import { holesOf, placed } from '../../mat/place'
import { ScrewSymbol } from '../../mat/ScrewSymbol'
import type { OverlayProps } from '../room'

/** Screws in their order, the one to turn now large in copper, the cross of the die ring dotted. */
export function MountOverlay({ here, s, p, big }: Pick<OverlayProps, 'here' | 's' | 'p' | 'big'>) {
  const { block, placement, screws } = here
  if (!block) return null
  const order = screws.filter((x) => !x.held).map((x) => x.hole)
  const backed = s.steps.some((x) => x.kind === 'back-plate' && s.signed.has(x.id))
  // inside a pass the screw at hand is lit, and those before it are ticked
  const turns = s.isSigned ? [] : (s.step?.turns ?? [])
  const ticked = new Set(turns.slice(0, s.count).map((t) => t.hole))
  const now = new Set(turns.length > 0 ? turns.slice(s.count, s.count + 1).map((t) => t.hole) : (s.step?.targets ?? []))
  const home = new Set(
    screws
      .map((x) => x.hole)
      .filter((id) => {
        const passes = s.steps.filter((x) => x.kind === 'turn' && x.targets.includes(id))
        return passes.length > 0 && passes.every((x) => s.signed.has(x.id))
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
      {[...screws]
        .sort((a, b) => Number(now.has(a.hole)) - Number(now.has(b.hole)))
        .map((screw) => {
          const [x, y] = at[screw.hole]
          const state = now.has(screw.hole)
            ? 'now'
            : home.has(screw.hole) || ticked.has(screw.hole)
              ? 'done'
              : screw.held && !backed
                ? 'out'
                : 'plain'
          const tick = turns.findIndex((t) => t.hole === screw.hole)
          return (
            <ScrewSymbol
              key={screw.hole}
              onTap={tick < 0 ? undefined : () => s.setCount(tick < s.count ? tick : tick + 1)}
              x={p.x(x)}
              y={p.y(y)}
              r={big ? 15 : 10}
              driver={screw.driver}
              state={state}
              label={screw.number}
              labelSide={p.x(x) > p.width * 0.5 ? 1 : -1}
            />
          )
        })}
    </g>
  )
}
