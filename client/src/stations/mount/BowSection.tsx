import type { JobView, Schemas } from '../../api/client'
import { Drawing } from '../../ui/Drawing'
import { fixed } from '../../ui/format'
import type { Here } from '../here'
import { Section } from '../Ledger'
import type { BowShown } from './BowLayer'
import { useBow } from './useBow'

/** How the mounted board bows, as a small map, with and without the back plate. */
export function BowSection({
  job,
  here,
  shown,
  show,
}: {
  job: JobView
  here: Here
  shown?: BowShown
  show: (b?: BowShown) => void
}) {
  const bow = useBow(job, here)
  if (!bow) return null
  if (!bow.without)
    return (
      <Section title="Bow of the board">
        <p className="text-[15px] leading-snug text-amber">{bow.text}</p>
      </Section>
    )
  const most = Math.max(Math.abs(bow.without.peakMm), Math.abs(bow.with?.peakMm ?? 0))
  return (
    <Section title="Bow of the board">
      <p className={`text-[15px] leading-snug ${bow.pastLimit ? 'text-plum' : ''}`}>{bow.text}</p>
      <div className="mt-1 flex flex-wrap gap-1" role="group" aria-label="Bow on the mat">
        {(
          [
            ['without', bow.with ? 'on the mat, without back plate' : 'on the mat'],
            ...(bow.with ? [['with', 'with back plate']] : []),
          ] as [BowShown, string][]
        ).map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-pressed={shown === id}
            onClick={() => show(shown === id ? undefined : id)}
            className={`rounded-[3px] border px-2 py-1 text-[14px] ${shown === id ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'}`}
          >
            {name}
          </button>
        ))}
      </div>
      <BowMap
        name={bow.with ? 'without back plate' : 'as mounted'}
        r={bow.without}
        strain={bow.withoutStrain}
        most={most}
      />
      {bow.with && <BowMap name="with back plate" r={bow.with} strain={bow.withStrain} most={most} />}
    </Section>
  )
}

function BowMap(p: { name: string; r: Schemas['BowResult']; strain?: string | null; most: number }) {
  const { name, r, most } = p
  const m = r.map
  const w = 290
  const k = w / ((m.columns - 1) * m.stepX)
  const h = (m.rows - 1) * m.stepY * k
  return (
    <figure className="mt-1.5">
      <Drawing width={w} height={h} label={`${name}: peak ${fixed(r.peakMm, 2)} mm`}>
        {m.mm.map((v, i) => {
          if (v == null) return null
          const [c, row] = [i % m.columns, Math.floor(i / m.columns)]
          const share = most > 0 ? v / most : 0
          return (
            <rect
              key={i}
              x={(c - 0.5) * m.stepX * k}
              y={h - (row + 0.5) * m.stepY * k}
              width={m.stepX * k}
              height={m.stepY * k}
              fill={share < 0 ? 'var(--cool)' : 'var(--copper)'}
              opacity={0.06 + 0.9 * Math.min(1, Math.abs(share))}
            />
          )
        })}
        <circle
          cx={(r.atMm[0] - m.minX) * k}
          cy={h - (r.atMm[1] - m.minY) * k}
          r={5}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2}
        />
      </Drawing>
      <figcaption className="num text-[14.5px] text-soft">
        {name}: peak {fixed(r.peakMm, 2)} mm (ring), strain under parts {p.strain}; copper towards the block, blue-green
        away
      </figcaption>
    </figure>
  )
}
