import type { Schemas } from '../../api/client'
import type { Moment } from './useMoment'

type Turn = NonNullable<Moment['turn']>
type Thing = Schemas['TurnedThing']

/** How high each thing is drawn: from the side only what lies on what matters. */
const HIGH = { pad: 8, piece: 30 }
const [W, H, BOARD, WIDE] = [480, 204, 9, 190]

/** Parts that stand out of the face below: so many units a millimetre, up to where a piece would be drawn. */
const [PER_MM, TALLEST] = [3, 40]

/** Most that is drawn on one face. */
const MOST = 48

const tone = (t: Thing) =>
  t.heldBy === 'nothing' || t.heldBy === 'hand'
    ? 'var(--plum)'
    : t.screws.length > 0
      ? 'var(--copper)'
      : t.heldBy === 'tack'
        ? 'var(--cool)'
        : 'var(--ink)'

const high = (t: Thing) => (t.pads ? HIGH.pad : HIGH.piece)

/** The board from the side, before and after it is turned over: what holds what, which screws, where the hand goes. */
export function TurnPicture({ turn }: { turn: Turn }) {
  const before = turn.up === 'back' ? 'front' : 'back'
  return (
    <svg viewBox={`0 0 ${W} ${H}`} className="h-auto w-full" role="img" aria-label={told(turn)}>
      <Side turn={turn} up={before} x={14} y={86} />
      <path d="M204 46C222 12 252 12 268 42" fill="none" stroke="var(--copper)" strokeWidth={3.5} />
      <path d="M274 54L259 43L275 36Z" fill="var(--copper)" />
      <Side turn={turn} up={turn.up} x={276} y={86} after />
    </svg>
  )
}

const told = (turn: Turn) =>
  `From the side, before and after the turn. ${turn.things.map((t) => `${t.name}, ${t.face}: ${t.text}`).join('. ')} ${turn.rest}`

function Side({ turn, up, x, y, after }: { turn: Turn; up: string; x: number; y: number; after?: boolean }) {
  const span = turn.toMm - turn.fromMm
  const mirrored = up === 'back'
  const at = (mm: number) => {
    const share = Math.min(1.06, Math.max(-0.06, (mm - turn.fromMm) / span))
    return x + (mirrored ? 1 - share : share) * WIDE
  }
  const stacked = (face: string) => {
    let from = 0
    const own = turn.things.filter((t) => t.face === face)
    const fit = Math.min(1, MOST / own.reduce((n, t) => n + high(t), 0))
    // what lies flat on the board first, then what lies over it
    return own
      .sort((a, b) => a.toMm - a.fromMm - (b.toMm - b.fromMm))
      .map((t) => {
        const h = high(t) * fit
        const placed = { t, from, h }
        from += h
        return placed
      })
  }
  const above = stacked(up)
  const below = stacked(up === 'front' ? 'back' : 'front')
  const depth = (list: { h: number }[]) => list.reduce((n, s) => n + s.h, 0)
  const hand = turn.things.find((t) => t.heldBy === 'hand')
  const tall = (mm: number) => Math.min(TALLEST, mm * PER_MM)
  const foam =
    after && turn.below.length > 0 ? y + BOARD + depth(below) + tall(turn.below[turn.below.length - 1].heightMm) : null
  return (
    <g>
      {foam != null && (
        <path d={`M${x - 8} ${foam + 3}h${WIDE + 16}`} stroke="var(--copper)" strokeWidth={6} strokeDasharray="2 5" />
      )}
      {turn.below.map((p) => {
        const [a, b, h] = [at(p.fromMm), at(p.toMm), tall(p.heightMm)]
        return (
          <rect
            key={p.part}
            x={Math.min(a, b)}
            y={after ? y + BOARD : y - h}
            width={Math.max(2, Math.abs(b - a))}
            height={h}
            fill="var(--raised)"
            stroke="var(--ink)"
            strokeWidth={1.4}
          />
        )
      })}
      <rect x={x} y={y} width={WIDE} height={BOARD} fill="var(--ink)" />
      {above.map((s) => (
        <Slab key={s.t.name + s.t.face} {...s} top={y - s.from - s.h} at={at} />
      ))}
      {below.map((s) => (
        <Slab key={s.t.name + s.t.face} {...s} top={y + BOARD + s.from} at={at} />
      ))}
      {turn.things.flatMap((t) =>
        t.screws.map((s, i) => (
          <g key={`${t.name}${i}`}>
            <path d={`M${at(s.atMm)} ${y - 20}V${y + BOARD + 20}`} stroke="var(--cool)" strokeWidth={4} />
            {i < 2 && s.number != null && (
              <text
                x={at(s.atMm)}
                y={y - 26}
                textAnchor="middle"
                fontSize={20}
                fontWeight={700}
                className="num"
                fill="var(--cool)"
              >
                {s.number}
              </text>
            )}
          </g>
        )),
      )}
      {hand && turn.handMm != null && (
        <Hand
          x={at(turn.handMm)}
          y={hand.face === up ? y - depth(above) : y + BOARD + depth(below)}
          over={hand.face === up}
        />
      )}
      <text x={x + WIDE / 2} y={H - 8} textAnchor="middle" fontSize={20} fill="var(--soft)">
        {after ? 'after' : 'before'}: {up} up
      </text>
    </g>
  )
}

function Slab({ t, h, top, at }: { t: Thing; h: number; top: number; at: (mm: number) => number }) {
  const [a, b] = [at(t.fromMm), at(t.toMm)]
  const loose = t.heldBy === 'nothing'
  return (
    <rect
      x={Math.min(a, b)}
      y={top + 1}
      width={Math.max(6, Math.abs(b - a))}
      height={h - 2}
      fill={t.screws.length > 0 ? 'var(--copper-wash)' : 'var(--raised)'}
      stroke={tone(t)}
      strokeWidth={2.4}
      strokeDasharray={loose ? '6 5' : undefined}
    />
  )
}

/** The hand that stays on what no screw holds. */
const Hand = ({ x, y, over }: { x: number; y: number; over: boolean }) => (
  <g transform={`translate(${x} ${y}) scale(1 ${over ? -1 : 1})`}>
    <path d="M-46 8Q0 34 46 8" fill="none" stroke="var(--plum)" strokeWidth={5} strokeLinecap="round" />
    <text
      y={over ? -24 : 38}
      transform={over ? 'scale(1 -1)' : undefined}
      textAnchor="middle"
      fontSize={20}
      fontWeight={700}
      fill="var(--plum)"
    >
      hand
    </text>
  </g>
)
