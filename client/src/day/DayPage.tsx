import { useState } from 'react'
import { useBench } from '../api/queries'
import { useKeys } from '../app/keys'
import { useNavigate } from '../app/router'
import { useInitials } from '../app/settings'
import { JobTicket } from '../bench/JobTicket'
import { OpenJob } from '../bench/OpenJob'
import { Button } from '../ui/Button'
import { ErrorNotice, Loading } from '../ui/Notice'
import { ChosenWork } from './ChosenWork'
import { DaySide } from './DaySide'
import { DayStrip } from './DayStrip'
import { FirstRun } from './FirstRun'
import { type Bar, midnight, shopTime } from './strip'
import { useDay, useDayChanges } from './useDay'

const aDay = 86_400_000

/** Tickets drawn at once: thousands hold the page up for seconds. */
const MOST_TICKETS = 200

/** Home: the day by hands, what comes out of it, the jobs as they lie on the benches. */
export function DayPage() {
  const bench = useBench()
  const day = useDay()
  const changes = useDayChanges()
  const [initials] = useInitials()
  const [opening, setOpening] = useState(false)
  const [ahead, setAhead] = useState(0)
  const [chosen, choose] = useState<Bar>()
  const [most, setMost] = useState(MOST_TICKETS)
  const go = useNavigate()
  const mine = day.data?.plan.work.find((w) => w.by === initials)
  const next = () => mine && go(`/job/${mine.job}/${mine.station}`)
  useKeys({
    n: next,
    ArrowRight: () => setAhead((a) => Math.min(6, a + 1)),
    ArrowLeft: () => setAhead((a) => Math.max(0, a - 1)),
    Escape: () => choose(undefined),
  })
  if (bench.error && !bench.data) return <ErrorNotice error={bench.error} again={() => bench.refetch()} />
  if (!bench.data) return <Loading what="the benches" />
  const { jobs, timers } = bench.data
  const open = jobs.filter((j) => !j.finished)
  const done = jobs.filter((j) => j.finished)
  const d = day.data
  const now = d ? shopTime(d.plan.now) : 0
  const shown = midnight(now) + ahead * aDay
  return (
    <main className="grid min-h-0 grid-cols-[minmax(0,1fr)_308px] grid-rows-[minmax(0,1fr)_auto] overflow-hidden">
      <div
        className="scroll-thin min-h-0 overflow-y-auto bg-mat px-5 py-4"
        tabIndex={0}
        role="region"
        aria-label="The day"
      >
        <FirstRun />
        <div className="mb-2 flex flex-wrap items-baseline gap-x-3 gap-y-1">
          <h1 className="min-w-0 flex-1 text-balance text-[25px] font-bold leading-tight">
            {d ? d.plan.headline : day.error ? 'The day cannot be planned' : 'The day is being planned'}
          </h1>
          <a href="/api/day.ics" download="shop.ics" className="text-[15px] text-ink underline underline-offset-3">
            Calendar
          </a>
          <Button kind="go" onClick={() => setOpening(true)}>
            Open a job
          </Button>
        </div>
        {day.error && !d && <ErrorNotice error={day.error} again={() => day.refetch()} />}
        {d?.plan.warnings.map((w) => (
          <p key={w} className="mb-1 border-l-4 border-plum pl-2 text-[15px] text-plum">
            {w}
          </p>
        ))}
        {d && (
          <>
            <div className="flex items-center gap-2 text-[15px] text-soft">
              <Button
                onClick={() => setAhead((a) => Math.max(0, a - 1))}
                disabled={ahead === 0}
                aria-label="The day before"
              >
                ‹
              </Button>
              <b className="text-ink">
                {new Date(shown).toLocaleDateString('en-GB', {
                  weekday: 'long',
                  day: 'numeric',
                  month: 'long',
                  timeZone: 'UTC',
                })}
              </b>
              <Button
                onClick={() => setAhead((a) => Math.min(6, a + 1))}
                disabled={ahead === 6}
                aria-label="The day after"
              >
                ›
              </Button>
              <span>
                {d.plan.hands.length} {d.plan.hands.length === 1 ? 'pair' : 'pairs'} of hands. Drag work to another hour
                or other hands.
              </span>
            </div>
            <div className="mt-2">
              <DayStrip
                day={d}
                shown={shown}
                chosen={chosen}
                choose={choose}
                drop={(b, at, by) => {
                  if (by !== b.by) changes.give.mutate({ job: b.job, initials: by })
                  else if (b.key)
                    changes.pin.mutate({ job: b.job, key: b.key, at: new Date(at).toISOString().slice(0, 16) })
                }}
              />
            </div>
          </>
        )}
        <h2 className="mb-1.5 mt-4 text-[17px] font-bold">
          {open.length === 0 ? 'Nothing on the benches' : `${open.length} jobs on the benches`}
        </h2>
        <div className="grid grid-cols-[repeat(auto-fill,minmax(min(100%,400px),1fr))] gap-2.5">
          {open.slice(0, most).map((j) => (
            <JobTicket key={j.id} job={j} end={d?.plan.jobs.find((x) => x.job === j.id)} />
          ))}
        </div>
        {open.length > most && (
          <button
            type="button"
            className="mt-1 min-h-9 text-[15px] text-copper underline underline-offset-3"
            onClick={() => setMost(open.length)}
          >
            Show {open.length - most} more
          </button>
        )}
        {done.length > 0 && (
          <section aria-label="Finished" className="mt-4">
            <h2 className="mb-1.5 text-[17px] font-bold">Finished, on the shelf</h2>
            <div className="grid grid-cols-[repeat(auto-fill,minmax(min(100%,400px),1fr))] gap-2.5">
              {done.slice(-40).map((j) => (
                <JobTicket key={j.id} job={j} />
              ))}
            </div>
            {bench.data.finished > Math.min(40, done.length) && (
              <p className="mt-1 text-[15px] text-soft">
                and {bench.data.finished - Math.min(40, done.length)} more: find them with Ctrl K
              </p>
            )}
          </section>
        )}
      </div>
      <aside
        className="scroll-thin row-span-1 min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-4"
        aria-label="Waits, orders"
        tabIndex={0}
      >
        {d && chosen && (
          <ChosenWork
            key={`${chosen.job}${chosen.start}`}
            day={d}
            bar={chosen}
            changes={changes}
            close={() => choose(undefined)}
          />
        )}
        {d && <DaySide day={d} timers={timers} mine={initials} />}
      </aside>
      {mine && (
        <div className="col-span-2 flex min-h-[68px] items-center gap-4 bg-line px-5 py-2 text-on-line">
          <p className="min-w-0 flex-1">
            <span className="block truncate text-[20px]">
              Next for {initials}: {mine.title}
            </span>
            <span className="block truncate text-[15px] text-line-soft">
              {mine.jobTitle}, about {Math.round(mine.minutes)} min
            </span>
          </p>
          <Button kind="go-line" keyName="N" onClick={next}>
            Go there
          </Button>
        </div>
      )}
      <OpenJob open={opening} onClose={() => setOpening(false)} />
    </main>
  )
}
