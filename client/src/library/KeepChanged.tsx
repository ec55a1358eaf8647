import { useQuery } from '@tanstack/react-query'
import { told } from '../api/client'
import { Button } from '../ui/Button'
import { consequencesOf, type DocumentPath, versionsOf } from './documents'

/** A document whose id stands already with other content: what it changes in open jobs, then kept as the next version. */
export function KeepChanged({
  what,
  id,
  text,
  begunFrom,
  onKeep,
}: {
  what: DocumentPath
  id: string
  text: string
  /** The version that the text was changed from, where that is known. */
  begunFrom?: number
  onKeep: (seen: number) => void
}) {
  const asked = useQuery({
    queryKey: ['consequences', what, id, text],
    // what is told is told of the version that is replaced
    queryFn: async () => {
      const seen = (await versionsOf(what, id))[0].version
      return { seen, ...(await consequencesOf(text)) }
    },
    retry: false,
    gcTime: 0,
  })
  const jobs = asked.data?.jobs ?? []
  return (
    <section className="border-l-4 border-amber bg-card px-5 py-3" aria-label="What it changes">
      <h3 className="text-[18px] font-bold">
        {asked.isPending
          ? 'Looking at open jobs'
          : asked.error
            ? told(asked.error)
            : jobs.length === 0
              ? 'No open job would change'
              : `${jobs.length} open ${jobs.length === 1 ? 'job' : 'jobs'} would change`}
      </h3>
      {jobs.length > 0 && (
        <p className="text-[15.5px] text-soft">
          {jobs.length === 1 ? 'It rests on its version' : 'They rest on their version'} until somebody takes the new
          one there.
        </p>
      )}
      <ul>
        {jobs.map((j) => (
          <li key={j.id} className="mt-1.5 text-[15.5px]">
            <b>
              {j.title}, job {j.id}
            </b>
            {j.changed.map((c) => (
              <span key={c} className="block pl-4 leading-snug">
                {c}
              </span>
            ))}
          </li>
        ))}
      </ul>
      {!!asked.data?.more && (
        <p className="mt-1 text-soft">{asked.data.more} more open jobs rest on it and were not looked at.</p>
      )}
      {begunFrom !== undefined && asked.data && asked.data.seen !== begunFrom && (
        <p role="alert" className="mt-1.5 text-plum">
          Version {asked.data.seen} was kept after this draft was begun from version {begunFrom}: what it changed is not
          in the draft. It stays among the versions.
        </p>
      )}
      <Button kind="go" className="mt-2.5" onClick={() => asked.data && onKeep(asked.data.seen)} disabled={!asked.data}>
        Keep as the next version
      </Button>
    </section>
  )
}
