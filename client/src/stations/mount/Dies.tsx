import type { Schemas } from '../../api/client'

/** What each die carries after a turn; a die whose edge is past its limit in plum. */
export function Dies({ dies }: { dies: Schemas['DieMoment'][] }) {
  if (dies.length === 0) return null
  return (
    <table className="w-full text-[14.5px]" aria-label="Each die after this turn">
      <tbody>
        {dies.map((d) => (
          <tr key={d.part} className={`border-b border-rule/60 ${d.over ? 'text-plum' : ''}`}>
            <th className="text-left font-normal" scope="row">
              {d.part}
              {!d.pressed && ', not pressed'}
            </th>
            <td className="num whitespace-nowrap pl-3 text-right text-[16px]">{d.load}</td>
            <td className="num whitespace-nowrap pl-3 text-right text-[16px]">{d.edge}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
