import { useState } from 'react'
import { answer, http, told as inWords, type Schemas } from '../../api/client'
import { Button } from '../../ui/Button'

type Look = Schemas['TableLook']
const meanings: [string, string][] = [
  ['', 'not used'],
  ['x', 'x'],
  ['y', 'y'],
  ['id', 'name of the part'],
  ['rotation', 'turn, °'],
  ['face', 'front or back'],
  ['height', 'height'],
  ['width', 'width'],
  ['depth', 'depth'],
  ['diameter', 'hole diameter'],
  ['kind', 'kind of part'],
  ['package', 'package'],
  ['what', 'hole, part or outline'],
  ['slot', 'slot length'],
  ['slot-angle', 'slot direction, °'],
  ['plated', 'plated'],
]

/** What each column of a table means, told once and remembered for every table with this header. */
export function Columns({ table, onTold }: { table: Look; onTold: () => void }) {
  const [told, setTold] = useState<Record<number, string>>(
    Object.fromEntries(Object.entries(table.columns).map(([k, i]) => [i, k])),
  )
  const [units, setUnits] = useState<string>(table.units ?? '')
  const [fault, setFault] = useState<string>()
  const save = async () => {
    const columns = Object.fromEntries(
      Object.entries(told)
        .filter(([, m]) => m)
        .map(([i, m]) => [m, Number(i)]),
    )
    try {
      setFault(undefined)
      await answer(
        http.PUT('/api/library/columns', {
          body: {
            signature: table.signature,
            columns,
            units: (units || null) as Schemas['ColumnAnswer']['units'],
          },
        }),
      )
      onTold()
    } catch (e) {
      setFault(inWords(e))
    }
  }
  const look = 'border border-rule bg-raised px-1 py-1 text-[15px] text-ink'
  return (
    <section aria-label={`Columns of ${table.file}`} className="mt-3 border-t border-rule pt-2">
      <h3 className="text-[13px] font-semibold text-soft">
        What the columns of {table.file} mean{table.told && ', as told before'}
      </h3>
      <table className="mt-1 w-full text-[14.5px]">
        <thead className="sr-only">
          <tr>
            <th scope="col">column</th>
            <th scope="col">first value</th>
            <th scope="col">means</th>
          </tr>
        </thead>
        <tbody>
          {table.headers.map((h, i) => (
            <tr key={i} className="border-b border-rule/60">
              <td className="max-w-24 truncate py-0.5 font-semibold">{h || `column ${i + 1}`}</td>
              <td className="num max-w-20 truncate px-1 text-soft">{table.rows[0]?.[i]}</td>
              <td className="text-right">
                <select
                  aria-label={`Column ${h || i + 1} means`}
                  value={told[i] ?? ''}
                  onChange={(e) => setTold({ ...told, [i]: e.target.value })}
                  className={`w-36 ${look} ${told[i] ? '' : 'text-soft'}`}
                >
                  {meanings.map(([v, t]) => (
                    <option key={v} value={v}>
                      {t}
                    </option>
                  ))}
                </select>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-2 flex items-center gap-2">
        <label className="flex flex-1 items-center gap-2 text-[14px]">
          lengths in
          <select value={units} onChange={(e) => setUnits(e.target.value)} className={look}>
            <option value="">as the file says</option>
            <option value="mm">mm</option>
            <option value="inch">inches</option>
            <option value="mil">mil</option>
          </select>
        </label>
        <Button kind="go" onClick={() => void save()}>
          Read it so
        </Button>
      </div>
      {!units && <p className="mt-1 text-[13.5px] text-amber">The table states no unit. Say which, or mm is taken.</p>}
      {fault && (
        <p role="alert" className="mt-1 text-[14.5px] text-plum">
          {fault}
        </p>
      )}
    </section>
  )
}
