import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { answer, http, type Schemas } from '../../api/client'
import { Section, Why } from '../Ledger'
import type { RoomProps } from '../room'

const date = (d: string) =>
  new Date(`${d}T00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  })

/** When it is due: the drift of repeated proofs with its interval, and the dates as a calendar file. */
export function DriftSection({ job, here }: Pick<RoomProps, 'job' | 'here'>) {
  const board = here.boardKey
  const care = useQuery({
    queryKey: ['care', job.id, job.version, job.readings.length, board],
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/jobs/{id}/care', { params: { path: { id: job.id }, query: { board } } })),
  }).data
  if (!care) return null
  return (
    <Section title="When it is due">
      {care.repaste && <p className="text-[20px] font-bold">{date(care.repaste)}</p>}
      <p className="mb-1 text-[14.5px] leading-snug text-soft">{care.text}</p>
      {care.drift && care.repaste && <DriftChart drift={care.drift} repaste={care.repaste} />}
      {care.inspections.length > 0 && <Why>Look at the loop on {care.inspections.map(date).join(', ')}.</Why>}
      <a
        href={`/api/jobs/${job.id}/care.ics?board=${board}`}
        download
        className="mt-1 inline-block min-h-9 rounded-[3px] border border-rule bg-raised px-3 py-1.5 font-semibold"
      >
        Dates for the calendar
      </a>
    </Section>
  )
}

/** Each proof with its ±, the line through them, and where it meets its limit. */
function DriftChart({ drift, repaste }: { drift: Schemas['DriftSeen']; repaste: string }) {
  const [w, h, left, low] = [320, 130, 38, 18]
  const first = Date.parse(`${drift.marks[0].on}T00:00Z`)
  const day = (d: string) => (Date.parse(`${d}T00:00Z`) - first) / 86_400_000
  const end = Math.max(day(repaste), day(drift.dueHigh), drift.marks.at(-1)!.day) * 1.04
  const line = (d: number) => drift.line.startKPerW + drift.line.slopePerDay * d
  const all = [...drift.marks.flatMap((m) => [m.kPerW - 2 * m.plusMinus, m.kPerW + 2 * m.plusMinus]), drift.limitKPerW]
  const [least, most] = [Math.min(...all) * 0.985, Math.max(...all) * 1.015]
  const x = (d: number) => left + (d / end) * (w - left - 6)
  const y = (k: number) => h - low - ((k - least) / (most - least)) * (h - low - 6)
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      className="w-full"
      role="img"
      aria-label={`Resistance of ${drift.marks.length} proofs over time`}
    >
      <rect
        x={x(day(drift.dueLow))}
        y={6}
        width={Math.max(1, x(day(drift.dueHigh)) - x(day(drift.dueLow)))}
        height={h - low - 6}
        fill="var(--amber-wash)"
      />
      <line
        x1={left}
        x2={w - 6}
        y1={y(drift.limitKPerW)}
        y2={y(drift.limitKPerW)}
        stroke="var(--plum)"
        strokeDasharray="6 4"
      />
      <line
        x1={x(0)}
        x2={x(day(drift.due))}
        y1={y(line(0))}
        y2={y(line(day(drift.due)))}
        stroke="var(--copper)"
        strokeWidth={2}
      />
      {drift.marks.map((m) => (
        <g key={m.on} stroke="var(--cool)">
          <title>{`${date(m.on)}: ${(m.kPerW * 1000).toFixed(0)} ± ${(m.plusMinus * 1000).toFixed(0)} K/kW`}</title>
          <line x1={x(m.day)} x2={x(m.day)} y1={y(m.kPerW - m.plusMinus)} y2={y(m.kPerW + m.plusMinus)} />
          <circle cx={x(m.day)} cy={y(m.kPerW)} r={3.5} fill="var(--cool)" />
        </g>
      ))}
      {[least * 1.01, drift.limitKPerW].map((k) => (
        <text key={k} x={left - 4} y={y(k) + 4} textAnchor="end" className="num" fontSize={13} fill="var(--soft)">
          {(k * 1000).toFixed(0)}
        </text>
      ))}
      <text x={0} y={12} className="num" fontSize={12} fill="var(--soft)">
        K/kW
      </text>
      <text x={left} y={h - 3} className="num" fontSize={13} fill="var(--soft)">
        {date(drift.marks[0].on)}
      </text>
      <text x={w - 6} y={h - 3} textAnchor="end" className="num" fontSize={13} fill="var(--soft)">
        {date(repaste)}
      </text>
    </svg>
  )
}
