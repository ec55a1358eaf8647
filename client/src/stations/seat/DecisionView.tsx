import type { Schemas } from '../../api/client'
import { useSize } from '../../mat/view'
import { Button } from '../../ui/Button'
import { fixed, mm } from '../../ui/format'
import type { RoomProps } from '../room'

type Way = Schemas['SectionWay']

const fills: Record<Schemas['SectionMatter'], string> = {
  board: 'var(--board)',
  socket: 'var(--metal)',
  package: 'var(--cool-wash)',
  die: 'var(--silicon)',
  bond: 'var(--amber)',
  lid: 'var(--metal)',
  small: 'var(--raised)',
  frame: 'var(--soft)',
  stop: 'var(--hatch)',
  block: 'var(--copper-wash)',
  fins: 'var(--copper-wash)',
}

/** How much taller than long the sections are drawn. */
const taller = 5

/** Both ways cut through beside each other, every height of the chain, and what each layer costs. */
export function DecisionView({ here, onClose }: RoomProps & { onClose: () => void }) {
  const { seat, seated } = here
  const d = seat?.decision
  if (!seat?.section || !d) return null
  const most = Math.max(...[seat.section.lidded, seat.section.direct].flatMap((w) => w.boxes.map((b) => b.highMm)))
  const hottest = Math.max(
    d.answer.liddedLayers.reduce((sum, l) => sum + l.k, 0),
    d.answer.directLayers.reduce((sum, l) => sum + l.k, 0),
  )
  const contacts = `${seated!.socket.contactMinN}–${seated!.socket.contactMaxN}`
  return (
    <div className="flex min-h-0 flex-1 flex-col bg-mat" role="region" aria-label="Lid on beside lid off">
      <div className="grid min-h-0 flex-1 grid-cols-2 gap-4 px-5 pt-4">
        <Side
          title="With its lid"
          way={seat.section.lidded}
          most={most}
          contacts={contacts}
          layers={d.answer.liddedLayers}
          k={hottest}
        />
        <Side
          title={seat.fit?.frameN != null ? 'Bare, in a frame' : 'Bare'}
          way={seat.section.direct}
          most={most}
          contacts={contacts}
          layers={d.answer.directLayers}
          k={hottest}
        />
      </div>
      <div className="flex items-center gap-4 px-5 py-2.5">
        <span className="text-[14px] text-soft">
          heights drawn {taller} times as tall as lengths; layers at {d.powerW.toFixed(0)} W under {d.answer.hottest}
        </span>
        <span className="flex-1" />
        <Button onClick={onClose}>Back to the mat</Button>
      </div>
    </div>
  )
}

function Side({
  title,
  way,
  most,
  contacts,
  layers,
  k,
}: {
  title: string
  way: Way
  most: number
  contacts: string
  layers: Schemas['LayerRise'][]
  k: number
}) {
  const { chain } = way
  return (
    <section className="flex min-h-0 min-w-0 flex-col">
      <h3 className="text-[22px] font-bold">{title}</h3>
      <Drawn title={title} way={way} most={most} />
      <p className={`mt-1 text-[16px] leading-snug ${way.trouble ? 'font-semibold text-plum' : ''}`}>{way.said}</p>
      <p className="text-[16px] leading-snug">
        contacts carry {chain.socketLoadN.toFixed(0)} N of {contacts}
      </p>
      <Layers layers={layers} most={k} />
    </section>
  )
}

function Drawn({ title, way, most }: { title: string; way: Way; most: number }) {
  const { ref, width, height } = useSize()
  const low = -2
  const reach = Math.max(...way.boxes.map((b) => Math.max(-b.fromMm, b.toMm)))
  const left = 104
  const scale = Math.min((width - left - 8) / (2 * reach), (height - 12) / ((most - low) * taller))
  const x = (v: number) => left + (width - left) / 2 + v * scale
  const y = (v: number) => height - 6 - (v - low) * scale * taller
  // names that would lie on one another move up
  const levels = way.levels
    .toSorted((a, b) => a.mm - b.mm)
    .reduce<{ name: string; mm: number; at: number }[]>((list, l) => {
      const below = list.at(-1)?.at ?? Number.POSITIVE_INFINITY
      list.push({ ...l, at: Math.min(y(l.mm), below - 16) })
      return list
    }, [])
  return (
    <div ref={ref} className="relative min-h-0 flex-1">
      {width > 0 && (
        <svg
          width={width}
          height={height}
          className="absolute inset-0"
          role="img"
          aria-label={`${title}: ${way.levels.map((l) => `${l.name} ${mm(l.mm)}`).join(', ')}`}
        >
          {way.boxes.map((b, i) => (
            <rect
              key={i}
              x={x(b.fromMm)}
              y={y(b.highMm)}
              width={(b.toMm - b.fromMm) * scale}
              height={Math.max(1.5, (b.highMm - b.lowMm) * scale * taller)}
              fill={fills[b.what]}
              stroke={b.what === 'block' || b.what === 'fins' ? 'var(--copper)' : 'var(--ink)'}
              strokeWidth={1.4}
            />
          ))}
          {way.boxes
            .filter((b) => b.what === 'fins')
            .map((b) => (
              <path
                key={b.fromMm}
                d={Array.from({ length: 17 }, (_, i) => {
                  const at = x(b.fromMm + ((i + 0.5) * (b.toMm - b.fromMm)) / 17)
                  return `M${at} ${y(b.highMm)}V${y(b.lowMm)}`
                }).join('')}
                stroke="var(--copper)"
                strokeWidth={2}
              />
            ))}
          {levels.map((l) => (
            <g key={l.name}>
              <path
                d={`M${left - 10} ${y(l.mm)}H${left + 2}M${left - 10} ${y(l.mm)}L${left - 18} ${l.at}`}
                stroke="var(--soft)"
                fill="none"
              />
              <text x={left - 22} y={l.at + 5} textAnchor="end" fontSize={14} className="num" fill="var(--ink)">
                {l.name} {mm(l.mm)}
              </text>
            </g>
          ))}
        </svg>
      )}
    </div>
  )
}

/** What each layer adds, K, end to end; both sides at one scale. */
function Layers({ layers, most }: { layers: Schemas['LayerRise'][]; most: number }) {
  const { ref, width } = useSize()
  const total = layers.reduce((sum, l) => sum + l.k, 0)
  const scale = Math.max(0, width - 70) / most
  let at = 0
  return (
    <div ref={ref} className="h-[66px]">
      {width > 0 && (
        <svg
          width={width}
          height={66}
          role="img"
          aria-label={layers.map((l) => `${l.layer} ${l.k.toFixed(1)} K`).join(', ')}
        >
          {layers.map((l, i) => {
            const x = at
            at += l.k * scale
            return (
              <g key={l.layer}>
                <rect
                  x={x}
                  y={8}
                  width={Math.max(1, l.k * scale)}
                  height={20}
                  fill={
                    ['var(--amber-wash)', 'var(--metal)', 'var(--copper-wash)', 'var(--cool)'][
                      l.layer === 'base' ? 3 : i
                    ]
                  }
                  stroke="var(--ink)"
                />
              </g>
            )
          })}
          <text x={at + 8} y={24} fontSize={17} fontWeight={700} className="num" fill="var(--ink)">
            {fixed(total, 1)} K
          </text>
          <text x={0} y={48} fontSize={14} className="num" fill="var(--soft)">
            {layers.map((l) => `${l.layer} ${l.k.toFixed(1)}`).join('   ')}
          </text>
        </svg>
      )}
    </div>
  )
}
