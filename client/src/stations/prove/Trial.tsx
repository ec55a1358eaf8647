import type { Schemas } from '../../api/client'
import { Section, Why } from '../Ledger'

const [w, h, left, right, top, foot] = [330, 150, 34, 84, 8, 24]

/** The runs before and after as one fit: a dot for each in its order, both bands, and what is expected after. */
export function Trial({ trial }: { trial: Schemas['JobTrial'] }) {
  const { runs, before, after, expected } = trial
  const bands = [before, after, ...(expected ? [expected] : [])]
  const highest = Math.max(...runs.map((r) => r.overK))
  const most = Math.max(
    1,
    1.06 * Math.min(1.6 * highest, Math.max(highest, ...bands.map((b) => b.overK + b.plusMinusK))),
  )
  const least = Math.max(-0.2 * most, Math.min(0, ...bands.map((b) => b.overK - b.plusMinusK)))
  const x = (order: number) => left + ((order - 0.5) / runs.length) * (w - left - right)
  const y = (k: number) => top + ((most - Math.min(most, Math.max(least, k))) / (most - least)) * (h - top - foot)
  const phases = (['before', 'after'] as const).map((phase) => {
    const own = runs.filter((r) => r.phase === phase)
    return {
      phase,
      own,
      band: phase === 'before' ? before : after,
      from: x(own[0].order - 0.5),
      to: x(own[own.length - 1].order + 0.5),
      tone: phase === 'before' ? 'amber' : 'cool',
    }
  })
  return (
    <Section title="Before and after">
      <p className="text-[15.5px] leading-snug">{trial.sentence}</p>
      <svg
        viewBox={`0 0 ${w} ${h}`}
        className="mt-1 w-full"
        role="img"
        aria-label={`${runs.length} runs before and after`}
      >
        {phases.map(({ phase, own, band, from, to, tone }) => (
          <g key={phase}>
            <rect
              x={from}
              width={to - from}
              y={y(band.overK + band.plusMinusK)}
              height={Math.max(1, y(band.overK - band.plusMinusK) - y(band.overK + band.plusMinusK))}
              fill={`var(--${tone}-wash)`}
            />
            <line x1={from} x2={to} y1={y(band.overK)} y2={y(band.overK)} stroke={`var(--${tone})`} />
            {own.map((r) => (
              <circle key={r.order} cx={x(r.order)} cy={y(r.overK)} r={4} fill={`var(--${tone})`}>
                <title>{`${r.phase}, ${r.overK.toFixed(1)} K`}</title>
              </circle>
            ))}
            <text x={(from + to) / 2} y={h - 6} textAnchor="middle" fontSize={13} fill="var(--ink)">
              {phase}, {band.overK.toFixed(0)} K
            </text>
            {phase === 'after' && expected && (
              <g stroke="var(--ink)" strokeDasharray="3 3">
                <line
                  x1={from}
                  x2={to + 6}
                  y1={y(expected.overK + expected.plusMinusK)}
                  y2={y(expected.overK + expected.plusMinusK)}
                />
                <line
                  x1={from}
                  x2={to + 6}
                  y1={y(expected.overK - expected.plusMinusK)}
                  y2={y(expected.overK - expected.plusMinusK)}
                />
              </g>
            )}
            {phase === 'after' && expected && (
              <text x={to + 9} y={y(expected.overK) + 4} fontSize={13} fill="var(--ink)">
                {expected.overK.toFixed(0)} expected
              </text>
            )}
          </g>
        ))}
        <line x1={left} x2={w - right} y1={y(0)} y2={y(0)} stroke="var(--soft)" />
        <text x={left - 5} y={y(0) + 4} textAnchor="end" className="num" fontSize={13} fill="var(--soft)">
          0 K
        </text>
      </svg>
      <Why>{trial.next}</Why>
    </Section>
  )
}
