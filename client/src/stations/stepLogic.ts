import { Refusal, type WorkStep } from '../api/client'
import type { Parcel } from '../api/outbox'
import { capital } from '../ui/format'

/** A signature that stands, or one to look at again. */
export interface Signed {
  by: string
  at: string
  lookAgain: boolean
  changed: string[]
}

interface Stand {
  stepId: string
  signed: boolean
  by?: string | null
  at?: string | null
  lookAgain: boolean
  changed: string[]
}

export const signedSteps = (stands: Stand[]) =>
  new Map<string, Signed>(
    stands
      .filter((s) => s.signed)
      .map((s) => [s.stepId, { by: s.by ?? '', at: s.at ?? '', lookAgain: s.lookAgain, changed: s.changed }]),
  )

/** With what waits on this device, in the order in which it was pressed. */
export function keptSigns(signed: Map<string, Signed>, kept: Parcel[]) {
  const all = new Map(signed)
  for (const p of kept)
    if (p.kind === 'sign') all.set(p.stepId, { by: p.by, at: p.doneAt, lookAgain: false, changed: [] })
    else for (const id of [p.stepId, ...(p.together ?? [])]) all.delete(id)
  return all
}

/** The first step that is not signed, or has to be looked at again; the last one when all stand. */
export function nextOpen(steps: { id: string }[], signed: ReadonlyMap<string, Signed>) {
  const open = steps.findIndex((s) => signed.get(s.id)?.lookAgain !== false)
  return open < 0 ? Math.max(0, steps.length - 1) : open
}

/** The screw of a pass that is turned next; undefined where the step is no pass, or all are turned. */
export const turnNow = (step: Pick<WorkStep, 'turns'> | undefined, count: number) => step?.turns[count]

/** What the done button says; inside a pass it names the screw at hand. */
export function doneOf(step: WorkStep, count: number) {
  const now = turnNow(step, count)
  return now && count + 1 < step.turns.length ? `${capital(now.thing)} ${now.number} turned` : step.done
}

/** The step that Back takes back: the one looked at if it is signed, else the last one signed before it. */
export function lastSigned<T extends { id: string }>(steps: T[], signed: ReadonlyMap<string, Signed>, index: number) {
  const here = steps[index]
  return steps.slice(0, here && signed.has(here.id) ? index + 1 : index).findLast((s) => signed.has(s.id))
}

/** What the shop would refuse, said while it cannot be asked. */
export function offlineRefusal(
  step: Pick<WorkStep, 'count' | 'locks'> & { countsOpen?: boolean },
  count: number | undefined,
  signed: ReadonlyMap<string, Signed>,
): Refusal | null {
  const open = (step.locks as string[]).filter((l) => !signed.has(l))
  if (step.countsOpen) {
    if (!count) return new Refusal(409, 'Locked', 'None counted: count them as they are done.', [], [], [])
  } else if (step.count != null && count !== step.count)
    return new Refusal(409, 'Locked', `${count ?? 0} of ${step.count} counted.`, [], [], [])
  if (open.length > 0)
    return new Refusal(
      409,
      'Locked',
      `Locked: ${open.length} ${open.length === 1 ? 'step is' : 'steps are'} open.`,
      [],
      open,
      [],
    )
  return null
}
