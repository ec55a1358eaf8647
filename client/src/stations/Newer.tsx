import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, type JobView, type Schemas, told } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { clock, day } from '../ui/format'

type Newer = Schemas['NewerDocument']

/** Documents that were kept anew since the job was planned from them: what each would change, and taking it. */
export function NewerDocuments({ job }: { job: JobView }) {
  return job.newer.map((d) => <Offer key={`${d.kind} ${d.id} ${d.newest}`} job={job} document={d} />)
}

function Offer({ job, document: d }: { job: JobView; document: Newer }) {
  const client = useQueryClient()
  const [by] = useInitials()
  const [open, setOpen] = useState(false)
  const [fault, setFault] = useState<string>()
  const path = { params: { path: { id: job.id } } }
  const asked = useQuery({
    queryKey: ['newer', job.id, job.version, d.kind, d.id, d.newest],
    enabled: open,
    retry: false,
    queryFn: async () =>
      (await answer(http.GET('/api/jobs/{id}/newer', path))).find(
        (o) => o.document.kind === d.kind && o.document.id === d.id,
      ),
  })
  const take = async () => {
    try {
      await answer(
        http.POST('/api/jobs/{id}/newer', { ...path, body: { kind: d.kind, id: d.id, version: d.newest, by } }),
      )
      setFault(undefined)
      await client.invalidateQueries({ queryKey: ['job', job.id] })
      void client.invalidateQueries({ queryKey: ['bench'] })
    } catch (e) {
      setFault(told(e))
    }
  }
  return (
    <section
      aria-label={`Newer version of ${d.name}`}
      className="mb-3 border-l-[6px] border-copper bg-paper px-3 py-2 text-[14.5px] leading-snug"
    >
      <b>
        {d.name}: version {d.newest} was kept on {day(d.at)} at {clock(d.at)}
        {d.by ? ` by ${d.by}` : ''}
      </b>
      <p>This job rests on version {d.held}, which it was planned from.</p>
      {open && (
        <>
          {asked.isPending && <p className="text-soft">Looking at what it changes</p>}
          {asked.error && <p className="text-plum">{told(asked.error)}</p>}
          {asked.data?.changed.length === 0 && <p>It changes nothing in the plan.</p>}
          <ul>
            {asked.data?.changed.map((c) => (
              <li key={c} className="mt-1 pl-3">
                {c}
              </li>
            ))}
          </ul>
          {!!asked.data?.lookAgain && (
            <p className="mt-1">
              {asked.data.lookAgain} signed {asked.data.lookAgain === 1 ? 'step is' : 'steps are'} to be looked at again
              then.
            </p>
          )}
        </>
      )}
      {fault && (
        <p role="alert" className="text-plum">
          {fault}
        </p>
      )}
      <div className="mt-1.5 flex gap-2">
        {!open && <Button onClick={() => setOpen(true)}>What it changes</Button>}
        {(asked.data || asked.error) && open && (
          <Button kind="go" onClick={() => void take()}>
            Take version {d.newest}
          </Button>
        )}
        {open && <Button onClick={() => setOpen(false)}>Stay on version {d.held}</Button>}
      </div>
    </section>
  )
}
