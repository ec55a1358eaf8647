import { Head, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import { JetPlate } from '../seat/JetPlate'
import { Tools } from './Tools'

/** What the job needs against the block's box and the drawer, line by line. */
export function KitLedger(props: RoomProps) {
  const { job, here, s } = props
  const { lines } = job.plan.kit
  const short = lines.filter((l) => l.short > 0)
  const isTool = (group: string) => group === 'drivers' || group === 'tools'
  // what is missing stands first
  const counted = lines.filter((l) => !isTool(l.group)).sort((a, b) => Number(b.short > 0) - Number(a.short > 0))
  return (
    <>
      <Head
        tone={short.length ? 'text-plum' : 'text-cool'}
        sub={
          short.length
            ? 'Missing items are found now, not with the card open.'
            : 'Kit and drawer hold everything the job needs.'
        }
      >
        {short.length ? `${short.length} ${short.length === 1 ? 'item' : 'items'} short` : 'All here'}
      </Head>
      <JetPlate {...props} />
      <Section title="Need, in the box, in the drawer">
        <table className="w-full text-[14.5px]">
          <thead className="text-left text-[13px] text-soft">
            <tr>
              <th className="font-normal" scope="col">
                item
              </th>
              <th className="num text-right font-normal" scope="col">
                need
              </th>
              <th className="num text-right font-normal" scope="col">
                box
              </th>
              <th className="num text-right font-normal" scope="col">
                drawer
              </th>
            </tr>
          </thead>
          <tbody className="align-baseline">
            {counted.map((l) => (
              <tr key={l.name} className={`border-b border-rule/60 ${l.short > 0 ? 'text-plum' : ''}`}>
                <td className="py-[3px] leading-tight">
                  {l.name}
                  {l.short > 0 && (
                    <b className="block">
                      {l.short} {l.unit} short
                    </b>
                  )}
                </td>
                <td className="num whitespace-nowrap text-right text-[16px]">
                  {l.need}
                  {l.unit && <small className="ml-0.5">{l.unit}</small>}
                </td>
                <td className="num text-right text-[16px]">{l.fromKit || '–'}</td>
                <td className="num text-right text-[16px]">{l.fromDrawer || '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Section>
      <Section title="Tools">
        <Tools lines={lines.filter((l) => isTool(l.group))} />
      </Section>
      <Section title="Steps">
        <StepList s={s} />
      </Section>
      {here.block?.manualRevision && (
        <Section title="Why">
          <Why>
            The manual in the box should be revision {here.block.manualRevision}; kits change without notice, so it is
            read again every time.
          </Why>
        </Section>
      )}
    </>
  )
}
