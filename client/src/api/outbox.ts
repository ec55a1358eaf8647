import { useSyncExternalStore } from 'react'
import { answer, http, ifMatch, Refusal } from './client'
import { forgetPicture, pictureOf } from './pictures'

export type PaperKind = 'note' | 'reading' | 'timer' | 'stop' | 'photo'

/** A sign-off, take-back or paper that could not be sent yet, or that the shop did not take as it is. */
export interface Parcel {
  key: string
  jobId: number
  stepId: string
  title: string
  kind: 'sign' | 'undo' | PaperKind
  /** Of a paper: what is sent, and to which address. A photo's picture lies in the device's own store under the key. */
  body?: unknown
  path?: string
  type?: string
  by: string
  count?: number
  overrideReason?: string
  /** For a take-back: steps that rest on it, taken back with it. */
  together?: string[]
  version: number
  doneAt: string
  conflict?: string
}

const place = 'fb.outbox'
const listeners = new Set<() => void>()
let parcels: Parcel[] = read()
let sending = false

function read(): Parcel[] {
  try {
    return JSON.parse(localStorage.getItem(place) ?? '[]') as Parcel[]
  } catch {
    return []
  }
}

function keep(next: Parcel[]) {
  parcels = next
  localStorage.setItem(place, JSON.stringify(next))
  for (const l of listeners) l()
}

export const useOutbox = () =>
  useSyncExternalStore(
    (l) => {
      listeners.add(l)
      return () => listeners.delete(l)
    },
    () => parcels,
  )
const isStep = (p: Parcel) => p.kind === 'sign' || p.kind === 'undo'

/** Steps of a job that wait here. */
export const waiting = (list: Parcel[], jobId: number) =>
  list.filter((p) => p.jobId === jobId && !p.conflict && isStep(p))

/** Papers of one kind that wait here. */
export const waitingPapers = (list: Parcel[], jobId: number, kind: PaperKind) =>
  list.filter((p) => p.jobId === jobId && !p.conflict && p.kind === kind)

/** Keeps one until the shop has it; a step that waits already counts on from there. */
export function enqueue(p: Omit<Parcel, 'key' | 'doneAt'>) {
  const before = parcels.filter((x) => x.jobId === p.jobId && x.stepId === p.stepId && !x.conflict && isStep(x)).length
  keep([...parcels, { ...p, version: p.version + before, key: crypto.randomUUID(), doneAt: new Date().toISOString() }])
}

/** Keeps a paper under the key it was sent with already: however often it goes out, it counts once. */
export const keepPaper = (p: Omit<Parcel, 'version'>) => keep([...parcels, { ...p, version: 0 }])

/** What lies here now. */
export const lying = () => parcels

export const drop = (key: string) => {
  const gone = parcels.find((p) => p.key === key)
  keep(parcels.filter((p) => p.key !== key))
  if (gone?.kind === 'photo') void forgetPicture(key)
}

/** Mine once more, on what stands now. */
export const again = (key: string, version: number) => {
  keep(parcels.map((p) => (p.key === key ? { ...p, key: crypto.randomUUID(), version, conflict: undefined } : p)))
}

const sendStep = (p: Parcel) => {
  const options = {
    params: { path: { id: p.jobId, stepId: p.stepId } },
    headers: ifMatch(p.version),
    body: {
      by: p.by,
      count: p.count,
      overrideReason: p.overrideReason,
      with: p.together,
      key: p.key,
      doneAt: p.doneAt,
    },
  }
  return answer(
    p.kind === 'sign'
      ? http.POST('/api/jobs/{id}/steps/{stepId}/sign', options)
      : http.POST('/api/jobs/{id}/steps/{stepId}/undo', options),
  )
}

/** Sends a paper with its key and the time it was made. A wait that was stopped already is stopped. */
export async function sendPaper(p: Omit<Parcel, 'version'>) {
  const picture = p.kind === 'photo' ? await pictureOf(p.key) : undefined
  if (p.kind === 'photo' && !picture)
    throw new Refusal(410, 'Gone', 'The picture is not on this device any more.', [], [], [])
  const call = fetch(p.path!, {
    method: p.kind === 'stop' ? 'DELETE' : 'POST',
    headers: {
      'Idempotency-Key': p.key,
      'Done-At': p.doneAt,
      ...(p.kind === 'stop' ? {} : { 'Content-Type': picture ? (p.type ?? 'image/jpeg') : 'application/json' }),
    },
    body: picture ?? (p.kind === 'stop' ? undefined : JSON.stringify(p.body)),
  }).then(async (response) => ({
    data: response.ok,
    error: response.ok ? undefined : await response.json().catch(() => undefined),
    response,
  }))
  try {
    await answer(call)
  } catch (e) {
    if (!(p.kind === 'stop' && e instanceof Refusal && e.status === 404)) throw e
  }
}

/** No network, a device that was shut out, too many at once: it is kept for later, never taken for an answer. */
const waits = [0, 401, 429]

/** Sends what waits, in order. What the shop refuses stays as a conflict to look at; nothing is merged silently. */
export async function flush(): Promise<boolean> {
  if (sending) return false
  sending = true
  let sent = false
  try {
    for (const p of parcels.filter((x) => !x.conflict)) {
      try {
        await (isStep(p) ? sendStep(p) : sendPaper(p))
        drop(p.key)
        sent = true
      } catch (e) {
        if (!(e instanceof Refusal) || waits.includes(e.status) || e.status >= 500) break
        keep(parcels.map((x) => (x.key === p.key ? { ...x, conflict: e.message } : x)))
        sent = true
      }
    }
  } finally {
    sending = false
  }
  return sent
}
