import { mm } from './format'

/** Gap with its tolerance (bar), the gaps this pad can fill (wash), and the pad's thickness (line), on one scale from zero. */
export function Band({
  gapMin,
  gapMax,
  fillMin,
  fillMax,
  padMm,
  good,
  most = 2,
}: {
  gapMin: number
  gapMax: number
  fillMin: number
  fillMax: number
  padMm: number
  good: boolean
  most?: number
}) {
  const w = 178
  const f = (v: number) => (Math.max(0, Math.min(most, v)) / most) * w
  return (
    <svg
      width={w + 2}
      height={28}
      role="img"
      aria-label={`gap ${mm(gapMin)} to ${mm(gapMax)} mm, pad ${padMm} mm fills ${mm(fillMin)} to ${mm(fillMax)} mm`}
    >
      <path d={`M0 22H${w}`} stroke="var(--rule)" />
      {[0, 0.5, 1, 1.5, 2]
        .filter((v) => v <= most)
        .map((v) => (
          <path key={v} d={`M${f(v) + 0.5} 22v-4`} stroke="var(--soft)" />
        ))}
      <rect x={f(fillMin)} y={14} width={Math.max(1, f(fillMax) - f(fillMin))} height={8} fill="var(--cool-wash)" />
      <rect
        x={f(gapMin)}
        y={9}
        width={Math.max(2, f(gapMax) - f(gapMin))}
        height={13}
        fill={good ? 'var(--cool)' : 'var(--plum)'}
      />
      <path d={`M${f(padMm)} 2v23`} stroke="var(--copper)" strokeWidth={3} />
    </svg>
  )
}
