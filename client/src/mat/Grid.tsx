import type { Projection } from './view'

/** A figure nearer to the mat's edge would be cut off. */
const HALF_FIGURE = 16

/** Above the lower edge the face shown is told. */
const FACE = 44

/** The ruled mat: a line every 10 mm, a stronger one with its figure every 50 mm, rulers on two edges. */
export function Grid({ p }: { p: Projection }) {
  const step = p.scale < 1.6 ? 20 : 10
  const lines = []
  const from = Math.min(inverse(p.x, 0), inverse(p.x, p.width))
  const to = Math.max(inverse(p.x, 0), inverse(p.x, p.width))
  for (let v = Math.ceil(from / step) * step; v <= to; v += step) {
    const strong = v % 50 === 0
    lines.push(
      <path key={`x${v}`} d={`M${p.x(v)} 24V${p.height}`} stroke={strong ? 'var(--grid-strong)' : 'var(--grid)'} />,
    )
    if (strong && p.x(v) > HALF_FIGURE && p.x(v) < p.width - HALF_FIGURE)
      lines.push(
        <text key={`tx${v}`} x={p.x(v)} y={16} textAnchor="middle" fontSize={14} className="num" fill="var(--soft)">
          {v}
        </text>,
      )
  }
  const low = inverse(p.y, p.height)
  const high = inverse(p.y, 0)
  for (let v = Math.ceil(low / step) * step; v <= high; v += step) {
    const strong = v % 50 === 0
    lines.push(
      <path key={`y${v}`} d={`M26 ${p.y(v)}H${p.width}`} stroke={strong ? 'var(--grid-strong)' : 'var(--grid)'} />,
    )
    if (strong && p.y(v) > 30 && p.y(v) < p.height - FACE)
      lines.push(
        <text key={`ty${v}`} x={4} y={p.y(v) + 5} fontSize={14} className="num" fill="var(--soft)">
          {v}
        </text>,
      )
  }
  return <g aria-hidden>{lines}</g>
}

const inverse = (f: (v: number) => number, px: number) => (px - f(0)) / (f(1) - f(0))
