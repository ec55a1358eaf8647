import type { JobView, Station } from '../api/client'
import { NavLink } from '../app/router'
import { clock, stationName } from '../ui/format'

/** The route card: nine stations in working order, each with its outcome in words and the initials of who signed it. */
export function Route({ job, station }: { job: JobView; station: Station }) {
  return (
    <nav
      aria-label="Route"
      className="traveller-route no-print scroll-thin min-h-0 overflow-y-auto border-r-2 border-dotted border-rule bg-card"
    >
      {job.route.map((r, i) => {
        const on = r.station === station
        return (
          <NavLink
            key={r.station}
            to={`/job/${job.id}/${r.station}`}
            aria-current={on ? 'step' : undefined}
            className={`relative block min-h-[71px] border-b border-rule py-2 pl-[18px] pr-[54px] ${on ? 'z-10 bg-raised shadow-[inset_6px_0_0_var(--copper)]' : ''}`}
          >
            <b
              className={`block leading-tight ${on ? 'text-[19px]' : 'text-[16.5px]'} ${r.signedSteps === 0 && !on ? 'text-soft' : ''}`}
            >
              {stationName(r.station)}
              <kbd className="num ml-1.5 text-[12px] font-normal text-soft">{i + 1}</kbd>
            </b>
            <span className={`block text-[13.5px] leading-[1.2] ${r.trouble ? 'text-plum' : 'text-soft'}`}>
              {r.summary}
            </span>
            {r.complete && r.lookAgain === 0 && r.by ? (
              <Stamp by={r.by} at={clock(r.at)} />
            ) : (
              <span
                aria-hidden
                className="absolute right-2.5 top-3 h-[38px] w-[38px] border border-dashed border-rule"
              />
            )}
          </NavLink>
        )
      })}
    </nav>
  )
}

/** Initials and time in a ring, set a little askew as by hand. */
function Stamp({ by, at }: { by: string; at: string }) {
  return (
    <span
      className="num absolute right-2.5 top-3 grid h-[40px] w-[40px] rotate-[-9deg] place-items-center rounded-full border-2 border-cool text-center leading-none text-cool"
      role="img"
      aria-label={`signed ${by} at ${at}`}
    >
      <span className="text-[17px] font-semibold">
        {by}
        <small className="block text-[11px] font-medium">{at}</small>
      </span>
    </span>
  )
}
