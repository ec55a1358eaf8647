import type { Schemas } from '../../api/client'
import { fixed } from '../../ui/format'
import { Section } from '../Ledger'

const tones: Record<Schemas['SensorState'], string> = {
  better: 'text-cool',
  'as-expected': 'text-cool',
  open: 'text-amber',
  poor: 'text-plum',
}

/** Each sensor with its interval, over the interval of what is expected there: poor only where the two part. */
export function Sensors({ sensors }: { sensors: Schemas['SensorProof'][] }) {
  if (sensors.length === 0) return null
  const ends = sensors.flatMap((s) => [
    s.measuredC - s.measuredPlusMinusK,
    s.measuredC + s.measuredPlusMinusK,
    s.expectedC - s.expectedPlusMinusK,
    s.expectedC + s.expectedPlusMinusK,
  ])
  const [low, high] = [Math.min(...ends) - 1, Math.max(...ends) + 1]
  const at = (c: number) => (100 * (c - low)) / (high - low)
  const bar = (c: number, half: number) => ({ left: `${at(c - half)}%`, width: `${at(c + half) - at(c - half)}%` })
  return (
    <Section title="At the sensors, after">
      {sensors.map((s) => {
        const tone = tones[s.state]
        return (
          <div key={s.kind} className="border-b border-rule/60 py-1.5">
            <div className="flex items-baseline gap-2">
              <span className="min-w-0 flex-1 text-[15px]">
                {s.name} {s.part}
              </span>
              <span className="num text-[18px]">
                {fixed(s.measuredC, 1)} ± {fixed(s.measuredPlusMinusK, 1)} °C
              </span>
            </div>
            <div aria-hidden className="relative my-1 h-[14px] bg-rule/40">
              <span className="absolute top-[8px] h-[5px] bg-soft/60" style={bar(s.expectedC, s.expectedPlusMinusK)} />
              <span
                className={`absolute top-[1px] h-[5px] bg-current ${tone}`}
                style={bar(s.measuredC, s.measuredPlusMinusK)}
              />
            </div>
            <div className="flex items-baseline gap-2 text-[14.5px]">
              <span className="min-w-0 flex-1 text-soft">
                expected {fixed(s.expectedC, 1)} ± {fixed(s.expectedPlusMinusK, 1)}
              </span>
              <b className={tone}>{s.said}</b>
            </div>
            {s.advice && <p className="text-[14.5px] text-amber">{s.advice}</p>}
          </div>
        )
      })}
    </Section>
  )
}
