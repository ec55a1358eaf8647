import { Button } from '../../ui/Button'
import type { Editor } from './useEditor'

const snaps = [0.05, 0.1, 0.5, 1]

/** Undo, redo, what can be added to the drawing, its corners, the snap. */
export function EditBar({
  editor,
  places,
  adding,
  onAdd,
  corners,
  onCorners,
  snap,
  onSnap,
}: {
  editor: Editor
  /** Lists that something new can join, with what it is called. */
  places: [string, string][]
  adding?: string
  onAdd: (to: string | undefined) => void
  /** Null where nothing drawn has corners. */
  corners: boolean | null
  onCorners: () => void
  snap: number
  onSnap: (mm: number) => void
}) {
  return (
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
          onClick={() => onAdd(adding === to ? undefined : to)}
        >
          New {name}
        </Button>
      ))}
      {corners !== null && (
        <Button kind={corners ? 'go' : 'plain'} aria-pressed={corners} onClick={onCorners}>
          Corners
        </Button>
      )}
      {places.length > 0 && (
        <label className="ml-auto flex items-center gap-1.5 text-[14px] text-soft">
          snap
          <select
            value={snap}
            onChange={(e) => onSnap(Number(e.target.value))}
            className="border border-rule bg-raised px-1 py-1 text-ink"
          >
            {snaps.map((s) => (
              <option key={s} value={s}>
                {s} mm
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  )
}
