import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { Toggle } from '../../ui/Toggle'
import type { RoomProps } from '../room'

const fields = [
  ['roomC', 'room', '°C'],
  ['coolantC', 'coolant', '°C'],
  ['dieC', 'die', '°C'],
  ['hotspotC', 'hotspot', '°C'],
  ['memoryC', 'memory', '°C'],
  ['powerStageC', 'stages', '°C'],
  ['powerW', 'power', 'W'],
  ['flowLMin', 'flow', 'L/min'],
] as const
const ofModule = fields
  .filter(([f]) => f !== 'hotspotC' && f !== 'memoryC' && f !== 'powerStageC')
  .map(([f, name, unit]) => [f, f === 'dieC' ? 'module' : name, unit] as const)
const conditions = [
  ['clockMHz', 'clock', 'MHz'],
  ['memoryClockMHz', 'memory clock', 'MHz'],
  ['powerLimitW', 'power limit', 'W'],
  ['voltageV', 'voltage', 'V'],
  ['fanPercent', 'fan', '%'],
  ['pumpPercent', 'pump', '%'],
] as const
const words = [
  ['load', 'load program'],
  ['beside', 'what ran beside it'],
] as const
type Field = (typeof fields)[number][0]
type Figure = Field | (typeof conditions)[number][0]
type Said = (typeof words)[number][0] | 'instrument' | 'checkedOn'

const box = 'block w-full border border-rule bg-raised px-1.5 py-1 text-[17px] text-ink'

/** A reading by hand: figures, what it was read with, and under which conditions. */
export function ReadingForm({
  s,
  board,
  first,
  module,
}: {
  s: RoomProps['s']
  board: string
  first: boolean
  /** A memory module shows one temperature, its own. */
  module: boolean
}) {
  const [phase, setPhase] = useState<'before' | 'after'>(first ? 'before' : 'after')
  const [text, setText] = useState<Partial<Record<Figure | Said, string>>>({})
  const [fault, setFault] = useState<string>()
  const shown = module ? ofModule : fields
  const number = (f: Figure) => {
    const t = text[f]?.trim().replace(',', '.')
    return t ? Number(t) : undefined
  }
  const word = (f: Said) => text[f]?.trim() || undefined
  const missing = (['roomC', 'dieC', 'powerW'] as Field[]).some((f) => !Number.isFinite(number(f)))
  const submit = (e: React.FormEvent) => {
    e.preventDefault()
    setFault(undefined)
    const under = {
      ...Object.fromEntries(conditions.map(([f]) => [f, number(f)])),
      ...Object.fromEntries(words.map(([f]) => [f, word(f)])),
    } as Schemas['RunConditions']
    s.changes.read.mutate(
      {
        by: s.by,
        phase,
        board,
        ...(Object.fromEntries(shown.map(([f]) => [f, number(f)])) as Record<'roomC' | 'dieC' | 'powerW', number>),
        source: { kind: 'by-hand', instrument: word('instrument'), checkedOn: word('checkedOn') },
        ...(Object.values(under).some((v) => v != null) && { conditions: under }),
      },
      {
        onError: (x) => {
          setFault(x.message)
          // what was not kept stands again, unless something else was typed meanwhile
          setText((t) => ({ ...text, ...t }))
          setPhase(phase)
        },
      },
    )
    // the same bench and instrument go on to the next run, at once: nothing typed later is cleared away
    setText(Object.fromEntries(Object.entries(text).filter(([f]) => !fields.some(([x]) => x === f))))
    setPhase('after')
  }
  const figure = ([f, name, unit]: readonly [Figure, string, string]) => (
    <label key={f} className="text-[13px] text-soft">
      {name}, {unit}
      <input
        value={text[f] ?? ''}
        onChange={(e) => setText({ ...text, [f]: e.target.value })}
        inputMode="decimal"
        className={`num ${box}`}
      />
    </label>
  )
  const said = ([f, name, type]: readonly [Said, string, string?]) => (
    <label key={f} className="text-[13px] text-soft">
      {name}
      <input
        type={type ?? 'text'}
        value={text[f] ?? ''}
        onChange={(e) => setText({ ...text, [f]: e.target.value })}
        className={box}
      />
    </label>
  )
  return (
    <form onSubmit={submit} className="mt-2" aria-label="New reading">
      <div className="mb-1.5 flex gap-1.5" role="group" aria-label="Phase">
        {(['before', 'after'] as const).map((x) => (
          <Toggle key={x} on={phase === x} onClick={() => setPhase(x)}>
            {x}
          </Toggle>
        ))}
      </div>
      <div className="grid grid-cols-4 gap-1.5">
        {shown.map(figure)}
        <Button kind="go" type="submit" disabled={missing || s.changes.read.isPending} className="self-end">
          Keep
        </Button>
      </div>
      <details className="mt-1.5">
        <summary className="cursor-pointer text-[15px] text-copper underline underline-offset-3">
          Instrument and conditions
        </summary>
        <div className="mt-1.5 grid grid-cols-2 gap-1.5">
          {said(['instrument', 'read with'])}
          {said(['checkedOn', 'last checked', 'date'])}
          {words.map(said)}
        </div>
        <div className="mt-1.5 grid grid-cols-3 items-end gap-1.5">{conditions.map(figure)}</div>
      </details>
      {fault && (
        <p role="alert" className="mt-1 text-plum">
          {fault}
        </p>
      )}
    </form>
  )
}
