import { Link } from '../../app/router'
import { Head, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import { AsFound } from './AsFound'
import { Reorder } from './Reorder'
import { type Strip, StripDesk } from './StripDesk'
import { TrayMap } from './TrayMap'

/** The order with its reasons, the tray map, and the way back. */
export function TeardownLedger({ job, here, s, selected, own: strip }: RoomProps<Strip>) {
  const plan = here.teardown
  if (!plan)
    return (
      <>
        <Head
          tone="text-plum"
          sub="Nobody has described how this card is held together. Note what comes off as you strip it: the record is the plan of the next one."
        >
          Unknown assembly
        </Head>
        <StripDesk job={job} here={here} s={s} strip={strip} />
      </>
    )
  const screws = plan.tray.reduce((n, t) => n + t.count, 0)
  const out = s.steps.reduce((n, x) => n + (s.signed.has(x.id) ? (x.count ?? 0) : 0), 0)
  return (
    <>
      <Head
        sub={`${plan.flips} ${plan.flips === 1 ? 'flip' : 'flips'}, ${plan.driverChanges} driver ${plan.driverChanges === 1 ? 'change' : 'changes'}: ${plan.proven ? 'no legal order has fewer.' : here.bestTeardown ? 'as you ordered it.' : 'a good order, not proven the best.'}`}
      >
        {out} of {screws} screws out
      </Head>
      {s.step?.detail && (
        <Section title="Why now">
          <Why>{s.step.detail}</Why>
          {s.step.caution && <Why tone="text-amber">{s.step.caution}</Why>}
        </Section>
      )}
      <StripDesk job={job} here={here} s={s} strip={strip} />
      <Section title="Order">
        <StepList s={s} />
        <Reorder job={job} here={here} s={s} />
      </Section>
      <Section title="Tray, two lengths never share a cell">
        <TrayMap tray={plan.tray} lit={s.step?.targets} />
        <Link to={`/job/${job.id}/tray`} className="mt-1 inline-block text-copper underline underline-offset-3">
          Print the tray map
        </Link>{' '}
        <Link to={`/labels/job/${job.id}`} className="mt-1 ml-3 inline-block text-copper underline underline-offset-3">
          Ticket and bag labels
        </Link>
      </Section>
      <AsFound key={selected} job={job} here={here} s={s} selected={selected} />
      <Section title="Back to stock, in this order">
        <Link to={`/job/${job.id}/restore`} className="text-copper underline underline-offset-3">
          Step by step
        </Link>
        <ol className="list-inside list-decimal text-[14px] text-soft">
          {plan.restore.map((r) => (
            <li key={r.target}>
              {r.action} {r.name}
              {r.cell ? `, cell ${r.cell}` : ''}
            </li>
          ))}
        </ol>
      </Section>
    </>
  )
}
