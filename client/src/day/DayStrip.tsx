import { useLayoutEffect, useRef, useState } from 'react'
import { capital } from '../ui/format'
import { type Bar, bars, inLanes, lanes, midnight, shopClock, shopTime } from './strip'
import type { Day } from './useDay'

const hour = 3_600_000
const fiveMinutes = 5 * 60_000
const margin = 64
const row = { bar: 58, several: 44, lane: 30, gap: 14 }

/** The day as a strip of time for each pair of hands: what was done, what is under way, what comes, and the waits between. */
export function DayStrip({
  day,
  shown,
  chosen,
  choose,
  drop,
}: {
  day: Day
  /** Midnight of the day that is shown, on the shop's clock. */
  shown: number
  chosen?: Bar
  choose: (b: Bar) => void
  drop: (b: Bar, at: number, by: string) => void
}) {
  const box = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(840)
  const [drag, setDrag] = useState<{ bar: Bar; x: number; y: number; x0: number; y0: number }>()
  useLayoutEffect(() => {
    const watch = new ResizeObserver(([e]) => setWidth(e.contentRect.width))
    if (box.current) watch.observe(box.current)
    return () => watch.disconnect()
  }, [])
  const now = shopTime(day.plan.now)
  const today = midnight(now) === shown
  const opens = shown + day.opens * hour
  const closes = shown + day.closes * hour
  // what goes on the next day is drawn on both
  const own = bars(day.plan)
    .filter((b) => midnight(b.start) === shown || (!b.done && b.start < shown && b.end > opens))
    .map((b) => ({
      bar: b,
      start: Math.max(b.start, b.done ? b.start : opens, shown),
      end: b.done ? b.end : Math.min(b.end, Math.max(closes, b.start + fiveMinutes)),
    }))
  const waits = day.plan.waits.filter((w) => midnight(shopTime(w.startAt)) === shown)
  const first = Math.min(opens, ...own.map((b) => b.start))
  const from = Math.floor(Math.min(Math.max(first, opens - hour), today ? now : opens) / hour) * hour
  const due = day.plan.jobs
    .filter((j) => j.promised && midnight(shopTime(j.promised)) === shown)
    .map((j) => ({ ...j, at: shopTime(j.promised!) }))
    .sort((a, b) => a.at - b.at)
  const to = Math.ceil(Math.max(closes, today ? now : closes, ...due.map((d) => d.at)) / hour) * hour
  const scale = (width - margin - 10) / (to - from)
  const x = (t: number) => margin + (Math.max(t, from) - from) * scale
  const hands = day.plan.hands
  const laid = hands.map((by) => {
    const bars = inLanes(
      own.filter((b) => b.bar.by === by && b.end > from),
      x,
    )
    const barLanes = Math.max(1, ...bars.map((b) => b.lane + 1))
    const barHeight = barLanes > 1 ? row.several : row.bar
    const list = waits.filter((w) => w.by === by)
    const label = (w: (typeof list)[number]) => Math.max(x(shopTime(w.endAt)), x(shopTime(w.startAt)) + 150)
    const at = lanes(list, (w) => x(shopTime(w.startAt)), label)
    return {
      by,
      bars,
      barHeight,
      barsHeight: barLanes * (barHeight + 3) - 3,
      waits: list.map((w, i) => ({ w, lane: at[i] })).filter((m) => m.lane < 2),
    }
  })
  const heights = laid.map((l) => l.barsHeight + Math.max(1, ...l.waits.map((m) => m.lane + 1)) * row.lane + row.gap)
  const tops = heights.map((_, i) => 30 + heights.slice(0, i).reduce((a, b) => a + b, 0))
  const bottom = 30 + heights.reduce((a, b) => a + b, 0)
  const dueLanes = lanes(
    due,
    (d) => x(d.at) - 290,
    (d) => x(d.at) + 4,
  )
  const height = bottom + 22 + Math.max(0, ...dueLanes.map((l) => l + 1)) * 20
  const hours = Array.from({ length: Math.round((to - from) / hour) + 1 }, (_, i) => from + i * hour)
  const everyHours = [1, 2, 3, 6].find((n) => n * hour * scale > 52) ?? 12
  const rowAt = (y: number) =>
    hands[
      Math.max(
        0,
        tops.findLastIndex((t) => t <= y),
      )
    ]
  return (
    <section ref={box} className="relative select-none" style={{ height }} aria-label="The day by hands">
      {hours.slice(0, -1).map((h) => (
        <div
          key={h}
          className="absolute top-0 border-l"
          style={{ left: x(h), height: bottom, borderColor: 'var(--grid-strong)' }}
        >
          {((h - from) / hour) % everyHours === 0 && (
            <span className="num ml-1.5 text-[15px] text-soft">{shopClock(h)}</span>
          )}
        </div>
      ))}
      {hands.map((by, i) => (
        <Stamp key={by} by={by} colour={day.signers.find((s) => s.initials === by)?.colour} top={tops[i]} />
      ))}
      {laid.flatMap(({ bars: row, barHeight }, hand) =>
        row.map(({ bar: b, left, width: w, lane }) => {
          const moved = drag && drag.bar.key === b.key && drag.bar.job === b.job ? drag : undefined
          const y = tops[hand] + lane * (barHeight + 3)
          return (
            <button
              type="button"
              key={b.done ? `${b.by}${b.job}${b.start}` : `${b.job}${b.key}`}
              data-bar={`${b.job}/${b.key ?? ''}`}
              aria-label={inWords(b)}
              title={`${b.title}: ${b.stations.join(', ')}, ${shopClock(b.start)}–${shopClock(b.end)}`}
              onClick={() => choose(b)}
              onPointerDown={(e) => {
                if (b.done || b.begun) return
                e.currentTarget.setPointerCapture(e.pointerId)
                setDrag({ bar: b, x: 0, y: 0, x0: e.clientX, y0: e.clientY })
              }}
              onPointerMove={(e) => drag && setDrag({ ...drag, x: e.clientX - drag.x0, y: e.clientY - drag.y0 })}
              onPointerCancel={() => setDrag(undefined)}
              onPointerUp={() => {
                if (drag && Math.hypot(drag.x, drag.y) > 6) {
                  const t = Math.round((b.start + drag.x / scale) / fiveMinutes) * fiveMinutes
                  drop(b, t, rowAt(y + barHeight / 2 + drag.y) ?? b.by)
                }
                setDrag(undefined)
              }}
              className={`absolute overflow-hidden border-[1.5px] px-1 text-left leading-tight ${look(b)} ${
                chosen?.key === b.key && chosen?.start === b.start ? 'outline-3 outline-offset-1 outline-cool' : ''
              } ${moved ? 'z-20 opacity-80' : ''}`}
              style={{
                left: left + (moved?.x ?? 0),
                top: y + (moved?.y ?? 0),
                width: w,
                height: barHeight,
                touchAction: 'none',
              }}
            >
              {w > 46 ? (
                <>
                  <b className="block truncate text-[14px]">{b.title}</b>
                  <span className="block truncate text-[13px] text-soft">{b.stations.join(', ')}</span>
                </>
              ) : (
                <span aria-hidden className="num block text-center text-[15px]">
                  {b.job}
                </span>
              )}
              {b.pinned && <span aria-hidden className="absolute -top-px right-1 h-3 w-1 bg-copper" />}
            </button>
          )
        }),
      )}
      {laid.map((l, i) =>
        l.waits.map(({ w, lane }) => {
          const left = x(shopTime(w.startAt))
          return (
            <div
              key={`${w.job}${w.stepId}`}
              className="absolute overflow-hidden whitespace-nowrap text-[13px] text-amber"
              style={{ left, top: tops[i] + l.barsHeight + 4 + lane * row.lane, maxWidth: width - left }}
              title={`${w.label}, ${shopClock(shopTime(w.startAt))}–${shopClock(shopTime(w.endAt))}`}
            >
              <span
                aria-hidden
                className="block h-[7px]"
                style={{
                  width: Math.max(6, x(shopTime(w.endAt)) - left),
                  background: 'repeating-linear-gradient(90deg, var(--amber) 0 3px, transparent 3px 8px)',
                }}
              />
              <span className="block max-w-[150px] truncate">{w.running ? <b>{w.label}</b> : w.label}</span>
            </div>
          )
        }),
      )}
      {today && (
        <div
          className="absolute top-0 z-10 border-l-3 border-copper"
          style={{ left: x(now) - 1.5, height: bottom + 2, pointerEvents: 'none' }}
        >
          <b
            className="num absolute -translate-x-1/2 whitespace-nowrap bg-copper px-1 text-[14px] leading-tight text-on-copper"
            style={{ top: bottom - 16 }}
          >
            now {shopClock(now)}
          </b>
        </div>
      )}
      {due.map((d, i) => (
        <div
          key={d.job}
          className="absolute border-l-2 border-dashed border-plum"
          style={{ left: x(d.at), top: 18, height: bottom - 6 + dueLanes[i] * 20, pointerEvents: 'none' }}
        >
          <span
            className="absolute right-1.5 whitespace-nowrap text-[14px] leading-none text-plum"
            style={{ bottom: -16 }}
          >
            {d.title} promised <span className="num">{shopClock(d.at)}</span>
            {d.lateMin > 0 && <b>, late</b>}
          </span>
        </div>
      ))}
    </section>
  )
}

/** A bar as it is read aloud. */
const inWords = (b: Bar) =>
  [
    b.title,
    ...b.stations,
    `${shopClock(b.start)} to ${shopClock(b.end)}`,
    b.by,
    b.done && 'done',
    b.begun && 'under way',
    b.pinned && 'pinned',
  ]
    .filter(Boolean)
    .join(', ')

const look = (b: Bar) =>
  b.done
    ? 'border-ink/45 bg-mat text-soft'
    : b.begun
      ? 'z-[5] border-copper bg-copper-wash border-[2.5px]'
      : 'border-ink bg-card'

/** A stamp's ring, in whatever ink. */
export const stamp = 'rounded-full border-[2.5px] font-bold'

const inks: Record<string, string> = {
  ink: 'border-ink text-ink',
  copper: 'border-copper text-copper',
  cool: 'border-cool text-cool',
  amber: 'border-amber text-amber',
  plum: 'border-plum text-plum',
}
export const inkOf = (colour?: string) => inks[colour ?? 'ink'] ?? inks.ink
export const inkNames = Object.keys(inks).map((k) => [k, capital(k)] as const)

function Stamp({ by, colour, top }: { by: string; colour?: string; top: number }) {
  return (
    <span
      className={`absolute left-0 grid h-[50px] w-[50px] place-items-center ${stamp} text-[18px] ${inkOf(colour)}`}
      style={{ top: top + 4 }}
    >
      {by}
    </span>
  )
}
