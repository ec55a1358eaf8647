import { useEffect, useRef, useState } from 'react'
import type { JobView, Station } from '../api/client'
import { Refusal } from '../api/client'
import { enqueue, sending, useOutbox, waiting } from '../api/outbox'
import { useJobChanges } from '../api/queries'
import { useInitials } from '../app/settings'
import { keptSigns, lastSigned, nextOpen, offlineRefusal, type Signed, signedSteps } from './stepLogic'

/** Steps that rest on one to take back, asked for together. */
export interface Question {
  stepId: string
  text: string
  restsOn: string[]
}

/** The steps of one station, or of the way back to stock: which is next, what was counted, signing and taking back. */
export function useSteps(job: JobView, station: Station | 'restore') {
  const changes = useJobChanges(job)
  const [by] = useInitials()
  const steps =
    station === 'restore' ? job.plan.care.restore : (job.stations.find((s) => s.station === station)?.steps ?? [])
  // what waits on this device counts here as done
  const kept = waiting(useOutbox(), job.id)
  const signed = keptSigns(signedSteps([...job.steps, ...job.wayBack]), kept)
  const version = (stepId: string) =>
    [...job.steps, ...job.wayBack].find((s) => s.stepId === stepId)?.version ??
    job.gone.find((s) => s.stepId === stepId)?.version ??
    0
  const next = nextOpen(steps, signed)
  // by name: the order may change under the eye
  const [lookingAt, setLooking] = useState<string | null>(null)
  const found = lookingAt === null ? -1 : steps.findIndex((s) => s.id === lookingAt)
  const looking = found < 0 ? null : found
  // a step signed just now is left behind as soon as its signature is seen
  const justSigned = useRef<string>(undefined)
  const stands = (id: string) => signed.get(id)?.lookAgain === false
  const left = looking !== null && steps[looking]?.id === justSigned.current && stands(steps[looking].id)
  const index = Math.min(left ? next : (looking ?? next), Math.max(0, steps.length - 1))
  const step = steps[index]
  const [counted, setCounted] = useState<Record<string, number>>({})
  const [refusal, setRefusal] = useState<Refusal | null>(null)
  const [question, setQuestion] = useState<Question | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: another station begins with a clean slate
  useEffect(() => {
    setLooking(null)
    setRefusal(null)
    setQuestion(null)
  }, [station, job.id])
  const refuse = (e: unknown) =>
    setRefusal(e instanceof Refusal ? e : new Refusal(0, 'Something broke', String(e), [], [], []))
  /** Whether the shop could not be reached. */
  const away = (e: unknown) => e instanceof Refusal && e.status === 0
  const busy = changes.sign.isPending || changes.undo.isPending

  const setCount = (n: number) => {
    if (!step) return
    setRefusal(null)
    setCounted((c) => ({ ...c, [step.id]: Math.max(0, n) }))
  }

  const sign = (overrideReason?: string, all?: number) => {
    if (!step || stands(step.id)) return
    if (busy) {
      if (justSigned.current !== step.id) pressed.current = [all === undefined ? 'sign' : 'all', step.id]
      return
    }
    setRefusal(null)
    justSigned.current = step.id
    const count = step.count == null ? undefined : (all ?? counted[step.id] ?? 0)
    const sent = sending()
    const keep = () => {
      // the shop is not there to ask: what it would lock stays locked here
      const refused = overrideReason ? null : offlineRefusal(step, count, signed)
      if (refused) {
        setRefusal(refused)
        return
      }
      const parcel = { ...sent, jobId: job.id, stepId: step.id, title: step.title, kind: 'sign' as const, by, count }
      enqueue({ ...parcel, overrideReason, version: version(step.id) })
      setLooking(null)
    }
    if (kept.length > 0) keep()
    else
      changes.sign.mutate(
        { stepId: step.id, by, count, overrideReason, ...sent },
        {
          onSuccess: () => setLooking(null),
          onError: (e) => (away(e) ? keep() : refuse(e)),
        },
      )
  }

  /** One screw of a pass is turned; the last one signs the pass. */
  const tick = () => {
    if (!step || stands(step.id) || step.count == null) return
    const n = (counted[step.id] ?? 0) + 1
    if (n < step.count) setCount(n)
    else signAll()
  }

  /** Everything that a step counts is done: signs it so. */
  const signAll = () => {
    if (!step || stands(step.id) || step.count == null || step.countsOpen) return
    setCount(step.count)
    sign(undefined, step.count)
  }

  const takeBack = (stepId: string, title: string, together: string[]) => {
    setRefusal(null)
    const undone = () => {
      setQuestion(null)
      setLooking(null)
      setCounted({ ...counted, [stepId]: 0 })
    }
    const sent = sending()
    const versions = Object.fromEntries(together.map((id) => [id, version(id)]))
    const keep = () => {
      enqueue({ ...sent, jobId: job.id, stepId, title, kind: 'undo', by, version: version(stepId), together, versions })
      undone()
    }
    if (kept.length > 0) keep()
    else
      changes.undo.mutate(
        { stepId, by, together, ...sent },
        {
          onSuccess: undone,
          onError: (e) => {
            if (away(e)) keep()
            else if (e instanceof Refusal && e.restsOn.length > 0)
              setQuestion({ stepId, text: e.message, restsOn: [...together, ...e.restsOn] })
            else refuse(e)
          },
        },
      )
  }

  const back = () => {
    if (busy) {
      pressed.current = ['back']
      return
    }
    const last = lastSigned(steps, signed, index)
    if (last) takeBack(last.id, last.title, [])
  }
  /** Pressed while the last sign-off is still on its way, and for which step: done as soon as that has landed. */
  const pressed = useRef<['back' | 'sign' | 'all', string?]>(undefined)
  // biome-ignore lint/correctness/useExhaustiveDependencies: runs when a call has landed, with what stands then
  useEffect(() => {
    if (busy) return
    const [press, of] = pressed.current ?? []
    pressed.current = undefined
    if (press === 'back') back()
    else if (of && of === step?.id) press === 'all' ? signAll() : sign()
  }, [busy])

  const look = (id: string | null) => {
    setRefusal(null)
    justSigned.current = undefined
    setLooking(id)
  }
  return {
    steps,
    step,
    index,
    signed: signed as ReadonlyMap<string, Signed>,
    counted,
    refusal,
    question,
    answer: (yes: boolean) => {
      if (!question) return
      if (yes)
        takeBack(
          question.stepId,
          steps.find((s) => s.id === question.stepId)?.title ?? question.stepId,
          question.restsOn,
        )
      else setQuestion(null)
    },
    busy,
    changes,
    by,
    allSigned: steps.length > 0 && steps.every((s) => stands(s.id)),
    isSigned: step ? stands(step.id) : false,
    look: (delta: number) => look(steps[Math.max(0, Math.min(steps.length - 1, index + delta))]?.id ?? null),
    lookAt: (id: string) => look(id),
    count: step ? (counted[step.id] ?? 0) : 0,
    setCount,
    sign,
    tick,
    signAll,
    back,
    takeBack,
    refuse,
  }
}
export type Steps = ReturnType<typeof useSteps>
