import { useEffect, useRef, useState } from 'react'
import type { JobView, Station } from '../api/client'
import { Refusal } from '../api/client'
import { useJobChanges } from '../api/queries'
import { useInitials } from '../app/settings'

/** The steps of one station: which is next, what was counted, signing and taking back. */
export function useSteps(job: JobView, station: Station) {
  const changes = useJobChanges(job)
  const [by] = useInitials()
  const steps = job.plan.stations.find((s) => s.station === station)?.steps ?? []
  const signed = new Map(job.steps.filter((s) => s.signed).map((s) => [s.stepId, s]))
  const firstOpen = steps.findIndex((s) => !signed.has(s.id))
  const next = firstOpen < 0 ? Math.max(0, steps.length - 1) : firstOpen
  const [looking, setLooking] = useState<number | null>(null)
  // a step signed just now is left behind as soon as its signature is seen
  const justSigned = useRef<string>(undefined)
  const left = looking !== null && steps[looking]?.id === justSigned.current && signed.has(steps[looking].id)
  const index = Math.min(left ? next : (looking ?? next), Math.max(0, steps.length - 1))
  const step = steps[index]
  const [counted, setCounted] = useState<Record<string, number>>({})
  const [refusal, setRefusal] = useState<Refusal | null>(null)
  useEffect(() => { setLooking(null); setRefusal(null) }, [station, job.id])
  const refuse = (e: unknown) => setRefusal(e instanceof Refusal ? e : new Refusal(0, 'Something broke', String(e), [], []))
  const busy = changes.sign.isPending || changes.undo.isPending

  const back = () => {
    // asked for while the last sign-off is still on its way: done as soon as that has landed
    if (busy) { backAgain.current = true; return }
    const last = [...steps.slice(0, signed.has(step?.id ?? '') ? index + 1 : index)].reverse().find((s) => signed.has(s.id))
    if (!last) return
    setRefusal(null)
    changes.undo.mutate({ stepId: last.id, by }, { onSuccess: () => { setLooking(null); setCounted({ ...counted, [last.id]: 0 }) }, onError: refuse })
  }
  const backAgain = useRef(false)
  useEffect(() => { if (!busy && backAgain.current) { backAgain.current = false; back() } }, [busy])

  return {
    steps, step, index, signed, counted, refusal, busy, changes, by,
    allSigned: firstOpen < 0 && steps.length > 0,
    isSigned: step ? signed.has(step.id) : false,
    look: (delta: number) => { setRefusal(null); justSigned.current = undefined; setLooking(Math.max(0, Math.min(steps.length - 1, index + delta))) },
    lookAt: (id: string) => { setRefusal(null); justSigned.current = undefined; const i = steps.findIndex((s) => s.id === id); if (i >= 0) setLooking(i) },
    count: step ? (counted[step.id] ?? 0) : 0,
    setCount: (n: number) => { if (step) { setRefusal(null); setCounted({ ...counted, [step.id]: Math.max(0, n) }) } },
    sign: (overrideReason?: string) => {
      if (!step || busy || signed.has(step.id)) return
      setRefusal(null)
      justSigned.current = step.id
      changes.sign.mutate({ stepId: step.id, by, count: step.count == null ? undefined : (counted[step.id] ?? 0), overrideReason }, { onSuccess: () => setLooking(null), onError: refuse })
    },
    back,
    refuse,
  }
}
export type Steps = ReturnType<typeof useSteps>
