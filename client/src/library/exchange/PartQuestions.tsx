import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import { partKinds } from '../partKinds'

type Question = Schemas['PartQuestion']
export type PartAnswer = { parts: string[]; kind?: Schemas['PartKind']; heightMm?: number }

const box = 'mt-0.5 block w-full border border-rule bg-raised px-1.5 py-1.5 text-[16px] text-ink'

/** Kinds and heights that no file states, asked about by groups of like footprints; what is left stays unknown. */
export function PartQuestions({
  questions,
  look,
  onAnswer,
}: {
  questions: readonly Question[]
  /** Shows a part of the group on the mat. */
  look: (part: string) => void
  onAnswer: (answers: PartAnswer[]) => void
}) {
  const [said, say] = useState<Record<string, { kind?: string; height?: string }>>({})
  const key = (q: Question) => q.parts.join(' ')
  const height = (q: Question) => {
    const t = said[key(q)]?.height?.trim().replace(',', '.')
    return t ? Number(t) : undefined
  }
  const answers = questions
    .map((q) => ({
      parts: q.parts,
      kind: (said[key(q)]?.kind || undefined) as Schemas['PartKind'] | undefined,
      heightMm: height(q),
    }))
    .filter((a) => a.kind || a.heightMm)
  if (questions.length === 0) return null
  const parts = questions.reduce((n, q) => n + q.parts.length, 0)
  return (
    <section className="mt-3 border-t border-rule pt-2" aria-label="What the files do not say">
      <h3 className="text-[18px] font-bold text-plum">
        {parts} {parts === 1 ? 'part' : 'parts'} without a height or a kind
      </h3>
      <p className="my-1 text-[14.5px] leading-snug">
        What stays open is unknown, and no verdict on this board says more than “unproven”.
      </p>
      {questions.slice(0, 24).map((q) => (
        <div key={key(q)} className="mt-2 border-l-4 border-rule pl-2">
          <button
            type="button"
            className="block text-left text-[15.5px] font-semibold underline-offset-3 hover:underline"
            onClick={() => look(q.parts[0])}
          >
            {q.parts.length > 1 ? `${q.parts.length} alike, ` : ''}
            {q.widthMm != null && q.depthMm != null ? `${fixed(q.widthMm, 1)} × ${fixed(q.depthMm, 1)} mm` : 'no size'}
          </button>
          <p className="text-[13.5px] text-soft">
            {q.parts.slice(0, 6).join(', ')}
            {q.parts.length > 6 && ` and ${q.parts.length - 6} more`}
          </p>
          <div className="grid grid-cols-2 gap-2">
            {q.asksKind ? (
              <label className="block text-[13.5px] text-soft">
                what they are
                <select
                  className={box}
                  value={said[key(q)]?.kind ?? ''}
                  onChange={(e) => say({ ...said, [key(q)]: { ...said[key(q)], kind: e.target.value } })}
                >
                  <option value="">{q.guessKind ? `${q.guessKind.replace('-', ' ')}?` : 'unknown'}</option>
                  {partKinds.map((k) => (
                    <option key={k} value={k}>
                      {k.replace('-', ' ')}
                    </option>
                  ))}
                </select>
              </label>
            ) : (
              <p className="self-end pb-2 text-[15px]">{q.kind?.replace('-', ' ')}</p>
            )}
            {q.asksHeight && (
              <label className="block text-[13.5px] text-soft">
                height, mm
                <input
                  inputMode="decimal"
                  placeholder={q.guessHeightMm != null ? `about ${fixed(q.guessHeightMm, 1)}` : undefined}
                  className={`num ${box}`}
                  value={said[key(q)]?.height ?? ''}
                  onChange={(e) => say({ ...said, [key(q)]: { ...said[key(q)], height: e.target.value } })}
                />
              </label>
            )}
          </div>
          {q.why && <p className="mt-0.5 text-[13.5px] text-soft">Because {q.why}.</p>}
        </div>
      ))}
      {questions.length > 24 && (
        <p className="mt-2 text-[14px] text-soft">
          {questions.length - 24} more groups follow when these are answered.
        </p>
      )}
      <Button
        className="mt-2.5"
        disabled={answers.length === 0}
        onClick={() => {
          onAnswer(answers)
          say({})
        }}
      >
        Take these answers
      </Button>
    </section>
  )
}
