import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import { Toggle } from '../../ui/Toggle'

const methods = [
  ['air', 'air pressure'],
  ['vacuum', 'vacuum'],
  ['water', 'plain water'],
] as const
const figures = [
  ['startKPa', 'gauge at the start, kPa'],
  ['endKPa', 'gauge at the end, kPa'],
  ['tempStartC', 'air at the start, °C'],
  ['tempEndC', 'air at the end, °C'],
] as const
type Text = (typeof figures)[number][0] | 'minutes' | 'place' | 'instrument' | 'checkedOn'

const box = 'mt-0.5 block min-h-10 w-full border border-rule bg-raised px-2 text-[17px] text-ink'

/** A leak test somebody watched: read at the start and the end, or seen with water and paper. */
export function LeakByHand({
  by,
  volumeMl,
  limitMlPerMin,
  fault,
  write,
}: {
  by: string
  volumeMl: number
  limitMlPerMin: number
  fault?: string
  write: (body: Partial<Schemas['LeakWritten']>) => Promise<boolean>
}) {
  const [open, setOpen] = useState(false)
  const [method, setMethod] = useState<Schemas['LeakMethod']>('air')
  const [seen, setSeen] = useState<'tight' | 'leaks'>()
  const [text, setText] = useState<Partial<Record<Text, string>>>({})
  const number = (f: Text) => {
    const t = text[f]?.trim().replace(',', '.')
    return t ? Number(t) : undefined
  }
  const field = (f: Text, name: string, type?: string) => (
    <label key={f} className="block text-[14.5px] text-soft">
      {name}
      <input
        type={type ?? 'text'}
        inputMode={type ? undefined : f === 'place' || f === 'instrument' ? 'text' : 'decimal'}
        className={box}
        value={text[f] ?? ''}
        onChange={(e) => setText({ ...text, [f]: e.target.value })}
      />
    </label>
  )
  const keep = async () => {
    const read = method !== 'water'
    const kept = await write({
      method,
      volumeMl,
      limitMlPerMin,
      minutes: number('minutes'),
      ...(read && Object.fromEntries(figures.map(([f]) => [f, number(f)]))),
      ...(seen && { result: seen }),
      ...(text.place?.trim() && { place: text.place.trim() }),
      source: {
        kind: 'by-hand',
        instrument: text.instrument?.trim() || undefined,
        checkedOn: text.checkedOn || undefined,
      },
    })
    if (kept) setOpen(false)
  }
  return (
    <>
      <Button onClick={() => setOpen(true)}>By hand</Button>
      <Dialog open={open} onClose={() => setOpen(false)} title="A leak test by hand">
        <form
          onSubmit={(e) => {
            e.preventDefault()
            void keep()
          }}
        >
          <p className="mb-2 text-[15px] text-amber">
            Air at most 0.5 bar, never a compressor straight on; nothing powered but the pump.
          </p>
          <div className="mb-2 flex gap-1.5" role="group" aria-label="Method">
            {methods.map(([m, name]) => (
              <Toggle key={m} on={method === m} onClick={() => setMethod(m)}>
                {name}
              </Toggle>
            ))}
          </div>
          <div className="grid grid-cols-2 gap-2">
            {method !== 'water' && figures.map(([f, name]) => field(f, name))}
            {field('minutes', 'held for, minutes')}
            {field('place', 'where it leaks, if it does')}
            {field('instrument', 'read with')}
            {field('checkedOn', 'last checked', 'date')}
          </div>
          <div className="mt-2.5 flex flex-wrap items-center gap-1.5" role="group" aria-label="What you saw">
            {(['tight', 'leaks'] as const).map((x) => (
              <Toggle key={x} on={seen === x} onClick={() => setSeen(seen === x ? undefined : x)}>
                {x}
              </Toggle>
            ))}
            {method !== 'water' && !seen && <span className="text-[14.5px] text-soft">or what the figures say</span>}
          </div>
          {fault && (
            <p role="alert" className="mt-2 text-plum">
              {fault}
            </p>
          )}
          <Button kind="go" type="submit" className="mt-3">
            Write it down, signed {by}
          </Button>
        </form>
      </Dialog>
    </>
  )
}
