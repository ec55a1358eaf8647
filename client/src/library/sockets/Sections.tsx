import type { Schemas } from '../../api/client'
import { Drawing } from '../../ui/Drawing'
import { mm } from '../../ui/format'

type Heights = Schemas['HeightChain']

/** Both ways drawn to scale beside each other: how high the contact stands over the mainboard, where stops come first. */
export function Sections({ lidded, direct }: { lidded: Heights; direct: Heights }) {
  const most = Math.max(lidded.homeMm, direct.homeMm) + 1
  const scale = 130 / most
  const y = (v: number) => 150 - v * scale
  const column = (h: Heights, x: number, name: string) => (
    <g>
      <rect x={x} y={y(h.contactMm)} width={74} height={h.contactMm * scale} fill="var(--metal)" stroke="var(--ink)" />
      <rect x={x - 8} y={y(h.homeMm) - 14} width={90} height={14} fill="var(--copper)" fillOpacity={0.75} />
      {h.stopGapMm != null && (
        <path
          d={`M${x - 18} 150V${y(h.homeMm - Math.max(0, h.stopGapMm))}h10M${x + 92} 150V${y(h.homeMm - Math.max(0, h.stopGapMm))}h-10`}
          fill="none"
          stroke={h.stopGapMm < 0 ? 'var(--plum)' : 'var(--ink)'}
          strokeWidth={4}
        />
      )}
      <text x={x + 37} y={y(h.contactMm) + 18} textAnchor="middle" fontSize={15} className="num" fill="var(--ink)">
        {mm(h.contactMm)}
      </text>
      <text x={x + 37} y={170} textAnchor="middle" fontSize={14} fill="var(--ink)">
        {name}
      </text>
    </g>
  )
  return (
    <Drawing
      width={296}
      height={178}
      label={`contact at ${mm(lidded.contactMm)} mm with the lid, ${mm(direct.contactMm)} mm without`}
    >
      <path d="M4 150H292" stroke="var(--ink)" strokeWidth={3} />
      {column(lidded, 42, 'with its lid')}
      {column(direct, 182, 'bare')}
    </Drawing>
  )
}
