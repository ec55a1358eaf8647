import { useEffect, useRef, useState } from 'react'
import type { JobView, Station } from '../api/client'
import { enqueue, useOutbox, waiting } from '../api/outbox'
import { Refusal } from '../api/client'
import { useJobChanges } from '../api/queries'
import { useInitials } from '../app/settings'

/** The steps of one station: which is next, what was counted, signing and taking back. */
export function useSteps(job: JobView, station: Station | 'restore') {
  const changes = useJobChanges(job)
  const [by] = useInitials()
  const steps =
    station === 'restore' ? job.plan.restore : (job.plan.stations.find((s) => s.station === station)?.steps ?? [])
  const signed = new Map(job.steps.filter((s) => s.signed).map((s) => [s.stepId, s]))
  // what waits on this device counts here as done
  const kept = waiting(useOutbox(), job.id)
  for (const p of kept)
    if (p.kind === 'sign')
      signed.set(p.stepId, {
        stepId: p.stepId,
        signed: true,
        by: p.by,
        at: p.doneAt,
        count: p.count ?? null,
        overrideReason: p.overrideReason ?? null,
        version: p.version + 1,
      })
    else signed.delete(p.stepId)
  const version = (stepId: string) => job.steps.find((s) => s.stepId === stepId)?.version ?? 0
  const firstOpen = steps.findIndex((s) => !signed.has(s.id))
  const next = firstOpen < 0 ? Math.max(0, steps.length - 1) : firstOpen
  // by name: the order may change under the eye
  const [lookingAt, setLooking] = useState<string | null>(null)
  const found = lookingAt === null ? -1 : steps.findIndex((s) => s.id === lookingAt)
  const looking = found < 0 ? null : found
  // a step signed just now is left behind as soon as its signature is seen
  const justSigned = useRef<string>(undefined)
  const left = looking !== null && steps[looking]?.id === justSigned.current && signed.has(steps[looking].id)
  const index = Math.min(left ? next : (looking ?? next), Math.max(0, steps.length - 1))
  const step = steps[index]
  const [counted, setCounted] = useState<Record<string, number>>({})
  const [refusal, setRefusal] = useState<Refusal | null>(null)
  useEffect(() => {
    setLooking(null)
    setRefusal(null)
  }, [station, job.id])
  const refuse = (e: unknown) =>
    setRefusal(e instanceof Refusal ? e : new Refusal(0, 'Something broke', String(e), [], []))
  const busy = changes.sign.isPending || changes.undo.isPending

  const sign = (overrideReason?: string) => {
    if (!step || signed.has(step.id)) return
    if (busy) {
      if (justSigned.current !== step.id) signNext.current = step.id
      return
    }
    setRefusal(null)
    justSigned.current = step.id
    const count = step.count == null ? undefined : (counted[step.id] ?? 0)
    const keep = () => {
      // the shop is not there to ask: what it would lock stays locked here
      const open = step.locks.filter((l) => !signed.has(l))
      if (!overrideReason && step.count != null && count !== step.count) {
        setRefusal(new Refusal(409, 'Locked', `${count} of ${step.count} counted.`, [], []))
        return
      }
      if (!overrideReason && open.length > 0) {
        setRefusal(
          new Refusal(
            409,
            'Locked',
            `Locked: ${open.length} ${open.length === 1 ? 'step is' : 'steps are'} open.`,
            [],
            open,
          ),
        )
        return
      }
      enqueue({
        jobId: job.id,
        stepId: step.id,
        title: step.title,
        kind: 'sign',
        by,
        count,
        overrideReason,
        version: version(step.id),
      })
      setLooking(null)
    }
    if (kept.length > 0) keep()
    else
      changes.sign.mutate(
        { stepId: step.id, by, count, overrideReason },
        {
          onSuccess: () => setLooking(null),
          onError: (e) => {
            if (e instanceof Refusal && e.status === 0) keep()
            else refuse(e)
          },
        },
      )
  }

  const back = () => {
    // asked for while the last sign-off is still on its way: done as soon as that has landed
    if (busy) {
      backAgain.current = true
      return
    }
    const last = [...steps.slice(0, signed.has(step?.id ?? '') ? index + 1 : index)]
      .reverse()
      .find((s) => signed.has(s.id))
    if (!last) return
    setRefusal(null)
    const undone = () => {
      setLooking(null)
      setCounted({ ...counted, [last.id]: 0 })
    }
    const keep = () => {
      enqueue({ jobId: job.id, stepId: last.id, title: last.title, kind: 'undo', by, version: version(last.id) })
      undone()
    }
    if (kept.length > 0) keep()
    else
      changes.undo.mutate(
        { stepId: last.id, by },
        {
          onSuccess: undone,
          onError: (e) => {
            if (e instanceof Refusal && e.status === 0) keep()
            else refuse(e)
          },
        },
      )
  }
  const backAgain = useRef(false)
  // pressed for the next step while the last sign-off is still on its way: signed as soon as that has landed
  const signNext = useRef<string>(undefined)
  useEffect(() => {
    if (busy) return
    if (backAgain.current) {
      backAgain.current = false
      signNext.current = undefined
      back()
      return
    }
    const wanted = signNext.current
    signNext.current = undefined
    if (wanted && wanted === step?.id) sign()
  }, [busy])

  return {
    steps,
    step,
    index,
    signed,
    counted,
    refusal,
    busy,
    changes,
    by,
    allSigned: firstOpen < 0 && steps.length > 0,
    isSigned: step ? signed.has(step.id) : false,
    look: (delta: number) => {
      setRefusal(null)
      justSigned.current = undefined
      setLooking(steps[Math.max(0, Math.min(steps.length - 1, index + delta))]?.id ?? null)
    },
    lookAt: (id: string) => {
      setRefusal(null)
      justSigned.current = undefined
      setLooking(id)
    },
    count: step ? (counted[step.id] ?? 0) : 0,
    setCount: (n: number) => {
      if (step) {
        setRefusal(null)
        setCounted({ ...counted, [step.id]: Math.max(0, n) })
      }
    },
    sign,
    back,
    refuse,
  }
}
export type Steps = ReturnType<typeof useSteps>
