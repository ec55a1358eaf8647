import type { Board, Schemas } from '../api/client'
import { fixed } from '../ui/format'
import { partCorners } from './BoardLayer'
import type { Projection } from './view'

// a wash and a hatch for each half millimetre: thickness is told twice
const washes = ['var(--hatch)', 'var(--cool-wash)', 'var(--hatch)', 'var(--amber-wash)']

export const padPattern = (mm: number) => `pad-${Math.round(mm * 100)}`

/** Hatching by thickness: the thicker the pad, the closer the lines, turned the other way every half millimetre. */
export function PadPatterns({ thicknesses }: { thicknesses: number[] }) {
  return (
    <defs>
      {[...new Set(thicknesses)].map((t) => {
        const w = Math.max(3, 9 - 3 * t)
        return (
          <pattern
            key={t}
            id={padPattern(t)}
            width={w}
            height={w}
            patternUnits="userSpaceOnUse"
            patternTransform={`rotate(${Math.round(t * 2) % 2 ? 45 : -45})`}
          >
            <rect width={w} height={w} fill={washes[Math.round(t * 2) % washes.length]} />
            <path d={`M0 0V${w}`} stroke="var(--hatch-line)" strokeWidth={1.5} />
          </pattern>
        )
      })}
    </defs>
  )
}

export function PadLayer({
  board,
  pads,
  p,
  selected,
  onPick,
  lit,
}: {
  board: Board
  pads: Schemas['PlacedPad'][]
  p: Projection
  selected?: string
  onPick?: (part: string) => void
  lit?: string[]
}) {
  return (
    <g>
      <PadPatterns thicknesses={pads.map((x) => x.thicknessMm)} />
      {pads
        .filter((x) => x.face === p.face)
        .map((pad) => {
          const part = board.parts.find((x) => x.id === pad.part)!
          const bad = pad.fit?.state !== 'good'
          const small = Math.min(part.widthMm, part.depthMm) * p.scale < 34
          const on = pad.part === selected
          const now = lit?.includes(pad.part)
          const text = small ? pad.letter : `${pad.letter} ${fixed(pad.thicknessMm, 1)}`
          const half = small ? 5 + pad.letter.length * 3 : 21
          const room = !small && pad.fit && part.depthMm * p.scale > 38 && part.widthMm * p.scale > 44
          return (
            <g
              key={pad.part}
              onClick={onPick && (() => onPick(pad.part))}
              className={onPick ? 'cursor-pointer' : undefined}
              data-pad={pad.part}
            >
              <title>{`Pad ${pad.letter} on ${pad.part}, ${pad.thicknessMm} mm ${pad.material}`}</title>
              <path
                d={p.path(partCorners(part))}
                fill={`url(#${padPattern(pad.thicknessMm)})`}
                stroke={now ? 'var(--copper)' : on || bad ? 'var(--plum)' : 'var(--ink)'}
                strokeWidth={now ? 6 : on ? 3.4 : bad ? 2.4 : 1.1}
                opacity={lit && !now ? 0.45 : 1}
              />
              <rect
                x={p.x(part.x) - half}
                y={p.y(part.y) - (small ? 8 : room ? 17 : 11)}
                width={half * 2}
                height={small ? 16 : room ? 35 : 22}
                fill="var(--card)"
                opacity={0.92}
              />
              <text
                x={p.x(part.x)}
                y={p.y(part.y) + (small ? 5 : room ? -1 : 6)}
                textAnchor="middle"
                className="num"
                fontSize={small ? 14 : 17}
                fontWeight={600}
                fill={bad ? 'var(--plum)' : 'var(--ink)'}
              >
                {text}
              </text>
              {room && (
                <text
                  x={p.x(part.x)}
                  y={p.y(part.y) + 14}
                  textAnchor="middle"
                  className="num"
                  fontSize={14}
                  fill={bad ? 'var(--plum)' : 'var(--ink)'}
                >
                  {pad.fit!.squashText}
                </text>
              )}
            </g>
          )
        })}
    </g>
  )
}
