import type { Schemas } from '../../api/client'
import { Callout } from '../../mat/Callout'
import { HeatLayer } from '../../mat/HeatLayer'
import type { Projection } from '../../mat/view'
import type { OverlayProps } from '../room'
import type { Heat } from './useHeat'
import { useSuspects } from './useSuspects'

type Part = Schemas['Part']

interface Figure {
  part: Part
  name: string
  expected?: number
  measured?: number
  before?: number
  rangeK?: number
  /** The limit it would be past. */
  past?: number
}

/** The plate's heat, what is expected and what was measured at the parts, and the suspect lit. */
export function ProveOverlay({ job, here, p, own, face, top }: OverlayProps<Heat>) {
  const suspects = useSuspects(job, here).data?.hypotheses ?? []
  const suspect = suspects[0]?.kind === 'none' ? undefined : suspects[0]
  const lit = here.board.parts.filter((x) => suspect?.parts.includes(x.id))
  const map = own.shown && face === 'front' ? own.expected?.map : undefined
  return (
    <g pointerEvents="none">
      {map && <HeatLayer map={map} placement={here.placement} p={p} />}
      {face === 'front' &&
        apart(figures(job, here.board, here.boardKey, own, p.scale), p).map(([f, x, y]) => (
          <Tag key={f.part.id} x={x} y={y} f={f} suspect={lit.some((l) => l.id === f.part.id)} />
        ))}
      {lit.map((x) => (
        <circle
          key={x.id}
          cx={p.x(x.x)}
          cy={p.y(x.y)}
          r={(Math.max(x.widthMm, x.depthMm) * p.scale) / 2 + 7}
          fill="none"
          stroke="var(--plum)"
          strokeWidth={3}
          strokeDasharray="7 5"
        >
          <title>{`${x.id}: ${suspect?.name}`}</title>
        </circle>
      ))}
      {suspect && lit.length > 0 && (
        <Callout
          p={p}
          at={[lit[0].x, lit[0].y]}
          topMm={top}
          text={`${suspect.name}${lit.length === 1 ? `, ${lit[0].id}` : ''}: ${Math.round(suspect.probability * 100)} %`}
        />
      )}
    </g>
  )
}

/** Dies and memory one by one where there is room, of every other kind the hottest. */
function figures(
  job: OverlayProps['job'],
  board: Schemas['Board'],
  boardKey: string,
  own: Heat,
  scale: number,
): Figure[] {
  const readings = job.readings.filter((r) => (r.board ?? job.order.pieces[0].key) === boardKey)
  // as they are judged: without what the sensors are known to be off by
  const sensors = job.plan.prove.pairs.filter((x) => x.board === boardKey).flatMap((x) => x.comparison.sensors)
  const before = readings.findLast((r) => r.phase === 'before')
  const after = readings.findLast((r) => r.phase === 'after')
  const find = (id: string) => board.parts.find((x) => x.id === id)
  const kinds = own.expected?.kinds ?? []
  const expected = own.expected?.result.parts ?? []
  const die = board.parts.find((x) => x.kind === 'die' || x.kind === 'lid')
  const list: Figure[] = []
  for (const k of kinds) {
    const all = expected.filter((e) => find(e.part)?.kind === k.kind)
    const each = k.kind === 'die' || (k.kind === 'memory' && all.length <= 12 && scale > 3)
    for (const e of each ? all : all.filter((x) => x.part === k.hottest)) {
      const part = find(e.part)
      if (!part) continue
      const own = part.id === die?.id
      const memory = k.kind === 'memory' && e.part === k.hottest
      list.push({
        part,
        name: all.length > 1 && !each ? `${part.id}, of ${all.length}` : own && all.length === 1 ? part.kind : part.id,
        expected: e.c,
        rangeK: e.rangeK,
        past: e.pastLimit ? (e.limitC ?? undefined) : undefined,
        measured:
          sensors.find((x) => x.part === part.id)?.measuredC ??
          (own
            ? after?.dieC
            : memory
              ? (after?.memoryC ?? undefined)
              : k.kind === 'power-stage'
                ? (after?.powerStageC ?? undefined)
                : undefined),
      })
    }
  }
  // without an expectation what was measured stands alone, before and after
  if (list.length === 0 && die && (before || after))
    list.push({ part: die, name: 'die', before: before?.dieC, measured: after?.dieC })
  return list
}

const isTwo = (f: Figure) => f.measured !== undefined || f.before !== undefined
const halfOf = (f: Figure) => Math.max(isTwo(f) ? 37 : 23, f.name.length * 3.6 + 6)

/** Tags that would lie over one another are moved down, the later one. */
function apart(list: Figure[], p: Projection) {
  const laid: [Figure, number, number][] = []
  for (const f of list) {
    const x = p.x(f.part.x)
    let y = p.y(f.part.y)
    const hits = () => laid.find(([o, ox, oy]) => Math.abs(oy - y) < 43 && Math.abs(ox - x) < halfOf(f) + halfOf(o) + 2)
    for (let hit = hits(); hit; hit = hits()) y = hit[2] + 44
    laid.push([f, x, y])
  }
  return laid
}

function Tag({ x, y, f, suspect }: { x: number; y: number; f: Figure; suspect: boolean }) {
  const two = isTwo(f)
  const over = f.measured !== undefined && f.expected !== undefined && f.measured > f.expected + (f.rangeK ?? 0)
  const half = halfOf(f)
  const shown = (v?: number) => v?.toFixed(0) ?? '–'
  // past its limit it would not go on running: no figure is told
  const expected = f.past === undefined ? shown(f.expected) : `>${f.past.toFixed(0)}`
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect
        x={-half}
        y={-21}
        width={half * 2}
        height={41}
        fill="var(--card)"
        stroke={suspect ? 'var(--plum)' : 'var(--ink)'}
        strokeWidth={suspect ? 3 : 1}
      />
      <text y={-7} textAnchor="middle" fontSize={12.5} fill="var(--soft)">
        {f.name}
      </text>
      <text y={14} textAnchor="middle" className="num" fontSize={20} fontWeight={600} fill="var(--cool)">
        {f.before === undefined ? expected : shown(f.before)}
        {two && (
          <>
            <tspan fill="var(--soft)">{f.before === undefined ? ' | ' : ' → '}</tspan>
            <tspan fill={over ? 'var(--plum)' : 'var(--ink)'}>{shown(f.measured)}</tspan>
          </>
        )}
      </text>
    </g>
  )
}
