import { useState } from 'react'
import type { JobView, Schemas } from '../../api/client'
import { useCaliper } from '../../api/instruments'
import { Button } from '../../ui/Button'
import { fixed } from '../../ui/format'
import type { Here } from '../here'
import { Section, Why } from '../Ledger'
import type { Steps } from '../useSteps'

type Found = Schemas['AsFoundPad']
const fields: ['newMm' | 'pressedMm' | 'landStepMm', string][] = [
  ['newMm', 'rim, never pressed'],
  ['pressedMm', 'pressed'],
  ['landStepMm', 'old land nearer than its die face by'],
]

/** Stock pads measured just after the lift: they tell the parts' heights. */
export function AsFound({ job, here, s, selected }: { job: JobView; here: Here; s: Steps; selected?: string }) {
  const part = here.board.parts.find(
    (p) => p.id === selected && p.face === 'front' && p.kind !== 'die' && p.kind !== 'lid',
  )
  const kept = job.sheets.asFound
  const same = (x: Found, id: string) => x.part === id && (x.board ?? job.order.pieces[0].key) === here.boardKey
  const [draft, setDraft] = useState<Record<string, string>>({})
  const [field, setField] = useState<string>()
  useCaliper(!!field && !!part, (r) => {
    setDraft((d) => ({ ...d, [field!]: fixed(r.mm, 2) }))
    setField(undefined)
  })
  const number = (k: string) => Number((draft[k] ?? '').replace(',', '.'))
  const put = (pads: Found[]) =>
    s.changes.asFound.mutate({ pads, by: s.by }, { onError: s.refuse, onSuccess: () => setDraft({}) })
  const ready =
    part &&
    draft.newMm &&
    draft.pressedMm &&
    [number('newMm'), number('pressedMm'), number('landStepMm')].every(Number.isFinite)
  return (
    <Section title="Stock pads as found">
      {!part && (
        <p className="text-[14px] text-soft">
          Choose a part on the mat to note its stock pad. Pressed pads tell how tall the part is.
        </p>
      )}
      {part && (
        <div role="group" aria-label={`Stock pad on ${part.id}`}>
          <p className="text-[14.5px] font-semibold">Pad that lay on {part.id}, mm</p>
          <div className="mt-1 grid grid-cols-3 items-end gap-2">
            {fields.map(([k, name]) => (
              <label key={k} className="block text-[13px] leading-tight text-soft">
                {name}
                <input
                  value={draft[k] ?? (k === 'landStepMm' ? '0' : '')}
                  inputMode="decimal"
                  aria-label={`${part.id}, ${name}, mm`}
                  onFocus={() => setField(k)}
                  onChange={(e) => setDraft({ ...draft, [k]: e.target.value })}
                  className={`num mt-0.5 block w-full border bg-raised px-2 py-1 text-[18px] text-ink ${field === k ? 'border-copper' : 'border-rule'}`}
                />
              </label>
            ))}
          </div>
          <div className="mt-2 flex items-center gap-3">
            <Button
              kind="go"
              disabled={!ready}
              onClick={() =>
                put([
                  ...kept.filter((x) => !same(x, part.id)),
                  {
                    part: part.id,
                    board: here.boardKey,
                    newMm: number('newMm'),
                    pressedMm: number('pressedMm'),
                    landStepMm: number('landStepMm'),
                    note: null,
                  },
                ])
              }
            >
              Note it
            </Button>
            <span className="text-[13px] text-soft">The caliper fills the field you stand in.</span>
          </div>
        </div>
      )}
      {here.evidence.map((e) => (
        <div key={e.part} className="flex items-start gap-2">
          <div className="min-w-0 flex-1">
            <Why tone={e.agrees ? '' : 'text-plum'}>{e.text}</Why>
          </div>
          <button
            type="button"
            aria-label={`Strike the pad on ${e.part}`}
            className="min-h-7 px-1.5 text-[14px] text-copper underline"
            onClick={() => put(kept.filter((x) => !same(x, e.part)))}
          >
            strike
          </button>
        </div>
      ))}
    </Section>
  )
}
