import { useState } from 'react'
import { Button } from '../../ui/Button'
import { clock, day, fixed, wait } from '../../ui/format'
import { Row, Section, Why } from '../Ledger'
import type { RoomProps } from '../room'
import { LeakByHand } from './LeakByHand'
import { SourceMark } from './SourceMark'
import { type LeakSoFar, useLeak } from './useLeak'

const words = { pass: 'Tight', fail: 'It leaks', wait: 'Wait' }
const tones = { pass: 'text-cool', fail: 'text-plum', wait: '' }

/** A pressure hold: the slope with its interval while it is watched, the verdict, and where it leaked. */
export function LeakSection({ job, s }: Pick<RoomProps, 'job' | 's'>) {
  const leak = useLeak(job)
  const [typed, type] = useState<{ volume?: string; limit?: string }>({})
  const [place, setPlace] = useState('')
  const volume = typed.volume ?? String(leak.kept?.volumeMl ?? '')
  const limit = typed.limit ?? String(leak.kept?.limitMlPerMin ?? '')
  const [ml, perMin] = [Number(volume.replace(',', '.')), Number(limit.replace(',', '.'))]
  const good = ml >= 10 && ml <= 20_000 && perMin >= 0.001
  const r = leak.now?.result
  return (
    <Section title="Leak test by pressure">
      <Why tone="text-amber">Air at most 0.5 bar, never a compressor straight on; nothing powered but the pump.</Why>
      {job.plan.prove.volume && <Why>{job.plan.prove.volume.text}</Why>}
      <div className="mt-1.5 flex flex-wrap items-end gap-2">
        <Figure
          name="air shut in, mL"
          value={volume}
          set={(v) => type({ ...typed, volume: v })}
          disabled={leak.running}
        />
        <Figure name="limit, mL/min" value={limit} set={(v) => type({ ...typed, limit: v })} disabled={leak.running} />
        {leak.running ? (
          <Button onClick={leak.stop}>Stop</Button>
        ) : (
          <>
            <Button disabled={!good} onClick={() => leak.start(ml, perMin)}>
              Hold and watch
            </Button>
            <Button disabled={!good} onClick={() => leak.start(ml, perMin, true)}>
              Practise on a leak
            </Button>
            <LeakByHand
              by={s.by}
              volumeMl={ml}
              limitMlPerMin={perMin}
              fault={leak.fault}
              write={(body) => leak.send({ by: s.by, ...body })}
            />
          </>
        )}
      </div>
      {leak.now && (
        <div aria-live="polite" className="mt-2">
          {leak.gauge && (
            <p className="text-[14.5px] text-soft">
              {leak.gauge.name}
              {leak.gauge.simulated && `, ${leak.gauge.simulated} times as fast`}
            </p>
          )}
          <p className={`text-[22px] font-bold ${r ? tones[r.verdict] : ''}`}>
            {r ? words[r.verdict] : 'Reading'}
            {r?.verdict === 'wait' && r.moreS > 0 && `, about ${wait(Math.ceil(r.moreS))} more`}
          </p>
          <Spark samples={leak.samples ?? []} />
          <Row name="gauge" value={fixed(leak.now.gaugeKPa, 2)} unit="kPa" />
          <Row name="held for" value={fixed(leak.now.timeS / 60, 1)} unit="min" />
          {r && (
            <Row name="loses, 95 %" value={`${fixed(r.lowMlPerMin, 2)} to ${fixed(r.highMlPerMin, 2)}`} unit="mL/min" />
          )}
          {r?.verdict === 'fail' && (
            <label className="mt-1.5 block text-[14px] text-soft">
              where it leaks: joint, pump, fitting, block, hose
              <input
                value={place}
                onChange={(e) => setPlace(e.target.value)}
                className="block w-full border border-rule bg-raised px-1.5 py-1 text-[17px] text-ink"
              />
            </label>
          )}
          {r && r.verdict !== 'wait' && leak.kept?.practiceOnly && leak.gauge?.simulated && (
            <p className="mt-1.5 text-[14.5px] text-soft">
              This gauge is a stand-in for practice: what it tells is not written down.
            </p>
          )}
          {r && r.verdict !== 'wait' && !(leak.kept?.practiceOnly && leak.gauge?.simulated) && (
            <Button
              className="mt-2"
              kind="go"
              onClick={() => leak.write(s.by, ml, perMin, r.verdict === 'fail' ? place.trim() || undefined : undefined)}
            >
              Write it down
            </Button>
          )}
        </div>
      )}
      {leak.fault && (
        <p role="alert" className="text-[14.5px] text-plum">
          {leak.fault}
        </p>
      )}
      <ul>
        {(leak.kept?.tests ?? []).map((t) => (
          <li key={t.id} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14.5px]">
            <b className={t.verdict === 'fail' ? 'text-plum' : 'text-cool'}>
              {t.verdict === 'fail' ? 'leaks' : 'tight'}
            </b>
            <span className="num min-w-0 flex-1">
              {[
                t.leakMlMin != null &&
                  `${t.verdict === 'fail' ? fixed(t.leakMlMin, 2) : `under ${fixed(t.highMlMin ?? 0, 2)}`} mL/min`,
                t.method === 'water' && 'with water',
                t.method === 'vacuum' && 'vacuum',
                t.durationS != null && `${(t.durationS / 60).toFixed(0)} min`,
                t.place,
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
            <SourceMark source={t.source} />
            <span className="text-soft">
              {t.byInitials} {day(t.at)} {clock(t.at)}
            </span>
          </li>
        ))}
      </ul>
    </Section>
  )
}

function Figure({
  name,
  value,
  set,
  disabled,
}: {
  name: string
  value: string
  set: (v: string) => void
  disabled: boolean
}) {
  return (
    <label className="text-[13px] text-soft">
      {name}
      <input
        value={value}
        disabled={disabled}
        onChange={(e) => set(e.target.value)}
        inputMode="decimal"
        className="num block w-24 border border-rule bg-raised px-1.5 py-1 text-[17px] text-ink"
      />
    </label>
  )
}

/** The gauge over time, between its least and its greatest. */
function Spark({ samples }: { samples: LeakSoFar[] }) {
  const [w, h] = [300, 54]
  const values = samples.map((x) => x.gaugeKPa)
  const [least, most] = [Math.min(...values), Math.max(...values)]
  const end = samples.at(-1)?.timeS || 1
  const every = Math.max(1, Math.floor(samples.length / 300))
  const d = samples
    .filter((_, i) => i % every === 0)
    .map(
      (x, i) =>
        `${i ? 'L' : 'M'}${((x.timeS / end) * w).toFixed(1)} ${(h - 4 - ((x.gaugeKPa - least) / Math.max(0.05, most - least)) * (h - 8)).toFixed(1)}`,
    )
    .join('')
  return (
    <svg viewBox={`0 0 ${w} ${h}`} className="my-1 w-full bg-raised" role="img" aria-label="Pressure so far">
      <path d={d} fill="none" stroke="var(--cool)" strokeWidth={1.6} />
    </svg>
  )
}
