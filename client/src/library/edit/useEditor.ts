import { useCallback, useEffect, useRef, useState } from 'react'
import { fetched, type Refusal, type Schemas, told } from '../../api/client'
import { type DocumentPath, versionsOf } from '../documents'
import { draftOf, dropDraft, keepDraft } from './drafts'
import { begin, type History, push, redo, undo } from './history'

export type Edit =
  | { do: 'set'; at: string; value: unknown }
  | { do: 'move'; at: string[]; x: number; y: number }
  | { do: 'turn'; at: string[]; deg: number }
  | { do: 'add'; to: string; x?: number; y?: number; back?: boolean; value?: unknown }
  | { do: 'row'; at: string; count: number; x: number; y: number }
  | { do: 'mirror'; at: string[]; across: 'x' | 'y'; about: number }
  | { do: 'remove'; at: string[] }
  | { do: 'grade'; by: 'scan' | 'page' }

type Checked = Schemas['Checked']
type Faults = Record<string, string>

const json = { 'Content-Type': 'application/json' }

/** A document under change: every edit is checked by the rules that read it before it counts. */
export function useEditor(what: DocumentPath, id: string) {
  const [history, setHistory] = useState<History>()
  const [seen, setSeen] = useState(0)
  const [under, setUnder] = useState<string>()
  const [checked, setChecked] = useState<Checked>()
  const [faults, setFaults] = useState<Faults>({})
  const [selected, select] = useState<string[]>([])
  const [failed, setFailed] = useState<string>()
  const [resumed, setResumed] = useState(false)
  const [unkept, setUnkept] = useState(false)
  /** Edits are done one after the other, each on what the one before made. */
  const latest = useRef<string>(undefined)
  const queue = useRef<Promise<void>>(Promise.resolve())

  const check = useCallback(async (text: string) => {
    const read = await fetched<Checked>('/api/library/check', { method: 'POST', headers: json, body: text })
    setChecked(read)
    setFaults(Object.fromEntries(read.faults.map((f) => [f.pointer, f.message])))
  }, [])

  const load = useCallback(async () => {
    try {
      const draft = draftOf(what, id)
      let text = draft?.text
      let version = draft?.seen ?? 0
      if (!text) {
        version = (await versionsOf(what, id))[0].version
        text = JSON.stringify(
          await fetched<unknown>(`/api/${what}/${encodeURIComponent(id)}/versions/${version}`),
          null,
          2,
        )
      }
      setResumed(!!draft)
      setUnder(draft?.under)
      setSeen(version)
      setHistory(begin(text))
      latest.current = text
      select([])
      await check(text)
    } catch (e) {
      setFailed(told(e))
    }
  }, [what, id, check])
  useEffect(() => void load(), [load])

  const text = history?.now
  const keep = (now: string, of = under) => {
    latest.current = now
    setUnkept(!keepDraft(what, id, { text: now, seen, under: of }))
  }

  /** What the server made of it whole: a drawing laid over it. */
  const take = (document: string, read: Checked) => {
    setHistory((h) => h && push(h, document))
    setChecked(read)
    setFaults({})
    keep(document)
  }
  const apply = (edits: Edit[], then?: (made: string[]) => string[]) => {
    const next = queue.current.then(() => one(edits, then))
    queue.current = next
    return next
  }
  const one = async (edits: Edit[], then?: (made: string[]) => string[]) => {
    const text = latest.current
    if (!text || edits.length === 0) return
    try {
      const done = await fetched<Schemas['EditedAnswer']>('/api/library/edit', {
        method: 'POST',
        headers: json,
        body: `{"document":${text},"edits":${JSON.stringify(edits)}}`,
      })
      take(done.document, done.checked)
      select((s) => then?.(done.made) ?? (done.made.length > 0 ? done.made : s))
    } catch (e) {
      const refused = e as Refusal
      setFaults(
        refused.errors?.length
          ? Object.fromEntries(refused.errors.map((f) => [f.pointer, f.message]))
          : { '': told(e) },
      )
    }
  }
  const go = (how: (h: History) => History) => {
    if (!history) return
    const next = how(history)
    if (next === history) return
    setHistory(next)
    keep(next.now)
    select([])
    void check(next.now)
  }
  return {
    text,
    seen,
    checked,
    faults,
    selected,
    select,
    failed,
    resumed,
    unkept,
    under,
    lay: (board: string | undefined) => {
      setUnder(board)
      if (text) keep(text, board)
    },
    changed: !!history && history.past.length > 0,
    canUndo: !!history?.past.length,
    canRedo: !!history?.future.length,
    apply,
    take,
    undo: () => go(undo),
    redo: () => go(redo),
    /** Back to what stands in the library; of what does not stand there nothing is left. */
    discard: () => {
      dropDraft(what, id)
      if (seen > 0) void load()
    },
    done: () => dropDraft(what, id),
  }
}

export type Editor = ReturnType<typeof useEditor>
