// Tern 520 M: a plug-in module and its cover on the back; the stock back plate is kept.
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
  [44, 46],
  [104, 46],
  [104, -42],
  [44, -42],
  [-44, -42],
]
const names = rim.map((_, i) => `P${i + 1}`)
const chips = [
  [-9, 34],
  [9, 34],
  [36, 12],
  [36, -6],
  [9, -34],
  [-9, -34],
].map(([x, y], i) => memory(`M${i + 1}`, x, y))
save(
  'boards',
  'tern-520-m-r1.board.json',
  board('tern-520-m-r1', 'Harrow & Tull', 'Tern 520 M', 'HT-5203', 'R1', 'graphics-card', {
    outline: rect(36, 1, 180, 106),
    slots: 3,
    holes: [
      ...ring.map(([x, y], i) => hole(`H${i + 1}`, x, y, 2.8, 'retention')),
      ...rim.map(([x, y], i) => hole(names[i], x, y, 2.8, 'perimeter')),
    ],
    parts: [
      die('U1', 0, 0, 25, 23, 260),
      ...chips,
      ...stages('Q', 7, [66, 36], [0, -11]),
      part('J1', 'connector', 118, -14, 8, 26, 9),
      part('X1', 'connector', 78, -20, 30, 5, 3.4, { face: 'back' }),
      part('KB1', 'power-stage', 30, 8, 9, 9, 1, { face: 'back', dissipationW: 2 }),
    ],
    assembly: {
      pieces: [
        { id: 'lid', name: 'module cover', face: 'back', returns: true },
        { id: 'module', name: 'plug-in module', face: 'back', returns: true },
        { id: 'plate', name: 'stock back plate', face: 'back', returns: true },
        { id: 'cooler', name: 'fan and fin assembly', face: 'front' },
      ],
      fasteners: [
        screws(
          'F1',
          'T5',
          'M2',
          3,
          [
            [62, -4],
            [94, -4],
          ],
          ['lid', 'plate'],
        ),
        screws(
          'F2',
          'T5',
          'M2',
          5,
          [
            [60, -34],
            [96, -34],
          ],
          ['module', 'plate'],
          { hiddenBy: 'lid' },
        ),
        screws('F3', 'T6', 'M2.5', 5, rim, ['plate', 'cooler', 'board'], { holes: names, hiddenBy: 'module' }),
        screws('F4', 'T6', 'M2.5', 7, ring, ['cooler', 'board'], {
          holes: ['H1', 'H2', 'H3', 'H4'],
          ring: 'retention',
          springLoaded: true,
          seal: true,
          hiddenBy: 'plate',
        }),
      ],
      leads: [
        lead('W1', 'module plug', ['module', 'board'], 5, [78, -20], { face: 'back', hiddenBy: 'lid' }),
        lead('W2', 'fan', ['cooler', 'board'], 30, [112, 40], { latch: 'squeeze' }),
      ],
      bonds: [
        { id: 'B1', between: ['cooler', 'board'], kind: 'paste', padMm: null, parts: ['U1'], warm: false },
        pads(
          'B2',
          ['cooler', 'board'],
          1.5,
          chips.map((c) => c.id),
          { warm: true },
        ),
        pads('B3', ['plate', 'board'], 1.5, ['KB1']),
      ],
      after: [],
    },
  }),
)
const seat = 2.1 + film
save(
  'blocks',
  'brineworks-full-520.block.json',
  block('brineworks-full-520', 'Brineworks', 'Full 520', 'full-cover', {
    manualRevision: '2',
    declaredFor: [{ maker: 'Harrow & Tull', boardCode: 'HT-5203', revisions: ['R1'] }],
    plates: [
      plate(
        'main',
        rect(31, 1, 160, 98),
        [
          pasteLand('L-die', rect(0, 0, 29, 27), 'die'),
          ...chips.map((c) =>
            padLand(`L-${c.id.toLowerCase()}`, rect(c.x, c.y, c.widthMm + 1, c.depthMm + 1), 'memory', 1, 1.2, seat),
          ),
          padLand('L-stage', rect(66, 3, 8, 76), 'power-stage', 1, 0.9, seat),
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
    massG: 890,
    kit: kit({ plugs: 0 }),
    flow: flow(0.026, 0.055, 4.2, 13.4),
    price: eur(142),
  }),
)
export const jobs = [
  {
    title: 'Tern 520 M, module on its back',
    client: 'N. Aldergrove',
    bench: 'Bench A',
    board: 'tern-520-m-r1',
    block: 'brineworks-full-520',
    paste: 'grey-standard',
    by: 'ML',
    signedStations: 6,
    signedSteps: 0,
    readings: [reading('ML', 'before', 21, null, 90, 101, 93, 275, null)],
  },
]
