import type { Board, Part } from '../api/client'
import type { Projection } from './view'

const words: Partial<Record<Part['kind'], string>> = {
  die: 'die',
  lid: 'lid',
  connector: '',
  empty: 'empty',
  'bridge-chip': 'bridge',
  cover: 'cover',
}

export function partCorners(part: Part): number[][] {
  const r = (part.rotationDeg * Math.PI) / 180
  const [s, c] = [Math.sin(r), Math.cos(r)]
  const local =
    part.outline ??
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([x, y]) => [(x * part.widthMm) / 2, (y * part.depthMm) / 2])
  return local.map(([x, y]) => [part.x + c * x - s * y, part.y + s * x + c * y])
}

/** Size of a letter that is as wide as one unit, and the smallest that can be read at the bench, px. */
const LETTER = 1.7
const SMALLEST = 9

/** How wide it lies on the mat, mm. */
function across(part: Part) {
  const xs = partCorners(part).map(([x]) => x)
  return Math.max(...xs) - Math.min(...xs)
}

/** The bare board to scale: outline, holes, parts of the face that is up; the other face's parts as faint shadows. */
export function BoardLayer({
  board,
  p,
  selected,
  tint,
  onPick,
  quiet,
}: {
  board: Board
  p: Projection
  selected?: string
  tint?: Record<string, 'plum' | 'amber' | 'copper' | 'cool'>
  onPick?: (id: string) => void
  quiet?: boolean
}) {
  return (
    <g>
      <path d={p.path(board.outline as number[][])} fill="var(--board)" stroke="var(--ink)" strokeWidth={1.8} />
      {board.parts
        .filter((x) => x.face !== p.face && x.kind !== 'empty')
        .map((x) => (
          <path key={x.id} d={p.path(partCorners(x))} fill="none" stroke="var(--rule)" strokeDasharray="2 3" />
        ))}
      {board.parts
        .filter((x) => x.face === p.face)
        .map((x) => (
          <PartShape
            key={x.id}
            part={x}
            p={p}
            selected={x.id === selected}
            tint={tint?.[x.id]}
            onPick={onPick}
            quiet={quiet}
            under={!!x.under && board.parts.some((lid) => lid.id === x.under)}
          />
        ))}
      {board.holes.map((h) => (
        <circle
          key={h.id}
          cx={p.x(h.x)}
          cy={p.y(h.y)}
          r={Math.max(2, (h.diameterMm / 2) * p.scale)}
          fill="var(--mat)"
          stroke="var(--soft)"
          strokeWidth={1.2}
        />
      ))}
    </g>
  )
}

function PartShape({
  part,
  p,
  selected,
  tint,
  onPick,
  quiet,
  under,
}: {
  part: Part
  p: Projection
  selected: boolean
  tint?: string
  onPick?: (id: string) => void
  quiet?: boolean
  /** Hidden by a lid: drawn as what lies below. */
  under?: boolean
}) {
  const fills: Partial<Record<Part['kind'], string>> = {
    die: 'var(--silicon)',
    lid: 'var(--metal)',
    memory: 'var(--metal)',
    inductor: 'var(--metal)',
    connector: 'var(--metal)',
    empty: 'none',
  }
  const width = Math.min(part.widthMm, part.depthMm) * p.scale
  const label = words[part.kind] ?? part.id
  const letters = Math.min(width > 40 && label.length < 5 ? 15 : 12, across(part) * p.scale * (LETTER / label.length))
  const colour = selected
    ? 'var(--plum)'
    : tint
      ? `var(--${tint})`
      : part.kind === 'empty'
        ? 'var(--soft)'
        : 'var(--part-line)'
  const round = part.kind === 'capacitor' && Math.abs(part.widthMm - part.depthMm) < 0.2
  return (
    <g
      onClick={onPick && (() => onPick(part.id))}
      className={onPick ? 'cursor-pointer' : undefined}
      data-part={part.id}
    >
      <title>{`${part.id}, ${part.kind}, ${part.heightMm == null ? 'height not known' : `${part.heightMm} mm high`}`}</title>
      {round ? (
        <circle
          cx={p.x(part.x)}
          cy={p.y(part.y)}
          r={width / 2}
          fill={tint ? `var(--${tint}-wash)` : 'var(--raised)'}
          stroke={colour}
          strokeWidth={selected || tint ? 2.6 : 1}
        />
      ) : (
        <path
          d={p.path(partCorners(part))}
          fill={tint && part.kind !== 'die' ? `var(--${tint}-wash)` : (fills[part.kind] ?? 'var(--raised)')}
          fillOpacity={under ? 0.12 : undefined}
          stroke={colour}
          strokeWidth={selected || tint ? 2.6 : 1.1}
          strokeDasharray={part.kind === 'empty' || under ? '3 3' : undefined}
        />
      )}
      {!quiet && !under && label && width > 24 && letters >= SMALLEST && (
        <text
          x={p.x(part.x)}
          y={p.y(part.y) + 4.5}
          textAnchor="middle"
          fontSize={letters}
          fill={part.kind === 'die' ? '#fff' : 'var(--soft)'}
        >
          {label}
        </text>
      )}
    </g>
  )
}
