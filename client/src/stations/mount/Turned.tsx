import type { JobView } from '../../api/client'
import { clock, fixed } from '../../ui/format'
import { Section } from '../Ledger'
import { SourceMark } from '../prove/SourceMark'
import type { Steps } from '../useSteps'

/** What the torque driver turned in this pass, screw by screw, each with where the figure comes from. */
export function Turned({ job, s }: { job: JobView; s: Steps }) {
  const turns = job.driverTurns.filter((t) => t.stepId === s.step?.id)
  if (turns.length === 0) return null
  return (
    <Section title="Turned with the driver, N·cm">
      <ul aria-label="Driver turns">
        {turns.map((t) => (
          <li key={t.id} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14.5px]">
            <b>{s.step?.turns.find((x) => x.hole === t.hole)?.number ?? t.hole}</b>
            <span className="num flex-1">
              {t.angleDeg.toFixed(0)}°, {fixed(t.torqueNm * 100, 1)}
            </span>
            <span className={t.state === 'met' ? '' : 'text-plum'}>{t.state.replace('-', ' ')}</span>
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
