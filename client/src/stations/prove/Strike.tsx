import { useState } from 'react'
import { type JobView, type Schemas, told } from '../../api/client'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import type { Steps } from '../useSteps'

/** Strikes a reading or a log. In a finished job it asks why: struck and reason stay in the record. */
export function Strike({
  job,
  s,
  what,
  strike,
  correction,
}: {
  job: JobView
  s: Steps
  what: string
  strike: () => void
  correction: Pick<Schemas['NewCorrection'], 'reading' | 'log'>
}) {
  const [open, setOpen] = useState(false)
  const [why, setWhy] = useState('')
  const { correct } = s.changes
  return (
    <>
      <button
        type="button"
        aria-label={`Strike ${what}`}
        className="text-copper underline"
        onClick={() => (job.finished ? setOpen(true) : strike())}
      >
        strike
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} title={`Strike ${what}`}>
        <form
          onSubmit={(e) => {
            e.preventDefault()
            correct.mutate({ by: s.by, why, ...correction }, { onSuccess: () => setOpen(false) })
          }}
        >
          <p className="text-[16px]">
            This job is finished. The record keeps what was struck, who struck it, when and why.
          </p>
          <label className="mt-3 block text-[16px]">
            Why
            <textarea
              className="mt-1 block min-h-20 w-full border border-rule bg-raised p-2 text-[17px]"
              value={why}
              onChange={(e) => setWhy(e.target.value)}
            />
          </label>
          {correct.error && (
            <p role="alert" className="mt-2 text-plum">
              {told(correct.error)}
            </p>
          )}
          <Button kind="go" type="submit" disabled={!why.trim() || correct.isPending} className="mt-3">
            Strike, signed {s.by}
          </Button>
        </form>
      </Dialog>
    </>
  )
}
