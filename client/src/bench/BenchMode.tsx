import { useEffect, useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import type { Face, JobView, Station, WorkStep } from '../api/client'
import { useJob } from '../api/queries'
import { useKeys } from '../app/keys'
import { Mat } from '../mat/Mat'
import { ScrewSymbol } from '../mat/ScrewSymbol'
import { PadLayer } from '../mat/PadLayer'
import { holesOf, identity, placed } from '../mat/place'
import { DriverPanel } from './DriverPanel'
import { atHand, SheetAtHand } from './PadsAtHand'
import { Counter } from '../stations/Counter'
import { MountOverlay } from '../stations/mount/MountOverlay'
import { TrayMap } from '../stations/teardown/TrayMap'
import { TeardownOverlay } from '../stations/teardown/TeardownOverlay'
import { useSteps, type Steps } from '../stations/useSteps'
import { ErrorNotice, Loading } from '../ui/Notice'
import { left, stationName } from '../ui/format'
import { useNow } from '../ui/useNow'

/** One step fills the screen, readable from a metre, worked by two keys or a pedal. */
export function BenchMode() {
  const { id, station } = useParams()
  const job = useJob(Number(id))
  if (job.error && !job.data) return <ErrorNotice error={job.error} again={() => job.refetch()} />
  if (!job.data) return <Loading what="the step" />
  return <Bench job={job.data} station={station as Station | 'restore'} />
}

function Bench({ job, station }: { job: JobView; station: Station | 'restore' }) {
  const s = useSteps(job, station)
  const go = useNavigate()
  const [turned, setTurned] = useState<Face | null>(null)
  const step = s.step
  const face = turned ?? step?.face ?? 'front'
  const timer = job.timers.find((t) => t.stepId === step?.id)
  const next = s.steps[s.index + 1]
  useEffect(() => setTurned(null), [step?.id])
  useWakeLock()
  const hand = step ? atHand(job, step, s.isSigned ? (step.count ?? 0) : s.count) : null
  // at Pads every press is one cut or one film, and the last one signs
  const go1 = () => {
    if (hand && !s.isSigned && step?.count != null && s.count < step.count) s.setCount(s.count + 1)
    else s.sign()
  }
  const desk = () => go(`/job/${job.id}/${station}`)
  const say = () => {
    if (!step || !('speechSynthesis' in window)) return
    speechSynthesis.cancel()
    speechSynthesis.speak(new SpeechSynthesisUtterance([step.title, step.caution].filter(Boolean).join('. ')))
  }
  const start = () => {
    if (step?.timerS != null && !timer) s.changes.startTimer.mutate(step.id)
  }
  useKeys({
    Space: go1,
    Backspace: () => {
      if (hand && !s.isSigned && s.count > 0) s.setCount(s.count - 1)
      else s.back()
    },
    f: () => setTurned(face === 'front' ? 'back' : 'front'),
    t: start,
    v: say,
    Escape: desk,
    '+': () => s.setCount(s.count + 1),
    '-': () => s.setCount(s.count - 1),
    ArrowLeft: () => s.look(-1),
    ArrowRight: () => s.look(1),
  })
  if (!step)
    return (
      <ErrorNotice
        error={new Error('This station has no steps yet. Go back to the desk and choose a block.')}
        again={desk}
      />
    )
  return (
    <div
      className="grid h-full grid-cols-[minmax(0,54%)_minmax(0,46%)] grid-rows-[minmax(0,1fr)_132px] bg-card text-ink"
      data-bench={step.id}
    >
      <section className="flex min-h-0 flex-col overflow-hidden px-10 pt-7" aria-live="polite">
        <p className="text-[22px] text-soft">
          {stationName(station)}, {s.index + 1} of {s.steps.length}
          {station === 'mount' && step.detail?.startsWith('Pass')
            ? `, ${step.detail.replace(/\.$/, '').replace('Pass', 'pass')}`
            : ''}
        </p>
        <h1
          className={`mt-2 text-balance font-bold leading-[1.07] ${step.title.length > 52 ? 'text-[42px]' : 'text-[54px]'}`}
        >
          <Told step={step} />
        </h1>
        {step.facts.length > 0 && (
          <div className="mt-5 flex flex-wrap gap-6">
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
          <p className="mt-5 max-w-[620px] border-l-[6px] border-copper pl-4 text-[28px] font-semibold leading-tight">
            {hand.say}
          </p>
        )}
        {step.caution && <Caution text={step.caution} />}
        {!step.caution && step.detail && (
          <p className="mt-5 max-w-[600px] text-[22px] leading-snug text-soft">{step.detail}</p>
        )}
        <div className="mt-5 flex items-center gap-4">
          {step.count != null && !s.isSigned && <Counter big count={s.count} of={step.count} onChange={s.setCount} />}
          {step.timerS != null && <BenchTimer seconds={step.timerS} endsAt={timer?.endsAt} start={start} />}
        </div>
        {step.turn && <DriverPanel jobId={job.id} step={step} s={s} />}
        {s.refusal && (
          <div
            role="alert"
            className="mt-4 max-w-[620px] border-l-[6px] border-plum pl-4 text-[24px] leading-tight text-plum"
          >
            {s.refusal.message}
          </div>
        )}
      </section>
      <div className="flex min-h-0">
        {hand?.sheet ? (
          <SheetAtHand job={job} hand={hand} />
        ) : (
          <BenchMat
            job={job}
            station={station}
            s={s}
            piece={hand?.piece?.parts}
            face={face}
            onFlip={() => setTurned(face === 'front' ? 'back' : 'front')}
          />
        )}
      </div>
      <div className="col-span-2 grid grid-cols-[230px_minmax(0,1fr)_150px_420px] items-stretch bg-line text-on-line">
        <button type="button" onClick={s.back} className="px-6 text-left text-[22px]">
          Back one<kbd className="num block text-[17px] text-line-soft">Backspace, left pedal</kbd>
        </button>
        <div className="min-w-0 self-center px-4 text-[20px] leading-tight text-line-soft">
          {s.isSigned ? (
            `signed ${s.signed.get(step.id)!.by}`
          ) : next ? (
            <>
              then <b className="block truncate text-[24px] font-semibold text-on-line">{next.title}</b>
            </>
          ) : (
            'the last step of this station'
          )}
          <span className="block text-[18px]">F turns the board over, V reads aloud</span>
        </div>
        <button type="button" onClick={desk} className="px-3 text-[20px] text-line-soft">
          Desk<kbd className="num block text-[17px]">Esc</kbd>
        </button>
        {s.allSigned ? (
          <button type="button" onClick={desk} className="bg-cool px-7 text-left text-[30px] font-bold text-card">
            {stationName(station)} is signed<kbd className="num block text-[18px] font-normal">back to the desk</kbd>
          </button>
        ) : (
          <button
            type="button"
            onClick={go1}
            disabled={s.busy || s.isSigned}
            className="bg-copper px-7 text-left text-[32px] font-bold leading-tight text-on-copper"
          >
            {hand?.done ?? step.done}
            <kbd className="num block text-[18px] font-normal">Space, right pedal</kbd>
          </button>
        )}
      </div>
    </div>
  )
}

/** The sentence with its number and its turn in copper. */
function Told({ step }: { step: WorkStep }) {
  const turn = /^Screw (\d+), (.*): (.*)$/.exec(step.title)
  if (!turn) return step.title
  return (
    <>
      Screw <em className="not-italic text-copper">{turn[1]}</em>, {turn[2]}:{' '}
      <em className="not-italic text-copper">{turn[3]}</em>
    </>
  )
}

function Caution({ text }: { text: string }) {
  return (
    <div className="mt-5 grid max-w-[620px] grid-cols-[36px_1fr] gap-3 text-[23px] leading-[1.2] text-amber">
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
        Start {seconds >= 120 ? `${Math.round(seconds / 60)} min` : `${seconds} s`}
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

function BenchMat({
  job,
  station,
  s,
  piece,
  face,
  onFlip,
}: {
  job: JobView
  station: Station | 'restore'
  s: Steps
  piece?: string[]
  face: Face
  onFlip: () => void
}) {
  const { board, block, plan } = job
  const placement = plan.fit?.placement ?? identity
  const tint = Object.fromEntries((s.step?.targets ?? []).map((t) => [t, 'copper' as const]))
  const near = station === 'mount' && block ? focusOf(job, s) : undefined
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col">
      <Mat
        board={board}
        face={face}
        onFlip={onFlip}
        label={`Place of the step on the ${face}`}
        tint={tint}
        focus={near}
        quiet
      >
        {(p) => (
          <>
            {(station === 'teardown' || station === 'restore') && (
              <TeardownOverlay job={job} s={s} p={p} big prefix={station === 'restore' ? 'restore.back-' : undefined} />
            )}
            {station === 'pads' && (
              <PadLayer
                board={board}
                pads={plan.pads.filter((x) => s.step?.targets.includes(x.part))}
                p={p}
                lit={piece}
              />
            )}
            {station === 'mount' && block && (
              <MountOverlay job={job} block={block} placement={placement} s={s} p={p} big />
            )}
          </>
        )}
      </Mat>
      {(station === 'teardown' || station === 'restore') && plan.teardown && (
        <div className="bg-card p-3">
          <TrayMap tray={plan.teardown.tray} lit={s.step?.id} big />
        </div>
      )}
    </div>
  )
}

/** Round the die while its ring is turned, else the whole board. */
function focusOf(job: JobView, s: Steps): number[][] | undefined {
  const ids = s.step?.targets ?? []
  if (ids.length !== 1) return undefined
  const holes = holesOf(job.block!)
  const hole = holes.find((h) => h.id === ids[0])
  if (!hole || hole.role !== 'retention') return undefined
  const ring = holes
    .filter((h) => h.role === 'retention')
    .map((h) => placed(job.plan.fit?.placement ?? identity, [[h.x, h.y]])[0])
  return ring.flatMap(([x, y]) => [
    [x - 14, y - 12],
    [x + 14, y + 12],
  ])
}

/** Keeps the screen awake while a step is shown, where the browser can. */
function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    const ask = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (l) => {
            lock = l
          },
          () => {},
        )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
}
