import type { Schemas } from '../api/client'
import { Link } from '../app/router'
import { capital, left } from '../ui/format'
import { useNow } from '../ui/useNow'
import type { Day } from './useDay'

/** What to do while something waits, the waits themselves, what to order, and how sure the day is. */
export function DaySide({
  day,
  timers,
  mine,
}: {
  day: Day
  timers: Schemas['RunningTimer'][]
  /** Initials of whoever looks. */
  mine: string
}) {
  const running = day.plan.waits.filter((w) => w.running)
  const wait = running.find((w) => w.by === mine && w.meanwhile.length > 0) ?? running.find((w) => w.meanwhile.length)
  return (
    <>
      {wait && (
        <section aria-label="Meanwhile">
          <h2 className="text-[24px] font-bold leading-tight">Meanwhile</h2>
          <p className="text-[14.5px] leading-snug text-soft">
            {wait.by} waits: {wait.label}, {wait.jobTitle}.
          </p>
          <ul className="mt-1">
            {wait.meanwhile.map((m, i) => (
              <li key={m.title + m.job} className="border-b border-rule/60 py-1.5 leading-snug">
                <Link to={`/job/${m.job}/${m.station}`} className={i === 0 ? 'font-bold text-copper' : 'text-copper'}>
                  {m.title}
                </Link>
                <span className="block text-[14.5px] text-soft">
                  {m.jobTitle}: {m.text}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Waits" className="mt-5 first:mt-0">
        <h2 className="text-[17px] font-bold text-soft">Waits, soonest first</h2>
        {timers.length === 0 && (
          <p className="mt-1 text-[14.5px] text-soft">None running. A wait starts with T at its step.</p>
        )}
        {timers.map((t) => (
          <TimerRow key={t.id} timer={t} title={day.plan.jobs.find((j) => j.job === t.jobId)?.title} />
        ))}
      </section>
      <Orders lines={day.order} />
      <section aria-label="How sure" className="mt-5">
        <h2 className="text-[17px] font-bold text-soft">How sure</h2>
        {day.plan.sure.map((s) => (
          <p key={s} className="mt-1 text-[14.5px] leading-snug">
            {s}
          </p>
        ))}
      </section>
    </>
  )
}

function TimerRow({ timer, title }: { timer: Schemas['RunningTimer']; title?: string }) {
  const { text, over } = left(timer.endsAt, useNow())
  return (
    <Link to={`/job/${timer.jobId}`} className="mt-1 flex items-baseline gap-3 border-b border-rule pb-1.5">
      <span className="min-w-0 flex-1 text-[15px] leading-tight">
        {timer.label}
        {over && <b className="text-plum">, over</b>}
        <span className="block text-[14px] text-soft">{title}</span>
      </span>
      <b role="timer" className={`num text-[30px] leading-none ${over ? 'text-plum' : ''}`}>
        {text}
      </b>
    </Link>
  )
}

function Orders({ lines }: { lines: Schemas['OrderLine'][] }) {
  return (
    <section aria-label="To order" className="mt-5">
      <h2 className="text-[17px] font-bold text-soft">To order for these jobs</h2>
      {lines.length === 0 ? (
        <p className="mt-1 text-[14.5px]">Nothing: kits and drawer hold it all.</p>
      ) : (
        <ul className="mt-1">
          {lines.slice(0, 8).map((l) => (
            <li
              key={l.group + l.name}
              className="border-b border-rule/60 py-1 text-[15px] leading-snug"
              title={l.jobs.join(', ')}
            >
              <span className="flex justify-between gap-3">
                <b className="font-semibold">{capital(l.name)}</b>
                <span className="num whitespace-nowrap text-plum">{l.runsOut}</span>
              </span>
              <span className="text-soft">{l.buy}</span>
            </li>
          ))}
        </ul>
      )}
      {lines.length > 8 && <p className="mt-1 text-[14px] text-soft">and {lines.length - 8} more in the list</p>}
      <p className="mt-1.5 flex flex-wrap gap-x-4 text-[15px]">
        {lines.length > 0 && (
          <a href="/api/day/order.csv" download className="text-copper underline underline-offset-3">
            The list as CSV
          </a>
        )}
        <Link to="/drawer" className="text-copper underline underline-offset-3">
          Open the drawer
        </Link>
      </p>
    </section>
  )
}
