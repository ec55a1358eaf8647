import type { JobView, Station } from '../api/client'
import { Section } from './Ledger'
import type { Steps } from './useSteps'

/** Where installers disagree: the ways of this station, the one taken, and its reason. */
export function Ways({ job, station, s }: { job: JobView; station: Station; s: Steps }) {
  const schools = job.plan.schools.filter((x) => x.station === station)
  if (schools.length === 0) return null
  return (
    <Section title="Method options">
      {schools.map((q) => {
        const now = job.sheets.ways[q.id] ?? q.default
        return (
          <div key={q.id} className="mt-1.5" role="group" aria-label={q.question}>
            <p className="text-[14.5px] font-semibold leading-snug">{q.question}</p>
            <div className="mt-1 flex flex-wrap gap-1">
              {q.ways.map((w) => (
                <button
                  key={w.id}
                  type="button"
                  aria-pressed={w.id === now}
                  onClick={() => s.changes.way.mutate({ school: q.id, way: w.id, by: s.by }, { onError: s.refuse })}
                  className={`rounded-[3px] border px-2 py-1 text-[14px] leading-tight ${w.id === now ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'}`}
                >
                  {w.name}
                </button>
              ))}
            </div>
            <p className="mt-0.5 text-[13.5px] leading-snug text-soft">{q.ways.find((w) => w.id === now)?.why}</p>
          </div>
        )
      })}
    </Section>
  )
}
