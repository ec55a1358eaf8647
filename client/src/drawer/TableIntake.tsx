import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { fetched, type Refusal, type Schemas } from '../api/client'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'

type Answer = Schemas['DrawerTableAnswer']

/** A table of the drawer before it is taken in: what it adds and changes, or every place that does not read. */
export function TableIntake({ file, onClose }: { file: File; onClose: () => void }) {
  const [sheet, setSheet] = useState('')
  const [answer, setAnswer] = useState<Answer>()
  const [faults, setFaults] = useState<string[]>([])
  const [asked, setAsked] = useState<string>()
  const client = useQueryClient()
  const [by] = useInitials()
  const send = async (keep: boolean) => {
    const query = new URLSearchParams({ ...(keep && { keep: 'true' }), ...(sheet && { sheet }), ...(by && { by }) })
    try {
      const told = await fetched<Answer>(`/api/drawer/table?${query}`, { method: 'POST', body: file })
      setFaults([])
      setAnswer(told)
      if (keep) {
        await client.invalidateQueries()
        onClose()
      }
    } catch (e) {
      const refused = e as Refusal
      setAnswer(undefined)
      setFaults(refused.errors?.length ? refused.errors.map((f) => f.message) : [refused.message])
    }
  }
  if (asked !== sheet) {
    setAsked(sheet)
    void send(false)
  }
  return (
    <Dialog open onClose={onClose} title={file.name} wide>
      {/\.xlsx$/i.test(file.name) && (
        <label className="mb-2 block text-[14px] text-soft">
          sheet, empty takes the first
          <input
            defaultValue={sheet}
            onBlur={(e) => setSheet(e.target.value.trim())}
            className="mt-0.5 block w-60 border border-rule bg-raised px-2 py-1 text-[16px] text-ink"
          />
        </label>
      )}
      {faults.length > 0 && <p className="text-plum">Nothing was taken in. Mend these and drop it again.</p>}
      <ul>
        {faults.slice(0, 20).map((f) => (
          <li key={f} className="border-b border-rule/60 py-1 text-plum">
            {f}
          </li>
        ))}
      </ul>
      {answer && (
        <>
          <p className="text-[18px] font-bold">
            {answer.new} new, {answer.changed} changed, {answer.same} as they are
          </p>
          <table className="mt-1 w-full text-[15px]">
            <tbody>
              {answer.lines
                .filter((l) => l.state !== 'same')
                .slice(0, 60)
                .map((l) => (
                  <tr key={l.line} className="border-b border-rule/60 align-top">
                    <td className="py-1 pr-3">{l.id}</td>
                    <td className="pr-3 text-soft">{l.kind}</td>
                    <td className="num">{l.state === 'new' ? 'new' : `${l.was} becomes ${l.becomes}`}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </>
      )}
      <div className="mt-4 flex gap-3">
        <Button kind="go" disabled={!answer || answer.new + answer.changed === 0} onClick={() => void send(true)}>
          Take it in
        </Button>
        <Button onClick={onClose}>Leave it</Button>
      </div>
    </Dialog>
  )
}
