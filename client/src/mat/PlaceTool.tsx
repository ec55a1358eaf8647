import type { Board } from '../api/client'
import type { Projection } from './view'

const snapMm = 3

/** Clicks on the mat become places, drawn to a hole that is near. */
export function PlaceTool({
  p,
  board,
  places,
  onPlace,
}: {
  p: Projection
  board: Board
  places: [number, number][]
  onPlace: (at: [number, number]) => void
}) {
  const click = (e: React.MouseEvent<SVGRectElement>) => {
    const box = e.currentTarget.ownerSVGElement!.getBoundingClientRect()
    const inverse = (f: (v: number) => number, px: number) => (px - f(0)) / (f(1) - f(0))
    const [x, y] = [inverse(p.x, e.clientX - box.left), inverse(p.y, e.clientY - box.top)]
    const near = board.holes.map((h) => ({ h, d: Math.hypot(h.x - x, h.y - y) })).sort((a, b) => a.d - b.d)[0]
    onPlace(near && near.d < snapMm ? [near.h.x, near.h.y] : [Math.round(x * 10) / 10, Math.round(y * 10) / 10])
  }
  return (
    <g>
      {places.map(([x, y], i) => (
        <g key={i}>
          <circle cx={p.x(x)} cy={p.y(y)} r={11} fill="var(--copper)" stroke="var(--ink)" strokeWidth={2} />
          <text
            x={p.x(x)}
            y={p.y(y) + 5}
            textAnchor="middle"
            className="num"
            fontSize={14}
            fontWeight={700}
            fill="var(--on-copper)"
          >
            {i + 1}
          </text>
        </g>
      ))}
      <rect
        width={p.width}
        height={p.height}
        fill="transparent"
        className="cursor-crosshair"
        data-place
        onClick={click}
      />
    </g>
  )
}
