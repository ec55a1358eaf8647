import { useEffect, useRef, useState } from 'react'
import { fetched, type Schemas } from '../../api/client'
import { Mat } from '../../mat/Mat'
import { Button } from '../../ui/Button'
import { Columns } from './Columns'
import { type PartAnswer, PartQuestions } from './PartQuestions'

type Draft = Schemas['LayoutDraftAnswer']
const blank = { maker: '', model: '', boardCode: '', revision: '', die: '', units: '', digits: '', sheet: '' }

/** Layout files as a board: what was read, what was assumed, what the files do not say; kept only when told so. */
export function LayoutIntake({
  files,
  onDone,
  onKeep,
}: {
  files: File[]
  onDone: () => void
  onKeep: (document: string) => Promise<void>
}) {
  const [draft, setDraft] = useState<Draft>()
  const [faults, setFaults] = useState<{ pointer: string; message: string }[]>([])
  const [said, setSaid] = useState(blank)
  const [busy, setBusy] = useState(false)
  const [tables, setTables] = useState<Schemas['TableLook'][]>([])
  const [naming, setNaming] = useState(false)
  const [looked, setLooked] = useState<string>()
  const answers = useRef<PartAnswer[]>([])
  /** What is being read of what was said last; an earlier reading counts no more. */
  const reading = useRef<Promise<Draft | undefined>>(undefined)
  const read = (values: typeof blank) => {
    const mine = readNow(values, () => reading.current === mine)
    reading.current = mine
  }
  const readNow = async (values: typeof blank, newest: () => boolean) => {
    setBusy(true)
    const form = new FormData()
    for (const f of files) form.append('files', f)
    for (const k of ['maker', 'model', 'boardCode', 'revision', 'die'] as const)
      if (values[k]) form.append(k, values[k])
    if (answers.current.length > 0) form.append('answers', JSON.stringify(answers.current))
    const query = new URLSearchParams(
      Object.entries({ units: values.units, digits: values.digits, sheet: values.sheet }).filter(([, v]) => v),
    )
    try {
      const made = await fetched<Draft>(`/api/library/layout?${query}`, { method: 'POST', body: form })
      if (!newest()) return
      setDraft(made)
      setFaults([])
      return made
    } catch (e) {
      if (!newest()) return
      const refused = e as { errors?: { pointer: string; message: string }[]; message: string }
      setFaults(refused.errors?.length ? refused.errors : [{ pointer: '', message: refused.message }])
      setDraft(undefined)
    } finally {
      if (newest()) {
        setBusy(false)
        void lookAtColumns(values)
      }
    }
  }
  const lookAtColumns = async (values: typeof blank) => {
    const look = new FormData()
    for (const f of files) look.append('files', f)
    const sheet = values.sheet ? `?sheet=${encodeURIComponent(values.sheet)}` : ''
    const looked = await fetch(`/api/library/columns/look${sheet}`, { method: 'POST', body: look })
    const seen = looked.ok ? ((await looked.json()) as Schemas['TableLook'][]) : []
    setTables(seen)
    setNaming((on) => on || seen.some((t) => !('x' in t.columns && 'y' in t.columns)))
  }
  // biome-ignore lint/correctness/useExhaustiveDependencies: read once as dropped, then on every answer
  useEffect(() => {
    read(said)
  }, [])
  const say = (k: keyof typeof blank, v: string) => {
    const next = { ...said, [k]: v }
    setSaid(next)
    read(next)
  }
  const field = (k: keyof typeof blank, label: string) => (
    <label key={k} className="block text-[13.5px] text-soft">
      {label}
      <input
        defaultValue={said[k]}
        onBlur={(e) => e.target.value !== said[k] && say(k, e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && say(k, e.currentTarget.value)}
        className="mt-0.5 block w-full border border-rule bg-raised px-2 py-1.5 text-[16px] text-ink"
      />
    </label>
  )
  /** Keeps what was said last: the reading of it may still be on its way. */
  const keep = async () => {
    const last = await reading.current
    if (last?.document) await onKeep(last.document)
  }
  const layout = draft?.layout
  return (
    <div className="grid min-h-0 grid-cols-[minmax(0,1fr)_332px]">
      <div className="flex min-h-0">
        {draft?.board ? (
          <Mat
            board={draft.board}
            face={draft.board.parts.find((p) => p.id === looked)?.face ?? 'front'}
            label="Board as read"
            selected={looked}
          />
        ) : (
          <div className="grid flex-1 place-items-center bg-mat p-8">
            <p className="max-w-md text-center text-[18px] text-soft">
              {busy
                ? 'Reading…'
                : faults.length
                  ? naming
                    ? 'Say on the right what the columns mean. It is remembered for every table like this one.'
                    : 'Nothing was kept. Mend the places on the right and drop the files again.'
                  : 'These files hold no outline and hardly any holes or parts.'}
            </p>
          </div>
        )}
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        <h2 className="text-[25px] font-bold leading-[1.1]">
          {faults.length ? (
            <span className="text-plum">
              {faults.length} {faults.length === 1 ? 'fault' : 'faults'}
            </span>
          ) : layout ? (
            `${layout.holes.length} holes, ${layout.parts.length} parts`
          ) : (
            'Reading'
          )}
        </h2>
        <p className="mt-1 text-[14px] text-soft">
          {files.map((f) => f.name).join(', ')}
          {layout && `, in ${layout.units}`}
        </p>
        {faults.map((f) => (
          <p key={f.message} className="mt-2 border-l-4 border-plum pl-2 text-[15px] leading-snug">
            {f.message}
          </p>
        ))}
        {!!layout?.assumptions.length && (
          <>
            <h3 className="mt-3 border-t border-rule pt-2 text-[13px] font-semibold text-soft">
              Assumed, because the files leave it open
            </h3>
            {layout.assumptions.map((a) => (
              <p key={a} className="my-1 text-[14.5px] leading-snug">
                {a}
              </p>
            ))}
          </>
        )}
        {draft && (
          <PartQuestions
            questions={draft.questions}
            look={setLooked}
            onAnswer={(more) => {
              answers.current = [...answers.current, ...more]
              read(said)
            }}
          />
        )}
        {!!layout?.warnings.length && (
          <>
            <h3 className="mt-3 border-t border-rule pt-2 text-[13px] font-semibold text-amber">
              Left out or doubtful
            </h3>
            {layout.warnings.slice(0, 12).map((w, i) => (
              <p key={i} className="my-1 text-[14.5px] leading-snug">
                {w.file}, line {w.line}: {w.text}
              </p>
            ))}
          </>
        )}
        {tables.length > 0 && !naming && (
          <button
            type="button"
            className="mt-3 block text-copper underline underline-offset-3"
            onClick={() => setNaming(true)}
          >
            Say what the columns mean
          </button>
        )}
        {naming &&
          tables.map((t) => (
            <Columns
              key={t.file + t.signature + JSON.stringify(t.columns) + t.told}
              table={t}
              onTold={() => {
                setNaming(false)
                read(said)
              }}
            />
          ))}
        <div className="mt-3 grid grid-cols-2 gap-2 border-t border-rule pt-3">
          {field('maker', 'maker')}
          {field('model', 'model')}
          {field('boardCode', 'board code')}
          {field('revision', 'revision')}
          <label className="block text-[13.5px] text-soft">
            main die, the origin
            <select
              value={said.die}
              onChange={(e) => say('die', e.target.value)}
              className="mt-0.5 block w-full border border-rule bg-raised px-1 py-1.5 text-[16px] text-ink"
            >
              <option value="">as in the file</option>
              {layout?.parts
                .filter((p) => p.face === 'front')
                .map((p) => (
                  <option key={p.id}>{p.id}</option>
                ))}
            </select>
          </label>
          <label className="block text-[13.5px] text-soft">
            units
            <select
              value={said.units}
              onChange={(e) => say('units', e.target.value)}
              className="mt-0.5 block w-full border border-rule bg-raised px-1 py-1.5 text-[16px] text-ink"
            >
              <option value="">as the files say</option>
              <option value="mm">mm</option>
              <option value="inch">inches</option>
              <option value="mil">mil</option>
              <option value="cm">cm</option>
              <option value="m">m</option>
            </select>
          </label>
          {files.some((f) => /\.xlsx$/i.test(f.name)) && field('sheet', 'sheet of the workbook')}
        </div>
        <div className="mt-4 flex gap-3">
          <Button kind="go" disabled={!draft?.document} onClick={() => void keep()}>
            Keep as a board
          </Button>
          <Button onClick={onDone}>Discard</Button>
        </div>
      </aside>
    </div>
  )
}
