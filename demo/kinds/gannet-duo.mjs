// Gannet Duo: two dies and a bridge chip on one board; two stock back plates come back with their pads.
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

const second = 118
const ringAt = (x) => corners(28).map(([dx, dy]) => [x + dx, dy])
const rim = [
  [-46, 46],
  [59, 46],
  [164, 46],
  [164, -44],
  [59, -44],
  [-46, -44],
]
const memAt = (x) => [
  [x - 9, 33],
  [x + 9, 33],
  [x + 9, -33],
  [x - 9, -33],
]
const chips = [...memAt(0), ...memAt(second)].map(([x, y], i) =>
  memory(`M${i + 1}`, x, y, { widthMm: 14, depthMm: 12 }),
)
const back = [0, second].map((x, i) =>
  part(`KB${i + 1}`, 'power-stage', x, 6, 9, 9, 1, { face: 'back', dissipationW: 1.5 }),
)
save(
  'boards',
  'gannet-duo-r1.board.json',
  board('gannet-duo-r1', 'Ninefold', 'Gannet Duo', 'NF-GD2', 'R1', 'graphics-card', {
    outline: rect(60, 0, 236, 104),
    slots: 2,
    headers: [{ id: 'LIT1', kind: 'lighting' }],
    holes: [
      ...ringAt(0).map(([x, y], i) => hole(`H${i + 1}`, x, y, 2.8, 'retention')),
      ...ringAt(second).map(([x, y], i) => hole(`H${i + 5}`, x, y, 2.8, 'retention')),
      ...rim.map(([x, y], i) => hole(`P${i + 1}`, x, y, 2.8, 'perimeter')),
    ],
    parts: [
      die('U1', 0, 0, 22, 20, 170),
      die('U2', second, 0, 22, 20, 170),
      part('U3', 'bridge-chip', 59, 0, 14, 14, 1.6, { cool: 'must', dissipationW: 12, limitC: 100, maxLoadN: 300 }),
      ...chips,
      ...stages('Q', 6, [42, 30], [0, -12]),
      ...stages('R', 6, [76, 30], [0, -12]),
      part('J1', 'connector', 173, 14, 8, 26, 9),
      ...back,
    ],
    assembly: {
      pieces: [
        { id: 'cover', name: 'fan cover', face: 'front' },
        { id: 'cooler', name: 'fin assembly over both dies', face: 'front' },
        { id: 'plate-1', name: 'back plate behind die U1', face: 'back', returns: true },
        { id: 'plate-2', name: 'back plate behind die U2', face: 'back', returns: true },
      ],
      fasteners: [
        screws(
          'F1',
          'PH1',
          'M2',
          4,
          [
            [-50, 30],
            [59, 48],
            [168, 30],
            [168, -30],
            [59, -46],
            [-50, -30],
          ],
          ['cover', 'cooler'],
          { face: 'front' },
        ),
        screws('F2', 'T6', 'M2.5', 7, ringAt(0), ['plate-1', 'cooler', 'board'], {
          holes: ['H1', 'H2', 'H3', 'H4'],
          ring: 'retention',
          springLoaded: true,
          seal: true,
        }),
        screws('F3', 'T6', 'M2.5', 7, ringAt(second), ['plate-2', 'cooler', 'board'], {
          holes: ['H5', 'H6', 'H7', 'H8'],
          ring: 'retention',
          springLoaded: true,
        }),
        screws('F4', 'T6', 'M2.5', 5, rim, ['cooler', 'board'], { holes: ['P1', 'P2', 'P3', 'P4', 'P5', 'P6'] }),
      ],
      leads: [lead('W1', 'fan', ['cover', 'board'], 35, [176, -20], { latch: 'squeeze' })],
      bonds: [
        { id: 'B1', between: ['cooler', 'board'], kind: 'paste', padMm: null, parts: ['U1', 'U2', 'U3'], warm: false },
        pads(
          'B2',
          ['cooler', 'board'],
          1.5,
          chips.map((c) => c.id),
          { warm: true },
        ),
        pads('B3', ['plate-1', 'board'], 1, ['KB1']),
        pads('B4', ['plate-2', 'board'], 1, ['KB2']),
      ],
      after: [],
    },
  }),
)
const seat = 2.1 + film
save(
  'blocks',
  'copperwell-broad-duo.block.json',
  block('copperwell-broad-duo', 'Copperwell', 'Broad Duo', 'full-cover', {
    declaredFor: [{ maker: 'Ninefold', boardCode: 'NF-GD2', revisions: ['R1'] }],
    plates: [
      plate(
        'main',
        rect(57, 1, 220, 98),
        [
          pasteLand('L-die1', rect(0, 0, 26, 24), 'die'),
          pasteLand('L-die2', rect(second, 0, 26, 24), 'die'),
          pasteLand('L-bridge', rect(59, 0, 18, 18), 'bridge-chip', -0.5),
          ...[0, second].flatMap((x) =>
            [33, -33].map((y) =>
              padLand(`L-mem-${x}-${y > 0 ? 'a' : 'b'}`, rect(x, y, 36, 14), 'memory', 1, 1.2, seat),
            ),
          ),
          ...[42, 76].map((x) => padLand(`L-stage-${x}`, rect(x, 0, 8, 70), 'power-stage', 1, 0.9, seat)),
        ],
        [
          ...sprung(
            ringAt(0).map(([x, y], i) => [`S${i + 1}`, x, y]),
            1,
            70,
          ),
          ...sprung(
            ringAt(second).map(([x, y], i) => [`S${i + 5}`, x, y]),
            2,
            70,
          ),
          ...firm(
            rim.map(([x, y], i) => [`S${i + 9}`, x, y]),
            3,
            seat + 0.03,
          ),
        ],
      ),
    ],
    ports: [port('A', 30, 54, 'up'), port('B', 88, 54, 'up')],
    bracketSlots: 1,
    heightMm: 23,
    massG: 1180,
    headers: ['lighting'],
    kit: kit({ plugs: 0 }),
    flow: flow(0.016, 0.05, 5.1, 17),
    price: eur(214),
  }),
)
export const jobs = [
  {
    title: 'Gannet Duo for the lightship',
    client: 'Lightship crew',
    bench: 'Bench B',
    board: 'gannet-duo-r1',
    block: 'copperwell-broad-duo',
    paste: 'grey-standard',
    by: 'RV',
    signedStations: 5,
    signedSteps: 1,
    readings: [reading('RV', 'before', 21.5, null, 88, 99, 90, 372, null)],
  },
]
