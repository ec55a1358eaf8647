import type { Board, Schemas } from '../api/client'
import { partCorners } from './BoardLayer'
import type { Projection } from './view'

/** The board as it lies: what is over it, which faces are dirty, clean, padded or pasted. */
export function BenchLayer({
  board,
  lies,
  p,
  quiet,
}: {
  board: Board
  lies: Schemas['BoardMoment']
  p: Projection
  /** Only what lies over the board. */
  quiet?: boolean
}) {
  const over = lies.lies.filter((x) => x.stock && x.face === p.face)
  const parts = new Map(lies.parts.filter((x) => x.face === p.face).map((x) => [x.part, x.is]))
  return (
    <g aria-hidden data-over={over.map((x) => x.name).join(', ')} className="pointer-events-none">
      <defs>
        <pattern id="bench-dirty" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(38)">
          <path d="M0 2H4" stroke="var(--amber)" strokeWidth="1.6" />
        </pattern>
        <pattern id="bench-padded" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <path d="M0 3H6" stroke="var(--copper)" strokeWidth="1.6" />
        </pattern>
        <pattern id="bench-fins" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--raised)" />
          <path d="M3 0V6" stroke="var(--ink)" strokeWidth="2" />
        </pattern>
        <pattern id="bench-over" width="11" height="11" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 5H11" stroke="var(--soft)" strokeWidth="1" />
        </pattern>
      </defs>
      {!quiet &&
        over.length === 0 &&
        board.parts
          .filter((x) => parts.has(x.id))
          .map((x) => <Face key={x.id} d={p.path(partCorners(x))} is={parts.get(x.id)!} />)}
      {over.map((x) => (
        <Sheet key={x.thing} d={sheetOver(board, x.over, p)} />
      ))}
      {!quiet &&
        lies.leads
          .filter((x) => x.face === p.face)
          .map((x) => ({ x, at: x.at }))
          .map(({ x, at }) => <Plug key={x.thing} x={p.x(at[0])} y={p.y(at[1])} in={x.plugged} />)}
    </g>
  )
}

/** How far a piece reaches past the parts that it is known to lie over, mm. */
const REACH = 5

/** The box round the parts that a piece lies over; its own edge is in no document. */
function sheetOver(board: Board, over: string[], p: Projection) {
  const at = board.parts.filter((x) => over.includes(x.id)).flatMap(partCorners)
  if (at.length === 0) return undefined
  const [xs, ys] = [at.map((c) => c[0]), at.map((c) => c[1])]
  const [l, r, b, t] = [
    Math.min(...xs) - REACH,
    Math.max(...xs) + REACH,
    Math.min(...ys) - REACH,
    Math.max(...ys) + REACH,
  ]
  return p.path([
    [l, b],
    [r, b],
    [r, t],
    [l, t],
  ])
}

const Sheet = ({ d }: { d?: string }) =>
  d ? (
    <g>
      <path d={d} fill="var(--raised)" opacity={0.4} />
      <path d={d} fill="url(#bench-over)" opacity={0.4} stroke="var(--soft)" strokeDasharray="6 5" />
    </g>
  ) : null

/** The plug of a lead: full while it is in. */
const Plug = ({ x, y, in: plugged }: { x: number; y: number; in: boolean }) => (
  <path
    transform={`translate(${x} ${y})`}
    d="M-6 -3V-9M0 -3V-9M6 -3V-9M-9 -3H9V6H-9Z"
    fill={plugged ? 'var(--ink)' : 'var(--card)'}
    stroke="var(--ink)"
    strokeWidth={2}
  />
)

function Face({ d, is }: { d: string; is: Schemas['PartCondition'] }) {
  switch (is) {
    case 'dirty':
      return <path d={d} fill="url(#bench-dirty)" />
    case 'padded':
      return (
        <g>
          <path d={d} fill="url(#bench-padded)" opacity={0.4} />
          <path d={d} fill="none" stroke="var(--copper)" strokeWidth={1.6} />
        </g>
      )
    case 'pasted':
      return <path d={d} fill="var(--soft)" fillOpacity={0.35} stroke="var(--copper)" strokeWidth={2} />
    case 'sink':
      return <path d={d} fill="url(#bench-fins)" stroke="var(--ink)" strokeWidth={3} strokeLinejoin="round" />
    case 'clean':
      return <path d={d} fill="none" stroke="var(--cool)" strokeWidth={2} />
    default:
      return null
  }
}

/** Names of what lies over the face that is shown. */
export function Over({ lies, face }: { lies: Schemas['BoardMoment']; face: string }) {
  const over = lies.lies.filter((x) => x.stock && x.face === face)
  if (over.length === 0) return null
  return (
    <span>
      over it: <b className="font-semibold text-ink">{over.map((x) => x.name).join(', ')}</b>
    </span>
  )
}
