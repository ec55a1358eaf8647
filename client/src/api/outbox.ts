import { useSyncExternalStore } from 'react'
import { answer, http, ifMatch, Refusal } from './client'

/** A sign-off or take-back that could not be sent yet, or that met somebody else's. */
export interface Parcel {
  key: string
  jobId: number
  stepId: string
  title: string
  kind: 'sign' | 'undo'
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
export const waiting = (list: Parcel[], jobId: number) => list.filter((p) => p.jobId === jobId && !p.conflict)

/** Keeps one until the shop has it; a step that waits already counts on from there. */
export function enqueue(p: Omit<Parcel, 'key' | 'doneAt'>) {
  const before = parcels.filter((x) => x.jobId === p.jobId && x.stepId === p.stepId && !x.conflict).length
  keep([...parcels, { ...p, version: p.version + before, key: crypto.randomUUID(), doneAt: new Date().toISOString() }])
}

export const drop = (key: string) => keep(parcels.filter((p) => p.key !== key))

/** Mine once more, on what stands now. */
export const again = (key: string, version: number) => {
  keep(parcels.map((p) => (p.key === key ? { ...p, key: crypto.randomUUID(), version, conflict: undefined } : p)))
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
      try {
        await answer(
          p.kind === 'sign'
            ? http.POST('/api/jobs/{id}/steps/{stepId}/sign', options)
            : http.POST('/api/jobs/{id}/steps/{stepId}/undo', options),
        )
        keep(parcels.filter((x) => x.key !== p.key))
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
