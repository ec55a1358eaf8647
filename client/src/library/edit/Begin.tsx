import { useState } from 'react'
import { fetched, type Schemas, told } from '../../api/client'
import { useNavigate } from '../../app/router'
import { Button } from '../../ui/Button'
import { Dialog } from '../../ui/Dialog'
import type { DocumentPath } from '../documents'
import { keepDraft } from './drafts'

const look = 'mt-0.5 block w-full border border-rule bg-raised px-2 py-1.5 text-[17px] text-ink'
const json = { 'Content-Type': 'application/json' }

/** Begins a block for this board, or a document like this one; it goes on in the editor. */
export function Begin({ what, id, of }: { what: DocumentPath; id: string; of: 'block' | 'like' }) {
  const [open, setOpen] = useState(false)
  const [said, setSaid] = useState({ maker: '', model: '', kind: 'full-cover', declared: true, revision: '' })
  const [fault, setFault] = useState<string>()
  const go = useNavigate()
  const begin = async () => {
    setFault(undefined)
    try {
      if (of === 'block') {
        const { maker, model, kind, declared } = said
        const draft = await fetched<Schemas['DraftAnswer']>(`/api/boards/${encodeURIComponent(id)}/assumed-block`, {
          method: 'POST',
          headers: json,
          body: JSON.stringify({ maker, model, kind, declared }),
        })
        keepDraft('blocks', draft.id, { text: draft.document, seen: 0, under: id })
        go(`/library/blocks/${draft.id}/edit`)
      } else {
        const document = await fetched<unknown>(`/api/${what}/${encodeURIComponent(id)}`)
        const draft = await fetched<Schemas['DraftAnswer']>('/api/library/draft-like', {
          method: 'POST',
          headers: json,
          body: JSON.stringify({ document, model: said.model, revision: said.revision || null, assumed: true }),
        })
        keepDraft(what, draft.id, { text: draft.document, seen: 0 })
        go(`/library/${what}/${draft.id}/edit`)
      }
    } catch (e) {
      setFault(told(e))
    }
  }
  const text = (k: 'maker' | 'model' | 'revision', label: string) => (
    <label className="mt-2 block text-[14px] text-soft">
      {label}
      <input value={said[k]} onChange={(e) => setSaid({ ...said, [k]: e.target.value })} className={look} />
    </label>
  )
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        {of === 'block' ? 'Describe a block for it' : 'Describe one like it'}
      </Button>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        title={of === 'block' ? 'A block for this board' : 'As this one, but …'}
      >
        <p className="text-[15px] leading-snug">
          {of === 'block'
            ? 'Its screws and lands are taken from the board and marked as assumed. Then say what is really there, and how deep.'
            : 'A copy under its own name, to change what differs. Its parts are only assumed until somebody has looked at them.'}
        </p>
        {of === 'block' && text('maker', 'maker, from the box')}
        {text('model', 'model')}
        {of === 'like' && what === 'boards' && text('revision', 'revision')}
        {of === 'block' && (
          <>
            <label className="mt-2 block text-[14px] text-soft">
              it covers
              <select value={said.kind} onChange={(e) => setSaid({ ...said, kind: e.target.value })} className={look}>
                <option value="full-cover">the whole front</option>
                <option value="core-only">the die alone</option>
              </select>
            </label>
            <label className="mt-2 flex items-center gap-2 text-[15px]">
              <input
                type="checkbox"
                className="size-5"
                checked={said.declared}
                onChange={(e) => setSaid({ ...said, declared: e.target.checked })}
              />
              box or manual name this board
            </label>
          </>
        )}
        {fault && (
          <p role="alert" className="mt-2 text-plum">
            {fault}
          </p>
        )}
        <Button
          kind="go"
          className="mt-3"
          disabled={!said.model.trim() || (of === 'block' && !said.maker.trim())}
          onClick={() => void begin()}
        >
          Begin
        </Button>
      </Dialog>
    </>
  )
}
