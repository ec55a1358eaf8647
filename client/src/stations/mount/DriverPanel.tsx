import { useEffect, useRef, useState } from 'react'
import { answer, http, type Schemas, type WorkStep } from '../../api/client'
import { type TurnVerdict, useDriver } from '../../api/instruments'
import { fixed } from '../../ui/format'
import type { Steps } from '../useSteps'

const manners: [Schemas['TurnManner'], string][] = [
  ['right', 'Turn it'],
  ['overshoot', 'too far'],
  ['cross-thread', 'across the thread'],
  ['skipped', 'skip it'],
]
const bad: Schemas['TurnState'][] = ['overshoot', 'cross-thread', 'skipped', 'free']

/** The torque driver beside a pass: how far, how hard; a met target ticks its screw, a fault says what to do. */
export function DriverPanel({
  jobId,
  step,
  turn: at,
  s,
}: {
  jobId: number
  step: WorkStep
  turn: Schemas['ScrewTurn']
  s: Steps
}) {
  const [turn, setTurn] = useState<TurnVerdict>()
  const [fault, setFault] = useState<string>()
  const [busy, setBusy] = useState(false)
  const ticked = useRef(false)
  // biome-ignore lint/correctness/useExhaustiveDependencies: every screw begins anew
  useEffect(() => {
    setTurn(undefined)
    setFault(undefined)
    ticked.current = false
  }, [step.id, at.hole])
  const listening = useDriver(jobId, s.isSigned ? undefined : step.id, at.hole, s.by, (v) => {
    setTurn(v)
    if (v.state === 'met' && !ticked.current) {
      ticked.current = true
      s.tick()
    }
  })
  const target = at.target!
  const drive = async (manner: Schemas['TurnManner']) => {
    setBusy(true)
    setFault(undefined)
    try {
      await answer(http.POST('/api/instruments/driver/turn', { body: { target, manner } }))
    } catch (e) {
      setFault((e as Error).message)
    }
    setBusy(false)
  }
  const share = Math.min(1.35, turn?.share ?? 0)
  const wrong = turn && bad.includes(turn.state)
  return (
    <div role="group" aria-label="Torque driver" className="mt-4 max-w-[620px] border-t-[3px] border-rule pt-2">
      <div className="flex items-baseline gap-4 text-[22px]">
        <b className="num text-[30px]">{(turn?.angleDeg ?? 0).toFixed(0)}°</b>
        <span className="text-soft">of {target.angleDeg.toFixed(0)}°</span>
        <b className="num text-[30px]">{fixed((turn?.torqueNm ?? 0) * 100, 1)}</b>
        <span className="text-soft">of {fixed(target.torqueNm * 100, 1)} N·cm</span>
      </div>
      <svg width="100%" height="22" viewBox="0 0 135 22" preserveAspectRatio="none" aria-hidden>
        <rect x="0" y="4" width="135" height="14" fill="var(--raised)" stroke="var(--rule)" />
        <rect
          x="0"
          y="4"
          width={share * 100}
          height="14"
          fill={wrong ? 'var(--plum)' : turn?.state === 'met' ? 'var(--cool)' : 'var(--copper)'}
        />
        <path d="M100 0V22" stroke="var(--ink)" strokeWidth="1" />
      </svg>
      <p
        role={wrong ? 'alert' : 'status'}
        className={`mt-1 min-h-7 text-[22px] leading-tight ${wrong ? 'font-semibold text-plum' : 'text-soft'}`}
      >
        {fault ?? turn?.say ?? 'The driver ticks this screw when its target is met.'}
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {manners.map(([m, name]) => (
          <button
            key={m}
            type="button"
            disabled={busy || !listening || s.isSigned}
            onClick={() => void drive(m)}
            className="min-h-11 rounded-[3px] border border-rule bg-raised px-3 text-[17px]"
          >
            {name}
          </button>
        ))}
        <span className="self-center text-[15px] text-soft">simulated driver</span>
      </div>
    </div>
  )
}
