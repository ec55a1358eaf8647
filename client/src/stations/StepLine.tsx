import { useState } from 'react'
import type { JobView } from '../api/client'
import { useTimers } from '../api/papers'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'
import { left, wait } from '../ui/format'
import { useNow } from '../ui/useNow'
import { Counter } from './Counter'
import type { Here } from './here'
import { PhotoButton } from './PhotoButton'
import { doneOf } from './stepLogic'
import type { Steps } from './useSteps'

interface Props {
  job: JobView
  here: Here
  s: Steps
  onBench?: () => void
  note: boolean
  setNote: (open: boolean) => void
  selected?: string
}

/** The dark line under the mat: the step, its caution, what was counted, done and undo, note, photo, timers. */
export function StepLine({ job, here, s, onBench, note, setNote, selected }: Props) {
  const [override, setOverride] = useState(false)
  const { step } = s
  if (!step)
    return (
      <footer className="flex min-h-[92px] items-center bg-line px-5 text-on-line">
        <p className="text-[19px]">
          Nothing to do here yet: {job.route.find((r) => r.steps === 0)?.summary ?? 'choose a block first'}.
        </p>
      </footer>
    )
  return (
    // biome-ignore lint/a11y/useAriaPropsSupportedByRole: a footer of the page is a landmark and may be named
    <footer
      className="no-print flex min-h-[92px] flex-wrap items-center gap-x-4 gap-y-1.5 bg-line px-4 py-2 text-on-line"
      aria-label="Step"
      data-step={step.id}
    >
      <div className="flex items-center gap-2 text-line-soft">
        <button
          type="button"
          aria-label="Step before"
          className="min-h-9 px-1.5 text-[20px]"
          onClick={() => s.look(-1)}
          disabled={s.index === 0}
        >
          ‹
        </button>
        <span className="leading-tight">
          step
          <br />
          <span className="num text-[28px] font-semibold text-on-line">{s.index + 1}</span> of {s.steps.length}
        </span>
        <button
          type="button"
          aria-label="Step after"
          className="min-h-9 px-1.5 text-[20px]"
          onClick={() => s.look(1)}
          disabled={s.index === s.steps.length - 1}
        >
          ›
        </button>
      </div>
      <div className="min-w-0 flex-1 basis-[300px]" aria-live="polite">
        <p className="text-[20px] leading-[1.15]">
          {step.first && <b className="text-line-amber">{step.first}. </b>}
          {step.title}
        </p>
        {s.refusal ? (
          <p className="text-[14.5px] leading-tight text-line-plum" role="alert">
            {s.refusal.message}{' '}
            {s.refusal.status === 409 && !s.isSigned && (
              <button type="button" className="underline" onClick={() => setOverride(true)}>
                Sign anyway, with a reason
              </button>
            )}
          </p>
        ) : (
          <>
            <p className={`text-[14.5px] leading-tight ${step.caution ? 'text-line-amber' : 'text-line-soft'}`}>
              {step.caution ?? step.detail}
            </p>
            {step.caution && step.detail && (
              <p className="line-clamp-2 text-[13.5px] leading-tight text-line-soft" title={step.detail}>
                {step.detail}
              </p>
            )}
          </>
        )}
      </div>
      <Doing job={job} here={here} s={s} onBench={onBench} setNote={setNote} selected={selected} />
      <NoteDialog open={note} onClose={() => setNote(false)} s={s} />
      <OverrideDialog open={override} onClose={() => setOverride(false)} s={s} />
      <TogetherDialog s={s} />
    </footer>
  )
}

/** What the hands press. */
function Doing({ job, here, s, onBench, setNote, selected }: Omit<Props, 'note'>) {
  const step = s.step!
  const timer = useTimers(job).find((t) => t.stepId === step.id)
  const pinned = here.board.parts.find((x) => x.id === selected)
  const signed = s.signed.get(step.id)
  return (
    <div className="flex flex-wrap items-center justify-end gap-2">
      {step.count != null && !s.isSigned && (
        <Counter count={s.count} of={step.count} open={step.countsOpen} onChange={s.setCount} />
      )}
      {step.timerS != null &&
        !s.isSigned &&
        (timer ? (
          <TimerFace endsAt={timer.endsAt} onStop={() => s.changes.stopTimer.mutate(timer.id)} />
        ) : (
          <Button kind="line" keyName="T" onClick={() => s.changes.startTimer.mutate({ stepId: step.id, by: s.by })}>
            Start {wait(step.timerS)}
          </Button>
        ))}
      <Button kind="line" keyName="⌫" onClick={s.back}>
        Back
      </Button>
      <Button kind="line" onClick={() => setNote(true)}>
        Note
      </Button>
      <PhotoButton s={s} pinned={pinned} />
      {onBench && (
        <Button kind="line" keyName="G" onClick={onBench}>
          Bench
        </Button>
      )}
      {step.turns.length > 1 && !s.isSigned && (
        <Button kind="line" keyName="Enter" onClick={s.signAll} disabled={s.busy}>
          All {step.turns.length} turned
        </Button>
      )}
      {s.isSigned ? (
        <span className="num max-w-44 px-2 text-[17px] text-line-soft">signed {signed?.by}</span>
      ) : (
        <Button
          kind="go-line"
          keyName="Space"
          onClick={step.turns.length > 0 ? s.tick : () => s.sign()}
          disabled={s.busy}
        >
          {signed?.lookAgain ? 'Confirm and sign again' : doneOf(step, s.count)}
        </Button>
      )}
    </div>
  )
}

/** Signed steps rest on the one to take back: together or not at all. */
export function TogetherDialog({ s }: { s: Steps }) {
  return (
    <Dialog open={!!s.question} onClose={() => s.answer(false)} title="Signed steps rest on this one">
      <p className="mb-3 text-[17px] leading-snug">{s.question?.text}</p>
      <div className="flex gap-2">
        <Button kind="go" onClick={() => s.answer(true)}>
          Take {(s.question?.restsOn.length ?? 0) + 1} steps back
        </Button>
        <Button onClick={() => s.answer(false)}>Leave them signed</Button>
      </div>
    </Dialog>
  )
}

function TimerFace({ endsAt, onStop }: { endsAt: string; onStop: () => void }) {
  const { text, over } = left(endsAt, useNow())
  return (
    <button
      type="button"
      onClick={onStop}
      aria-label="Stop the timer"
      className={`num min-h-11 rounded-[3px] px-3 text-[22px] font-semibold ${over ? 'bg-copper text-on-copper' : 'bg-line-button'}`}
    >
      {over ? `done ${text}` : text}
    </button>
  )
}

function NoteDialog({ open, onClose, s }: { open: boolean; onClose: () => void; s: Steps }) {
  const [text, setText] = useState('')
  return (
    <Dialog open={open} onClose={onClose} title="Note">
      <form
        onSubmit={(e) => {
          e.preventDefault()
          s.changes.note.mutate(
            { by: s.by, text, stepId: s.step?.id },
            {
              onSuccess: () => {
                setText('')
                onClose()
              },
              onError: s.refuse,
            },
          )
        }}
      >
        <textarea
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          rows={4}
          aria-label="Note"
          className="w-full border border-rule bg-raised p-2"
        />
        <Button kind="go" type="submit" disabled={!text.trim()}>
          Pin the note
        </Button>
      </form>
    </Dialog>
  )
}

function OverrideDialog({ open, onClose, s }: { open: boolean; onClose: () => void; s: Steps }) {
  const [text, setText] = useState('')
  return (
    <Dialog open={open} onClose={onClose} title="Sign in spite of the lock">
      <p className="mb-2">{s.refusal?.message} The reason goes into the record.</p>
      <form
        onSubmit={(e) => {
          e.preventDefault()
          s.sign(text)
          setText('')
          onClose()
        }}
      >
        <input
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-label="Reason"
          className="mb-3 w-full border border-rule bg-raised p-2"
        />
        <Button kind="go" type="submit" disabled={text.trim().length < 4}>
          Sign with this reason
        </Button>
      </form>
    </Dialog>
  )
}
