import { useSyncExternalStore } from 'react'
import { answer, http, ifMatch, Refusal } from './client'
import { forgetPicture, pictureOf } from './pictures'
import { moment } from './shopClock'

let busy = false

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
  /** Versions of those, as they are seen here. */
  versions?: Record<string, number>
  version: number
  /** By the workshop's clock. */
  doneAt: string
  /** As this device's own clock said. */
  deviceAt?: string
  /** Which goes first. */
  order?: number
  conflict?: string
}

/** Each parcel lies under its own name: pages that are open at the same time never write over one another's. */
const prefix = 'fb.outbox.'
const listeners = new Set<() => void>()
let parcels: Parcel[] = []
adopt()
refresh()
// another page kept or sent something
globalThis.addEventListener?.('storage', () => refresh())

function read(): Parcel[] {
  const found: Parcel[] = []
  for (let i = 0; i < localStorage.length; i++) {
    const name = localStorage.key(i)
    if (!name?.startsWith(prefix)) continue
    try {
      found.push(JSON.parse(localStorage.getItem(name) ?? '') as Parcel)
    } catch {
      // torn: nobody can say what it was
    }
  }
  return found.sort((a, b) => (a.order ?? 0) - (b.order ?? 0) || (a.key < b.key ? -1 : 1))
}

function refresh() {
  parcels = read()
  for (const l of listeners) l()
}

/** What an older page kept all in one. */
function adopt() {
  try {
    const all = JSON.parse(localStorage.getItem('fb.outbox') ?? '[]') as Parcel[]
    for (const [i, p] of all.entries()) localStorage.setItem(prefix + p.key, JSON.stringify({ ...p, order: i + 1 }))
  } catch {
    // torn: nobody can say what it was
  }
  localStorage.removeItem('fb.outbox')
}

function put(p: Parcel) {
  const order = p.order ?? Math.max(0, ...read().map((x) => x.order ?? 0)) + 1
  localStorage.setItem(prefix + p.key, JSON.stringify({ ...p, order }))
  refresh()
}

function remove(key: string) {
  localStorage.removeItem(prefix + key)
  refresh()
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
export function enqueue(p: Omit<Parcel, 'order'>) {
  const before = read().filter((x) => x.jobId === p.jobId && !x.conflict && isStep(x))
  const of = (stepId: string) => before.filter((x) => x.stepId === stepId).length
  const versions = p.versions && Object.fromEntries(Object.entries(p.versions).map(([id, v]) => [id, v + of(id)]))
  put({ ...p, version: p.version + of(p.stepId), versions })
}

/** The key and the moment of what is about to be sent: kept for later it goes out under the same. */
export const sending = () => ({ key: crypto.randomUUID(), ...moment() })

/** Keeps a paper under the key it was sent with already: however often it goes out, it counts once. */
export const keepPaper = (p: Omit<Parcel, 'version'>) => put({ ...p, version: 0 })

/** What lies here now. */
export const lying = () => parcels

export const drop = (key: string) => {
  const gone = parcels.find((p) => p.key === key)
  remove(key)
  if (gone?.kind === 'photo') void forgetPicture(key)
}

/** Mine once more, on what stands now. */
export const again = (key: string, version: number) => {
  const mine = parcels.find((p) => p.key === key)
  if (!mine) return
  put({ ...mine, key: crypto.randomUUID(), version, conflict: undefined })
  remove(key)
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
      deviceAt: p.deviceAt,
      withVersions: p.versions,
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
      ...(p.deviceAt ? { 'Device-At': p.deviceAt } : {}),
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
  if (busy) return false
  busy = true
  try {
    // of all pages that are open one sends
    const locks = globalThis.navigator?.locks
    return locks ? await locks.request(prefix, { ifAvailable: true }, (mine) => mine !== null && send()) : await send()
  } finally {
    busy = false
  }
}

async function send(): Promise<boolean> {
  const tried = new Set<string>()
  for (;;) {
    refresh()
    const p = parcels.find((x) => !x.conflict && !tried.has(x.key))
    if (!p) return tried.size > 0
    try {
      await (isStep(p) ? sendStep(p) : sendPaper(p))
      drop(p.key)
    } catch (e) {
      if (!(e instanceof Refusal) || waits.includes(e.status) || e.status >= 500) return tried.size > 0
      put({ ...p, conflict: e.message })
    }
    tried.add(p.key)
  }
}
