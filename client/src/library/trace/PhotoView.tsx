import { useRef, useState } from 'react'
import type { Schemas } from '../../api/client'
import { useSize } from '../../mat/view'

export type Tool = 'look' | 'hole' | 'part' | 'mark'
type Feature = Schemas['PhotoFeature']
interface Props {
  photo: string
  width: number
  height: number
  tool: Tool
  marks: Schemas['FoundMark'][]
  features: Feature[]
  selected?: string
  onSelect: (id?: string) => void
  onClick: (u: number, v: number) => void
  onDraw: (a: [number, number], b: [number, number]) => void
}

/** The photo with what was marked in it; a magnifier follows the hand. */
export function PhotoView({ photo, width, height, tool, marks, features, selected, onSelect, onClick, onDraw }: Props) {
  const { ref, width: w, height: h } = useSize()
  const fitted = Math.max(width / Math.max(1, w), height / Math.max(1, h))
  const [view, setView] = useState({ cx: width / 2, cy: height / 2, zoom: 1 })
  const [at, setAt] = useState<[number, number]>()
  const drag = useRef<{ x: number; y: number; from: [number, number]; moved: boolean } | null>(null)
  const [drawn, setDrawn] = useState<[number, number][]>()
  const perPx = fitted / view.zoom
  const toPhoto = (e: React.PointerEvent | React.WheelEvent): [number, number] => {
    const box = ref.current!.getBoundingClientRect()
    return [view.cx + (e.clientX - box.left - w / 2) * perPx, view.cy + (e.clientY - box.top - h / 2) * perPx]
  }
  const x = (u: number) => (u - view.cx) / perPx + w / 2
  const y = (v: number) => (v - view.cy) / perPx + h / 2
  const loupe = 74
  return (
    <div ref={ref} className="relative min-h-0 flex-1 overflow-hidden bg-mat">
      {w > 0 && (
        <svg
          width={w}
          height={h}
          role="application"
          aria-label="Photo of the board"
          className={`absolute inset-0 touch-none select-none ${tool === 'look' ? 'cursor-grab' : 'cursor-crosshair'}`}
          onWheel={(e) => {
            const p = toPhoto(e)
            const k = e.deltaY < 0 ? 1.2 : 1 / 1.2
            setView((s) => {
              const zoom = Math.min(24, Math.max(0.8, s.zoom * k))
              const f = s.zoom / zoom
              return { zoom, cx: p[0] + (s.cx - p[0]) * f, cy: p[1] + (s.cy - p[1]) * f }
            })
          }}
          onPointerDown={(e) => {
            e.currentTarget.setPointerCapture(e.pointerId)
            drag.current = { x: e.clientX, y: e.clientY, from: toPhoto(e), moved: false }
          }}
          onPointerMove={(e) => {
            setAt(toPhoto(e))
            const d = drag.current
            if (!d || e.buttons === 0) return
            if (!d.moved && Math.hypot(e.clientX - d.x, e.clientY - d.y) < 5) return
            d.moved = true
            if (tool === 'part') setDrawn([d.from, toPhoto(e)])
            else {
              setView((s) => ({ ...s, cx: s.cx - (e.clientX - d.x) * perPx, cy: s.cy - (e.clientY - d.y) * perPx }))
              d.x = e.clientX
              d.y = e.clientY
            }
          }}
          onPointerUp={(e) => {
            const d = drag.current
            drag.current = null
            setDrawn(undefined)
            if (!d) return
            if (d.moved) {
              if (tool === 'part') onDraw(d.from, toPhoto(e))
            } else onClick(...toPhoto(e))
          }}
          onPointerLeave={() => setAt(undefined)}
        >
          <image
            href={photo}
            x={x(0)}
            y={y(0)}
            width={width / perPx}
            height={height / perPx}
            preserveAspectRatio="none"
            style={{ imageRendering: perPx < 0.5 ? 'pixelated' : 'auto' }}
          />
          {marks.map((m) => {
            const on = selected === `mark ${m.id}`
            return (
              <g
                key={m.id}
                onPointerUp={(e) => {
                  if (tool === 'look' && !drag.current?.moved) {
                    e.stopPropagation()
                    drag.current = null
                    onSelect(`mark ${m.id}`)
                  }
                }}
              >
                <circle
                  cx={x(m.uPx)}
                  cy={y(m.vPx)}
                  r={13}
                  fill="transparent"
                  stroke={on ? 'var(--copper)' : 'var(--cool)'}
                  strokeWidth={on ? 4 : 2.5}
                />
                <text
                  x={x(m.uPx) + 16}
                  y={y(m.vPx) - 8}
                  className="num"
                  fontSize={16}
                  fontWeight={700}
                  fill="#fff"
                  stroke="#14343a"
                  strokeWidth={3.5}
                  paintOrder="stroke"
                >
                  {m.id}
                </text>
              </g>
            )
          })}
          {features.map((f) => {
            const on = f.id === selected
            const pick = (e: React.PointerEvent) => {
              if (tool === 'look' && !drag.current?.moved) {
                e.stopPropagation()
                drag.current = null
                onSelect(f.id)
              }
            }
            const colour = on ? '#ffb27a' : f.isHole ? '#7ff0e4' : '#ffe08a'
            return f.isHole ? (
              <g key={f.id} onPointerUp={pick}>
                <circle
                  cx={x(f.uPx)}
                  cy={y(f.vPx)}
                  r={11}
                  fill="transparent"
                  stroke={colour}
                  strokeWidth={on ? 4 : 2.5}
                />
                <path d={`M${x(f.uPx) - 5} ${y(f.vPx)}h10m-5 -5v10`} stroke={colour} strokeWidth={1.6} />
                <Label x={x(f.uPx) + 13} y={y(f.vPx) + 5} text={f.id} />
              </g>
            ) : (
              <g key={f.id} onPointerUp={pick}>
                <rect
                  x={Math.min(x(f.uPx), x(f.oppositeUPx!))}
                  y={Math.min(y(f.vPx), y(f.oppositeVPx!))}
                  width={Math.abs(x(f.uPx) - x(f.oppositeUPx!))}
                  height={Math.abs(y(f.vPx) - y(f.oppositeVPx!))}
                  fill="transparent"
                  stroke={colour}
                  strokeWidth={on ? 4 : 2.5}
                />
                <Label
                  x={(x(f.uPx) + x(f.oppositeUPx!)) / 2 - 8}
                  y={(y(f.vPx) + y(f.oppositeVPx!)) / 2 + 5}
                  text={f.id}
                />
              </g>
            )
          })}
          {drawn && (
            <rect
              x={Math.min(x(drawn[0][0]), x(drawn[1][0]))}
              y={Math.min(y(drawn[0][1]), y(drawn[1][1]))}
              width={Math.abs(x(drawn[0][0]) - x(drawn[1][0]))}
              height={Math.abs(y(drawn[0][1]) - y(drawn[1][1]))}
              fill="none"
              stroke="#ffe08a"
              strokeWidth={2}
              strokeDasharray="6 4"
            />
          )}
        </svg>
      )}
      {at && tool !== 'look' && (
        <svg
          width={2 * loupe}
          height={2 * loupe}
          viewBox={`${at[0] - 18} ${at[1] - 18} 36 36`}
          className="pointer-events-none absolute right-3 top-3 rounded-full border-4 border-card bg-card shadow-lg"
          aria-hidden
        >
          <image href={photo} x={0} y={0} width={width} height={height} style={{ imageRendering: 'pixelated' }} />
          <path d={`M${at[0] - 18} ${at[1]}h36M${at[0]} ${at[1] - 18}v36`} stroke="#ffb27a" strokeWidth={0.4} />
        </svg>
      )}
    </div>
  )
}

const Label = ({ x, y, text }: { x: number; y: number; text: string }) => (
  <text
    x={x}
    y={y}
    className="num"
    fontSize={16}
    fontWeight={700}
    fill="#fff"
    stroke="#14343a"
    strokeWidth={3.5}
    paintOrder="stroke"
  >
    {text}
  </text>
)
