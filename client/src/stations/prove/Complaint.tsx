import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { FigureField, figureOf } from '../../ui/FigureField'
import { Toggle } from '../../ui/Toggle'
import { Section } from '../Ledger'
import type { RoomProps } from '../room'

type Sensor = Schemas['SensorOffset']['sensor']
const sensors: [Sensor, string][] = [
  ['die', 'die'],
  ['memory', 'memory'],
  ['power-stage', 'power stages'],
]

/** What the client complained of, proved there first; and what this board's sensors are known to be off by. */
export function Complaint({ job, here, s }: Pick<RoomProps, 'job' | 'here' | 's'>) {
  const [typed, type] = useState<Partial<Record<Sensor, string>>>()
  const { complaint, offsets } = job.sheets.proof
  const first = job.order.pieces[0].key
  const own = (o: Schemas['SensorOffset']) => (o.board ?? first) === here.boardKey
  const send = (change: Partial<Schemas['KeptProof']>) =>
    s.changes.proof.mutate(
      { by: s.by, complaint, offsets, ...change },
      { onSuccess: () => type(undefined), onError: s.refuse },
    )
  const read = (sensor: Sensor) =>
    typed?.[sensor] ?? String(offsets.find((o) => own(o) && o.sensor === sensor)?.readsHighK ?? 0)
  const bad = sensors.some(([k]) => Number.isNaN(figureOf(read(k))) || Math.abs(figureOf(read(k))) > 20)
  const save = () =>
    send({
      offsets: [
        ...offsets.filter((o) => !own(o)),
        ...sensors
          .map(([sensor]) => ({ board: here.boardKey, sensor, readsHighK: figureOf(read(sensor)) }))
          .filter((o) => o.readsHighK !== 0),
      ],
    })
  return (
    <Section title="What was complained of">
      <fieldset className="flex flex-wrap gap-1.5">
        <legend className="sr-only">What was complained of</legend>
        {sensors.map(([kind, name]) => (
          <Toggle
            key={kind}
            on={complaint === kind}
            onClick={() => send({ complaint: complaint === kind ? undefined : kind })}
          >
            {name}
          </Toggle>
        ))}
      </fieldset>
      <details className="mt-2">
        <summary className="cursor-pointer text-copper underline underline-offset-3">
          Sensors that read high or low{offsets.some(own) ? `: ${offsets.filter(own).length}` : ''}
        </summary>
        <p className="my-1 text-[14.5px] text-soft">
          After a night switched off every sensor ought to say the room. What it says over it is taken off.
        </p>
        <div className="flex items-end gap-2">
          {sensors.map(([kind, name]) => (
            <FigureField
              key={kind}
              narrow
              label={`${name}, K over`}
              value={read(kind)}
              onChange={(text) => type({ ...typed, [kind]: text })}
            />
          ))}
        </div>
        <Button className="mt-1.5" disabled={!typed || bad} onClick={save}>
          Take them off
        </Button>
      </details>
    </Section>
  )
}
