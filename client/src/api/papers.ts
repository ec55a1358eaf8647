import { Refusal, type Schemas } from './client'
import { drop, keepPaper, lying, type Parcel, sendPaper, useOutbox, waitingPapers } from './outbox'
import { keepPicture } from './pictures'
import { moment } from './shopClock'

type Paper = Omit<Parcel, 'version'>

/** Sends a paper at once; where the shop does not answer it is kept on this device and goes later, once. */
async function sendOrKeep(paper: Paper, picture?: Blob) {
  // on the device before it is sent: whatever happens on the way, it is not lost
  if (picture) await keepPicture(paper.key, picture)
  try {
    await sendPaper(paper)
  } catch (e) {
    if (e instanceof Refusal && e.status !== 0) throw e
    keepPaper(paper)
  }
}

const paper = (jobId: number, by: string, kind: Paper['kind'], path: string, title: string, more: Partial<Paper>) => ({
  key: crypto.randomUUID(),
  ...moment(),
  jobId,
  by,
  kind,
  path,
  title,
  stepId: '',
  ...more,
})

export const sendNote = (jobId: number, body: Schemas['NewNote']) =>
  sendOrKeep(paper(jobId, body.by, 'note', `/api/jobs/${jobId}/notes`, `note “${body.text.slice(0, 60)}”`, { body }))

export const sendReading = (jobId: number, body: Schemas['NewReading']) =>
  sendOrKeep(paper(jobId, body.by, 'reading', `/api/jobs/${jobId}/readings`, `reading ${body.phase}`, { body }))

export const startTimer = (
  jobId: number,
  by: string,
  stepId: string,
  label: string,
  seconds: number | null | undefined,
) =>
  sendOrKeep(
    paper(jobId, by, 'timer', `/api/jobs/${jobId}/timers`, `wait “${label}”`, {
      stepId,
      // how long is the shop's to say; this device counts what the step says
      body: { stepId, by: by || undefined },
      count: seconds ?? undefined,
    }),
  )

export async function stopTimer(jobId: number, timerId: number) {
  // a wait that the shop has not heard of yet ends where it began
  const own = waitingPapers(lying(), jobId, 'timer')[-1 - timerId]
  if (own) drop(own.key)
  else await stopAtShop(jobId, timerId)
}

const stopAtShop = (jobId: number, timerId: number) =>
  sendOrKeep(paper(jobId, '', 'stop', `/api/jobs/${jobId}/timers/${timerId}`, 'end of a wait', { count: timerId }))

export function sendPhoto(
  jobId: number,
  v: { by: string; stepId?: string; file: File; place?: { x: number; y: number; face: string } },
) {
  const query = new URLSearchParams({
    by: v.by,
    ...(v.stepId ? { stepId: v.stepId } : {}),
    ...(v.place ? { xMm: String(v.place.x), yMm: String(v.place.y), face: v.place.face } : {}),
  })
  return sendOrKeep(
    paper(jobId, v.by, 'photo', `/api/jobs/${jobId}/photos?${query}`, `photo ${v.file.name}`, {
      stepId: v.stepId ?? '',
      type: v.file.type,
    }),
    v.file,
  )
}

/** Waits of a job: those the shop knows and those that wait here, less those stopped here. */
export function useTimers(job: { id: number; timers: Schemas['RunningTimer'][] }): Schemas['RunningTimer'][] {
  const kept = useOutbox()
  const stopped = waitingPapers(kept, job.id, 'stop').map((p) => p.count)
  return [
    ...job.timers.filter((t) => !stopped.includes(t.id)),
    ...waitingPapers(kept, job.id, 'timer')
      .filter((p) => p.count)
      .map((p, i) => ({
        id: -1 - i,
        jobId: job.id,
        stepId: p.stepId,
        label: p.title,
        startedAt: p.doneAt,
        seconds: p.count!,
        endsAt: new Date(Date.parse(p.doneAt) + p.count! * 1000).toISOString(),
      })),
  ]
}
