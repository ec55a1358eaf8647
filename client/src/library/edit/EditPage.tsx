import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import type { Face } from '../../api/client'
import { useBoard } from '../../api/queries'
import { useKeys } from '../../app/keys'
import { boxOf } from '../../mat/view'
import { Section } from '../../stations/Ledger'
import { Button } from '../../ui/Button'
import { Loading } from '../../ui/Notice'
import type { DocumentPath } from '../documents'
import { SocketDrawing } from '../sockets/SocketDrawing'
import { BlockFor } from './BlockFor'
import { Depths } from './Depths'
import { EditBar } from './EditBar'
import { EditHead } from './EditHead'
import { EditMat } from './EditMat'
import { Fields, Trail } from './Fields'
import { Like, useLike } from './Like'
import { SpringTool } from './SpringTool'
import { shapeOf, valueAt } from './shape'
import { Tools } from './Tools'
import { UnderlayTool } from './UnderlayTool'
import type { Spot, Underlay } from './underlay'
import { useEditor } from './useEditor'

/** Places of a document that lie on its drawing. */
const drawable = /\/(parts|holes|lands|pockets|ports)\/\d+$/

/** A document described and changed on the mat; kept as a new version when somebody says so. */
export function EditPage({ what, id }: { what: DocumentPath; id: string }) {
  const editor = useEditor(what, id)
  const like = useLike(editor.text)
  const shape = useQuery({ queryKey: ['shape', what], queryFn: () => shapeOf(what), staleTime: Infinity }).data
  const [face, setFace] = useState<Face>('front')
  const [snap, setSnap] = useState(0.1)
  const [open, setOpen] = useState('')
  const [adding, setAdding] = useState<string>()
  const [which, setWhich] = useState(0)
  const [corners, setCorners] = useState(false)
  const [under, setUnder] = useState<Underlay>()
  const [spots, setSpots] = useState<Spot[]>([])
  const [spotting, setSpotting] = useState(false)
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
  const outline = (board?.outline ?? block?.plates[0]?.outline) as number[][] | undefined
  const drawn = outline && boxOf(outline)
  // the corners of what is chosen, else those of the board or of the block's first plate
  const cornered =
    selected.length === 1 && valueAt(root, `${selected[0]}/outline`) && !('x' in valueAt(root, selected[0]))
      ? `${selected[0]}/outline`
      : block
        ? '/plates/0/outline'
        : `${prefix}/outline`
  const openAt = (p: string) => {
    if (drawable.test(p)) {
      setOpen('')
      editor.select([p])
      return
    }
    if (p === '') editor.select([])
    setOpen(p)
  }
  const chosen = (
    <Section title={place ? 'Chosen' : 'Document'}>
      {place && <Trail root={root} pointer={place} onOpen={openAt} />}
      <div className="mt-1.5">
        <Fields
          key={place}
          root={root}
          shape={shape}
          pointer={place}
          faults={editor.faults}
          onEdit={(e) => void apply(e, () => selected)}
          onOpen={openAt}
        />
      </div>
    </Section>
  )
  return (
    <main className="grid min-h-0 grid-cols-[minmax(0,1fr)_372px]">
      <div className="flex min-h-0 flex-col">
        <EditBar
          editor={editor}
          places={places}
          adding={adding}
          onAdd={setAdding}
          corners={cornered && valueAt(root, cornered) ? corners : null}
          onCorners={() => setCorners(!corners)}
          snap={snap}
          onSnap={setSnap}
        />
        {checked?.socket ? (
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
            differences={like?.differences ?? []}
            spots={spots}
            corners={corners && !adding && !spotting ? valueAt(root, cornered) : undefined}
            onCorners={(points) => void apply([{ do: 'set', at: cornered, value: points }])}
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
        <EditHead editor={editor} what={what} id={id} root={root} place={place} />
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
            {block && selected.every((at) => /^\/plates\/\d+\/holes\/\d+$/.test(at)) && (
              <SpringTool editor={editor} screws={selected} />
            )}
          </>
        )}
        {like && <Like editor={editor} like={like} onOpen={openAt} />}
        {block && <BlockFor editor={editor} block={block} />}
        {block && editor.under && <Depths key={id} editor={editor} block={block} boardId={editor.under} />}
        {selected.length === 0 && chosen}
        {drawn && (
          <UnderlayTool
            editor={editor}
            prefix={prefix}
            below={!!block}
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
