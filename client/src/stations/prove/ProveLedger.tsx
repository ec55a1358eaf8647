import { clock, day, fixed } from '../../ui/format'
import { Corrections } from '../Corrections'
import { Head, Row, Section, Why } from '../Ledger'
import { LooseEnds } from '../LooseEnds'
import type { RoomProps } from '../room'
import { StepList } from '../StepList'
import { Complaint } from './Complaint'
import { Expected } from './Expected'
import { ImprintSection } from './ImprintSection'
import { LeakSection } from './LeakSection'
import { LogSection } from './LogSection'
import { ReadingForm } from './ReadingForm'
import type { ProveOwn } from './room'
import { Sensors } from './Sensors'
import { SourceMark } from './SourceMark'
import { Strike } from './Strike'
import { Suspects } from './Suspects'
import { Trial } from './Trial'
import { useSuspects } from './useSuspects'

/** Readings before and after, what they say, and the verdict in words. */
export function ProveLedger(props: RoomProps<ProveOwn>) {
  const { job, here, s } = props
  const c = here.comparison
  const module = here.board.kind === 'memory-module'
  const found = useSuspects(job, here).data
  const doubt = found?.doubt ? found.hypotheses[0] : undefined
  return (
    <>
      <Head
        tone={c?.trouble || doubt ? 'text-plum' : c?.gainK != null ? 'text-cool' : ''}
        sub={
          doubt
            ? `And something is warmer than it should be: ${doubt.name}, ${Math.round(doubt.probability * 100)} %.`
            : 'Same load, same room, same clocks, steady; several runs.'
        }
      >
        {c?.verdict ?? 'No readings yet'}
      </Head>
      {c && <Sensors sensors={c.sensors} />}
      {!module && <Complaint job={job} here={here} s={s} />}
      {here.trial && <Trial trial={here.trial} />}
      {c && c.why.length > 0 && (
        <Section title="Figures">
          {c.gainK != null && (
            <Row
              name="cooler at the before power"
              value={`${fixed(c.gainK, 1)} ± ${fixed(c.gainUncertaintyK ?? 0, 1)}`}
              unit="K"
            />
          )}
          {c.beforeToRoom && <Row name="die to room, before" value={fixed(c.beforeToRoom.kPerW, 3)} unit="K/W" />}
          {c.afterToRoom && <Row name="die to room, after" value={fixed(c.afterToRoom.kPerW, 3)} unit="K/W" />}
          {c.afterToCoolant && <Row name="die to coolant" value={fixed(c.afterToCoolant.kPerW, 3)} unit="K/W" />}
          {c.expectedToCoolantKPerW != null && (
            <Row name="expected of this block" value={fixed(c.expectedToCoolantKPerW, 3)} unit="K/W" />
          )}
          {c.coolantRiseK != null && <Row name="coolant warms by" value={fixed(c.coolantRiseK, 1)} unit="K" />}
          {here.runs?.spread && (
            <Why tone={here.runs.spread.repeatable ? undefined : 'text-amber'}>{here.runs.spread.text}</Why>
          )}
          {here.runs?.sweep && (
            <Why tone={here.runs.sweep.throughZero ? undefined : 'text-amber'}>{here.runs.sweep.text}</Why>
          )}
        </Section>
      )}
      <Suspects job={job} here={here} />
      <ImprintSection job={job} here={here} s={s} selected={props.selected} />
      <Expected {...props} />
      <LogSection {...props} />
      <LeakSection job={job} s={s} />
      <Section title="Readings">
        {job.readings.length === 0 && (
          <p className="text-[14.5px] text-soft">
            None. The before reading belongs to Kit: run the card with its stock cooler first.
          </p>
        )}
        {job.readings.map((r) => (
          <div key={r.id} className="flex items-baseline gap-2 border-b border-rule/60 py-1 text-[14px]">
            <b className="w-12">{r.phase}</b>
            <span className="num flex-1 text-[15.5px]">
              {module ? 'module' : 'die'} {r.dieC} · room {r.roomC}
              {r.coolantC != null && ` · coolant ${r.coolantC}`} · {r.powerW} W
              {r.flowLMin != null && ` · ${r.flowLMin} L/min`}
            </span>
            <SourceMark source={r.source} />
            <span className="text-soft">
              {r.byInitials} {day(r.at)} {clock(r.at)}
            </span>
            <Strike
              job={job}
              s={s}
              what={`the ${r.phase} reading`}
              strike={() => s.changes.strike.mutate({ readingId: r.id, by: s.by })}
              correction={{ reading: r.id }}
            />
          </div>
        ))}
        <ReadingForm s={s} board={here.boardKey} first={job.readings.length === 0} module={module} />
      </Section>
      <Corrections job={job} only={(kind) => kind === 'reading' || kind === 'log'} />
      {c && c.why.length > 0 && (
        <Section title="Why">
          {c.why.map((w) => (
            <Why key={w}>{w}</Why>
          ))}
        </Section>
      )}
      <LooseEnds job={job} />
      <Section title="Steps">
        <StepList s={s} />
      </Section>
    </>
  )
}
