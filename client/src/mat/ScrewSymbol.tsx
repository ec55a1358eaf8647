/** A screw head drawn by its drive: cross, six-lobe, hex, slot, nut. */
export function ScrewSymbol({
  x,
  y,
  r = 9,
  driver,
  state = 'plain',
  label,
  labelSide = 1,
  onTap,
}: {
  x: number
  y: number
  r?: number
  driver: string
  state?: 'plain' | 'now' | 'done' | 'out'
  label?: string | number
  labelSide?: number
  onTap?: () => void
}) {
  const ring = { plain: 'var(--ink)', now: 'var(--ink)', done: 'var(--cool)', out: 'var(--soft)' }[state]
  const fill = state === 'now' ? 'var(--copper)' : state === 'done' ? 'var(--cool-wash)' : 'var(--raised)'
  const mark = state === 'now' ? 'var(--on-copper)' : ring
  const R = state === 'now' ? r * 1.35 : r
  return (
    <g
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)})`}
      onClick={onTap}
      className={onTap ? 'cursor-pointer' : undefined}
    >
      {onTap && <circle r={Math.max(22, r * 1.4)} fill="transparent" />}
      <circle
        r={R}
        fill={fill}
        stroke={ring}
        strokeWidth={state === 'now' ? 2.6 : 1.7}
        strokeDasharray={state === 'out' ? '3 2.5' : undefined}
      />
      <Drive driver={driver} r={R * 0.62} colour={mark} />
      {label !== undefined && (
        <text
          x={labelSide * (R + 4)}
          y={R * 0.45}
          textAnchor={labelSide > 0 ? 'start' : 'end'}
          className="num"
          fontSize={state === 'now' ? R * 1.7 : R * 1.35}
          fontWeight={600}
          fill={state === 'now' ? 'var(--copper)' : 'var(--ink)'}
          stroke="var(--board)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {label}
        </text>
      )}
    </g>
  )
}

function Drive({ driver, r, colour }: { driver: string; r: number; colour: string }) {
  if (driver.startsWith('PH')) return <path d={`M${-r} 0H${r}M0 ${-r}V${r}`} stroke={colour} strokeWidth={r * 0.5} />
  if (driver.startsWith('SL')) return <path d={`M${-r} 0H${r}`} stroke={colour} strokeWidth={r * 0.5} />
  if (driver.startsWith('HEX')) return <path d={polygon(6, r, r)} fill={colour} />
  if (driver.startsWith('NUT'))
    return (
      <>
        <path d={polygon(6, r * 1.1, r * 1.1)} fill="none" stroke={colour} strokeWidth={r * 0.35} />
        <circle r={r * 0.35} fill={colour} />
      </>
    )
  return <path d={polygon(12, r, r * 0.55)} fill={colour} />
}

/** A star of n corners whose radii alternate. */
function polygon(n: number, outer: number, inner: number) {
  const points = Array.from({ length: n }, (_, k) => {
    const q = k % 2 ? inner : outer
    const a = (k * 2 * Math.PI) / n
    return `${(q * Math.cos(a)).toFixed(2)} ${(q * Math.sin(a)).toFixed(2)}`
  })
  return `M${points.join('L')}Z`
}
