import { useState } from 'react'
import type { Projection } from '../../mat/view'
import type { Line } from './SectionView'

/** Two clicks on the mat lay a line through the stack. */
export function SectionTool({ p, line, onLine }: { p: Projection; line?: Line; onLine: (l: Line) => void }) {
  const [from, setFrom] = useState<[number, number]>()
  const [at, setAt] = useState<[number, number]>()
  const mm = (e: React.MouseEvent<SVGRectElement>): [number, number] => {
    const box = e.currentTarget.ownerSVGElement!.getBoundingClientRect()
    const inverse = (f: (v: number) => number, px: number) => (px - f(0)) / (f(1) - f(0))
    return [inverse(p.x, e.clientX - box.left), inverse(p.y, e.clientY - box.top)]
  }
  const click = (e: React.MouseEvent<SVGRectElement>) => {
    const here = mm(e)
    if (!from) {
      setFrom(here)
      return
    }
    onLine({ x1: from[0], y1: from[1], x2: here[0], y2: here[1] })
    setFrom(undefined)
  }
  const end = from ?? undefined
  return (
    <g>
      {line && !from && (
        <path
          d={`M${p.x(line.x1)} ${p.y(line.y1)}L${p.x(line.x2)} ${p.y(line.y2)}`}
          stroke="var(--copper)"
          strokeWidth={2.5}
          strokeDasharray="14 4 3 4"
        />
      )}
      {end && at && (
        <path
          d={`M${p.x(end[0])} ${p.y(end[1])}L${p.x(at[0])} ${p.y(at[1])}`}
          stroke="var(--copper)"
          strokeWidth={2.5}
          strokeDasharray="14 4 3 4"
        />
      )}
      <rect
        width={p.width}
        height={p.height}
        fill="transparent"
        className="cursor-crosshair"
        data-section
        onClick={click}
        onMouseMove={(e) => setAt(mm(e))}
      />
    </g>
  )
}
