import type { Schemas } from '../api/client'
import { Link } from '../app/router'
import { day, stationName } from '../ui/format'

type Job = Schemas['BenchJob']

/** One job as a card with its tie, its nine stations as a strip, and the next thing to do in copper. */
export function JobTicket({ job, end }: { job: Job; end?: Schemas['DayJobEnd'] }) {
  return (
    <Link
      to={`/job/${job.id}/${job.station}`}
      className="grid grid-cols-[30px_minmax(0,1fr)] items-start gap-2 border border-rule bg-card py-2 pr-3 hover:bg-raised"
    >
      <span aria-hidden className="ml-2.5 mt-1 h-[16px] w-[16px] rounded-full border-[3px] border-copper bg-mat" />
      <span className="min-w-0">
        <b className="block truncate text-[17px] leading-tight">{job.title}</b>
        <span className="block truncate text-[14px] text-soft">
          job {job.id}, {job.bench}
          {job.kindName ? ` · ${job.kindName}` : ''} · {job.boardName}
          {job.blockName ? ` · ${job.blockName}` : ''}
        </span>
        <span className="flex flex-wrap items-center gap-x-3">
          <Strip route={job.route} />
          {end && !job.finished && end.by && (
            <span
              className={`min-w-0 flex-1 truncate text-[14px] ${end.lateMin > 0 ? 'font-semibold text-plum' : 'text-soft'}`}
            >
              {end.by}, {end.lateMin > 0 ? 'late: see above' : end.text}
            </span>
          )}
          {job.finished && job.lastBy && (
            <span className="num text-[14px] text-soft">
              last {job.lastBy} {day(job.lastAt)}
            </span>
          )}
        </span>
        <span className={`block truncate text-[15px] ${job.trouble ? 'font-semibold text-plum' : 'text-soft'}`}>
          {job.finished ? job.waits : `${stationName(job.station)}: ${job.waits}`}
        </span>
        {job.nextStep && <span className="block truncate text-[15.5px] text-copper">{job.nextStep}</span>}
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
