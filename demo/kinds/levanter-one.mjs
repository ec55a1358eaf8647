// Levanter X4 R2: the board does not run without its block; one piece over the processor and its power stages.
import {
  block,
  board,
  eur,
  film,
  flow,
  grip,
  hole,
  kit,
  lead,
  padLand,
  pads,
  part,
  pasteLand,
  plate,
  port,
  reading,
  rect,
  row,
  save,
  screws,
  sprung,
  stages,
} from './shapes.mjs'

const posts = [
  [-38, -38],
  [38, -38],
  [38, 38],
  [-38, 38],
]
const outer = [
  [-62, 46],
  [-62, -46],
  [58, 46],
  [58, -46],
]
save(
  'boards',
  'levanter-x4-r2.board.json',
  board('levanter-x4-r2', 'Saltmarsh Boards', 'Levanter X4', 'SB-LX4', 'R2', 'mainboard', {
    outline: rect(42, -48, 244, 244),
    socket: 'gull',
    usableWithoutBlock: false,
    headers: [
      { id: 'LIT1', kind: 'lighting' },
      { id: 'FLOW1', kind: 'sensor' },
      { id: 'LEAK1', kind: 'leak ring' },
    ],
    holes: [
      ...posts.map(([x, y], i) => hole(`G${i + 1}`, x, y, 4.3, 'retention')),
      ...outer.map(([x, y], i) => hole(`R${i + 1}`, x, y, 3.2, 'standoff')),
    ],
    parts: [
      part('IHS', 'lid', 0, 0, 38, 38, 7.5, {
        cool: 'must',
        dissipationW: 170,
        limitC: 90,
        maxLoadN: 800,
        maxPressureMPa: 0.8,
        lidThicknessMm: 2.2,
        bondMm: 0.05,
      }),
      ...stages('Q', 8, [-54, 30], [0, -8.6]),
      ...stages('V', 6, [-24, 54], [8.6, 0]),
      ...row('L', 'inductor', 7, [-45, 26], [0, -8.6], [7, 7, 4.2], { dissipationW: 1 }),
      part('M2A', 'other', 96, -70, 80, 22, 3.2, { dissipationW: 4, limitC: 80 }),
      part('D1', 'connector', 84, 10, 5, 120, 28),
      part('J24', 'connector', 156, 30, 8, 50, 13),
    ],
    assembly: {
      pieces: [
        { id: 'shield', name: 'drive cover with its pad', face: 'front', returns: true },
        { id: 'transport', name: 'transport cover over socket and power stages', face: 'front' },
      ],
      fasteners: [
        screws(
          'F1',
          'PH1',
          'M2',
          3,
          [
            [60, -70],
            [134, -70],
          ],
          ['shield', 'board'],
          { face: 'front' },
        ),
        screws('F2', 'PH2', 'M3', 6, outer, ['transport', 'board'], {
          face: 'back',
          holes: outer.map((_, i) => `R${i + 1}`),
        }),
      ],
      leads: [lead('W1', 'cover lighting', ['transport', 'board'], 60, [70, 66])],
      bonds: [pads('B1', ['shield', 'board'], 1.5, ['M2A'])],
      after: [['F1', 'F2']],
    },
  }),
)
const seat = 7.5 + film
save(
  'blocks',
  'brineworks-whole-x4.block.json',
  block('brineworks-whole-x4', 'Brineworks', 'Whole X4', 'one-piece', {
    manualRevision: '4',
    declaredFor: [{ maker: 'Saltmarsh Boards', boardCode: 'SB-LX4', revisions: ['R2'] }],
    sockets: [
      {
        socket: 'gull',
        kit: '',
        posts: 'backPlate',
        jetPlate: 'W2',
        insert: null,
        designHeightMm: 7.53,
        stopHeightMm: null,
        jetPlateMm: 0.6,
      },
    ],
    coldPlate: { metal: 'nickel-plated copper', baseMm: 3, finDirectionDeg: 90, slitDirectionDeg: 0 },
    gasket: true,
    plates: [
      plate(
        'main',
        rect(-2, 5, 130, 114),
        [
          pasteLand('L-lid', rect(0, 0, 40, 40), 'lid'),
          padLand('L-q', rect(-54, 0, 8, 68), 'power-stage', 1, 0.9, seat),
          padLand('L-v', rect(-2.5, 54, 50, 8), 'power-stage', 1, 0.9, seat),
        ],
        [
          ...sprung(
            posts.map(([x, y], i) => [`S${i + 1}`, x, y]),
            1,
            50,
            { screwMm: 4, thread: 'M4', sockets: ['gull'] },
          ),
          ...outer.map(([x, y], i) =>
            grip(`S${i + 5}`, x, y, {
              ring: 2,
              engageMm: 6,
              stopMm: undefined,
              spring: { rateNPerMm: [36, 22, 14, 6][i], travelMm: 1 },
              finish: 'stop',
            }),
          ),
        ],
        { baseStepMm: -2 },
      ),
    ],
    ports: [port('A', -30, 74, 'up', 'inlet'), port('B', 8, 74, 'up', 'outlet')],
    heightMm: 27,
    massG: 980,
    headers: ['lighting', 'sensor', 'leak ring'],
    kit: kit({
      screws: [
        { thread: 'M4', lengthMm: 24, count: 4, driver: 'PH2', washer: 'plastic' },
        { thread: 'M3', lengthMm: 16, count: 4, driver: 'PH2', washer: 'plastic' },
      ],
      pads: [{ thicknessMm: 1, widthMm: 100, depthMm: 24, count: 2, material: 'soft-3', tacky: 'block' }],
      plugs: 0,
    }),
    flow: flow(0.02, 0.06, 6.2, 20),
    price: eur(246),
  }),
)
export const jobs = [
  {
    title: 'Levanter X4 under one piece',
    client: 'Pilot office',
    bench: 'Bench B',
    board: 'levanter-x4-r2',
    seat: { processorId: 'orrery-p8' },
    block: 'brineworks-whole-x4',
    paste: 'grey-standard',
    by: 'QA',
    signedStations: 6,
    signedSteps: 1,
    readings: [reading('QA', 'before', 21, null, 84, 92, null, 165, null)],
  },
]
