// Four Shingle modules in carriers under one block.
import { block, board, eur, flow, kit, part, port, rect, save } from './shapes.mjs'

const chips = (face, prefix) =>
  Array.from({ length: 8 }, (_, i) =>
    part(`${prefix}${i + 1}`, 'memory', -52.5 + i * 15, 2, 9, 11, 1.1, {
      face,
      heightTolMm: 0.03,
      cool: 'must',
      dissipationW: 0.45,
      limitC: 85,
    }),
  )
const tiny = Array.from({ length: 10 }, (_, i) => part(`R${i + 1}`, 'other', -58.5 + i * 13, -11.5, 2, 1, 0.4))
save(
  'boards',
  'shingle-16.board.json',
  board('shingle-16', 'Ninefold', 'Shingle 16', 'NF-SH16', 'R2', 'memory-module', {
    outline: rect(0, 0, 133, 31),
    thicknessMm: 1.2,
    holes: [],
    parts: [...chips('front', 'M'), ...chips('back', 'N'), ...tiny],
    assembly: {
      pieces: [
        { id: 'label', name: 'label over the joint, cut along the edge', face: 'front' },
        { id: 'spreader-front', name: 'front spreader', face: 'front' },
        { id: 'spreader-back', name: 'back spreader', face: 'back' },
      ],
      fasteners: [],
      leads: [],
      bonds: [
        { id: 'B1', between: ['label', 'spreader-front'], kind: 'tape', padMm: null, parts: [], warm: false },
        {
          id: 'B2',
          between: ['spreader-front', 'board'],
          kind: 'pads',
          padMm: 0.5,
          parts: chips('front', 'M').map((c) => c.id),
          warm: true,
        },
        {
          id: 'B3',
          between: ['spreader-back', 'board'],
          kind: 'pads',
          padMm: 0.5,
          parts: chips('back', 'N').map((c) => c.id),
          warm: true,
        },
      ],
      after: [
        ['label', 'spreader-front'],
        ['label', 'spreader-back'],
      ],
    },
  }),
)
const bolts = (id, x) => x.map((v, i) => ({ id: `${id}${i + 1}`, x: v, y: 15, diameterMm: 2.4, thread: 'M2' }))
save(
  'blocks',
  'lathe-loch-row-m.block.json',
  block('lathe-loch-row-m', 'Lathe & Loch', 'Row M', 'memory', {
    plates: [],
    carriers: [
      {
        id: 'front-carrier',
        face: 'front',
        outline: rect(0, 2.5, 130, 27),
        boltHoles: bolts('T', [-48, 48]),
        padMm: 0.5,
        topPadMm: 0.5,
        topPadWidthMm: 4,
      },
      {
        id: 'back-carrier',
        face: 'back',
        outline: rect(0, 2.5, 130, 27),
        boltHoles: bolts('U', [0]),
        padMm: 0.5,
        topPadMm: 0.5,
        topPadWidthMm: 4,
      },
    ],
    ports: [port('A', -40, 20, 'up'), port('B', 40, 20, 'up')],
    heightMm: 22,
    massG: 410,
    kit: kit({
      screws: [{ thread: 'M2', lengthMm: 6, count: 12, driver: 'HEX1.5', washer: null }],
      pads: [{ thicknessMm: 0.5, widthMm: 130, depthMm: 40, count: 3, material: 'soft-3', tacky: 'both' }],
      pasteG: 0,
      plugs: 0,
      keys: ['HEX1.5'],
    }),
    flow: flow(0.05, 0.08, 2.2, 7.4),
    price: eur(118),
  }),
)
const keys = ['A', 'B', 'C', 'D']
export const jobs = [
  {
    title: 'Four Shingle modules under one block',
    client: 'R. Ostrander',
    bench: 'Bench A',
    pieces: keys.map((key) => ({ key, boardId: 'shingle-16' })),
    pairs: keys.map((on, i) => ({ key: 'PQRS'[i], blockId: 'lathe-loch-row-m', on })),
    by: 'ML',
    signedStations: 4,
    signedSteps: 1,
  },
]
