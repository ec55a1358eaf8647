import { useState } from 'react'
import type { Projection } from '../../mat/view'

/** Corners of an outline to drag; the small ones between them become corners where they are dragged to. */
export function Corners({
  p,
  points,
  snapped,
  onMove,
}: {
  p: Projection
  points: number[][]
  snapped: (mm: number) => number
  /** The outline after it. */
  onMove: (points: number[][]) => void
}) {
  const [held, hold] = useState<{ key: string; points: number[][]; at: number }>()
  const place = (e: React.PointerEvent): number[] => {
    const box = (e.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect()
    const inverse = (f: (v: number) => number, px: number) => (px - f(0)) / (f(1) - f(0))
    return [snapped(inverse(p.x, e.clientX - box.left)), snapped(inverse(p.y, e.clientY - box.top))]
  }
  // each handle stays while it is held, so that the pointer stays with it
  const handle = (key: string, at: number, radius: number, rest: number[], begun: number[][]) => {
    const [x, y] = held?.key === key ? held.points[held.at] : rest
    return (
      <circle
        key={key}
        data-corner={key}
        cx={p.x(x)}
        cy={p.y(y)}
        r={radius}
        fill="var(--copper)"
        stroke="var(--ink)"
        strokeWidth={1.4}
        className="cursor-move"
        onPointerDown={(e) => {
          e.stopPropagation()
          e.currentTarget.setPointerCapture(e.pointerId)
          hold({ key, points: begun, at })
        }}
        onPointerMove={(e) => {
          if (!held || e.buttons === 0) return
          hold({ ...held, points: held.points.map((q, i) => (i === held.at ? place(e) : q)) })
        }}
        onPointerUp={() => {
          if (held) onMove(held.points)
          hold(undefined)
        }}
      />
    )
  }
  return (
    <g>
      <path d={p.path(held?.points ?? points)} fill="none" stroke="var(--copper)" strokeWidth={2} />
      {points.map((q, i) => handle(`c${i}`, i, 8, q, points))}
      {points.map(([x, y], i) => {
        const [nx, ny] = points[(i + 1) % points.length]
        const middle = [(x + nx) / 2, (y + ny) / 2]
        return handle(`m${i}`, i + 1, 4.5, middle, [...points.slice(0, i + 1), middle, ...points.slice(i + 1)])
      })}
    </g>
  )
}
