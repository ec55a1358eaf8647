import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http, ifMatch, type JobView } from '../../api/client'
import { Button } from '../../ui/Button'
import type { Here } from '../here'
import type { Steps } from '../useSteps'

/** Moves the step one place earlier or later; the shop refuses only what cannot be done, and says why. */
export function Reorder({ job, here, s }: { job: JobView; here: Here; s: Steps }) {
  const client = useQueryClient()
  const [fault, setFault] = useState<string>()
  // the next move is made on the order that this one leaves
  const [busy, setBusy] = useState(false)
  const plan = here.teardown!
  const best = here.bestTeardown
  const target = s.step?.targets[0]
  const order = plan.steps.map((x) => x.target)
  const at = order.indexOf(target ?? '')
  const put = async (next: string[]) => {
    setBusy(true)
    try {
      setFault(undefined)
      await answer(
        http.PUT('/api/jobs/{id}/order', {
          params: { path: { id: job.id } },
          headers: ifMatch(job.sheets.versions.order ?? 0),
          body: { order: next, by: s.by },
        }),
      )
      if (s.step) s.lookAt(s.step.id)
    } catch (e) {
      const r = e as { errors?: { message: string }[]; message: string }
      setFault(r.errors?.[0]?.message ?? r.message)
    }
    await client.invalidateQueries({ queryKey: ['job', job.id] })
    setBusy(false)
  }
  const move = (by: number) => {
    const next = [...order]
    const [x] = next.splice(at, 1)
    next.splice(at + by, 0, x)
    void put(next)
  }
  return (
    <div className="mt-1.5">
      <div className="flex flex-wrap items-center gap-2">
        <Button disabled={busy || at < 1} onClick={() => move(-1)}>
          Earlier
        </Button>
        <Button disabled={busy || at < 0 || at === order.length - 1} onClick={() => move(1)}>
          Later
        </Button>
        {best && (
          <Button disabled={busy} onClick={() => void put([])}>
            The best order again
          </Button>
        )}
      </div>
      {best && (
        <p className="mt-1 text-[14px] text-soft">
          Your order: {plan.flips} flips, {plan.driverChanges} driver changes; the best has {best.flips} and{' '}
          {best.driverChanges}.
        </p>
      )}
      {fault && (
        <p role="alert" className="mt-1 border-l-4 border-plum pl-2 text-[14.5px] text-plum">
          {fault}
        </p>
      )}
    </div>
  )
}
