import type { JobView, Schemas } from '../api/client'
import { clock, day } from '../ui/format'
import { Section } from './Ledger'

const what = (x: Schemas['CorrectionRow']) =>
  x.kind === 'reading'
    ? `The ${x.before} reading was struck`
    : x.kind === 'log'
      ? `The log ${x.before} was struck`
      : `The ${x.kind} “${x.before ?? ''}” was changed`

/** What was corrected after the job was finished, by whom and why. */
export function Corrections({ job, only }: { job: JobView; only: (kind: string) => boolean }) {
  const list = job.corrections.filter((x) => only(x.kind))
  if (list.length === 0) return null
  return (
    <Section title="Corrections">
      {list.map((x) => (
        <p key={x.id} className="border-b border-rule/60 py-1 text-[14.5px]">
          {what(x)}: {x.why}{' '}
          <span className="text-soft">
            {x.byInitials} {day(x.at)} {clock(x.at)}
          </span>
        </p>
      ))}
    </Section>
  )
}
