import type { ReactNode } from 'react'
import type { Schemas } from '../../api/client'

type Kind = NonNullable<Schemas['WorkStep']['picture']>

const ink = 'var(--ink)'
const copper = 'var(--copper)'
const metal = 'var(--metal)'

const Plate = ({ slit }: { slit: 'across' | 'along' }) => (
  <g>
    <rect x={-62} y={-62} width={124} height={124} fill={metal} stroke={ink} strokeWidth={2} />
    {Array.from({ length: 11 }, (_, i) => (
      <path key={i} d={`M${-50 + i * 10} -50V50`} stroke="var(--cool)" strokeWidth={4} strokeOpacity={0.55} />
    ))}
    <path
      d={slit === 'across' ? 'M-52 0H52' : 'M0 -52V52'}
      stroke={slit === 'across' ? copper : 'var(--plum)'}
      strokeWidth={9}
      strokeLinecap="round"
    />
    {slit === 'across' && (
      <path d="M-24 -14V-34M24 14V34M-24 14V34M24 -14V-34" stroke={copper} strokeWidth={3} markerEnd="url(#tip)" />
    )}
  </g>
)

const Groove = ({ seated }: { seated: boolean }) => (
  <g>
    <path d="M-66 40V0H-24V26H24V0H66V40Z" fill={metal} stroke={ink} strokeWidth={2.5} />
    <circle cx={0} cy={seated ? 8 : -10} r={18} fill={ink} fillOpacity={0.75} />
    <path d={seated ? 'M-66 -12H66' : 'M-66 -40L66 -22'} stroke={ink} strokeWidth={9} />
    {!seated && <path d="M-60 -14L-34 -12" stroke="var(--plum)" strokeWidth={5} />}
  </g>
)

const Lid = ({ even }: { even: boolean }) => (
  <g>
    <rect x={-60} y={-60} width={120} height={120} rx={4} fill={metal} stroke={ink} strokeWidth={2} />
    {[
      [-44, -44, 1],
      [44, 44, 2],
      [44, -44, 3],
      [-44, 44, 4],
    ].map(([x, y, n]) => (
      <g key={n} transform={`translate(${x} ${y})`}>
        <circle r={13} fill={even || n !== 1 ? 'var(--card)' : 'var(--plum)'} stroke={ink} strokeWidth={2.5} />
        <text y={6} textAnchor="middle" fontSize={17} fontWeight={700} fill={even || n !== 1 ? ink : 'var(--card)'}>
          {even ? n : n === 1 ? '!' : ''}
        </text>
      </g>
    ))}
    {even ? (
      <path d="M-30 -30L30 30M30 -30L-30 30" stroke={copper} strokeWidth={4} strokeDasharray="7 6" />
    ) : (
      <path d="M10 62L62 62L62 10" stroke="var(--plum)" strokeWidth={7} fill="none" />
    )}
  </g>
)

const Jig = ({ right }: { right: boolean }) => (
  <g>
    <path d="M-76 -52H76V52H-76Z" fill="none" stroke={ink} strokeWidth={5} />
    <path d="M-76 -52h26l-26 26Z" fill={ink} />
    <rect x={-46} y={-40} width={92} height={80} fill="var(--board)" stroke={ink} strokeWidth={2} />
    <rect x={-32} y={-28} width={64} height={56} fill={metal} stroke={ink} />
    <path d={right ? 'M-46 -40h18l-18 18Z' : 'M46 40h-18l18 -18Z'} fill={right ? copper : 'var(--plum)'} />
    <path d="M88 0H62M74 -10L62 0L74 10" stroke={ink} strokeWidth={4} fill="none" />
  </g>
)

const Notch = ({ right }: { right: boolean }) => (
  <g>
    <path
      d="M-60 -60H60V60H-60ZM-34 -34V34H34V-34Z"
      fill={ink}
      fillOpacity={0.25}
      fillRule="evenodd"
      stroke={ink}
      strokeWidth={2.5}
    />
    <path d="M-8 -34V-46H8V-34" fill="none" stroke={copper} strokeWidth={5} />
    <path d={right ? 'M-8 -34V-44H8V-34' : 'M34 -8H44V8H34'} fill={right ? copper : 'var(--plum)'} />
  </g>
)

const Coat = ({ right }: { right: boolean }) => (
  <g>
    <rect x={-66} y={-56} width={132} height={112} fill="var(--board)" stroke={ink} strokeWidth={2} />
    <rect x={-56} y={-46} width={112} height={92} fill="none" stroke={ink} strokeWidth={8} strokeOpacity={0.25} />
    <rect x={-22} y={-18} width={44} height={36} fill="var(--silicon)" stroke={ink} />
    {[-36, 36].map((x) =>
      [-16, 0, 16].map((y) => (
        <rect key={`${x}${y}`} x={x - 4} y={y - 5} width={8} height={10} fill={metal} stroke={ink} />
      )),
    )}
    {[-36, 36].map((x) => (
      <rect
        key={x}
        x={right ? x - 9 : x < 0 ? x - 26 : x - 9}
        y={-26}
        width={right ? 18 : 35}
        height={52}
        rx={8}
        fill={right ? copper : 'var(--plum)'}
        fillOpacity={0.35}
        stroke={right ? copper : 'var(--plum)'}
        strokeWidth={3}
      />
    ))}
  </g>
)

const Spring = ({ x, short }: { x: number; short: boolean }) => (
  <g transform={`translate(${x} 0)`}>
    <path
      d={short ? 'M-9 12L9 6L-9 0L9 -6' : 'M-9 12L9 2L-9 -8L9 -18L-9 -28'}
      fill="none"
      stroke={ink}
      strokeWidth={3.5}
    />
    <rect x={-14} y={short ? -18 : -42} width={28} height={11} fill={copper} stroke={ink} />
  </g>
)

const Grip = ({ right }: { right: boolean }) => (
  <g>
    <g transform={right ? undefined : 'rotate(9)'}>
      <rect x={-66} y={14} width={132} height={14} fill={metal} stroke={ink} strokeWidth={2} />
      <Spring x={-48} short={false} />
      <Spring x={48} short={!right} />
    </g>
    <rect x={-26} y={right ? 28 : 32} width={52} height={16} fill="var(--silicon)" stroke={ink} />
    <path d="M-74 50H74" stroke={ink} strokeWidth={5} />
  </g>
)

const pictures: Record<Kind, { right: ReactNode; wrong: ReactNode; so: string; notSo: string }> = {
  slit: {
    right: <Plate slit="across" />,
    wrong: <Plate slit="along" />,
    so: 'slit across the fins',
    notSo: 'along them: one gap gets it all',
  },
  ring: { right: <Groove seated />, wrong: <Groove seated={false} />, so: 'in its groove', notSo: 'rides up: leaks' },
  evenly: {
    right: <Lid even />,
    wrong: <Lid even={false} />,
    so: 'opposite ones by turns',
    notSo: 'one home first: it gapes',
  },
  jig: { right: <Jig right />, wrong: <Jig right={false} />, so: 'mark to mark', notSo: 'cuts into the parts' },
  gasket: {
    right: <Notch right />,
    wrong: <Notch right={false} />,
    so: 'notch over notch',
    notSo: 'turned: bare solder',
  },
  coat: { right: <Coat right />, wrong: <Coat right={false} />, so: 'parts covered', notSo: 'over the glue line' },
  grip: { right: <Grip right />, wrong: <Grip right={false} />, so: 'all just gripping', notSo: 'one ahead: it tilts' },
}

/** The right way and the wrong way beside it. */
export function StepPicture({ kind, big }: { kind: Kind; big?: boolean }) {
  const { right, wrong, so, notSo } = pictures[kind]
  const size = big ? 200 : 142
  const one = (drawn: ReactNode, words: string, good: boolean) => (
    <figure className="m-0">
      <svg width={size} height={(size * 148) / 184} viewBox="-92 -74 184 148" aria-hidden>
        <defs>
          <marker id="tip" viewBox="0 0 8 8" refX={5} refY={4} markerWidth={4} markerHeight={4} orient="auto">
            <path d="M0 0L8 4L0 8Z" fill={copper} />
          </marker>
        </defs>
        {drawn}
      </svg>
      <figcaption
        className={`text-center leading-tight ${big ? 'text-[20px]' : 'text-[14px]'} ${good ? 'font-semibold text-cool' : 'text-plum'}`}
      >
        {good ? '' : 'not: '}
        {words}
      </figcaption>
    </figure>
  )
  return (
    <div role="img" aria-label={`${so}; not: ${notSo}`} className="flex gap-3">
      {one(right, so, true)}
      {one(wrong, notSo, false)}
    </div>
  )
}
