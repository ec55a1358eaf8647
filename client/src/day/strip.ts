import type { Day, Work } from './useDay'

/** One bar of the strip: work of one job in one go, without a gap. */
export interface Bar {
  by: string
  job: number
  title: string
  stations: string[]
  start: number
  end: number
  begun: boolean
  pinned: boolean
  done: boolean
  /** The first block, which a pin holds. */
  key?: string
  blocks: Work[]
}

/** A time on the shop's own clock, as it is sent: without a zone. */
export const shopTime = (text: string) => Date.parse(`${text.slice(0, 19)}Z`)

/** The same back, for a field or a request. */
export const shopText = (t: number) => new Date(t).toISOString().slice(0, 16)
export const shopClock = (t: number) => new Date(t).toISOString().slice(11, 16)
export const midnight = (t: number) => t - (t % 86_400_000)

const minute = 60_000

/** Bars of everybody, those done first. */
export function bars(plan: Day['plan']): Bar[] {
  const list: Bar[] = []
  const add = (next: Bar) => {
    const last = list.findLast((b) => b.by === next.by)
    if (
      last &&
      last.job === next.job &&
      last.done === next.done &&
      last.begun === next.begun &&
      !next.pinned &&
      next.start - last.end < minute * (next.done ? 15 : 0.5) &&
      midnight(last.start) === midnight(next.start)
    ) {
      last.end = Math.max(last.end, next.end)
      for (const s of next.stations) if (!last.stations.includes(s)) last.stations.push(s)
      last.blocks.push(...next.blocks)
    } else list.push(next)
  }
  const times = (x: { startAt: string; endAt: string }) => ({ start: shopTime(x.startAt), end: shopTime(x.endAt) })
  const whose = (x: { by: string; job: number; jobTitle: string; station: string }) => ({
    by: x.by,
    job: x.job,
    title: x.jobTitle,
    stations: [x.station],
  })
  for (const d of plan.done) add({ ...whose(d), ...times(d), begun: false, pinned: false, done: true, blocks: [] })
  for (const w of plan.work)
    add({ ...whose(w), ...times(w), begun: w.begun, pinned: w.pinned, done: false, key: w.key, blocks: [w] })
  return list
}

/** Where marks go so that none lies on another: the first lane that is free there. */
export function lanes<T>(marks: T[], from: (m: T) => number, to: (m: T) => number): number[] {
  const ends: number[] = []
  return marks.map((m) => {
    let lane = ends.findIndex((e) => e <= from(m))
    if (lane < 0) lane = ends.push(0) - 1
    ends[lane] = to(m)
    return lane
  })
}

/** The narrowest bar that a gloved finger still meets, px. */
export const narrowest = 26

/** Where the bars of one pair of hands go, px: short work one after the other would lie on itself, so it goes below. */
export function inLanes<T extends { start: number; end: number }>(work: T[], x: (t: number) => number) {
  const placed = [...work]
    .sort((a, b) => a.start - b.start)
    .map((w) => ({ ...w, left: x(w.start), width: Math.max(x(w.end) - 2 - x(w.start), narrowest) }))
  const at = lanes(
    placed,
    (w) => w.left,
    (w) => w.left + w.width,
  )
  return placed.map((w, i) => ({ ...w, lane: at[i] }))
}
