import type { Projection } from '../../mat/view'
import type { OverlayProps } from '../room'
import { useSuspects } from './useSuspects'

/** Temperatures where they were measured: before on the left, after on the right. */
export function ProveOverlay({ job, here, p }: OverlayProps) {
  const own = job.readings.filter((r) => (r.board ?? job.order.pieces[0].key) === here.boardKey)
  const before = own.findLast((r) => r.phase === 'before')
  const after = own.findLast((r) => r.phase === 'after')
  const die = here.board.parts.find((x) => x.kind === 'die' || x.kind === 'lid')
  const suspects = useSuspects(job, here).data?.hypotheses ?? []
  const suspect = suspects[0]?.kind === 'none' ? undefined : suspects[0]
  const memory = here.board.parts.filter((x) => x.kind === 'memory').sort((a, b) => b.y - a.y)[0]
  return (
    <g>
      {here.board.parts
        .filter((x) => suspect?.parts.includes(x.id))
        .map((x) => (
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
      {die && <Tag p={p} x={die.x} y={die.y} before={before?.dieC} after={after?.dieC} name="die" />}
      {memory && (before?.memoryC ?? after?.memoryC) != null && (
        <Tag p={p} x={memory.x} y={memory.y} before={before?.memoryC} after={after?.memoryC} name="memory" />
      )}
    </g>
  )
}

function Tag({
  p,
  x,
  y,
  before,
  after,
  name,
}: {
  p: Projection
  x: number
  y: number
  before?: number | null
  after?: number | null
  name: string
}) {
  return (
    <g transform={`translate(${p.x(x)} ${p.y(y)})`}>
      <rect x={-62} y={-24} width={124} height={46} fill="var(--card)" stroke="var(--ink)" />
      <text y={-8} textAnchor="middle" fontSize={13} fill="var(--soft)">
        {name}, °C
      </text>
      <text y={15} textAnchor="middle" className="num" fontSize={22} fontWeight={600} fill="var(--ink)">
        {before?.toFixed(0) ?? '–'}
        <tspan fill="var(--soft)"> → </tspan>
        <tspan fill="var(--cool)">{after?.toFixed(0) ?? '–'}</tspan>
      </text>
    </g>
  )
}
