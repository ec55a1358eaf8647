import { useState } from 'react'
import { answer, http, type Schemas } from '../api/client'
import { useBoards, useCards, useMachines, useProcessors } from '../api/queries'
import { useNavigate } from '../app/router'
import { useInitials } from '../app/settings'
import { Button } from '../ui/Button'
import { Dialog } from '../ui/Dialog'

type Subject = Schemas['BoardKind'] | 'machine'

/** What can lie on the mat, in the words of the bench. */
const subjects: [Subject, string][] = [
  ['graphics-card', 'A card'],
  ['mainboard', 'A mainboard'],
  ['processor', 'A processor on its own'],
  ['memory-module', 'Memory modules'],
  ['console-board', 'A console'],
  ['machine', 'Several cards in one machine'],
]

const keyOf = (i: number) => String.fromCharCode(65 + i)
const field = 'mt-0.5 block w-full border border-rule bg-raised px-2 py-1.5 text-[16px]'

/** Opens a job: what lies on the mat first, then which of the library it is. */
export function OpenJob({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [narrow, setNarrow] = useState('')
  const boards = useBoards(narrow).data ?? []
  const cards = useCards().data ?? []
  const machines = useMachines().data ?? []
  const [initials] = useInitials()
  const go = useNavigate()
  const [title, setTitle] = useState('')
  const [client, setClient] = useState('')
  const [bench, setBench] = useState('Bench A')
  const [subject, setSubject] = useState<Subject>('graphics-card')
  const [picked, pick] = useState('')
  const [modules, setModules] = useState(4)
  const [processorId, setProcessor] = useState('')
  const [bare, setBare] = useState(false)
  const [fault, setFault] = useState<string>()
  const has = (text: string) =>
    narrow
      .toLowerCase()
      .split(/\s+/)
      .every((w) => text.toLowerCase().includes(w))
  const list =
    subject === 'machine'
      ? machines.filter((m) => has(m.name)).map((m) => ({ id: m.id, name: `${m.name}, ${m.cards} cards` }))
      : [
          ...boards
            .filter((b) => b.kind === subject)
            .map((b) => ({ id: b.id, name: `${b.maker} ${b.model}, ${b.boardCode} ${b.revision}` })),
          ...cards
            .filter((c) => c.kind === subject && has(`${c.maker} ${c.model} ${c.boardCode}`))
            .map((c) => ({ id: c.id, name: `${c.maker} ${c.model}, ${c.boards.length} boards` })),
        ]
  const chosen = list.some((x) => x.id === picked) ? picked : (list[0]?.id ?? '')
  const board = boards.find((b) => b.id === chosen)
  const processors = useProcessors(subject === 'mainboard' ? board?.socket : undefined)
  const seat = processors.some((x) => x.id === processorId) ? { processorId, bare } : undefined
  const about = (): Partial<Schemas['NewJob']> =>
    subject === 'machine'
      ? { machineId: chosen }
      : cards.some((c) => c.id === chosen)
        ? { cardId: chosen }
        : subject === 'memory-module'
          ? { pieces: Array.from({ length: modules }, (_, i) => ({ key: keyOf(i), boardId: chosen })) }
          : { boardId: chosen, seat }
  const submit = async (e: React.FormEvent) => {
    e.preventDefault()
    try {
      const made = await answer(
        http.POST('/api/jobs', {
          body: { title, client: client || undefined, bench, by: initials, ...about() },
        }),
      )
      onClose()
      go(`/job/${made.id}/match`)
    } catch (x) {
      setFault((x as Error).message)
    }
  }
  return (
    <Dialog open={open} onClose={onClose} title="Open a job">
      <form onSubmit={submit} className="grid gap-3">
        <label>
          What it is
          <input
            autoFocus
            required
            value={title}
            onChange={(e) => setTitle(e.target.value)}
            className={field}
            maxLength={120}
          />
        </label>
        <label>
          For whom
          <input value={client} onChange={(e) => setClient(e.target.value)} className={field} />
        </label>
        <label>
          What lies on the mat
          <select value={subject} onChange={(e) => setSubject(e.target.value as Subject)} className={field}>
            {subjects.map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label>
          Find it by maker, model or code
          <input value={narrow} onChange={(e) => setNarrow(e.target.value)} className={field} />
        </label>
        {list.length === 0 ? (
          <p className="text-[15px] text-soft">
            {narrow
              ? 'The library has none by that name.'
              : 'The library has none of these yet: describe one there, or drop its document.'}
          </p>
        ) : (
          <label>
            {subject === 'machine' ? 'Machine' : 'Board'}
            <select value={chosen} onChange={(e) => pick(e.target.value)} className={field}>
              {list.map((x) => (
                <option key={x.id} value={x.id}>
                  {x.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {subject === 'memory-module' && (
          <label>
            How many
            <input
              type="number"
              min={1}
              max={8}
              value={modules}
              onChange={(e) => setModules(Number(e.target.value))}
              className={field}
            />
          </label>
        )}
        {processors.length > 0 && (
          <label>
            Processor in its socket
            <select value={processorId} onChange={(e) => setProcessor(e.target.value)} className={field}>
              <option value="">none, only the board's own parts</option>
              {processors.map((x) => (
                <option key={x.id} value={x.id}>
                  {x.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {seat && (
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={bare} onChange={(e) => setBare(e.target.checked)} className="h-5 w-5" />
            Its lid comes off for good
          </label>
        )}
        <label>
          Bench
          <input required value={bench} onChange={(e) => setBench(e.target.value)} className={field} maxLength={20} />
        </label>
        {fault && (
          <p role="alert" className="text-plum">
            {fault}
          </p>
        )}
        <Button kind="go" type="submit" disabled={!title.trim() || !chosen}>
          Open the job
        </Button>
      </form>
    </Dialog>
  )
}
