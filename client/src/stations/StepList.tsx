import type { Steps } from './useSteps'

/** All steps of a station with who signed them. */
export function StepList({ s, most }: { s: Steps; most?: number }) {
  const from = most && s.steps.length > most ? Math.max(0, Math.min(s.index - 3, s.steps.length - most)) : 0
  const shown = most ? s.steps.slice(from, from + most) : s.steps
  return (
    <ol className="text-[14.5px] leading-snug">
      {shown.map((x, i) => {
        const done = s.signed.get(x.id)
        const here = x.id === s.step?.id
        return (
          <li key={x.id}>
            <button
              type="button"
              onClick={() => s.lookAt(x.id)}
              aria-current={here ? 'step' : undefined}
              className={`grid w-full grid-cols-[24px_1fr_auto] gap-1 border-b border-rule/60 py-[5px] pr-1 text-left ${here ? 'bg-copper-wash' : ''}`}
            >
              <span className="num text-right text-soft">{from + i + 1}</span>
              <span className={done ? 'text-soft' : ''}>{x.title}</span>
              <span
                className={`num min-w-8 text-right font-semibold ${done?.lookAgain ? 'text-amber' : done ? 'text-cool' : 'text-soft'}`}
                title={done?.changed.join(' ')}
              >
                {done ? done.by : '·'}
                {done?.lookAgain && <small className="block text-[12px] leading-none">look again</small>}
              </span>
            </button>
          </li>
        )
      })}
    </ol>
  )
}
