import type { Schemas } from '../../api/client'
import { Drawing } from '../../ui/Drawing'
import { mm } from '../../ui/format'
import { Row, Section, Why } from '../Ledger'

const rowHeight = 26
const width = 290

/** The slots of a machine from the side: which card takes which, where the links go, what stays free. */
export function MachineStand({ machine, stand }: { machine: Schemas['Machine']; stand: Schemas['MachineStand'] }) {
  const last = Math.max(machine.slots ?? 0, ...stand.slots.map((s) => s.slot + s.slots - 1))
  const y = (slot: number) => (slot - 1) * rowHeight + 4
  const use = (slot: number) => stand.slots.find((s) => slot >= s.slot && slot < s.slot + s.slots)
  const middle = (card: string) => y(stand.slots.find((s) => s.card === card)?.slot ?? 1) + rowHeight / 2
  const taken = stand.slots.map((s) => {
    const from = `card ${s.card} in slot ${s.slot}`
    return s.slots > 1 ? `${from} to ${s.slot + s.slots - 1}` : from
  })
  return (
    <Section title="In the machine">
      <Drawing
        width={width}
        height={last * rowHeight + 8}
        label={`Slots 1 to ${last}: ${taken.join(', ')}; free: ${stand.free.join(', ') || 'none'}`}
      >
        {Array.from({ length: last }, (_, i) => i + 1).map((slot) => {
          const own = use(slot)
          const board = own?.slot === slot
          return (
            <g key={slot}>
              <text x={2} y={y(slot) + 18} className="num" fontSize={16} fill="var(--soft)">
                {slot}
              </text>
              <rect
                x={24}
                y={y(slot) + 2}
                width={width - 70}
                height={rowHeight - 4}
                fill={own ? 'var(--copper-wash)' : 'none'}
                stroke={own ? 'var(--copper)' : 'var(--rule)'}
                strokeDasharray={own ? undefined : '4 4'}
              />
              <text x={34} y={y(slot) + 18} fontSize={15} fill="var(--ink)" fontWeight={board ? 700 : 400}>
                {own ? (board ? `card ${own.card}` : 'its block') : 'free'}
              </text>
            </g>
          )
        })}
        {stand.links.map((l, i) => {
          const x = width - 38 + i * 14
          const tone = l.fits ? 'var(--cool)' : 'var(--plum)'
          return (
            <g key={i}>
              <path
                d={`M${x} ${middle(l.from.card)}V${middle(l.to.card)}`}
                stroke={tone}
                strokeWidth={6}
                strokeLinecap="round"
                strokeDasharray={l.fits ? undefined : '6 5'}
              />
            </g>
          )
        })}
      </Drawing>
      {stand.links.map((l, i) => (
        <Row
          key={i}
          name={`card ${l.from.card} port ${l.from.port} to ${l.to.card} ${l.to.port}, takes ${mm(l.minMm)} to ${mm(l.maxMm)}`}
          value={mm(l.distanceMm)}
          unit="mm"
          tone={l.fits ? '' : 'text-plum'}
        />
      ))}
      <Row name="ports to plug" value={stand.plugs} />
      <Why>
        {stand.free.length > 0 ? `Slots ${stand.free.join(', ')} stay free.` : 'No slot stays free.'}{' '}
        {stand.links.some((l) => !l.fits)
          ? 'A link does not reach: move a card or take another link.'
          : stand.links.length > 0
            ? 'Every link reaches.'
            : ''}
      </Why>
    </Section>
  )
}
