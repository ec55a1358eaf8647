import type { Block, Placement } from '../api/client'
import { placed } from './place'
import type { Projection } from './view'

/** Fins, the jet's slit and the ports, as the block is turned. */
export function BlockInside({
  block,
  placement,
  p,
}: {
  block?: Block
  placement: Placement
  p: Pick<Projection, 'x' | 'y'>
}) {
  const { finDirectionDeg: fins, slitDirectionDeg: slit, finArea } = block?.coldPlate ?? {}
  const half = finArea ? Math.max(...(finArea as number[][]).flat().map(Math.abs)) : 14
  const along = (deg: number, reach: number) => {
    const a = (deg * Math.PI) / 180
    const [from, to] = placed(placement, [
      [-reach * Math.cos(a), -reach * Math.sin(a)],
      [reach * Math.cos(a), reach * Math.sin(a)],
    ])
    return `M${p.x(from[0])} ${p.y(from[1])}L${p.x(to[0])} ${p.y(to[1])}`
  }
  return (
    <g>
      {fins != null && (
        <path d={along(fins, half)} stroke="var(--cool)" strokeWidth={13} strokeOpacity={0.3} strokeLinecap="round" />
      )}
      {slit != null && (
        <path d={along(slit, half * 0.9)} stroke="var(--plum)" strokeWidth={3.5} strokeLinecap="round" />
      )}
      {(block?.ports ?? []).map((port) => {
        const [[x, y]] = placed(placement, [[port.x, port.y]])
        return (
          <g key={port.id}>
            <circle cx={p.x(x)} cy={p.y(y)} r={15} fill="var(--card)" stroke="var(--copper)" strokeWidth={2} />
            <text x={p.x(x)} y={p.y(y) + 5} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--copper)">
              {port.role === 'in' ? 'in' : port.role === 'out' ? 'out' : port.id}
            </text>
          </g>
        )
      })}
    </g>
  )
}
