import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { answer, http } from '../../api/client'
import { asked } from '../here'
import { Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'

/** What every kind of part will run at under this block; flow and inlet can be tried. */
export function Expected({ job, here }: RoomProps) {
  const [flow, setFlow] = useState<number>()
  const [inlet, setInlet] = useState<number>()
  const expected = useQuery({
    queryKey: ['expect', job.id, job.version, job.sheets.versions, here.pairKey, here.boardKey, flow, inlet],
    enabled: !!here.seating?.dies.length && here.block?.flow != null,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answer(
        http.GET('/api/jobs/{id}/expect', {
          params: { path: { id: job.id }, query: { ...asked(here), flowLMin: flow, coolantInC: inlet } },
        }),
      ),
  })
  if (!here.seating?.dies.length || here.block?.flow == null) return null
  const e = expected.data
  return (
    <Section title="What it will run at">
      {expected.error && <p className="text-[14.5px] text-plum">{(expected.error as Error).message}</p>}
      {!e && !expected.error && <p className="text-[14.5px] text-soft">Reckoning the plate</p>}
      {e && (
        <>
          {e.kinds.map((k) => (
            <Row
              key={k.name}
              name={`${k.name}, ${k.hottest}`}
              value={k.limitC == null ? k.c.toFixed(0) : `${k.c.toFixed(0)} of ${k.limitC.toFixed(0)}`}
              unit="°C"
              tone={k.marginK != null && k.marginK < 0 ? 'text-plum' : undefined}
            />
          ))}
          <Row name="coolant warms by" value={e.result.coolantRiseK.toFixed(1)} unit="K" />
          <Slider
            name="flow"
            unit="L/min"
            value={e.conditions.flowLMin}
            least={0.5}
            most={8}
            step={0.5}
            onChange={setFlow}
          />
          <Slider
            name="coolant in"
            unit="°C"
            value={e.conditions.coolantInC}
            least={15}
            most={50}
            step={1}
            onChange={setInlet}
          />
          {e.result.warnings.slice(0, 3).map((w) => (
            <Why key={w} tone="text-amber">
              {w}
            </Why>
          ))}
        </>
      )}
    </Section>
  )
}

/** Asks when the hand lets go: every step of the way would be a plate to solve. */
function Slider({
  name,
  unit,
  value,
  least,
  most,
  step,
  onChange,
}: {
  name: string
  unit: string
  value: number
  least: number
  most: number
  step: number
  onChange: (v: number) => void
}) {
  const [moving, setMoving] = useState<number>()
  const done = () => {
    if (moving !== undefined) onChange(moving)
    setMoving(undefined)
  }
  return (
    <label className="mt-1.5 grid grid-cols-[80px_minmax(0,1fr)_72px] items-center gap-2 text-[14.5px]">
      {name}
      <input
        type="range"
        min={least}
        max={most}
        step={step}
        value={moving ?? value}
        className="h-6 w-full min-w-0 accent-copper"
        onChange={(e) => setMoving(Number(e.target.value))}
        onPointerUp={done}
        onKeyUp={done}
        onBlur={done}
      />
      <span className="num text-right text-[16px]">
        {moving ?? value} {unit}
      </span>
    </label>
  )
}
