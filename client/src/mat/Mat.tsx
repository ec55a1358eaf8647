import { type ReactNode, useRef, useState } from 'react'
import type { Board, Face } from '../api/client'
import { BoardLayer } from './BoardLayer'
import { beside } from './beside'
import { Grid } from './Grid'
import { BoardKey, type OtherBoard, OtherBoards } from './OtherBoards'
import { boxOf, type Projection, useSize, useView } from './view'

interface Props {
  board: Board
  face: Face
  onFlip?: () => void
  label: string
  selected?: string
  onPick?: (id: string) => void
  tint?: Record<string, 'plum' | 'amber' | 'copper' | 'cool'>
  quiet?: boolean
  /** Points that must be in view beside the board, mm. */
  include?: number[][]
  /** Only these points are fitted, mm. */
  focus?: number[][]
  /** The board's key and the order's other boards, where it has several. */
  name?: string
  others?: OtherBoard[]
  legend?: ReactNode
  children?: (p: Projection) => ReactNode
}

/** The board to scale on a ruled mat, with whatever the station draws over it. */
export function Mat({
  board,
  face,
  onFlip,
  label,
  selected,
  onPick,
  tint,
  quiet,
  include = [],
  focus,
  name,
  others = [],
  legend,
  children,
}: Props) {
  const { ref, width, height } = useSize()
  const own = boxOf(focus ?? [...(board.outline as number[][]), ...include])
  const { at, box } = beside(
    own,
    others.map((o) => boxOf(o.board.outline as number[][])),
    Math.max(1, width),
    Math.max(1, height),
  )
  const { projection: p, zoomBy, panBy, fit } = useView(box, width, height, face)
  const drag = useRef<{ x: number; y: number; moved: boolean } | null>(null)
  const [holding, setHolding] = useState(false)
  return (
    <div ref={ref} className="relative min-h-0 min-w-0 flex-1 overflow-hidden bg-mat">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={label}
          className={`absolute inset-0 touch-none select-none ${holding ? 'cursor-grabbing' : ''}`}
          onWheel={(e) => zoomBy(e.deltaY < 0 ? 1.15 : 1 / 1.15)}
          onPointerDown={(e) => {
            drag.current = { x: e.clientX, y: e.clientY, moved: false }
          }}
          onPointerMove={(e) => {
            const d = drag.current
            if (!d || e.buttons === 0) return
            const [dx, dy] = [e.clientX - d.x, e.clientY - d.y]
            if (!d.moved && Math.hypot(dx, dy) < 5) return
            drag.current = { x: e.clientX, y: e.clientY, moved: true }
            setHolding(true)
            panBy(dx, dy)
          }}
          onPointerUp={() => {
            drag.current = null
            setHolding(false)
          }}
          onPointerLeave={() => {
            drag.current = null
            setHolding(false)
          }}
        >
          <Grid p={p} />
          <OtherBoards others={others} at={at} p={p} />
          <BoardLayer board={board} p={p} selected={selected} onPick={onPick} tint={tint} quiet={quiet} />
          {children?.(p)}
          {name && <BoardKey name={name} board={board} p={p} mine />}
        </svg>
      )}
      <div className="pointer-events-none absolute inset-x-3 bottom-2 flex flex-wrap-reverse items-end justify-between gap-x-3 gap-y-1">
        <div className="flex items-end gap-3">
          <b className="min-w-24 text-[22px] leading-8 tracking-[4px] text-soft">{face.toUpperCase()}</b>
          <div className="no-print pointer-events-auto flex gap-1">
            {onFlip && <MatButton onClick={onFlip} name="Turn the board over" text="turn over" keyName="F" />}
            <MatButton onClick={() => zoomBy(1.25)} name="Zoom in" text="+" />
            <MatButton onClick={() => zoomBy(0.8)} name="Zoom out" text="−" />
            <MatButton onClick={fit} name="Fit the board" text="fit" />
          </div>
        </div>
        {legend && <div className="flex flex-wrap gap-x-3 bg-mat/85 px-2 py-1 text-[13.5px] text-soft">{legend}</div>}
      </div>
    </div>
  )
}

function MatButton({
  onClick,
  name,
  text,
  keyName,
}: {
  onClick: () => void
  name: string
  text: string
  keyName?: string
}) {
  return (
    <button
      type="button"
      aria-label={name}
      onClick={onClick}
      className="min-h-8 min-w-8 rounded-[3px] border border-rule bg-card px-2 text-[14px] text-ink"
    >
      {text}
      {keyName && <kbd className="num ml-1.5 text-soft">{keyName}</kbd>}
    </button>
  )
}
