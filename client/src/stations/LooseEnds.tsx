import { useQuery } from '@tanstack/react-query'
import { answer, http, type JobView } from '../api/client'
import { Section } from './Ledger'

/** What was opened and where it ends: back, on the block, kept; and what has no fate yet. */
export function LooseEnds({ job }: { job: JobView }) {
  const ends = useQuery({
    queryKey: ['loose-ends', job.id, job.version],
    queryFn: () => answer(http.GET('/api/jobs/{id}/loose-ends', { params: { path: { id: job.id } } })),
  }).data?.filter((e) => !e.thing.startsWith('film:'))
  if (!ends?.length) return null
  const signed = new Set(job.steps.filter((x) => x.signed).map((x) => x.stepId as string))
  const open = ends.filter((e) => signed.has(e.openedBy as string) && !(e.closedBy && signed.has(e.closedBy as string)))
  const title = (id?: string | null) => job.steps.find((x) => x.stepId === id)?.title
  return (
    <Section title={`Loose ends, ${open.length} open`}>
      {open.length === 0 && <p className="text-[14.5px] text-soft">Nothing that was opened is still open.</p>}
      <ul className="text-[14.5px] leading-snug">
        {open.map((e) => (
          <li key={`${e.thing}${e.openedBy}`} className="flex gap-2 border-b border-rule/60 py-[3px]">
            <span className="min-w-0 flex-1">{title(e.openedBy)}</span>
            <span className={`w-28 text-right ${e.fate ? 'text-soft' : 'font-semibold text-plum'}`}>
              {e.fate === 'kept' ? 'to be stored' : e.fate ? 'goes back' : 'no place yet'}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  )
}
