import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { canExpect, type Heat, type Tried, useHeat } from './useHeat'

/** What every kind of part will run at under this block; every condition can be tried, and the map follows the hand. */
export function Expected({ here, own, map = true }: { here: RoomProps['here']; own: Heat; map?: boolean }) {
  if (!canExpect(here)) return null
  const e = own.expected
  const changed = Object.values(own.tried).some((v) => v !== undefined)
  return (
    <Section title="Expected temperatures">
      {own.error && <p className="text-[14.5px] text-plum">{own.error.message}</p>}
      {!e && !own.error && <p className="text-[14.5px] text-soft">Calculating the plate</p>}
      {e && (
        <>
          {e.kinds.map((k) => (
            <Row
              key={k.name}
              name={`${k.name}, ${k.hottest}`}
              value={
                k.pastLimit && k.limitC != null
                  ? `over ${k.limitC.toFixed(0)}, throttles`
                  : `${k.c.toFixed(0)} ± ${k.rangeK.toFixed(0)}${k.limitC == null ? '' : ` of ${k.limitC.toFixed(0)}`}`
              }
              unit="°C"
              tone={k.marginK != null && k.marginK < 0 ? 'text-plum' : undefined}
            />
          ))}
          <Row name="coolant warms by" value={fixed(e.result.coolantRiseK, 1)} unit="K" />
          <Slider own={own} name="flow" unit="L/min" of="flowLMin" now={e.conditions.flowLMin} range={[0.5, 8, 0.5]} />
          <Slider
            own={own}
            name="coolant in"
            unit="°C"
            of="coolantInC"
            now={e.conditions.coolantInC}
            range={[15, 50, 1]}
          />
          <Slider
            own={own}
            name="heat"
            unit="W"
            of="powerW"
            now={e.conditions.powerW ?? e.boardW}
            range={[20, 600, 10]}
          />
          <Slider own={own} name="pads" unit="W/mK" of="padWPerMK" now={e.padWPerMK} range={[1, 20, 0.5]} />
          <Slider own={own} name="paste" unit="W/mK" of="pasteWPerMK" now={e.pasteWPerMK} range={[1, 80, 0.5]} />
          <div className="mt-2 flex flex-wrap gap-2">
            {map && e.map && (
              <Button
                kind={own.shown ? 'go' : 'plain'}
                aria-pressed={own.shown}
                keyName="M"
                onClick={() => own.show(!own.shown)}
              >
                Heat on the mat
              </Button>
            )}
            {changed && <Button onClick={() => own.attempt({})}>As planned</Button>}
          </div>
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

function Slider({
  own,
  name,
  unit,
  of,
  now,
  range: [least, most, step],
}: {
  own: Heat
  name: string
  unit: string
  of: keyof Tried
  now?: number | null
  range: [number, number, number]
}) {
  if (now == null) return null
  const value = own.tried[of] ?? now
  return (
    <label className="mt-1.5 grid grid-cols-[74px_minmax(0,1fr)_78px] items-center gap-2 text-[14.5px]">
      {name}
      <input
        type="range"
        min={Math.min(least, value)}
        max={Math.max(most, value)}
        step={step}
        value={value}
        className="h-6 w-full min-w-0 accent-copper"
        onChange={(e) => own.attempt({ ...own.tried, [of]: Number(e.target.value) })}
      />
      <span className={`num text-right text-[16px] ${own.tried[of] === undefined ? '' : 'font-semibold text-copper'}`}>
        {value < 10 ? fixed(value, 1) : value.toFixed(0)} {unit}
      </span>
    </label>
  )
}

/** The same at a station that has no map. */
export function ExpectedFigures({ job, here }: Pick<RoomProps, 'job' | 'here'>) {
  return <Expected here={here} own={useHeat(job, here)} map={false} />
}
