import { useEffect, useState } from 'react'
import type { Face, JobView, Station, WorkStep } from '../api/client'
import { useTimers } from '../api/papers'
import { useJob } from '../api/queries'
import { useKeys } from '../app/keys'
import { useNavigate, useParams } from '../app/router'
import { ScrewSymbol } from '../mat/ScrewSymbol'
import { Counter } from '../stations/Counter'
import { wayBack } from '../stations/care/wayBack'
import { hereOf } from '../stations/here'
import { ChanceList, TurnList, Waiting } from '../stations/moment/MomentSections'
import { TurnPicture } from '../stations/moment/TurnPicture'
import { type Moment, useMoment } from '../stations/moment/useMoment'
import { PhotoButton } from '../stations/PhotoButton'
import { RoomMat } from '../stations/RoomMat'
import type { AtHand, Room, RoomProps } from '../stations/room'
import { rooms } from '../stations/rooms'
import { TogetherDialog } from '../stations/StepLine'
import { StepPicture } from '../stations/seat/StepPicture'
import { turnNow } from '../stations/stepLogic'
import { type Steps, useSteps } from '../stations/useSteps'
import { left, stationName, wait } from '../ui/format'
import { ErrorNotice, Loading } from '../ui/Notice'
import { useNow } from '../ui/useNow'
import { MeanwhileLine, useMeanwhile } from './Meanwhile'
import { useWakeLock } from './useWakeLock'

/** One step fills the screen, readable from a metre, worked by two keys or a pedal. */
export function BenchMode() {
  const { id, station } = useParams()
  const job = useJob(Number(id))
  if (job.error && !job.data) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the step" />
  return <Bench key={station} job={job.data} station={station as Station | 'restore'} />
}

function Bench({ job, station }: { job: JobView; station: Station | 'restore' }) {
  const room: Room = station === 'restore' ? wayBack : (rooms[station] ?? rooms.match)
  const s = useSteps(job, station)
  const go = useNavigate()
  const [turned, setTurned] = useState<Face | null>(null)
  const step = s.step
  const face = turned ?? step?.face ?? 'front'
  const flip = () => setTurned(face === 'front' ? 'back' : 'front')
  const here = hereOf(job, { board: step?.board ?? undefined, pair: step?.pair ?? undefined })
  const own = room.useOwn({ job, here, face })
  const moment = useMoment(job, s.isSigned ? undefined : step?.id)
  const props = { job, here, s, face, select: () => {}, own }
  const timer = useTimers(job).find((t) => t.stepId === step?.id)
  // biome-ignore lint/correctness/useExhaustiveDependencies: every step begins on its own face
  useEffect(() => setTurned(null), [step?.id])
  useWakeLock()
  const meanwhile = useMeanwhile(job.id, step?.id, !!timer)
  const hand = step ? (room.bench?.atHand?.(props, s.isSigned ? (step.count ?? 0) : s.count) ?? null) : null
  // where work is counted piece by piece every press is one, and the last one signs
  const press = () => {
    if (step?.turns.length) s.tick()
    else if (hand && !s.isSigned && step?.count != null && s.count < step.count) s.setCount(s.count + 1)
    else s.sign()
  }
  const desk = () => go(`/job/${job.id}/${station}`)
  const start = () => {
    if (step?.timerS != null && !timer) s.changes.startTimer.mutate({ stepId: step.id, by: s.by })
  }
  useKeys({
    Space: press,
    Backspace: () => {
      if (hand && !s.isSigned && s.count > 0) s.setCount(s.count - 1)
      else s.back()
    },
    Enter: () => (step?.turns.length ? s.signAll() : undefined),
    f: flip,
    t: start,
    m: meanwhile.press,
    v: () => step && readAloud(step),
    Escape: desk,
    '+': () => s.setCount(s.count + 1),
    '-': () => s.setCount(s.count - 1),
    ArrowLeft: () => s.look(-1),
    ArrowRight: () => s.look(1),
  })
  if (!step) return <NoSteps station={station} desk={desk} />
  const lit = { ...props, own: hand?.parts ? { ...(own as object | undefined), lit: hand.parts } : own }
  return (
    <div className="bench bg-card text-ink" data-bench={step.id}>
      <Words
        station={station}
        step={step}
        hand={hand}
        room={room}
        props={props}
        moment={moment}
        timerEnds={timer?.endsAt}
        start={start}
        meanwhile={meanwhile}
      />
      <div className="bench-place flex min-h-0 min-w-0 flex-col bg-card">
        {hand?.picture ?? (
          <>
            {moment?.turn && (
              <figure className="mx-auto w-full max-w-[520px] px-4 pt-3" data-turn={moment.turn.up}>
                <TurnPicture turn={moment.turn} />
                <figcaption className="py-2">
                  <TurnList turn={moment.turn} big />
                </figcaption>
              </figure>
            )}
            <RoomMat
              room={room}
              props={lit}
              label={`Place of the step on the ${face}`}
              onFlip={flip}
              moment={moment}
              big
            />
            {room.bench?.Below && <room.bench.Below {...props} />}
          </>
        )}
      </div>
      <Pedals station={station} s={s} done={hand?.done ?? step.done} press={press} desk={desk} />
      <TogetherDialog s={s} />
    </div>
  )
}

/** A station that waits for a block, or a job of which nothing is off. */
function NoSteps({ station, desk }: { station: Station | 'restore'; desk: () => void }) {
  const back = station === 'restore'
  return (
    <div className="flex h-full flex-col items-start justify-center gap-6 bg-card px-10 text-ink" data-bench="none">
      <h1 className="font-bold text-[clamp(38px,4.2vw,72px)] leading-[1.07]">
        {back ? 'Nothing to put back' : `${stationName(station)} has no steps yet`}
      </h1>
      <p className="text-[26px] text-soft">
        {back ? 'It stands as it came.' : 'Choose a block at the desk, then they stand here.'}
      </p>
      <button
        type="button"
        onClick={desk}
        className="min-h-[72px] rounded-[3px] bg-copper px-7 text-[30px] font-bold text-on-copper"
      >
        To the desk <kbd className="num text-[18px] font-normal">Esc</kbd>
      </button>
    </div>
  )
}

function readAloud(step: WorkStep) {
  if (!('speechSynthesis' in window)) return
  speechSynthesis.cancel()
  speechSynthesis.speak(new SpeechSynthesisUtterance([step.first, step.title, step.caution].filter(Boolean).join('. ')))
}

/** The sentence, its figures, its caution and its why. */
function Words({
  station,
  step,
  hand,
  room,
  props,
  moment,
  timerEnds,
  start,
  meanwhile,
}: {
  station: string
  step: WorkStep
  hand: AtHand | null
  room: Room
  props: RoomProps
  moment?: Moment
  timerEnds?: string
  start: () => void
  meanwhile: ReturnType<typeof useMeanwhile>
}) {
  const { s } = props
  const again = s.signed.get(step.id)
  const Panel = room.bench?.Panel
  const next = s.steps[s.index + 1]
  return (
    <section
      className="bench-words scroll-thin flex min-h-0 flex-col gap-4 overflow-y-auto px-8 py-6 xl:px-10"
      aria-live="polite"
      aria-label="Step"
      tabIndex={0}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 text-[22px] leading-tight text-soft">
        <p>
          {stationName(station)}, {s.index + 1} of {s.steps.length}
        </p>
        {moment && moment.open.length > 0 && <Waiting open={moment.open.slice(0, 1)} big />}
      </div>
      {step.first && !s.isSigned && (
        <p className="border-l-[6px] border-amber bg-amber-wash px-4 py-2 text-[26px] font-semibold leading-tight">
          {step.first}
        </p>
      )}
      <h1
        className={`text-balance font-bold leading-[1.07] ${step.title.length > 60 ? 'text-[clamp(32px,3.3vw,56px)]' : 'text-[clamp(38px,4.2vw,72px)]'}`}
      >
        {step.title}
      </h1>
      {step.facts.length > 0 && (
        <div className="flex flex-wrap gap-6">
          {step.facts.map((f) => (
            <div key={f.label} className="min-w-[112px] border-t-[3px] border-copper pt-1.5">
              <b className="num flex items-center gap-3 text-[44px] font-semibold leading-none">
                {f.value === step.driver && (
                  <svg width="44" height="44" viewBox="-22 -22 44 44" aria-hidden>
                    <ScrewSymbol x={0} y={0} r={20} driver={f.value} />
                  </svg>
                )}
                {f.value}
              </b>
              <span className="text-[19px] text-soft">{f.label}</span>
            </div>
          ))}
        </div>
      )}
      {hand && !s.isSigned && (
        <p className="border-l-[6px] border-copper pl-4 text-[28px] font-semibold leading-tight">{hand.say}</p>
      )}
      {again?.lookAgain && (
        <div role="alert" className="border-l-[6px] border-amber bg-amber-wash px-4 py-2 text-[22px] leading-tight">
          <b>Look again.</b> {again.changed.join(' ')}
        </div>
      )}
      {step.caution && <Caution text={step.caution} />}
      <div className="flex flex-wrap items-center gap-4">
        {step.count != null && !s.isSigned && (
          <Counter big count={s.count} of={step.count} open={step.countsOpen} onChange={s.setCount} />
        )}
        {step.timerS != null && <BenchTimer seconds={step.timerS} endsAt={timerEnds} start={start} />}
        {!s.isSigned && <PhotoButton s={s} big />}
        <MeanwhileLine told={meanwhile} />
      </div>
      {step.picture && <StepPicture kind={step.picture} big />}
      {Panel && <Panel {...props} />}
      {s.refusal && (
        <div role="alert" className="border-l-[6px] border-plum pl-4 text-[24px] leading-tight text-plum">
          {s.refusal.message}
        </div>
      )}
      {moment?.closes && (
        <section aria-label={moment.closes.title}>
          <h2 className="text-[19px] text-soft">{moment.closes.title}</h2>
          <ChanceList job={props.job} items={moment.closes.items} big />
        </section>
      )}
      {step.detail && <p className="text-[25px] leading-snug">{step.detail}</p>}
      <div className="flex-1" />
      {step.feel && step.turns.length === 0 && (
        <div className="grid grid-cols-[36px_1fr] gap-3">
          <svg width="34" height="34" viewBox="0 0 34 34" aria-hidden fill="none" stroke="var(--cool)" strokeWidth="3">
            <path d="M2 17Q17 3 32 17Q17 31 2 17Z" />
            <circle cx="17" cy="17" r="4.5" fill="var(--cool)" />
          </svg>
          <p className="text-[24px] leading-snug text-soft">{step.feel}</p>
        </div>
      )}
      <div className="flex-1" />
      {next && step.turns.length === 0 && (
        <div className="border-t border-rule pt-3">
          <p className="text-[19px] text-soft">and after this</p>
          <p className="text-[27px] font-semibold leading-tight">{next.title}</p>
          {next.driver && next.driver !== step.driver && (
            <p className="text-[20px] text-soft">with {next.driver}: lay it ready</p>
          )}
        </div>
      )}
    </section>
  )
}

/** The dark line with the two keys that matter. */
function Pedals({
  station,
  s,
  done,
  press,
  desk,
}: {
  station: string
  s: Steps
  done: string
  press: () => void
  desk: () => void
}) {
  const step = s.step!
  const next = s.steps[s.index + 1]
  return (
    <div className="bench-keys grid min-h-[116px] grid-cols-[auto_minmax(0,1fr)_auto_minmax(260px,33%)] items-stretch bg-line text-on-line">
      <button type="button" onClick={s.back} className="px-6 text-left text-[22px]">
        Back one<kbd className="num block text-[17px] text-line-soft">Backspace, left pedal</kbd>
      </button>
      <div className="min-w-0 self-center px-4 text-[20px] leading-tight text-line-soft">
        {s.isSigned && <b className="block text-[22px] text-on-line">signed {s.signed.get(step.id)?.by}</b>}
        {!s.isSigned && step.turns.length > 0 && next && (
          <>
            then <b className="line-clamp-2 text-[22px] font-semibold text-on-line">{thenWhat(step, s.count, next)}</b>
          </>
        )}
        {!s.isSigned && step.turns.length > 1 ? (
          <button type="button" className="block min-h-9 text-left text-[18px] underline" onClick={s.signAll}>
            Enter: all {step.turns.length} of this pass are turned
          </button>
        ) : (
          <span className="block text-[18px]">F turns the board over, V reads aloud</span>
        )}
      </div>
      <button type="button" onClick={desk} className="px-5 text-[20px] text-line-soft">
        Desk<kbd className="num block text-[17px]">Esc</kbd>
      </button>
      {s.allSigned ? (
        <button
          type="button"
          onClick={desk}
          className="bg-cool px-7 py-2 text-left text-[30px] font-bold leading-tight text-card"
        >
          {stationName(station)} is signed<kbd className="num block text-[18px] font-normal">back to the desk</kbd>
        </button>
      ) : (
        <button
          type="button"
          onClick={press}
          disabled={s.busy || s.isSigned}
          className="bg-copper px-7 py-2 text-left text-[30px] font-bold leading-tight text-on-copper"
        >
          {s.signed.get(step.id)?.lookAgain ? 'Confirm and sign again' : done}
          <kbd className="num block text-[18px] font-normal">Space, right pedal</kbd>
        </button>
      )}
    </div>
  )
}

/** Inside a pass the next screw, else the next step. */
function thenWhat(step: WorkStep, count: number, next: WorkStep) {
  const turn = turnNow(step, count + 1)
  return turn ? `${turn.thing} ${turn.number}, ${turn.where}` : next.title
}

function Caution({ text }: { text: string }) {
  return (
    <div className="grid grid-cols-[36px_1fr] gap-3 text-[23px] leading-[1.2] text-amber">
      <svg width="34" height="34" viewBox="0 0 34 34" aria-hidden fill="none" stroke="currentColor" strokeWidth="3">
        <path d="M17 4L32 30H2Z" />
        <path d="M17 13v8M17 24.5v2" />
      </svg>
      <span>{text}</span>
    </div>
  )
}

function BenchTimer({ seconds, endsAt, start }: { seconds: number; endsAt?: string; start: () => void }) {
  const now = useNow()
  if (!endsAt)
    return (
      <button type="button" onClick={start} className="min-h-14 rounded-[3px] border-2 border-rule px-5 text-[24px]">
        Start {wait(seconds)}
        <kbd className="num ml-3 text-soft">T</kbd>
      </button>
    )
  const { text, over } = left(endsAt, now)
  return (
    <b role="timer" className={`num text-[56px] leading-none ${over ? 'text-cool' : ''}`}>
      {over ? 'wait is over' : text}
    </b>
  )
}
