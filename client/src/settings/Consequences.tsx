import { useEffect, useState } from 'react'
import { answer, http, type Schemas, told } from '../api/client'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'

export type Values = Record<string, number | null>

/** What is sent: values, and what goes back to its default. */
export const sent = (values: Values) => ({
  values: Object.fromEntries(Object.entries(values).filter((v): v is [string, number] => v[1] !== null)),
  defaults: Object.keys(values).filter((k) => values[k] === null),
})

/** Every open job is planned with the change, portion by portion, the newest first, until all are or it is stopped. */
function useTried(values: Values, by: string) {
  const [portions, setPortions] = useState<Schemas['SettingConsequences'][]>([])
  const [error, setError] = useState<unknown>()
  const [stopped, setStopped] = useState(false)
  const last = portions.at(-1)
  const more = last?.more ?? 0
  const ended = !!last && (more === 0 || stopped)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is asked stands while it is asked
  useEffect(() => {
    if (ended) return
    const gone = new AbortController()
    const params = { query: { before: last?.last ?? undefined } }
    const body = { ...sent(values), reason: '', by }
    answer(http.POST('/api/settings/try', { params, body, signal: gone.signal })).then(
      (p) => setPortions([...portions, p]),
      (e) => gone.signal.aborted || setError(e),
    )
    return () => gone.abort()
  }, [last, ended])
  const looked = portions.reduce((n, p) => n + p.looked, 0)
  return {
    error,
    jobs: portions.flatMap((p) => p.jobs),
    looked,
    more,
    begun: !!last,
    ended,
    stop: () => setStopped(true),
  }
}

/** What a change does to open jobs, before it is kept. */
export function Consequences({
  asking,
  by,
  fault,
  keep,
  leave,
}: {
  asking: { values: Values; what: string }
  by: string
  fault?: string
  keep: (reason: string) => Promise<void>
  leave: () => void
}) {
  const [reason, setReason] = useState('')
  const tried = useTried(asking.values, by)
  return (
    <Dialog open onClose={leave} title={`Change: ${asking.what}`} wide>
      {tried.error !== undefined && (
        <p role="alert" className="text-plum">
          {told(tried.error)}
        </p>
      )}
      {tried.error === undefined && !tried.ended && (
        <p role="status" className="mb-2 flex items-center gap-3 text-soft">
          <span>
            Planning every open job with it
            {tried.begun && `: ${tried.looked} of ${tried.looked + tried.more}`}
          </span>
          {tried.begun && <Button onClick={tried.stop}>Enough</Button>}
        </p>
      )}
      {tried.begun && (
        <div className="scroll-thin max-h-[46vh] overflow-y-auto">
          <p className="mb-2 font-semibold">
            {tried.jobs.length === 0
              ? `Changes the steps of none of ${tried.looked} open jobs.`
              : `Changes ${tried.jobs.length} of ${tried.looked} open jobs. Signed steps that it changes are to be looked at again.`}
            {tried.ended && tried.more > 0 && ` ${tried.more} older ones were not looked at.`}
          </p>
          {tried.jobs.map((j) => (
            <div key={j.jobId} className="border-t border-rule/60 py-1.5">
              <b>
                {j.jobId} {j.title}
              </b>
              {j.changes.map((c) => (
                <p key={c} className="text-[14.5px] leading-snug">
                  {c}
                </p>
              ))}
            </div>
          ))}
        </div>
      )}
      <form
        className="mt-3"
        onSubmit={(e) => {
          e.preventDefault()
          void keep(reason)
        }}
      >
        <input
          value={reason}
          onChange={(e) => setReason(e.target.value)}
          aria-label="Why"
          placeholder="why"
          className="mb-3 w-full border border-rule bg-raised p-2"
        />
        {fault && (
          <p role="alert" className="mb-2 text-plum">
            {fault}
          </p>
        )}
        <div className="flex gap-2">
          <Button kind="go" type="submit" disabled={!reason.trim() || !tried.ended}>
            Keep it
          </Button>
          <Button onClick={leave}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  )
}
