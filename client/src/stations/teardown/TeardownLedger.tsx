import { Head, Section, Why } from '../Ledger'
import { AsFound } from './AsFound'
import { StepList } from '../StepList'
import type { LedgerProps } from '../Traveller'

/** The order with its reasons, the tray map, and the way back. */
export function TeardownLedger({ job, s, selected }: LedgerProps) {
  const plan = job.plan.teardown
  if (!plan) return <Head tone="text-plum" sub="The board document holds no pieces, fasteners or leads. Add an assembly to the document and keep it again.">No assembly described</Head>
  const screws = plan.tray.reduce((n, t) => n + t.count, 0)
  const out = s.steps.reduce((n, x) => n + (s.signed.has(x.id) ? (x.count ?? 0) : 0), 0)
  return (
    <>
      <Head sub={`${plan.flips} ${plan.flips === 1 ? 'flip' : 'flips'}, ${plan.driverChanges} driver ${plan.driverChanges === 1 ? 'change' : 'changes'}: ${plan.proven ? 'no legal order has fewer.' : 'a good order, not proven the best.'}`}>{out} of {screws} screws out</Head>
      {s.step?.detail && <Section title="Why now"><Why>{s.step.detail}</Why>{s.step.caution && <Why tone="text-amber">{s.step.caution}</Why>}</Section>}
      <Section title="Order"><StepList s={s} /></Section>
      <Section title="Tray, two lengths never share a cell">
        <div className="grid grid-cols-2 gap-1.5">
          {plan.tray.map((c) => {
            const here = c.fasteners.some((f) => s.step?.id === `teardown.${f}`)
            return (
              <div key={c.cell} className={`border px-2 py-1 ${here ? 'border-2 border-copper bg-copper-wash' : 'border-rule'}`}>
                <b className="num text-[20px]">{c.cell}</b> <span className="num text-[17px]">{c.count} × {c.thread ?? ''}{c.lengthMm ? ` × ${c.lengthMm}` : ''}</span>
                <span className="block text-[13px] text-soft">{c.driver}, group {c.fasteners.join(', ')}</span>
              </div>
            )
          })}
        </div>
      </Section>
      <AsFound key={selected} job={job} s={s} selected={selected} />
      <Section title="Back to stock, in this order">
        <ol className="list-inside list-decimal text-[14px] text-soft">{plan.restore.map((r) => <li key={r.target}>{r.action} {r.name}{r.cell ? `, cell ${r.cell}` : ''}</li>)}</ol>
      </Section>
    </>
  )
}
