// Bora B3: two chips under joined blocks of one maker, two rows of power stages under blocks of another, a daughter card.
import {
  block,
  board,
  eur,
  flow,
  grip,
  hole,
  kit,
  lead,
  padLand,
  pads,
  part,
  plate,
  port,
  rect,
  save,
  screws,
  stages,
} from './shapes.mjs'

const chips = { U10: [92, -104], U11: [92, -48] }
const rows = [
  [-52, -34],
  [-52, 34],
  [-34, 58],
  [34, 58],
]
const diagonal = ([x, y]) => [
  [x - 16, y - 16],
  [x + 16, y + 16],
]
const chipHoles = Object.values(chips).flatMap(diagonal)
save(
  'boards',
  'bora-b3-r1.board.json',
  board('bora-b3-r1', 'Orrery Works', 'Bora B3', 'OW-B3', 'R1', 'mainboard', {
    outline: rect(42, -46, 244, 244),
    socket: 'gull',
    headers: [{ id: 'FAN7', kind: 'fan' }],
    holes: [
      ...rows.map(([x, y], i) => hole(`R${i + 1}`, x, y, 3.2, 'standoff')),
      ...chipHoles.map(([x, y], i) => hole(`C${i + 1}`, x, y, 3.2, 'standoff')),
    ],
    parts: [
      ...stages('QA', 6, [-52, -25], [0, 10]),
      ...stages('QB', 6, [-25, 58], [10, 0]),
      part('U10', 'bridge-chip', ...chips.U10, 15, 15, 1.5, { cool: 'must', dissipationW: 11, limitC: 100 }),
      part('U11', 'bridge-chip', ...chips.U11, 13, 13, 1.5, { cool: 'must', dissipationW: 8, limitC: 100 }),
      part('X3', 'connector', 128, -20, 5, 60, 11),
      part('D1', 'connector', 60, 6, 5, 120, 28),
    ],
    assembly: {
      pieces: [
        { id: 'daughter-sink', name: 'sink of the daughter card', face: 'front', returns: true },
        { id: 'daughter', name: 'daughter card', face: 'front', returns: true },
        { id: 'rail', name: 'heat sink of both rows', face: 'front' },
        { id: 'cap', name: 'heat sink over both chips, with its fan', face: 'front' },
      ],
      fasteners: [
        screws(
          'F1',
          'PH0',
          'M2',
          4,
          [
            [124, 4],
            [132, 4],
          ],
          ['daughter-sink', 'daughter'],
          { face: 'front' },
        ),
        screws(
          'F2',
          'PH1',
          'M3',
          5,
          [
            [124, -46],
            [132, -46],
          ],
          ['daughter', 'board'],
          { face: 'front' },
        ),
        screws('F3', 'PH1', 'M3', 6, rows, ['rail', 'board'], { holes: ['R1', 'R2', 'R3', 'R4'] }),
        screws('F4', 'PH1', 'M3', 8, chipHoles, ['cap', 'board'], { holes: ['C1', 'C2', 'C3', 'C4'] }),
      ],
      leads: [
        lead('W1', 'daughter card', ['daughter', 'board'], 20, [128, -52], { latch: 'pull-tab' }),
        lead('W2', 'chip fan', ['cap', 'board'], 25, [120, -120]),
        lead('W3', 'sink lighting', ['daughter-sink', 'board'], 40, [136, 14]),
      ],
      bonds: [
        { id: 'B1', between: ['daughter', 'board'], kind: 'snug', padMm: null, parts: [], warm: false },
        pads('B2', ['rail', 'board'], 1, ['QA1', 'QB1']),
        pads('B3', ['cap', 'board'], 1, ['U10', 'U11']),
      ],
      after: [['daughter-sink', 'daughter']],
    },
  }),
)
const chipStand = 2.3
const chipBlock = (id, model, size, more) =>
  save(
    'blocks',
    `${id}.block.json`,
    block(id, 'Lathe & Loch', model, 'chip', {
      declaredFor: [{ maker: 'Orrery Works', boardCode: 'OW-B3', revisions: ['R1'] }],
      plates: [
        plate(
          'main',
          rect(0, 0, 42, 42),
          [
            {
              ...padLand('L1', rect(0, 0, size + 4, size + 4), 'bridge-chip', 1, 1.5, chipStand),
              for: null,
              part: id.endsWith('a') ? 'U10' : 'U11',
            },
          ],
          [grip('S1', -16, -16), grip('S2', 16, 16)],
          { seat: 'standoff', standoffMm: chipStand, standoffTolMm: 0.05, baseStepMm: 0.6 },
        ),
      ],
      heightMm: 16,
      massG: 150,
      kit: kit({
        screws: [{ thread: 'M3', lengthMm: 6, count: 2, driver: 'PH1', washer: 'plastic' }],
        pads: [{ thicknessMm: 1, widthMm: 40, depthMm: 20, count: 1, material: 'soft-3', tacky: 'both' }],
        pasteG: 0,
        plugs: 0,
      }),
      flow: flow(0.08, 0.12, 1.4, 4.6),
      ...more,
    }),
  )
chipBlock('lathe-loch-span-a', 'Span A', 15, {
  ports: [port('A', -9, -8, 'front'), port('B', 9, 10, 'front')],
  joins: [{ id: 'BR1', port: 'B', to: { block: 'lathe-loch-span-b', port: 'A' }, lengthMm: 36, tolMm: 0.6 }],
  price: eur(46),
})
chipBlock('lathe-loch-span-b', 'Span B', 13, {
  ports: [port('A', 9, -10, 'front'), port('B', -9, 8, 'front')],
  price: eur(44),
})
const stageStand = 1.62
save(
  'blocks',
  'copperwell-rung-68.block.json',
  block('copperwell-rung-68', 'Copperwell', 'Rung 68', 'power-stage', {
    declaredFor: [{ maker: 'Orrery Works', boardCode: 'OW-B3', revisions: ['R1'] }],
    rotations: [0, 90, 270],
    plates: [
      plate(
        'main',
        rect(0, 0, 80, 16),
        [padLand('L1', rect(0, 0, 58, 9), 'power-stage', 1, 0.9, stageStand)],
        [grip('S1', -34, 0), grip('S2', 34, 0)],
        { seat: 'standoff', standoffMm: stageStand, standoffTolMm: 0.05, baseStepMm: 0.6 },
      ),
    ],
    ports: [port('A', -18, 0, 'front'), port('B', 18, 0, 'front')],
    heightMm: 15,
    massG: 170,
    kit: kit({
      screws: [{ thread: 'M3', lengthMm: 6, count: 2, driver: 'PH1', washer: 'plastic' }],
      pads: [{ thicknessMm: 1, widthMm: 60, depthMm: 12, count: 1, material: 'soft-3', tacky: 'both' }],
      pasteG: 0,
      plugs: 0,
    }),
    flow: flow(0.07, 0.1, 1.8, 6),
    price: eur(48),
  }),
)
export const jobs = [
  {
    title: 'Bora B3, chips bridged and both rows',
    client: 'Tide gauge office',
    bench: 'Bench A',
    board: 'bora-b3-r1',
    pairs: [
      { key: 'P', blockId: 'lathe-loch-span-a' },
      { key: 'Q', blockId: 'lathe-loch-span-b' },
      { key: 'R', blockId: 'copperwell-rung-68' },
      { key: 'S', blockId: 'copperwell-rung-68' },
    ],
    paste: 'grey-standard',
    by: 'RV',
    signedStations: 1,
    signedSteps: 0,
  },
]
