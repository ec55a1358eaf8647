import { useRef, useState } from 'react'
import type { Block, Board, Face } from '../../api/client'
import { BlockLayer } from '../../mat/BlockLayer'
import { partCorners } from '../../mat/BoardLayer'
import { Mat } from '../../mat/Mat'
import { holesOf, identity } from '../../mat/place'
import type { Projection } from '../../mat/view'
import { Corners } from './Corners'
import { type Difference, LikeLayer } from './Like'
import type { Spot, Underlay } from './underlay'

/** What can be taken hold of: an outline or a round, with its place in the document. */
interface Thing {
  at: string
  name: string
  outline?: number[][]
  round?: { x: number; y: number; r: number }
}

const boardThings = (b: Board, prefix: string, face: Face): Thing[] => [
  ...b.parts.flatMap((p, i) =>
    p.face === face ? [{ at: `${prefix}/parts/${i}`, name: `part ${p.id}`, outline: partCorners(p) }] : [],
  ),
  ...b.holes.map((h, i) => ({
    at: `${prefix}/holes/${i}`,
    name: `hole ${h.id}`,
    round: { x: h.x, y: h.y, r: h.diameterMm / 2 },
  })),
]

const blockThings = (b: Block, face: Face): Thing[] => [
  ...b.plates.flatMap((plate, i) =>
    plate.face !== face
      ? []
      : [
          ...plate.pockets.map((k, j) => ({
            at: `/plates/${i}/pockets/${j}`,
            name: `pocket ${j + 1}`,
            outline: k.outline as number[][],
          })),
          ...plate.lands.map((l, j) => ({
            at: `/plates/${i}/lands/${j}`,
            name: `land ${l.id}`,
            outline: l.outline as number[][],
          })),
          ...plate.holes.map((h, j) => ({
            at: `/plates/${i}/holes/${j}`,
            name: `screw ${h.id}`,
            round: { x: h.x, y: h.y, r: h.screwMm },
          })),
        ],
  ),
  ...b.ports.map((p, i) => ({ at: `/ports/${i}`, name: `port ${p.id}`, round: { x: p.x, y: p.y, r: 5 } })),
]

/** A board for a block that is described without one: nothing but the outline of its plate. */
const bare = (b: Block) => ({ outline: b.plates[0].outline, parts: [], holes: [] }) as unknown as Board

/** The document drawn, its things taken hold of by a click and moved by dragging. */
export function EditMat({
  board,
  prefix,
  block,
  face,
  onFlip,
  selected,
  snap,
  placing,
  under,
  differences,
  spots,
  corners,
  onCorners,
  onPick,
  onMove,
  onPlace,
}: {
  board?: Board
  prefix: string
  block?: Block
  face: Face
  onFlip: () => void
  selected: string[]
  snap: number
  /** Whether the next click says where something new lies. */
  placing: boolean
  /** A picture under the drawing. */
  under?: Underlay
  /** From the document that it was begun from. */
  differences: Difference[]
  /** Spots of the picture that were clicked. */
  spots: Spot[]
  /** An outline whose corners can be dragged. */
  corners?: number[][]
  onCorners: (points: number[][]) => void
  onPick: (at: string, more: boolean) => void
  onMove: (at: string[], x: number, y: number) => void
  onPlace: (x: number, y: number) => void
}) {
  const [by, setBy] = useState<[number, number]>()
  const drag = useRef<{ x: number; y: number; at: string[] } | null>(null)
  const things = block ? blockThings(block, face) : board ? boardThings(board, prefix, face) : []
  const drawn = board ?? (block && bare(block))
  if (!drawn)
    return (
      <div className="grid flex-1 place-items-center bg-mat p-8">
        <p className="max-w-md text-center text-[18px] text-soft">
          This document has no drawing. Change it on the right.
        </p>
      </div>
    )
  const snapped = (v: number) => Number((Math.round(v / snap) * snap).toFixed(4))
  const moved = (p: Projection, e: React.PointerEvent): [number, number] => {
    const d = drag.current!
    return [snapped(((e.clientX - d.x) / p.scale) * (face === 'back' ? -1 : 1)), snapped(-(e.clientY - d.y) / p.scale)]
  }
  const shape = (p: Projection, t: Thing) => {
    const on = selected.includes(t.at)
    const shift = on && by ? by : [0, 0]
    const props = {
      'data-at': t.at,
      fill: on ? 'var(--plum)' : 'transparent',
      fillOpacity: 0.22,
      stroke: on ? 'var(--plum)' : 'none',
      strokeWidth: 2.4,
      className: placing ? 'pointer-events-none' : 'cursor-move',
      onPointerDown: (e: React.PointerEvent) => {
        e.stopPropagation()
        if (!on || e.shiftKey) onPick(t.at, e.shiftKey)
        drag.current = { x: e.clientX, y: e.clientY, at: on ? selected : e.shiftKey ? [...selected, t.at] : [t.at] }
        e.currentTarget.setPointerCapture(e.pointerId)
      },
      onPointerMove: (e: React.PointerEvent) => {
        if (drag.current && e.buttons > 0) setBy(moved(p, e))
      },
      onPointerUp: (e: React.PointerEvent) => {
        if (!drag.current) return
        const [x, y] = moved(p, e)
        const { at } = drag.current
        drag.current = null
        setBy(undefined)
        if (x !== 0 || y !== 0) onMove(at, x, y)
      },
    }
    return t.round ? (
      <circle
        key={t.at}
        cx={p.x(t.round.x + shift[0])}
        cy={p.y(t.round.y + shift[1])}
        r={Math.max(7, t.round.r * p.scale)}
        {...props}
      >
        <title>{t.name}</title>
      </circle>
    ) : (
      <path key={t.at} d={p.path(t.outline!.map(([x, y]) => [x + shift[0], y + shift[1]]))} {...props}>
        <title>{t.name}</title>
      </path>
    )
  }
  return (
    <Mat
      board={drawn}
      face={face}
      onFlip={onFlip}
      quiet={!!block}
      label={placing ? 'Click where it lies' : 'Document drawn'}
      include={block ? block.plates.flatMap((x) => x.outline as number[][]) : []}
      legend={
        by ? (
          <span className="num">
            {by[0].toFixed(2)}, {by[1].toFixed(2)} mm
          </span>
        ) : (
          <span>{placing ? 'click where it lies' : 'click to choose, shift for more, drag to move'}</span>
        )
      }
    >
      {(p) => (
        <>
          {under && (
            <image
              href={under.url}
              width={under.widthPx}
              height={under.heightPx}
              opacity={0.75}
              style={{ mixBlendMode: 'multiply' }}
              className="pointer-events-none"
              transform={`matrix(${[
                p.x(under.right[0]) - p.x(0),
                p.y(under.right[1]) - p.y(0),
                p.x(under.down[0]) - p.x(0),
                p.y(under.down[1]) - p.y(0),
                p.x(under.origin[0]),
                p.y(under.origin[1]),
              ].join(' ')})`}
            />
          )}
          {spots.map(([x, y], i) => (
            <g key={i} className="pointer-events-none">
              <circle cx={p.x(x)} cy={p.y(y)} r={9} fill="none" stroke="var(--plum)" strokeWidth={2} />
              <path
                d={`M${p.x(x) - 14} ${p.y(y)}h28M${p.x(x)} ${p.y(y) - 14}v28`}
                stroke="var(--plum)"
                strokeWidth={1.4}
              />
            </g>
          ))}
          {block && <BlockLayer block={block} placement={identity} p={p} fill />}
          {block &&
            holesOf(block).map((h) => (
              <circle
                key={h.id}
                cx={p.x(h.x)}
                cy={p.y(h.y)}
                r={Math.max(3, (h.screwMm / 2) * p.scale)}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={1.6}
              />
            ))}
          {block?.ports.map((x) => (
            <circle
              key={x.id}
              cx={p.x(x.x)}
              cy={p.y(x.y)}
              r={5 * p.scale}
              fill="none"
              stroke="var(--copper)"
              strokeWidth={1.6}
            />
          ))}
          <LikeLayer p={p} face={face} differences={differences} />
          <g>{things.map((t) => shape(p, t))}</g>
          {corners && <Corners p={p} points={corners} snapped={snapped} onMove={onCorners} />}
          {placing && (
            // biome-ignore lint/a11y/noStaticElementInteractions: the pointer says a place; fields say it by keyboard
            <rect
              width={p.width}
              height={p.height}
              fill="transparent"
              className="cursor-crosshair"
              data-place
              onClick={(e) => {
                const box = e.currentTarget.ownerSVGElement!.getBoundingClientRect()
                const inverse = (f: (v: number) => number, px: number) => (px - f(0)) / (f(1) - f(0))
                onPlace(snapped(inverse(p.x, e.clientX - box.left)), snapped(inverse(p.y, e.clientY - box.top)))
              }}
            />
          )}
        </>
      )}
    </Mat>
  )
}
