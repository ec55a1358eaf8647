import { Drawing } from '../../ui/Drawing'
import { fixed } from '../../ui/format'

/** A plain line over the moves, with the limit and the move at hand. */
export function LoadChart({
  values,
  limit,
  now,
  unit,
}: {
  values: number[]
  limit?: number | null
  now?: number
  unit: string
}) {
  const [w, h] = [296, 74]
  // far past the limit the line runs along the top: how far is not what it is drawn for
  const peak = Math.max(...values)
  const top = Math.min(peak, limit ? 3 * limit : Number.POSITIVE_INFINITY)
  const most = Math.max(top, limit ?? 0) * 1.08 || 1
  const x = (i: number) => (values.length < 2 ? 0 : (i / (values.length - 1)) * (w - 26))
  const y = (v: number) => h - 6 - (Math.min(v, most) / most) * (h - 14)
  const highest = limit && peak > most ? 'far past the limit' : `highest ${fixed(peak, 2)} ${unit}`
  return (
    <Drawing width={w} height={h} label={limit ? `${highest}; ${limit} ${unit} allowed` : highest}>
      <path d={`M0 ${y(0)}H${w}`} stroke="var(--rule)" />
      {limit != null && (
        <>
          <path d={`M0 ${y(limit)}H${w}`} stroke="var(--plum)" strokeDasharray="5 4" />
          <text x={w} y={y(limit) + 13} textAnchor="end" className="num" fontSize={14} fill="var(--plum)">
            limit {limit}
          </text>
        </>
      )}
      <path
        d={`M${values.map((v, i) => `${x(i).toFixed(1)} ${y(v).toFixed(1)}`).join('L')}`}
        fill="none"
        stroke="var(--cool)"
        strokeWidth={2.2}
      />
      {now !== undefined && now >= 0 && (
        <circle cx={x(now)} cy={y(values[now])} r={5} fill="var(--copper)" stroke="var(--card)" strokeWidth={1.5} />
      )}
    </Drawing>
  )
}
