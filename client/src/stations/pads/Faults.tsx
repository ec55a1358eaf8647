import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type JobView, type Schemas } from '../../api/client'
import { asked, type Here } from '../here'
import { Why } from '../Ledger'

type Fault = Schemas['PadFault']
const faults: [Fault, string][] = [
  ['film-one-side', 'film on one side'],
  ['film-both-sides', 'film on both'],
  ['missed', 'missed'],
  ['doubled', 'doubled'],
  ['thicker-by-half', '0.5 thicker'],
  ['thinner-by-half', '0.5 thinner'],
]

/** Lays one pad wrong and says what would be seen and felt. */
export function Faults({ job, here, part }: { job: JobView; here: Here; part: string }) {
  const [fault, setFault] = useState<Fault>()
  const tried = useQuery({
    queryKey: ['pad-fault', job.id, job.version, part, fault, here.pairKey],
    enabled: !!fault,
    queryFn: () =>
      answer(
        http.GET('/api/jobs/{id}/pad-fault', {
          params: { path: { id: job.id }, query: { part, fault: fault!, ...asked(here) } },
        }),
      ),
  })
  return (
    <div role="group" aria-label="What if this pad is laid wrong">
      <p className="mt-3 text-[13px] font-semibold text-soft">What if this pad is laid wrong</p>
      <div className="mt-1 flex flex-wrap gap-1">
        {faults.map(([f, name]) => (
          <button
            key={f}
            type="button"
            aria-pressed={f === fault}
            onClick={() => setFault(f === fault ? undefined : f)}
            className={`rounded-[3px] border px-2 py-1 text-[14px] ${f === fault ? 'border-plum bg-plum-wash font-semibold' : 'border-rule bg-raised'}`}
          >
            {name}
          </button>
        ))}
      </div>
      {fault && tried.data && (
        <div aria-live="polite" className="mt-1">
          <p className={`text-[15px] font-bold ${tried.data.seating.floats ? 'text-plum' : ''}`}>
            {tried.data.seating.floats ? 'The block floats' : 'It still seats'}
          </p>
          {tried.data.seen.map((t) => (
            <Why key={t}>{t}</Why>
          ))}
          {tried.data.felt.map((t) => (
            <Why key={t}>{t}</Why>
          ))}
        </div>
      )}
      {tried.error && (
        <p role="alert" className="text-plum">
          {(tried.error as Error).message}
        </p>
      )}
    </div>
  )
}
