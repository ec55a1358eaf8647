import { fixed } from '../../ui/format'
import { Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { useSuspects } from './useSuspects'

/** What could be wrong, by its chance, what it explains at each sensor, what to look at first, and whether to lift. */
export function Suspects({ job, here }: Pick<RoomProps, 'job' | 'here'>) {
  const found = useSuspects(job, here)
  if (found.error)
    return (
      <Section title="Possible faults">
        <p className="text-[14.5px] text-soft">{(found.error as Error).message}</p>
      </Section>
    )
  if (!found.data) return null
  const told = found.data.hypotheses.slice(0, found.data.worthTelling)
  const { lift, nextReading, unexplained } = found.data
  return (
    <Section title="Possible faults">
      {unexplained && <Why tone="text-plum">{unexplained}</Why>}
      <ol aria-label="Suspects">
        {told.map((h) => (
          <li
            key={h.kind + h.parts.join() + (h.corner ?? '')}
            className="grid grid-cols-[52px_1fr] items-baseline gap-2 border-b border-rule/60 py-1.5"
          >
            <span className="num text-right text-[20px] font-semibold">{Math.round(h.probability * 100)} %</span>
            <span className="leading-tight">
              <b className="text-[15.5px]">
                {h.name}
                {h.parts.length > 0 && `: ${h.parts.length > 4 ? `one of ${h.parts.length}` : h.parts.join(' or ')}`}
                {h.corner && `, ${h.corner} high`}
              </b>
              {h.kind !== 'none' && (
                <span className="num block text-[14.5px] text-soft">
                  {h.unit && h.size !== 0 && `${fixed(h.size, 2)} ${h.unit}; `}
                  {h.effectK
                    .filter((e) => Math.abs(e.k) >= 0.1)
                    .map(
                      (e) =>
                        `${e.k > 0 ? '+' : '−'}${fixed(Math.abs(e.k), 1)} K at ${e.parts.length > 1 ? `${e.parts[0]} to ${e.parts.at(-1)}` : e.parts[0]}`,
                    )
                    .join(', ')}
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
      <Why>First: {found.data.bestCheck}</Why>
      {nextReading && <Why>{nextReading.text}</Why>}
      {lift && <Why tone={lift.lift ? 'text-plum' : undefined}>{lift.text}</Why>}
    </Section>
  )
}
