import { useRef, useState } from 'react'

export type Stroke = number[][]

/** A die to draw paste on: with the pointer, or with the arrow keys and Space as the pen. */
export function DrawPad({
  width,
  height,
  widthMm,
  depthMm,
  beadMm,
  strokes,
  onChange,
}: {
  width: number
  height: number
  widthMm: number
  depthMm: number
  beadMm: number
  strokes: Stroke[]
  onChange: (s: Stroke[]) => void
}) {
  const box = useRef<SVGSVGElement>(null)
  const drawing = useRef<Stroke | null>(null)
  const [live, setLive] = useState<Stroke>()
  const [pen, setPen] = useState<{ x: number; y: number; down: boolean }>({ x: 0, y: 0, down: false })
  const k = width / widthMm
  const toMm = (e: React.PointerEvent): number[] => {
    const r = box.current!.getBoundingClientRect()
    return [(e.clientX - r.left - width / 2) / k, -(e.clientY - r.top - height / 2) / k]
  }
  const path = (s: Stroke) =>
    s.length === 1
      ? `M${width / 2 + s[0][0] * k} ${height / 2 - s[0][1] * k}h0.01`
      : `M${s.map(([x, y]) => `${width / 2 + x * k} ${height / 2 - y * k}`).join('L')}`
  const clamp = (v: number, most: number) => Math.max(-most, Math.min(most, v))
  return (
    <svg
      ref={box}
      width={width}
      height={height}
      tabIndex={0}
      role="application"
      aria-label="Draw paste on the die: pointer, or arrow keys with Space for the pen"
      className="block cursor-crosshair touch-none border-2 border-ink"
      style={{ background: 'var(--silicon)' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId)
        drawing.current = [toMm(e)]
        setLive(drawing.current)
      }}
      onPointerMove={(e) => {
        if (!drawing.current) return
        const p = toMm(e)
        const last = drawing.current[drawing.current.length - 1]
        if (Math.hypot(p[0] - last[0], p[1] - last[1]) < 0.4) return
        drawing.current = [...drawing.current, p]
        setLive(drawing.current)
      }}
      onPointerUp={() => {
        if (drawing.current) onChange([...strokes, drawing.current])
        drawing.current = null
        setLive(undefined)
      }}
      onKeyDown={(e) => {
        const step: Record<string, [number, number]> = {
          ArrowLeft: [-1, 0],
          ArrowRight: [1, 0],
          ArrowUp: [0, 1],
          ArrowDown: [0, -1],
        }
        const move = step[e.key]
        if (!move && e.key !== ' ' && e.key !== 'Delete') return
        e.preventDefault()
        e.stopPropagation()
        e.nativeEvent.stopImmediatePropagation()
        if (e.key === 'Delete') {
          onChange(strokes.slice(0, -1))
          return
        }
        if (e.key === ' ') {
          if (!pen.down) onChange([...strokes, [[pen.x, pen.y]]])
          setPen({ ...pen, down: !pen.down })
          return
        }
        const next = { ...pen, x: clamp(pen.x + move[0], widthMm / 2), y: clamp(pen.y + move[1], depthMm / 2) }
        setPen(next)
        if (pen.down) onChange([...strokes.slice(0, -1), [...(strokes[strokes.length - 1] ?? []), [next.x, next.y]]])
      }}
    >
      {[...strokes, ...(live ? [live] : [])].map((s, i) => (
        <path
          key={i}
          d={path(s)}
          stroke="var(--copper)"
          strokeWidth={beadMm * k}
          strokeLinecap="round"
          strokeLinejoin="round"
          fill="none"
        />
      ))}
      <path
        d={`M${width / 2 + pen.x * k - 6} ${height / 2 - pen.y * k}h12m-6 -6v12`}
        stroke={pen.down ? 'var(--copper)' : '#fff'}
        strokeWidth={1.5}
      />
    </svg>
  )
}
