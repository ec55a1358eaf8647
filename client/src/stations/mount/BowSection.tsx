import { useQuery } from '@tanstack/react-query'
import { answer, http, type JobView, type Schemas } from '../../api/client'
import { Section } from '../Ledger'

/** How the mounted board bows, as a small map, with and without the back plate. */
export function BowSection({ job }: { job: JobView }) {
  const bow = useQuery({ queryKey: ['bow', job.id, job.version], queryFn: () => answer(http.GET('/api/jobs/{id}/bow', { params: { path: { id: job.id } } })), enabled: !!job.plan.seating }).data
  if (!bow) return null
  const most = Math.max(Math.abs(bow.without.peakMm), Math.abs(bow.with?.peakMm ?? 0))
  return (
    <Section title="Bow of the board">
      <p className={`text-[15px] leading-snug ${((bow.with ?? bow.without).watchedStrainMicro ?? 0) > bow.limitMicro ? 'text-plum' : ''}`}>{bow.text}</p>
      <BowMap name={bow.with ? 'without back plate' : 'as mounted'} r={bow.without} most={most} />
      {bow.with && <BowMap name="with back plate" r={bow.with} most={most} />}
    </Section>
  )
}

function BowMap({ name, r, most }: { name: string; r: Schemas['BowResult']; most: number }) {
  const m = r.map
  const w = 290
  const k = w / ((m.columns - 1) * m.stepX)
  const h = (m.rows - 1) * m.stepY * k
  return (
    <figure className="mt-1.5">
      <svg width={w} height={h} role="img" aria-label={`${name}: peak ${r.peakMm.toFixed(2)} mm`}>
        {m.mm.map((v, i) => {
          if (v == null) return null
          const [c, row] = [i % m.columns, Math.floor(i / m.columns)]
          const share = most > 0 ? v / most : 0
          return <rect key={i} x={(c - 0.5) * m.stepX * k} y={h - (row + 0.5) * m.stepY * k} width={m.stepX * k} height={m.stepY * k} fill={share < 0 ? 'var(--cool)' : 'var(--copper)'} opacity={0.06 + 0.9 * Math.min(1, Math.abs(share))} />
        })}
        <circle cx={(r.atMm[0] - m.minX) * k} cy={h - (r.atMm[1] - m.minY) * k} r={5} fill="none" stroke="var(--ink)" strokeWidth={2} />
      </svg>
      <figcaption className="num text-[14.5px] text-soft">{name}: peak {r.peakMm.toFixed(2)} mm (ring), strain under parts {(r.watchedStrainMicro ?? r.strainMicro).toFixed(0)} millionths; copper towards the block, blue-green away</figcaption>
    </figure>
  )
}
