import { useQuery } from '@tanstack/react-query'
import { answer, http } from '../api/client'
import { Link } from '../app/router'
import { Section } from '../stations/Ledger'
import { day } from '../ui/format'

/** What was done before on the same board or block, and what went wrong. */
export function LastTime({
  document,
  but,
  title,
  most = 5,
}: {
  document: string
  but?: number
  title: string
  most?: number
}) {
  const past = useQuery({
    queryKey: ['past', document, but],
    queryFn: () => answer(http.GET('/api/past/{document}', { params: { path: { document }, query: { but } } })),
  }).data
  if (!past?.length) return null
  return (
    <Section title={title}>
      {past.slice(0, most).map((j) => (
        <div key={j.id} className="border-b border-rule/60 py-1.5 text-[14.5px] leading-snug">
          <Link to={`/job/${j.id}`} className="text-copper underline underline-offset-3">
            {j.title}
          </Link>
          <span className="text-soft">
            , {j.blockName ?? 'no block'}
            {j.at && `, ${j.by} ${day(j.at)}`}
          </span>
          {j.verdict && <span className="block">{j.verdict}</span>}
          {j.wrong.map((w) => (
            <span key={w} className="block text-plum">
              {w}
            </span>
          ))}
        </div>
      ))}
      {past.length > most && (
        <p className="mt-1 text-[14px] text-soft">and {past.length - most} before: Ctrl K finds them</p>
      )}
    </Section>
  )
}
