import { useQuery } from '@tanstack/react-query'
import { answer, http } from '../api/client'
import { Link } from '../app/router'
import { clock, day } from '../ui/format'
import type { Kind } from './ItemDialog'

const amount = (n: number, unit: string) => `${n} ${unit}`.trim()

/** What became of a line: counted, used for a job, changed. */
export function ItemPast({ kind, id }: { kind: Kind; id: string }) {
  const past = useQuery({
    queryKey: ['drawer', 'past', kind, id],
    queryFn: () => answer(http.GET('/api/drawer/{kind}/{id}/history', { params: { path: { kind, id } } })),
  }).data
  if (!past?.length) return null
  return (
    <details className="mt-3">
      <summary className="cursor-pointer text-soft">What became of it, {past.length}</summary>
      <ul className="mt-1 max-h-52 overflow-y-auto">
        {past.map((e, i) => (
          <li key={e.at + i} className="border-b border-rule/60 py-1 leading-snug">
            {day(e.at)} {clock(e.at)}: {e.what}
            {e.change ? ` ${e.change > 0 ? '+' : '−'}${amount(Math.abs(e.change), e.unit)}` : ''}
            {e.left != null && `, ${amount(e.left, e.unit)} left`}
            {e.by && `, ${e.by}`}
            {e.jobId != null && (
              <>
                {' '}
                <Link className="text-copper underline" to={`/job/${e.jobId}/care`}>
                  job {e.jobId}
                </Link>
              </>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}
