import type { JobView } from '../../api/client'
import { clock } from '../../ui/format'
import { Section } from '../Ledger'
import { SourceMark } from '../prove/SourceMark'
import type { Steps } from '../useSteps'

/** What the torque driver turned in this pass, screw by screw, each with where the figure comes from. */
export function Turned({ job, s }: { job: JobView; s: Steps }) {
  const turns = job.driverTurns.filter((t) => t.stepId === s.step?.id)
  if (turns.length === 0) return null
  return (
    <Section title="Turned with the driver">
      <ul aria-label="Driver turns">
        {turns.map((t) => (
          <li key={t.id} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14.5px]">
            <span className="min-w-0 flex-1 leading-tight">
              <b>{t.screw}</b>, <span className={t.state === 'met' ? '' : 'text-plum'}>{t.cameTo}</span>
              <span className="num block">{t.turned}</span>
            </span>
            <SourceMark source={t.source} />
            <span className="text-soft">
              {t.byInitials} {clock(t.at)}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  )
}
