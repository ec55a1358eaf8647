import type { JobView } from '../../api/client'
import type { Projection } from '../../mat/view'
import { fixed } from '../../ui/format'
import type { Here } from '../here'
import { useBow } from './useBow'

export type BowShown = 'without' | 'with'

/** How far the board bends, laid over the board: copper towards the block, blue-green away, the figure where it is most. */
export function BowLayer({ job, here, which, p }: { job: JobView; here: Here; which: BowShown; p: Projection }) {
  const bow = useBow(job, here)
  const r = bow && (which === 'with' ? (bow.with ?? bow.without) : bow.without)
  if (!bow?.without || !r) return null
  const m = r.map
  const most = Math.max(Math.abs(bow.without.peakMm), Math.abs(bow.with?.peakMm ?? 0), 1e-9)
  const [w, h] = [m.stepX * p.scale + 0.6, m.stepY * p.scale + 0.6]
  return (
    // biome-ignore lint/a11y/noInteractiveElementToNoninteractiveRole: a picture in the drawing
    <g aria-label={`Bow ${which === 'with' ? 'with' : 'without'} back plate, peak ${fixed(r.peakMm, 2)} mm`} role="img">
      {m.mm.map((v, i) => {
        if (v == null) return null
        const [c, row] = [i % m.columns, Math.floor(i / m.columns)]
        return (
          <rect
            key={i}
            x={p.x(m.minX + c * m.stepX) - w / 2}
            y={p.y(m.minY + row * m.stepY) - h / 2}
            width={w}
            height={h}
            fill={v < 0 ? 'var(--cool)' : 'var(--copper)'}
            opacity={0.08 + 0.72 * Math.min(1, Math.abs(v) / most)}
          />
        )
      })}
      <circle cx={p.x(r.atMm[0])} cy={p.y(r.atMm[1])} r={9} fill="none" stroke="var(--ink)" strokeWidth={2.4} />
      <text
        x={p.x(r.atMm[0]) + 14}
        y={p.y(r.atMm[1]) + 7}
        fontSize={20}
        fontWeight={700}
        className="num"
        fill="var(--ink)"
        stroke="var(--board)"
        strokeWidth={4}
        paintOrder="stroke"
      >
        {fixed(Math.abs(r.peakMm), 2)} mm
      </text>
    </g>
  )
}
