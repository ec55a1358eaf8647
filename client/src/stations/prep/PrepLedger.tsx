import { left } from '../../ui/format'
import { useNow } from '../../ui/useNow'
import { Head, Section, Why } from '../Ledger'
import { StepList } from '../StepList'
import type { LedgerProps } from '../Traveller'

/** Faces to clean with the remover's wait, then the dry fit. */
export function PrepLedger({ job, s }: LedgerProps) {
  const now = useNow()
  return (
    <>
      <Head sub="Residue matters on contact faces: it lifts pads and tilts the block.">{s.allSigned ? 'Faces clean, dry fit good' : `${s.steps.filter((x) => !s.signed.has(x.id)).length} to go`}</Head>
      {s.step && <Section title="Now"><Why>{s.step.detail}</Why>{s.step.caution && <Why tone="text-amber">{s.step.caution}</Why>}</Section>}
      {job.timers.length > 0 && <Section title="Running">{job.timers.map((t) => <p key={t.id} className="flex justify-between"><span>{t.label}</span><b className="num text-[20px]">{left(t.endsAt, now).text}</b></p>)}</Section>}
      <Section title="Steps"><StepList s={s} /></Section>
    </>
  )
}
