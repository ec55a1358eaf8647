import { useState } from 'react'
import { type JobView, told } from '../../api/client'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import type { Steps } from '../useSteps'

const link = 'min-h-9 text-copper underline underline-offset-3'
const field = 'mt-1 block min-h-11 w-full border border-rule bg-raised px-2 text-[17px]'

/** Title and client. In a finished job they are corrected with a reason, which the record keeps. */
export function JobName({ job, s }: { job: JobView; s: Steps }) {
  const [open, setOpen] = useState(false)
  const [title, setTitle] = useState(job.title)
  const [client, setClient] = useState(job.client ?? '')
  const [why, setWhy] = useState('')
  const { change, correct } = s.changes
  const busy = change.isPending || correct.isPending
  const error = change.error ?? correct.error
  const show = () => {
    setTitle(job.title)
    setClient(job.client ?? '')
    setWhy('')
    setOpen(true)
  }
  const keep = async () => {
    const reason = { by: s.by, why }
    if (!job.finished) await change.mutateAsync({ title, client: client || null })
    else {
      if (title !== job.title) await correct.mutateAsync({ ...reason, title })
      if (client !== (job.client ?? '')) await correct.mutateAsync({ ...reason, client })
    }
    setOpen(false)
  }
  const changed = title !== job.title || client !== (job.client ?? '')
  return (
    <>
      <p className="mt-1 flex gap-4">
        <button type="button" className={link} onClick={show}>
          Change title or client
        </button>
        <button type="button" className={link} onClick={() => s.changes.archive.mutate(!job.archived)}>
          {job.archived ? 'Bring it back to its bench' : 'Archive'}
        </button>
      </p>
      <Dialog open={open} onClose={() => setOpen(false)} title="Title and client">
        <form
          onSubmit={(e) => {
            e.preventDefault()
            keep().catch(() => {})
          }}
        >
          <label className="block text-[16px]">
            Title
            <input className={field} value={title} onChange={(e) => setTitle(e.target.value)} />
          </label>
          <label className="mt-3 block text-[16px]">
            Client
            <input className={field} value={client} onChange={(e) => setClient(e.target.value)} />
          </label>
          {job.finished && (
            <>
              <p className="mt-3 text-[16px]">
                This job is finished. The record keeps what it said before, who changed it, when and why.
              </p>
              <label className="mt-2 block text-[16px]">
                Why
                <input className={field} value={why} onChange={(e) => setWhy(e.target.value)} />
              </label>
            </>
          )}
          {error && (
            <p role="alert" className="mt-2 text-plum">
              {told(error)}
            </p>
          )}
          <Button
            kind="go"
            type="submit"
            disabled={!changed || !title.trim() || (job.finished && !why.trim()) || busy}
            className="mt-3"
          >
            {job.finished ? `Correct, signed ${s.by}` : 'Keep'}
          </Button>
        </form>
      </Dialog>
    </>
  )
}
