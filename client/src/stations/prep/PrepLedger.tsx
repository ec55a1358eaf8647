import { useTimers } from '../../api/papers'
import { left } from '../../ui/format'
import { useNow } from '../../ui/useNow'
import { Head, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import { StepPicture } from '../seat/StepPicture'

/** Closed ring: fine. Eye: look. Crossed ring: trouble. */
function CheckMark({ state }: { state: string }) {
  return (
    <svg
      viewBox="0 0 20 20"
      width="17"
      height="17"
      className={`mt-0.5 shrink-0 ${state === 'fine' ? 'text-cool' : state === 'look' ? 'text-amber' : 'text-plum'}`}
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth="2.4"
    >
      {state === 'look' ? (
        <>
          <path d="M2 10Q10 2 18 10Q10 18 2 10Z" />
          <circle cx="10" cy="10" r="2.2" fill="currentColor" />
        </>
      ) : (
        <circle cx="10" cy="10" r="7.5" />
      )}
      {state === 'fine' && <circle cx="10" cy="10" r="2.6" fill="currentColor" stroke="none" />}
      {state === 'trouble' && <path d="M5 15L15 5" />}
    </svg>
  )
}

/** Faces to clean with the remover's wait, then the dry fit. */
export function PrepLedger({ job, here, s }: RoomProps) {
  const timers = useTimers(job)
  const now = useNow()
  return (
    <>
      <Head sub="Residue matters on contact faces: it lifts pads and tilts the block.">
        {s.allSigned ? 'Faces clean, dry fit good' : `${s.steps.filter((x) => !s.signed.has(x.id)).length} to go`}
      </Head>
      {s.step && (
        <Section title="Now">
          {s.step.picture && <StepPicture kind={s.step.picture} />}
          <Why>{s.step.detail}</Why>
          {s.step.caution && <Why tone="text-amber">{s.step.caution}</Why>}
        </Section>
      )}
      {timers.length > 0 && (
        <Section title="Running">
          {timers.map((t) => (
            <p key={t.id} className="flex justify-between">
              <span>{t.label}</span>
              <b className="num text-[20px]">{left(t.endsAt, now).text}</b>
            </p>
          ))}
        </Section>
      )}
      {here.dryFit.length > 0 && (
        <Section title="Dry fit, out of the documents">
          <ul>
            {here.dryFit.map((d) => (
              <li
                key={d.id}
                className={`flex gap-2 border-b border-rule/60 py-1 text-[14.5px] leading-snug ${d.state === 'trouble' ? 'text-plum' : ''}`}
              >
                <CheckMark state={d.state} />
                <span>
                  <span className="sr-only">{d.state}: </span>
                  {d.text}
                </span>
              </li>
            ))}
          </ul>
        </Section>
      )}
      <Section title="Steps">
        <StepList s={s} />
      </Section>
    </>
  )
}
