// Lantern: a console board between the two halves of one block.
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

const ring = corners(30)
const rim = [
  [-78, 62],
  [78, 62],
  [78, -62],
  [-78, -62],
]
const front = [
  [-10, 38],
  [10, 38],
  [38, 10],
  [38, -8],
].map(([x, y], i) => memory(`M${i + 1}`, x, y))
const behind = [
  [-10, 38],
  [10, 38],
  [38, 10],
  [38, -8],
].map(([x, y], i) =>
  part(`M${i + 5}`, 'memory', x, y, Math.abs(x) > 20 ? 12 : 14, Math.abs(x) > 20 ? 14 : 12, 1.2, {
    face: 'back',
    cool: 'must',
    dissipationW: 1.8,
    limitC: 95,
  }),
)
save(
  'boards',
  'lantern-l2.board.json',
  board('lantern-l2', 'Saltmarsh Boards', 'Lantern', 'SB-LN2', 'R3', 'console-board', {
    outline: rect(0, 0, 176, 140),
    holes: [
      ...ring.map(([x, y], i) => hole(`H${i + 1}`, x, y, 3, 'retention')),
      ...rim.map(([x, y], i) => hole(`P${i + 1}`, x, y, 3.2, 'perimeter')),
    ],
    parts: [
      die('U1', 0, 0, 21, 18, 175, { maxPressureMPa: 8 }),
      ...front,
      ...behind,
      ...stages('Q', 6, [-46, 30], [0, -11]),
      part('J1', 'connector', -80, 0, 8, 24, 8),
      part('J2', 'connector', 82, 30, 8, 18, 7),
      part('D1', 'connector', 20, -64, 40, 6, 6),
    ],
    assembly: {
      pieces: [
        { id: 'upper', name: 'upper cover', face: 'front' },
        { id: 'fan', name: 'fan', face: 'front' },
        { id: 'drive', name: 'drive cover', face: 'front', returns: true },
        { id: 'shield', name: 'front metal shield', face: 'front' },
        { id: 'supply', name: 'power supply, closed', face: 'back', returns: true },
        { id: 'rear', name: 'back metal shield', face: 'back' },
      ],
      fasteners: [
        screws(
          'F1',
          'T8',
          'M3',
          8,
          [
            [-84, 0],
            [84, 0],
          ],
          ['upper', 'shield'],
          { face: 'front', seal: true },
        ),
        screws(
          'F2',
          'PH1',
          'M2',
          6,
          [
            [-30, 60],
            [-10, 60],
          ],
          ['fan', 'shield'],
          { face: 'front', hiddenBy: 'upper' },
        ),
        screws('F3', 'PH1', 'M2', 3, [[20, -58]], ['drive', 'board'], { face: 'front', hiddenBy: 'upper' }),
        screws('F4', 'T8', 'M3', 10, rim, ['shield', 'rear', 'board'], {
          face: 'front',
          holes: ['P1', 'P2', 'P3', 'P4'],
          hiddenBy: 'fan',
        }),
        screws(
          'F5',
          'T8',
          'M3',
          14,
          [
            [-60, -40],
            [60, -40],
          ],
          ['supply', 'rear'],
          { face: 'back' },
        ),
        screws('F6', 'T6', 'M2.5', 7, ring, ['shield', 'board'], {
          holes: ['H1', 'H2', 'H3', 'H4'],
          ring: 'retention',
          springLoaded: true,
          hiddenBy: 'rear',
        }),
      ],
      leads: [
        lead('W1', 'fan', ['fan', 'board'], 40, [-60, 62], { latch: 'squeeze', hiddenBy: 'upper' }),
        lead('W2', 'left antenna', ['board', 'upper'], 25, [-84, 56], { movesTo: 'left antenna post' }),
        lead('W3', 'right antenna', ['board', 'upper'], 25, [84, 56], { movesTo: 'right antenna post' }),
        lead('W4', 'front ports', ['upper', 'board'], 30, [60, -64], { latch: 'lift-bar' }),
        lead('W5', 'supply', ['supply', 'board'], 6, [-40, -60], { face: 'back' }),
      ],
      bonds: [
        { id: 'B1', between: ['upper', 'shield'], kind: 'clips', padMm: null, parts: [], warm: false },
        { id: 'B4', between: ['shield', 'board'], kind: 'paste', padMm: null, parts: ['U1'], warm: false, metal: true },
        pads(
          'B2',
          ['shield', 'board'],
          1.5,
          front.map((c) => c.id),
        ),
        pads(
          'B3',
          ['rear', 'board'],
          1.5,
          behind.map((c) => c.id),
        ),
      ],
      after: [
        ['F2', 'fan'],
        ['supply', 'F6'],
      ],
    },
  }),
)
const seat = 2.1 + film
const stand = 2.2
save(
  'blocks',
  'undertow-shell-l.block.json',
  block('undertow-shell-l', 'Undertow', 'Shell L', 'two-half', {
    manualRevision: '2',
    declaredFor: [{ maker: 'Saltmarsh Boards', boardCode: 'SB-LN2', revisions: ['R3'] }],
    halves: [
      { id: 'front', face: 'front', plate: 'front', opensBefore: true, dropParts: ['terminal', 'two O-rings'] },
      { id: 'back', face: 'back', plate: 'back', opensBefore: true, dropParts: ['four spacers'] },
    ],
    plates: [
      plate(
        'front',
        rect(2, 4, 152, 118),
        [
          pasteLand('L-die', rect(0, 0, 25, 22), 'die'),
          padLand('L-mem-a', rect(0, 38, 38, 14), 'memory', 1, 1.2, seat),
          padLand('L-mem-b', rect(38, 1, 14, 36), 'memory', 1, 1.2, seat),
          padLand('L-stage', rect(-46, 2.5, 8, 66), 'power-stage', 1, 0.9, seat),
        ],
        [
          ...sprung(
            ring.map(([x, y], i) => [`S${i + 1}`, x, y]),
            1,
            52,
          ),
        ],
        {
          pockets: [
            { outline: rect(-80, 0, 14, 34), stepMm: 8 },
            { outline: rect(82, 30, 14, 28), stepMm: 7 },
            { outline: rect(20, -64, 50, 14), stepMm: 6 },
          ],
        },
      ),
      plate(
        'back',
        rect(2, 0, 152, 126),
        [
          padLand('L-rear-a', rect(0, 38, 38, 14), 'memory', 1.5, 1.2, stand),
          padLand('L-rear-b', rect(38, 1, 14, 36), 'memory', 1.5, 1.2, stand),
        ],
        firm(
          rim.map(([x, y], i) => [`S${i + 5}`, x, y]),
          2,
          stand,
          { screwMm: 3, thread: 'M3', engageMm: 5 },
        ),
        { face: 'back', seat: 'standoff', standoffMm: stand, standoffTolMm: 0.05 },
      ),
    ],
    ports: [port('A', -40, 70, 'up'), port('B', -14, 70, 'up')],
    heightMm: 34,
    massG: 1420,
    kit: kit({
      screws: [
        { thread: 'M2.5', lengthMm: 8, count: 4, driver: 'T6', washer: 'plastic' },
        { thread: 'M3', lengthMm: 8, count: 4, driver: 'T8', washer: 'plastic' },
      ],
      pads: [
        { thicknessMm: 1, widthMm: 120, depthMm: 20, count: 2, material: 'soft-3', tacky: 'both' },
        { thicknessMm: 1.5, widthMm: 100, depthMm: 30, count: 1, material: 'soft-3', tacky: 'both' },
      ],
      plugs: 0,
    }),
    flow: flow(0.03, 0.06, 4.8, 15.5),
    price: eur(232),
  }),
)
export const jobs = [
  {
    title: 'Lantern console, closed water',
    client: 'Reading room',
    bench: 'Bench B',
    board: 'lantern-l2',
    block: 'undertow-shell-l',
    paste: 'grey-standard',
    by: 'QA',
    signedStations: 0,
    signedSteps: 0,
    readings: [reading('QA', 'before', 22, null, 82, null, 90, 178, null)],
  },
]
