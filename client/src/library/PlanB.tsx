import { usePlanB } from '../api/queries'
import { Section, Why } from '../stations/Ledger'

/** The die on water, the rest on air, with each part's temperature against its limit. */
export function PlanB({ boardId }: { boardId: string }) {
  const plan = usePlanB(boardId).data
  if (!plan) return null
  return (
    <Section title="Plan B: core on water, the rest on air">
      <p
        className={`text-[16px] font-semibold leading-snug ${plan.allHold ? (plan.needsFan ? 'text-amber' : 'text-cool') : 'text-plum'}`}
      >
        {plan.text}
      </p>
      {plan.sinks.length > 0 && (
        <table className="mt-1.5 w-full text-[14px]">
          <thead className="text-left text-[13px] text-soft">
            <tr>
              <th scope="col" className="font-normal">
                part
              </th>
              <th scope="col" className="font-normal">
                sink, mm
              </th>
              <th scope="col" className="text-right font-normal">
                still
              </th>
              <th scope="col" className="text-right font-normal">
                fan
              </th>
              <th scope="col" className="text-right font-normal">
                limit °C
              </th>
            </tr>
          </thead>
          <tbody>
            {plan.sinks.slice(0, 8).map((x) => (
              <tr key={x.part} className="num border-b border-rule/60 text-[15.5px]">
                <td>{x.part}</td>
                <td>{x.widthMm ? `${x.widthMm} × ${x.depthMm} × ${x.heightMm}` : 'none left'}</td>
                <td className={`text-right ${x.limitC != null && x.stillC > x.limitC ? 'text-plum' : ''}`}>
                  {x.stillC.toFixed(0)}
                </td>
                <td className={`text-right ${x.limitC != null && x.fanC > x.limitC ? 'text-plum' : ''}`}>
                  {x.fanC.toFixed(0)}
                </td>
                <td className="text-right">{x.limitC ?? '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {plan.sinks.length > 8 && (
        <p className="text-[13px] text-soft">
          and {plan.sinks.length - 8} cooler ones; fins along the airflow, {plan.sinks[0].finDirection}
        </p>
      )}
      {plan.givesUp.map((g) => (
        <Why key={g}>{g}</Why>
      ))}
    </Section>
  )
}
