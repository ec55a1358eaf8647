// Skua Pro: a workstation card under a blower. Its power lead moves from the shroud to the block.
import {
  at,
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

const ring = corners(26)
const rim = [
  [-42, 42],
  [30, 42],
  [100, 42],
  [100, -40],
  [30, -40],
  [-42, -40],
]
const holes = [
  ...ring.map(([x, y], i) => hole(`H${i + 1}`, x, y, 2.8, 'retention')),
  ...rim.map(([x, y], i) => hole(`P${i + 1}`, x, y, 2.8, 'perimeter')),
  hole('B1', -49, 22, 3.2, 'bracket'),
  hole('B2', -49, -18, 3.2, 'bracket'),
]
const chips = [
  [-9, 33],
  [9, 33],
  [9, -33],
  [-9, -33],
].map(([x, y], i) => memory(`M${i + 1}`, x, y))
const behind = [-9, 9].map((x, i) =>
  part(`M${i + 5}`, 'memory', x, 33, 14, 12, 1.2, { face: 'back', cool: 'should', dissipationW: 1.6, limitC: 95 }),
)
save(
  'boards',
  'skua-pro-r2.board.json',
  board('skua-pro-r2', 'Pelican Forge', 'Skua Pro', 'PF-SP7', 'R2', 'graphics-card', {
    outline: rect(36, 0, 176, 100),
    slots: 2,
    holes,
    parts: [
      die('U1', 0, 0, 23, 21, 205),
      ...chips,
      ...behind,
      ...stages('Q', 6, [62, 30], [0, -11]),
      ...[14, -14].map((y, i) => part(`J${i + 2}`, 'connector', 114, y, 8, 18, 5)),
      part('J1', 'connector', 116, 38, 10, 12, 8),
    ],
    assembly: {
      pieces: [
        { id: 'cap-1', name: 'upper link-port cover', face: 'front' },
        { id: 'cap-2', name: 'lower link-port cover', face: 'front' },
        { id: 'face', name: 'face plate', face: 'front' },
        { id: 'clip', name: 'lead bracket', face: 'front', returns: true },
        { id: 'shroud', name: 'blower shroud', face: 'front' },
        { id: 'plate', name: 'stock back plate with its fan', face: 'back' },
      ],
      fasteners: [
        screws('F1', 'T5', 'M2', 4, rim, ['shroud', 'plate', 'board'], {
          face: 'front',
          holes: ['P1', 'P2', 'P3', 'P4', 'P5', 'P6'],
          hiddenBy: 'cap-1',
        }),
        screws('F2', 'T8', 'M3', 6, at(holes, ['B1', 'B2']), ['face', 'board'], { face: 'front', holes: ['B1', 'B2'] }),
        screws('F3', 'T5', 'M2', 9, [[108, 40]], ['clip', 'shroud'], { face: 'front', hiddenBy: 'cap-2' }),
        screws('F4', 'T6', 'M2.5', 7, ring, ['shroud', 'board'], {
          holes: ['H1', 'H2', 'H3', 'H4'],
          ring: 'retention',
          springLoaded: true,
          seal: true,
        }),
      ],
      leads: [
        lead('W1', 'power', ['shroud', 'board'], 60, [116, 38], {
          latch: 'squeeze',
          movesTo: 'block',
          hiddenBy: 'clip',
        }),
        lead('W2', 'fan', ['plate', 'board'], 30, [94, -30], { latch: 'lift-bar', face: 'back' }),
      ],
      bonds: [
        { id: 'B1', between: ['cap-1', 'shroud'], kind: 'clips', padMm: null, parts: [], warm: false },
        { id: 'B2', between: ['cap-2', 'shroud'], kind: 'clips', padMm: null, parts: [], warm: false },
        { id: 'B3', between: ['shroud', 'board'], kind: 'paste', padMm: null, parts: ['U1'], warm: false },
        pads(
          'B4',
          ['shroud', 'board'],
          1.5,
          chips.map((c) => c.id),
        ),
        pads(
          'B5',
          ['plate', 'board'],
          1.5,
          behind.map((c) => c.id),
        ),
      ],
      after: [['F2', 'F4']],
    },
  }),
)
const seat = 2.1 + film
save(
  'blocks',
  'undertow-pro-380.block.json',
  block('undertow-pro-380', 'Undertow', 'Pro 380', 'full-cover', {
    manualRevision: '2',
    declaredFor: [{ maker: 'Pelican Forge', boardCode: 'PF-SP7', revisions: ['R1', 'R2'] }],
    plates: [
      plate(
        'main',
        rect(30, 1, 156, 92),
        [
          pasteLand('L-die', rect(0, 0, 27, 25), 'die'),
          ...[33, -33].map((y) => padLand(`L-mem-${y > 0 ? 'a' : 'b'}`, rect(0, y, 36, 14), 'memory', 1, 1.2, seat)),
          padLand('L-stage', rect(62, 2.5, 8, 66), 'power-stage', 1, 0.9, seat),
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
    backPlate: {
      id: 'undertow-back-pro',
      usesHoles: ['S7', 'S8'],
      thicknessMm: 1.5,
      standoffMm: 2,
      standoffTolMm: 0.05,
      lands: [padLand('LB-mem', rect(0, 33, 36, 14), 'memory', 1, 1.2, 2)],
      pasteBridge: [
        [70, 40],
        [96, 40],
        [96, 18],
      ],
    },
    ports: [port('A', -12, 50, 'up'), port('B', 14, 50, 'up')],
    bracketSlots: 1,
    heightMm: 19,
    massG: 760,
    kit: kit({ plugs: 0 }),
    flow: flow(0.028, 0.06, 4.4, 14),
    price: eur(168),
  }),
)
export const jobs = [
  {
    title: 'Skua Pro out of the survey rack',
    client: 'Harbour survey',
    bench: 'Bench A',
    board: 'skua-pro-r2',
    block: 'undertow-pro-380',
    paste: 'grey-standard',
    by: 'QA',
    signedStations: 2,
    signedSteps: 3,
    readings: [reading('QA', 'before', 22, null, 86, 95, 92, 214, null)],
  },
]
