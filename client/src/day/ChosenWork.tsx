import { useState } from 'react'
import { Refusal, told } from '../api/client'
import { Link } from '../app/router'
import { Button } from '../ui/Button'
import { capital } from '../ui/format'
import { type Bar, shopClock, shopText, shopTime } from './strip'
import type { Day, DayChanges } from './useDay'

const field = 'min-h-9 min-w-0 flex-1 border border-rule bg-raised px-2 text-[16px]'

/** One stretch of work: what is in it, when it is to begin, whose it is, what was promised. */
export function ChosenWork({
  day,
  bar,
  changes,
  close,
}: {
  day: Day
  bar: Bar
  changes: DayChanges
  close: () => void
}) {
  const job = day.plan.jobs.find((j) => j.job === bar.job)
  const [pin, setPin] = useState(shopText(bar.start))
  const [due, setDue] = useState(job?.promised ? shopText(shopTime(job.promised)) : '')
  const fault = [changes.pin.error, changes.give.error, changes.promise.error].find((e) => e instanceof Refusal)
  const mine = day.plan.work.some((w) => w.job === bar.job && w.pinned && w.key === bar.key)
  return (
    <section aria-label="Chosen work" className="border-b-2 border-copper pb-4">
      <h2 className="text-[21px] font-bold leading-tight">{bar.title}</h2>
      <p className="text-[15px] text-soft">
        {bar.by}, <span className="num">{`${shopClock(bar.start)}–${shopClock(bar.end)}`}</span>
        {bar.done && ', done'}
        {bar.begun && ', under way'}
      </p>
      {job && <p className="mt-1 text-[15px]">{capital(job.text)}.</p>}
      <Link
        to={`/job/${bar.job}/${bar.blocks[0]?.station ?? bar.stations[0]}`}
        className="mt-2 inline-block font-semibold text-copper underline underline-offset-3"
      >
        Open the job
      </Link>
      {!bar.done && (
        <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-2.5">
          {!bar.begun && bar.key && (
            <label className="block text-[14px] text-soft">
              Begin at
              <span className="flex flex-wrap gap-2">
                <input type="datetime-local" className={field} value={pin} onChange={(e) => setPin(e.target.value)} />
                <Button onClick={() => changes.pin.mutate({ job: bar.job, key: bar.key!, at: pin })}>Pin</Button>
                {mine && (
                  <Button onClick={() => changes.pin.mutate({ job: bar.job, key: bar.key!, at: null })}>Unpin</Button>
                )}
              </span>
            </label>
          )}
          <label className="block text-[14px] text-soft">
            Whose job
            <select
              className={`w-full ${field}`}
              value={bar.by}
              onChange={(e) => changes.give.mutate({ job: bar.job, initials: e.target.value })}
            >
              {day.plan.hands.map((h) => (
                <option key={h}>{h}</option>
              ))}
            </select>
          </label>
          <label className="block text-[14px] text-soft">
            Promised for
            <span className="flex flex-wrap gap-2">
              <input type="datetime-local" className={field} value={due} onChange={(e) => setDue(e.target.value)} />
              <Button onClick={() => changes.promise.mutate({ job: bar.job, at: due || null })}>Promise</Button>
            </span>
          </label>
        </div>
      )}
      {fault && (
        <p role="alert" className="mt-2 text-plum">
          {told(fault)}
        </p>
      )}
      <ul className="mt-2 text-[15px]">
        {bar.blocks.map((w) => (
          <li key={w.key} className="border-t border-rule/60 py-1 leading-snug">
            <b>{capital(w.station)}</b> <span className="num text-soft">{Math.round(w.minutes)} min</span>
            <br />
            {w.title}
            {w.signed > 0 && (
              <span className="num text-soft">
                , {w.signed} of {w.steps} signed
              </span>
            )}
          </li>
        ))}
      </ul>
      <Button kind="quiet" className="mt-2" onClick={close}>
        Close
      </Button>
    </section>
  )
}
