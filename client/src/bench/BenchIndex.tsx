import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { useBench } from '../api/queries'
import { Button } from '../ui/Button'
import { clock, left, stationName } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { useNow } from '../ui/useNow'
import { OpenJob } from './OpenJob'

type Job = Schemas['BenchJob']

/** Home: the jobs as they lie on the benches, what each waits for, the timers that run out first. */
export function BenchIndex() {
  const bench = useBench()
  const [opening, setOpening] = useState(false)
  if (bench.error && !bench.data) return <ErrorNotice error={bench.error} again={() => bench.refetch()} />
  if (!bench.data) return <Loading what="the benches" />
  const { jobs, timers, runsShort } = bench.data
  const open = jobs.filter((j) => !j.finished)
  const benches = Object.entries(Object.groupBy(open, (j) => j.bench)) as [string, Job[]][]
  return (
    <main className="scroll-thin grid min-h-0 grid-cols-[minmax(0,1fr)_332px] overflow-hidden">
      <div className="scroll-thin min-h-0 overflow-y-auto bg-mat px-6 py-5">
        <div className="mb-4 flex items-baseline gap-4">
          <h1 className="text-[26px] font-bold">
            {open.length === 0 ? 'Nothing on the benches' : `${open.length} jobs on the benches`}
          </h1>
          <span className="flex-1" />
          <Button kind="go" onClick={() => setOpening(true)}>
            Open a job
          </Button>
        </div>
        {benches.map(([name, list]) => (
          <section key={name} className="mb-5" aria-label={name}>
            <h2 className="mb-1.5 text-[15px] font-semibold text-soft">{name}</h2>
            <div className="grid gap-2.5">
              {list.map((j) => (
                <Ticket key={j.id} job={j} timer={timers.find((t) => t.jobId === j.id)} />
              ))}
            </div>
          </section>
        ))}
        {jobs.some((j) => j.finished) && (
          <section aria-label="Finished">
            <h2 className="mb-1.5 text-[15px] font-semibold text-soft">Finished, on the shelf</h2>
            <div className="grid gap-2.5">
              {jobs
                .filter((j) => j.finished)
                .map((j) => (
                  <Ticket key={j.id} job={j} />
                ))}
            </div>
          </section>
        )}
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-4"
        aria-label="Timers and stock"
        tabIndex={0}
      >
        <h2 className="text-[20px] font-bold">Timers</h2>
        {timers.length === 0 && (
          <p className="mt-1 text-[14.5px] text-soft">None running. A wait starts with T at its step.</p>
        )}
        {timers.map((t) => (
          <TimerRow key={t.id} timer={t} job={jobs.find((j) => j.id === t.jobId)} />
        ))}
        {timers.length > 0 && <Meanwhile jobs={open.filter((j) => !timers.some((t) => t.jobId === j.id))} />}
        <h2 className="mt-6 text-[20px] font-bold">Runs short</h2>
        {runsShort.length === 0 ? (
          <p className="mt-1 text-[14.5px] text-soft">Nothing in the drawer is low.</p>
        ) : (
          <ul className="mt-1">
            {runsShort.map((r) => (
              <li key={r} className="border-b border-rule/60 py-1 text-plum">
                {r}
              </li>
            ))}
          </ul>
        )}
        <Link to="/drawer" className="mt-2 inline-block text-copper underline underline-offset-3">
          Open the drawer
        </Link>
      </aside>
      <OpenJob open={opening} onClose={() => setOpening(false)} />
    </main>
  )
}

/** One job as a card with its tie, its nine stations as a strip, and the next thing to do in copper. */
function Ticket({ job, timer }: { job: Job; timer?: Schemas['RunningTimer'] }) {
  const now = useNow()
  return (
    <Link
      to={`/job/${job.id}/${job.station}`}
      className="grid grid-cols-[34px_minmax(0,1fr)_minmax(0,300px)] items-center gap-3 bg-card py-2.5 pr-4 shadow-[0_1px_0_var(--rule),inset_0_0_0_1px_var(--rule)] hover:bg-raised"
    >
      <span aria-hidden className="ml-3 h-[18px] w-[18px] rounded-full border-[3px] border-copper bg-mat" />
      <span className="min-w-0">
        <b className="block truncate text-[18px] leading-tight">{job.title}</b>
        <span className="block truncate text-[14px] text-soft">
          job {job.id}
          {job.kindName ? ` · ${job.kindName}` : ''} · {job.boardName}
          {job.blockName ? ` · ${job.blockName}` : ''}
        </span>
        <Strip route={job.route} />
      </span>
      <span className="min-w-0 text-right">
        <span className={`block text-[15px] leading-tight ${job.trouble ? 'font-semibold text-plum' : 'text-soft'}`}>
          {job.finished ? job.waits : `${stationName(job.station)}: ${job.waits}`}
        </span>
        {job.nextStep && (
          <span className="mt-0.5 line-clamp-2 block text-[15.5px] leading-tight text-copper">{job.nextStep}</span>
        )}
        {timer && <span className="num text-[20px] font-semibold">{left(timer.endsAt, now).text}</span>}
        {job.lastBy && (
          <span className="num block text-[14px] text-soft">
            last {job.lastBy} {clock(job.lastAt)}
          </span>
        )}
      </span>
    </Link>
  )
}

/** Nine marks: signed filled, under way half, open empty, in trouble crossed. */
function Strip({ route }: { route: Schemas['StationState'][] }) {
  return (
    <svg
      width={9 * 26}
      height={17}
      className="mt-1"
      role="img"
      aria-label={`${route.filter((r) => r.complete).length} of 9 stations signed`}
    >
      <path d={`M5 8H${8 * 26 + 5}`} stroke="var(--rule)" strokeWidth={2} />
      {route.map((r, i) => (
        <g key={r.station} transform={`translate(${i * 26 + 7} 8)`}>
          <circle
            r={5.5}
            fill={r.complete ? 'var(--cool)' : 'var(--card)'}
            stroke={r.trouble ? 'var(--plum)' : r.signedSteps > 0 ? 'var(--cool)' : 'var(--soft)'}
            strokeWidth={1.7}
          />
          {!r.complete && r.signedSteps > 0 && <path d="M0 -5.5A5.5 5.5 0 0 1 0 5.5Z" fill="var(--cool)" />}
          {r.trouble && <path d="M-3.5 3.5L3.5 -3.5" stroke="var(--plum)" strokeWidth={1.8} />}
        </g>
      ))}
    </svg>
  )
}

function TimerRow({ timer, job }: { timer: Schemas['RunningTimer']; job?: Job }) {
  const { text, over } = left(timer.endsAt, useNow())
  return (
    <Link to={`/job/${timer.jobId}`} className="mt-2 flex items-center gap-3 border-b border-rule pb-2">
      <b className={`num w-24 text-[34px] leading-none ${over ? 'text-plum' : ''}`}>{text}</b>
      <span className="min-w-0 text-[14.5px] leading-tight">
        <span className="block">
          {timer.label}
          {over && <b className="text-plum">, over</b>}
        </span>
        <span className="text-soft">{job?.title}</span>
      </span>
    </Link>
  )
}

/** What hands can do while a wait runs. */
function Meanwhile({ jobs }: { jobs: Job[] }) {
  const next = jobs.find((j) => j.nextStep && !j.trouble)
  return next ? (
    <p className="mt-3 text-[15px]">
      Meanwhile:{' '}
      <Link className="text-copper underline underline-offset-3" to={`/job/${next.id}/${next.station}`}>
        {next.nextStep}
      </Link>
      , {next.bench}.
    </p>
  ) : null
}
