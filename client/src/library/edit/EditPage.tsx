import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { type Face, type FitResult, fetched, told } from '../../api/client'
import { useBoard, useBoards } from '../../api/queries'
import { useKeys } from '../../app/keys'
import { Link, useNavigate } from '../../app/router'
import { useInitials } from '../../app/settings'
import { boxOf } from '../../mat/view'
import { Head, Section, Why } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { Loading } from '../../ui/Notice'
import { VerdictMark, verdictColour, verdictWords } from '../../ui/Verdict'
import { type DocumentPath, putDocument } from '../documents'
import { KeepChanged } from '../KeepChanged'
import { SocketDrawing } from '../sockets/SocketDrawing'
import { Depths } from './Depths'
import { EditMat } from './EditMat'
import { Fields, Trail } from './Fields'
import { shapeAt, shapeOf } from './shape'
import { Tools } from './Tools'
import { UnderlayTool } from './UnderlayTool'
import { UndersideDrop } from './UndersideDrop'
import type { Spot, Underlay } from './underlay'
import { useEditor } from './useEditor'

const snaps = [0.05, 0.1, 0.5, 1]

/** A document described and changed on the mat; kept as a new version when somebody says so. */
export function EditPage({ what, id }: { what: DocumentPath; id: string }) {
  const editor = useEditor(what, id)
  const shape = useQuery({ queryKey: ['shape', what], queryFn: () => shapeOf(what), staleTime: Infinity }).data
  const [face, setFace] = useState<Face>('front')
  const [snap, setSnap] = useState(0.1)
  const [open, setOpen] = useState('')
  const [adding, setAdding] = useState<string>()
  const [asking, setAsking] = useState(false)
  const [which, setWhich] = useState(0)
  const [fault, setFault] = useState<string>()
  const [under, setUnder] = useState<Underlay>()
  const [spots, setSpots] = useState<Spot[]>([])
  const [spotting, setSpotting] = useState(false)
  const client = useQueryClient()
  const go = useNavigate()
  const [by] = useInitials()
  const { text, checked, selected, apply } = editor
  const reference = useBoard(editor.under)
  const block = checked?.block ?? undefined
  const card = checked?.card
  const prefix = card ? `/boards/${which}/board` : ''
  const board = checked?.board ?? card?.boards[which]?.board ?? (block ? reference.data : undefined)
  const flip = () => setFace(face === 'front' ? 'back' : 'front')
  const nudge = (x: number, y: number) =>
    selected.length > 0 &&
    void apply([{ do: 'move', at: selected, x: x * snap * (face === 'back' ? -1 : 1), y: y * snap }])
  useKeys({
    f: flip,
    r: () => selected.length > 0 && void apply([{ do: 'turn', at: selected, deg: 90 }]),
    Delete: () => selected.length > 0 && void apply([{ do: 'remove', at: selected }], () => []),
    Escape: () => {
      setAdding(undefined)
      editor.select([])
    },
    ArrowLeft: () => nudge(-1, 0),
    ArrowRight: () => nudge(1, 0),
    ArrowUp: () => nudge(0, 1),
    ArrowDown: () => nudge(0, -1),
    'ctrl+z': editor.undo,
    'ctrl+y': editor.redo,
  })
  if (editor.failed) return <p className="m-6 text-[18px] text-plum">{editor.failed}</p>
  if (!text || !shape) return <Loading what="the document" />
  const root = JSON.parse(text)
  const place = selected.length === 1 && open === '' ? selected[0] : open
  const pick = (at: string, more: boolean) => {
    setOpen('')
    editor.select(more ? (selected.includes(at) ? selected.filter((s) => s !== at) : [...selected, at]) : [at])
  }
  const keep = async (seen: number) => {
    setFault(undefined)
    try {
      if (seen) await putDocument(what, id, text, seen, by)
      else
        await fetched(`/api/${what}`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: text })
      editor.done()
      await client.invalidateQueries()
      go(`/library/${what}/${root.id}`)
    } catch (e) {
      setFault(told(e))
    }
  }
  const places: [string, string][] = block
    ? block.plates.flatMap((p, i): [string, string][] =>
        p.face === face
          ? [
              [`/plates/${i}/lands`, 'land'],
              [`/plates/${i}/pockets`, 'pocket'],
              [`/plates/${i}/holes`, 'screw'],
            ]
          : [],
      )
    : board
      ? [
          [`${prefix}/parts`, 'part'],
          [`${prefix}/holes`, 'hole'],
        ]
      : []
  const shown = Object.entries(editor.faults).filter(([at]) => !shapeAt(shape, at) || !at.startsWith(place))
  const outline = (board?.outline ?? block?.plates[0]?.outline) as number[][] | undefined
  const drawn = outline && boxOf(outline)
  const untried =
    block?.plates.flatMap((p, i) =>
      p.holes.flatMap((h, j) => (h.evidence === 'assumed' ? [`/plates/${i}/holes/${j}`] : [])),
    ) ?? []
  const chosen = (
    <Section title={place ? 'Chosen' : 'Document'}>
      {place && (
        <Trail
          root={root}
          pointer={place}
          onOpen={(p) => {
            if (p === '') editor.select([])
            setOpen(p)
          }}
        />
      )}
      <div className="mt-1.5">
        <Fields
          key={place}
          root={root}
          shape={shape}
          pointer={place}
          faults={editor.faults}
          onEdit={(e) => void apply(e, () => selected)}
          onOpen={setOpen}
        />
      </div>
    </Section>
  )
  return (
    <main className="grid min-h-0 grid-cols-[minmax(0,1fr)_372px]">
      <div className="flex min-h-0 flex-col">
        <div className="flex flex-wrap items-center gap-2 border-b border-rule bg-card px-3 py-1.5">
          <Button keyName="Ctrl Z" disabled={!editor.canUndo} onClick={editor.undo}>
            Undo
          </Button>
          <Button keyName="Ctrl Y" disabled={!editor.canRedo} onClick={editor.redo}>
            Redo
          </Button>
          {places.map(([to, name]) => (
            <Button
              key={to}
              kind={adding === to ? 'go' : 'plain'}
              aria-pressed={adding === to}
              onClick={() => setAdding(adding === to ? undefined : to)}
            >
              New {name}
            </Button>
          ))}
          <label className="ml-auto flex items-center gap-1.5 text-[14px] text-soft">
            snap
            <select
              value={snap}
              onChange={(e) => setSnap(Number(e.target.value))}
              className="border border-rule bg-raised px-1 py-1 text-ink"
            >
              {snaps.map((s) => (
                <option key={s} value={s}>
                  {s} mm
                </option>
              ))}
            </select>
          </label>
        </div>
        {asking && editor.seen > 0 ? (
          <div className="scroll-thin min-h-0 flex-1 overflow-y-auto bg-mat p-5">
            <KeepChanged what={what} id={id} text={text} onKeep={(seen) => void keep(seen)} />
            <Button className="mt-3" onClick={() => setAsking(false)}>
              Go on editing
            </Button>
          </div>
        ) : checked?.socket ? (
          <SocketDrawing socket={checked.socket} rotationDeg={0} bare={false} />
        ) : (
          <EditMat
            board={board}
            prefix={prefix}
            block={block}
            face={face}
            onFlip={flip}
            selected={selected}
            snap={snap}
            placing={!!adding || spotting}
            under={under}
            spots={spots}
            onPick={pick}
            onMove={(at, x, y) => void apply([{ do: 'move', at, x, y }])}
            onPlace={(x, y) => {
              if (spotting) {
                setSpots((s) => [...s, [x, y]])
                if (spots.length === 1) setSpotting(false)
                return
              }
              void apply([{ do: 'add', to: adding!, x, y, back: face === 'back' }])
              setAdding(undefined)
              setOpen('')
            }}
          />
        )}
      </div>
      <aside
        className="scroll-thin min-h-0 overflow-y-auto border-l border-rule bg-card px-4 py-3.5"
        aria-label="Ledger"
        tabIndex={0}
      >
        <Head
          sub={
            editor.changed || editor.resumed
              ? 'A draft on this device: nothing in the library has changed yet.'
              : 'As it stands in the library.'
          }
        >
          {root.model ?? root.name ?? root.id}
        </Head>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button
            kind="go"
            disabled={!!editor.seen && !editor.changed && !editor.resumed}
            onClick={() => (editor.seen ? setAsking(true) : void keep(0))}
          >
            {editor.seen ? 'Keep a new version' : 'Keep in the library'}
          </Button>
          {editor.seen > 0 && (editor.changed || editor.resumed) && (
            <Button onClick={editor.discard}>Throw the draft away</Button>
          )}
          {editor.seen > 0 && (
            <Link className="self-center text-copper underline underline-offset-3" to={`/library/${what}/${id}`}>
              To its page
            </Link>
          )}
        </div>
        {(fault || editor.unkept) && (
          <p role="alert" className="mt-1.5 text-plum">
            {fault ?? 'This device has no room for the draft: it is lost when the page is closed. Keep it soon.'}
          </p>
        )}
        {shown.map(([at, message]) => (
          <p key={at} role="alert" className="mt-1.5 border-l-4 border-plum pl-2 text-[15px] leading-snug">
            {at && <span className="num">{at}: </span>}
            {message}
          </p>
        ))}
        {card && card.boards.length > 1 && (
          <div className="mt-2 flex gap-2">
            {card.boards.map((b, i) => (
              <Button key={b.key} kind={i === which ? 'go' : 'plain'} onClick={() => setWhich(i)}>
                Board {b.key}
              </Button>
            ))}
          </div>
        )}
        {selected.length > 0 && (
          <>
            {chosen}
            <Tools editor={editor} />
          </>
        )}
        {block && (
          <Section title="Described for the board">
            <BoardChoice value={editor.under} onChoose={editor.lay} />
            {reference.data && <Verdict text={text} boardId={reference.data.id} />}
            <UndersideDrop editor={editor} />
            {untried.length > 0 && (
              <Button
                className="mt-1"
                onClick={() =>
                  void apply(untried.map((at) => ({ do: 'set', at: `${at}/evidence`, value: 'measured' })))
                }
              >
                Tried by hand: all {untried.length} screws line up
              </Button>
            )}
          </Section>
        )}
        {block && reference.data && <Depths key={id} editor={editor} block={block} board={reference.data} />}
        {selected.length === 0 && chosen}
        {drawn && (
          <UnderlayTool
            editor={editor}
            prefix={prefix}
            under={under}
            middle={[(drawn.minX + drawn.maxX) / 2, (drawn.minY + drawn.maxY) / 2]}
            widthMm={drawn.maxX - drawn.minX}
            spots={spots}
            onLay={(u) => {
              setUnder(u)
              setSpots([])
            }}
            onAsk={() => {
              setSpots([])
              setSpotting(true)
            }}
          />
        )}
      </aside>
    </main>
  )
}

function BoardChoice({ value, onChoose }: { value?: string; onChoose: (id: string | undefined) => void }) {
  const boards = useBoards('').data ?? []
  return (
    <select
      aria-label="board under the block"
      value={value ?? ''}
      onChange={(e) => onChoose(e.target.value || undefined)}
      className="w-full border border-rule bg-raised px-1 py-1.5 text-[16px]"
    >
      <option value="">none laid under it</option>
      {boards.map((b) => (
        <option key={b.id} value={b.id}>
          {b.maker} {b.model}, {b.label}
        </option>
      ))}
    </select>
  )
}

/** What the block as it stands comes to on that board, and what to measure first. */
function Verdict({ text, boardId }: { text: string; boardId: string }) {
  const fit = useQuery({
    queryKey: ['draft-fit', boardId, text],
    queryFn: async () =>
      fetched<FitResult>('/api/compute/fit', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: `{"board":${JSON.stringify(await fetched<unknown>(`/api/boards/${boardId}`))},"block":${text}}`,
      }),
    retry: false,
    gcTime: 0,
    placeholderData: (before) => before,
  })
  if (fit.error) return <p className="mt-1.5 text-plum">{told(fit.error)}</p>
  if (!fit.data) return null
  return (
    <>
      <p className={`mt-1.5 flex items-center gap-2 text-[19px] font-bold ${verdictColour[fit.data.verdict]}`}>
        <VerdictMark verdict={fit.data.verdict} />
        {verdictWords[fit.data.verdict]}
      </p>
      {fit.data.reasons.slice(0, 6).map((r) => (
        <Why key={r.text}>{r.text}</Why>
      ))}
    </>
  )
}
