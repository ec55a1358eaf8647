// Tern 480: hot memory on both faces; a cooled back plate behind the board is a second block.
import {
  block,
  board,
  corners,
  die,
  eur,
  film,
  firm,
  flow,
  hole,
  kit,
  lead,
  memory,
  padLand,
  pads,
  part,
  pasteLand,
  plate,
  port,
  reading,
  rect,
  save,
  screws,
  sprung,
  stages,
} from './shapes.mjs'

const ring = corners(29)
const rim = [
  [-44, 46],
  [46, 46],
  [100, 46],
  [100, -42],
  [46, -42],
  [-44, -42],
]
const through = ['P2', 'P3', 'P4', 'P5']
const chipAt = [
  [-9, 34],
  [9, 34],
  [9, -34],
  [-9, -34],
]
const front = chipAt.map(([x, y], i) => memory(`M${i + 1}`, x, y))
const behind = chipAt.map(([x, y], i) =>
  part(`M${i + 5}`, 'memory', x, y, 14, 12, 1.2, { face: 'back', cool: 'must', dissipationW: 3.4, limitC: 95 }),
)
save(
  'boards',
  'tern-480-r1.board.json',
  board('tern-480-r1', 'Harrow & Tull', 'Tern 480', 'HT-4802', 'R1', 'graphics-card', {
    outline: rect(34, 1, 172, 106),
    slots: 3,
    holes: [
      ...ring.map(([x, y], i) => hole(`H${i + 1}`, x, y, 2.8, 'retention')),
      ...rim.map(([x, y], i) => hole(`P${i + 1}`, x, y, 2.8, 'perimeter')),
    ],
    parts: [
      die('U1', 0, 0, 24, 22, 235),
      ...front,
      ...behind,
      ...stages('Q', 6, [64, 30], [0, -11]),
      part('J1', 'connector', 114, -12, 8, 26, 9),
    ],
    assembly: {
      pieces: [
        { id: 'cooler', name: 'fan and fin assembly', face: 'front' },
        { id: 'plate', name: 'stock back plate', face: 'back' },
      ],
      fasteners: [
        screws('F1', 'T6', 'M2.5', 5, rim, ['plate', 'cooler', 'board'], { holes: rim.map((_, i) => `P${i + 1}`) }),
        screws('F2', 'T6', 'M2.5', 7, ring, ['cooler', 'board'], {
          holes: ['H1', 'H2', 'H3', 'H4'],
          ring: 'retention',
          springLoaded: true,
          seal: true,
        }),
      ],
      leads: [lead('W1', 'fan', ['cooler', 'board'], 30, [108, 40], { latch: 'squeeze' })],
      bonds: [
        { id: 'B1', between: ['cooler', 'board'], kind: 'paste', padMm: null, parts: ['U1'], warm: false },
        pads(
          'B2',
          ['cooler', 'board'],
          1.5,
          front.map((c) => c.id),
        ),
        pads(
          'B3',
          ['plate', 'board'],
          2,
          behind.map((c) => c.id),
          { warm: true },
        ),
      ],
      after: [['F1', 'plate']],
    },
  }),
)
const seat = 2.1 + film
save(
  'blocks',
  'brineworks-full-480.block.json',
  block('brineworks-full-480', 'Brineworks', 'Full 480', 'full-cover', {
    declaredFor: [{ maker: 'Harrow & Tull', boardCode: 'HT-4802', revisions: ['R1'] }],
    plates: [
      plate(
        'main',
        rect(29, 1, 154, 98),
        [
          pasteLand('L-die', rect(0, 0, 28, 26), 'die'),
          ...[34, -34].map((y) => padLand(`L-mem-${y > 0 ? 'a' : 'b'}`, rect(0, y, 36, 14), 'memory', 1, 1.2, seat)),
          padLand('L-stage', rect(64, 2.5, 8, 66), 'power-stage', 1, 0.9, seat),
        ],
        [
          ...sprung(
            ring.map(([x, y], i) => [`S${i + 1}`, x, y]),
            1,
          ),
          ...firm(
            rim.map(([x, y], i) => [`S${i + 5}`, x, y]),
            2,
            seat + 0.03,
          ),
        ],
      ),
    ],
    ports: [port('A', -14, 56, 'up'), port('B', 12, 56, 'up')],
    bracketSlots: 1,
    heightMm: 23,
    massG: 840,
    kit: kit({ plugs: 0 }),
    flow: flow(0.028, 0.058, 4, 12.8),
    price: eur(136),
  }),
)
const standoff = 2.4
save(
  'blocks',
  'brineworks-back-480.block.json',
  block('brineworks-back-480', 'Brineworks', 'Back 480 cooled', 'back-plate', {
    declaredFor: [{ maker: 'Harrow & Tull', boardCode: 'HT-4802', revisions: ['R1'] }],
    plates: [
      plate(
        'behind',
        rect(29, 1, 154, 98),
        [34, -34].map((y) => padLand(`L-mem-${y > 0 ? 'a' : 'b'}`, rect(0, y, 36, 14), 'memory', 1.5, 1.2, standoff)),
        through.map((p) => {
          const [x, y] = rim[Number(p[1]) - 1]
          return firm([[`K${p[1]}`, x, y]], 1, standoff, { engageMm: 5 })[0]
        }),
        { face: 'back', seat: 'standoff', standoffMm: standoff, standoffTolMm: 0.05 },
      ),
    ],
    ports: [port('A', -30, 56, 'up'), port('B', 32, 56, 'up')],
    heightMm: 12,
    massG: 430,
    kit: kit({
      screws: [{ thread: 'M2.5', lengthMm: 8, count: 4, driver: 'T6', washer: 'plastic' }],
      pads: [{ thicknessMm: 1.5, widthMm: 100, depthMm: 20, count: 1, material: 'soft-3', tacky: 'both' }],
      pasteG: 0,
      plugs: 0,
    }),
    flow: flow(0.06, 0.09, 2.6, 8.6),
    price: eur(88),
  }),
)
export const jobs = [
  {
    title: 'Tern 480 with a cooled back plate',
    client: 'Signal station',
    bench: 'Bench B',
    board: 'tern-480-r1',
    pairs: [
      { key: 'P', blockId: 'brineworks-full-480' },
      { key: 'Q', blockId: 'brineworks-back-480' },
    ],
    paste: 'grey-standard',
    by: 'RV',
    signedStations: 3,
    signedSteps: 2,
    readings: [reading('RV', 'before', 21, null, 87, 98, 102, 246, null)],
  },
]
