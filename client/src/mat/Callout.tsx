import type { Projection } from './view'

/** A line from a place on the board to a sentence in the free margin above the board. */
export function Callout({
  p,
  at,
  text,
  tone = 'plum',
  topMm,
}: {
  p: Projection
  at: [number, number]
  text: string
  tone?: 'plum' | 'amber' | 'cool' | 'copper'
  topMm: number
}) {
  const y = Math.max(52, p.y(topMm) - 18)
  const chars = text.length * 8.1
  const x = Math.min(Math.max(p.x(at[0]) + 14, 40), p.width - chars - 16)
  const from = Math.max(40, x)
  return (
    <g aria-hidden>
      <path
        d={`M${p.x(at[0])} ${p.y(at[1])}L${from} ${y + 6}H${Math.min(p.width - 8, from + chars)}`}
        fill="none"
        stroke={`var(--${tone})`}
        strokeWidth={2}
      />
      <text
        x={from}
        y={y}
        fontSize={16}
        fontWeight={700}
        fill={`var(--${tone})`}
        stroke="var(--mat)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {text}
      </text>
    </g>
  )
}
