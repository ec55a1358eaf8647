// Writes the made-up catalogue: boards, blocks, drawer and jobs. Heights, holes and powers hang together on purpose.
// node demo/make.mjs
import { writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const here = dirname(fileURLToPath(import.meta.url))
const rect = (x, y, w, d) => [[x - w / 2, y - d / 2], [x + w / 2, y - d / 2], [x + w / 2, y + d / 2], [x - w / 2, y + d / 2]].map(p => p.map(round))
const round = v => Math.round(v * 1000) / 1000
const save = (sub, name, doc) => writeFileSync(join(here, sub, name), JSON.stringify(doc, null, 1).replace(/\[\s+(-?[\d.]+),\s+(-?[\d.]+)\s+\]/g, '[$1,$2]') + '\n')
const part = (id, kind, x, y, w, d, h, more = {}) => ({ id, kind, face: 'front', x: round(x), y: round(y), widthMm: w, depthMm: d, rotationDeg: 0, heightMm: h, heightTolMm: 0.05, cool: 'no', ...more })
const hole = (id, x, y, diameterMm, role) => ({ id, x, y, diameterMm, role })
const memory = (id, x, y, more = {}) => part(id, 'memory', x, y, Math.abs(x) > 20 ? 12 : 14, Math.abs(x) > 20 ? 14 : 12, 1.2, { cool: 'must', dissipationW: 2.2, limitC: 95, ...more })

// ---- graphics cards of the Tern kind -------------------------------------------------------------------------------
const ternOutline = [[-52, -50], [-26, -50], [-26, -58], [60, -58], [60, -50], [142, -50], [142, 54], [-52, 54]]
const ternHoles = [
  hole('H1', -29, -29, 2.8, 'retention'), hole('H2', 29, -29, 2.8, 'retention'), hole('H3', 29, 29, 2.8, 'retention'), hole('H4', -29, 29, 2.8, 'retention'),
  hole('P1', -44, 47, 2.8, 'perimeter'), hole('P2', 48, 47, 2.8, 'perimeter'), hole('P3', 108, 47, 2.8, 'perimeter'),
  hole('P4', 108, -43, 2.8, 'perimeter'), hole('P5', 48, -43, 2.8, 'perimeter'), hole('P6', -44, -43, 2.8, 'perimeter'),
  hole('B1', -49, 20, 3.2, 'bracket'), hole('B2', -49, -20, 3.2, 'bracket'),
]
const ternParts = (tallMm) => [
  part('U1', 'die', 0, 0, 24, 22, 2.1, { cool: 'must', dissipationW: 240, limitC: 95, maxLoadN: 450, maxPressureMPa: 3 }),
  memory('M1', -9, 33), memory('M2', 9, 33), memory('M3', 36, 12), memory('M4', 36, -6), memory('M5', 9, -33), memory('M6', -9, -33),
  part('E1', 'empty', -36, 8, 12, 14, 0, { heightTolMm: 0 }), part('E2', 'empty', -36, -10, 12, 14, 0, { heightTolMm: 0 }),
  ...Array.from({ length: 8 }, (_, i) => part(`Q${i + 1}`, 'power-stage', 66, 36 - i * 9.6, 6, 6, 0.85, { cool: 'must', dissipationW: 4.5, limitC: 110 })),
  ...Array.from({ length: 8 }, (_, i) => part(`L${i + 1}`, 'inductor', 80, 36 - i * 9.6, 9, 8.4, 4, { cool: 'should', dissipationW: 1.5, limitC: 120 })),
  ...Array.from({ length: 8 }, (_, i) => part(`C${i + 21}`, 'capacitor', 95, 36 - i * 9.6, 6.8, 6.8, 6, { heightTolMm: 0.1 })),
  ...[[-16, 13], [16, 13], [16, -13], [-16, -13]].map(([x, y], i) => part(`C${i + 1}`, 'capacitor', x, y, 2, 1.2, 0.8)),
  part('C12', 'capacitor', 50, -28, 5.2, 5.2, tallMm, { heightTolMm: 0.1 }),
  part('U7', 'controller', 52, 20, 7, 7, 0.9, { cool: 'should', dissipationW: 0.8, limitC: 105 }),
  part('J1', 'connector', 130, -20, 10, 26, 12),
  part('J2', 'connector', 122, 40, 6, 8, 5.5),
]
const at = (holes, ids) => ids.map(id => { const h = holes.find(x => x.id === id); return [h.x, h.y] })
const ternAssembly = {
  pieces: [{ id: 'shroud', name: 'fan shroud', face: 'front' }, { id: 'cooler', name: 'fin stack', face: 'front' }, { id: 'plate', name: 'stock back plate', face: 'back' }, { id: 'bracket', name: 'bracket', face: 'front' }],
  fasteners: [
    { id: 'F1', driver: 'PH1', thread: 'M2', lengthMm: 4, count: 6, places: [[-40, 50], [20, 50], [100, 50], [100, -46], [20, -46], [-40, -46]], holes: [], face: 'front', joins: ['shroud', 'cooler'], hiddenBy: null, springLoaded: false },
    { id: 'F2', driver: 'T6', thread: 'M2.5', lengthMm: 5, count: 6, places: at(ternHoles, ['P1', 'P2', 'P3', 'P4', 'P5', 'P6']), holes: ['P1', 'P2', 'P3', 'P4', 'P5', 'P6'], face: 'back', joins: ['plate', 'cooler', 'board'], hiddenBy: null, springLoaded: false },
    { id: 'F3', driver: 'T6', thread: 'M2.5', lengthMm: 7, count: 4, places: at(ternHoles, ['H1', 'H2', 'H3', 'H4']), holes: ['H1', 'H2', 'H3', 'H4'], face: 'back', joins: ['cooler', 'board'], hiddenBy: null, ring: 'retention', springLoaded: true, seal: true },
    { id: 'F4', driver: 'PH1', thread: 'M3', lengthMm: 6, count: 2, places: at(ternHoles, ['B1', 'B2']), holes: ['B1', 'B2'], face: 'front', joins: ['bracket', 'board'], hiddenBy: null, springLoaded: false },
  ],
  leads: [
    { id: 'W1', name: 'fan', between: ['shroud', 'board'], latch: 'squeeze', slackMm: 30, face: 'front' },
    { id: 'W2', name: 'lighting', between: ['shroud', 'board'], latch: 'straight', slackMm: 45, face: 'front' },
  ],
  bonds: [
    { id: 'B1', between: ['cooler', 'board'], kind: 'paste', padMm: null, parts: ['U1'], warm: false },
    { id: 'B2', between: ['cooler', 'board'], kind: 'pads', padMm: 1.5, parts: ['M1', 'M2', 'M3', 'M4', 'M5', 'M6'], warm: true },
  ],
  after: [['F3', 'plate']],
}
const tern = (revision, tallMm, more = {}) => ({
  format: 'faithful-bracket/board', version: 1, id: `tern-460-${revision.toLowerCase()}`, maker: 'Harrow & Tull', model: 'Tern 460', boardCode: 'HT-4607', revision, kind: 'graphics-card',
  outline: ternOutline, thicknessMm: 1.6, slots: 3, socket: null, usableWithoutBlock: true, headers: [{ id: 'LIT1', kind: 'lighting' }], positionSigmaMm: 0,
  holes: ternHoles, parts: ternParts(tallMm), assembly: ternAssembly, ...more,
})
save('boards', 'tern-460-r2.board.json', tern('R2', 2.6))
save('boards', 'tern-460-r3.board.json', tern('R3', 3.4, { notes: 'R3 carries a taller output capacitor at C12.' }))

const spring = { rateNPerMm: 75, travelMm: 1.2 }
const ring = (list) => list.map(([id, x, y], i) => ({ id, x, y, screwMm: 2.5, thread: 'M2.5', role: 'retention', ring: 1, required: true, engageMm: 4, stopMm: null, washer: 'plastic', spring, targetNm: null, finish: 'stop' }))
const rim = (list, stopMm, thread = 'M2.5', more = {}) => list.map(([id, x, y], i) => ({ id, x, y, screwMm: 2.5, thread, role: 'perimeter', ring: 2, required: true, engageMm: 4, stopMm, washer: 'plastic', spring: null, targetNm: null, finish: 'stop', ...more }))
const memLands = (mems, stepMm, grow = 1) => mems.map(([id, x, y, w, d]) => ({ id, outline: rect(x, y, w + grow, d + grow), stepMm, stepTolMm: 0.02, for: 'memory', part: null, through: 'pad', padMm: 1.0 }))
const ternMem = [['L-m1', -9, 33, 14, 12], ['L-m2', 9, 33, 14, 12], ['L-m3', 36, 12, 12, 14], ['L-m4', 36, -6, 12, 14], ['L-m5', 9, -33, 14, 12], ['L-m6', -9, -33, 14, 12]]
const kit = (more = {}) => ({
  screws: [{ thread: 'M2.5', lengthMm: 6, count: 12, driver: 'T6', washer: 'plastic' }],
  pads: [{ thicknessMm: 1.0, widthMm: 120, depthMm: 20, count: 2, material: 'soft-3', tacky: 'both' }],
  pasteG: 1.0, plugs: 2, keys: ['HEX2.5'], sinks: [], ...more,
})
save('blocks', 'brineworks-full-460.block.json', {
  format: 'faithful-bracket/block', version: 1, id: 'brineworks-full-460', maker: 'Brineworks', model: 'Full 460', kind: 'full-cover', manualRevision: '3',
  declaredFor: [{ maker: 'Harrow & Tull', boardCode: 'HT-4607', revisions: ['R1', 'R2'] }], sockets: [], rotations: [0],
  coldPlate: { metal: 'nickel-plated copper', baseMm: 3, finDirectionDeg: 90, slitDirectionDeg: 0 },
  plates: [{
    id: 'main', board: null, face: 'front', seat: 'die', standoffMm: null, standoffTolMm: 0, outline: [[-47, -47], [112, -47], [112, 51], [-47, 51]], baseStepMm: 0.9,
    lands: [
      { id: 'L-die', outline: rect(0, 0, 28, 26), stepMm: 0, stepTolMm: 0, for: 'die', part: null, through: 'paste', metal: 'nickel' },
      ...memLands(ternMem, -0.21),
      { id: 'L-stage', outline: rect(66, 2.4, 8, 76), stepMm: -0.56, stepTolMm: 0.02, for: 'power-stage', part: null, through: 'pad', padMm: 1.0 },
      { id: 'L-coil', outline: rect(80, 2.4, 11, 79), stepMm: 2.59, stepTolMm: 0.02, for: 'inductor', part: null, through: 'pad', padMm: 1.0 },
      { id: 'L-ctl', outline: rect(52, 20, 9, 9), stepMm: -0.51, stepTolMm: 0.02, for: 'controller', part: null, through: 'pad', padMm: 1.0 },
    ],
    pockets: [{ outline: rect(95, 2.4, 12, 80), stepMm: 6 }],
    holes: [...ring([['S1', -29, -29], ['S2', 29, -29], ['S3', 29, 29], ['S4', -29, 29]]), ...rim([['S5', -44, 47], ['S6', 48, 47], ['S7', 108, 47], ['S8', 108, -43], ['S9', 48, -43], ['S10', -44, -43]], 2.16)],
  }],
  backPlate: { id: 'brineworks-back-460', usesHoles: ['S7', 'S8'], stiffnessFactor: 2.5, lands: [] },
  ports: [{ id: 'A', thread: 'G1/4', x: -20, y: 58, facing: 'up', role: 'either' }, { id: 'B', thread: 'G1/4', x: 5, y: 58, facing: 'up', role: 'either' }, { id: 'C', thread: 'G1/4', x: -20, y: 58, facing: 'front', role: 'either' }, { id: 'D', thread: 'G1/4', x: 5, y: 58, facing: 'front', role: 'either' }],
  bracketSlots: 1, heightMm: 24, massG: 870, headers: ['lighting'], kit: kit(),
  flow: { aKPerW: 0.03, bKPerW: 0.06, n: 0.8, unit: 'L/min', dropKPaAt: [[2, 4.1], [4, 13]] }, price: { amount: 129, currency: 'EUR' },
})

// ---- Skua 380: the kit's 1.0 mm pads are too thin on its memory ------------------------------------------------------
const skuaHoles = [hole('H1', -26, -26, 2.8, 'retention'), hole('H2', 26, -26, 2.8, 'retention'), hole('H3', 26, 26, 2.8, 'retention'), hole('H4', -26, 26, 2.8, 'retention'),
  hole('P1', -42, 44, 2.8, 'perimeter'), hole('P2', 88, 44, 2.8, 'perimeter'), hole('P3', 88, -40, 2.8, 'perimeter'), hole('P4', -42, -40, 2.8, 'perimeter'), hole('B1', -47, 18, 3.2, 'bracket'), hole('B2', -47, -18, 3.2, 'bracket')]
const skuaMem = [['M1', -9, 33], ['M2', 9, 33], ['M3', 34, 9], ['M4', 34, -9], ['M5', 9, -33], ['M6', -9, -33]]
const skuaAssembly = {
  pieces: [{ id: 'cooler', name: 'fan and fin assembly', face: 'front' }, { id: 'bracket', name: 'bracket', face: 'front' }],
  fasteners: [
    { id: 'F1', driver: 'PH1', thread: 'M2.5', lengthMm: 5, count: 4, places: at(skuaHoles, ['P1', 'P2', 'P3', 'P4']), holes: ['P1', 'P2', 'P3', 'P4'], face: 'back', joins: ['cooler', 'board'], hiddenBy: null, springLoaded: false },
    { id: 'F2', driver: 'PH1', thread: 'M2.5', lengthMm: 6.5, count: 4, places: at(skuaHoles, ['H1', 'H2', 'H3', 'H4']), holes: ['H1', 'H2', 'H3', 'H4'], face: 'back', joins: ['cooler', 'board'], hiddenBy: null, ring: 'retention', springLoaded: true, seal: true },
    { id: 'F3', driver: 'T8', thread: 'M3', lengthMm: 6, count: 2, places: at(skuaHoles, ['B1', 'B2']), holes: ['B1', 'B2'], face: 'front', joins: ['bracket', 'board'], hiddenBy: null, springLoaded: false },
  ],
  leads: [{ id: 'W1', name: 'fan', between: ['cooler', 'board'], latch: 'squeeze', slackMm: 30, face: 'front' }],
  bonds: [{ id: 'B1', between: ['cooler', 'board'], kind: 'pads', padMm: 2, parts: skuaMem.map(m => m[0]), warm: false }],
  after: [],
}
save('boards', 'skua-380-r1.board.json', {
  format: 'faithful-bracket/board', version: 1, id: 'skua-380-r1', maker: 'Pelican Forge', model: 'Skua 380', boardCode: 'PF-3801', revision: 'R1', kind: 'graphics-card',
  outline: [[-50, -46], [-24, -46], [-24, -54], [58, -54], [58, -46], [120, -46], [120, 50], [-50, 50]], thicknessMm: 1.6, slots: 2, socket: null, usableWithoutBlock: true, headers: [{ id: 'LIT1', kind: 'lighting' }], positionSigmaMm: 0,
  holes: skuaHoles, assembly: skuaAssembly,
  parts: [part('U1', 'die', 0, 0, 21, 19, 1.95, { cool: 'must', dissipationW: 180, limitC: 95, maxLoadN: 380, maxPressureMPa: 3 }), ...skuaMem.map(m => memory(...m)),
    ...Array.from({ length: 6 }, (_, i) => part(`Q${i + 1}`, 'power-stage', 60, 30 - i * 11, 5, 6, 0.8, { cool: 'must', dissipationW: 4, limitC: 110 })),
    ...Array.from({ length: 6 }, (_, i) => part(`L${i + 1}`, 'inductor', 72, 30 - i * 11, 8, 8, 3.2, { cool: 'should', dissipationW: 1.2, limitC: 120 })),
    part('C9', 'capacitor', 46, 34, 6.3, 6.3, 2.45, { heightTolMm: 0.1 }), part('J1', 'connector', 110, -18, 10, 20, 12)],
})
save('blocks', 'copperwell-broad-380.block.json', {
  format: 'faithful-bracket/block', version: 1, id: 'copperwell-broad-380', maker: 'Copperwell', model: 'Broad 380', kind: 'full-cover', manualRevision: '1',
  declaredFor: [{ maker: 'Pelican Forge', boardCode: 'PF-3801', revisions: ['R1'] }], sockets: [], rotations: [0], coldPlate: { metal: 'copper', baseMm: 3, finDirectionDeg: 0, slitDirectionDeg: 90 },
  plates: [{
    id: 'main', board: null, face: 'front', seat: 'die', standoffMm: null, standoffTolMm: 0, outline: [[-46, -44], [94, -44], [94, 48], [-46, 48]], baseStepMm: 0.9,
    lands: [{ id: 'L-die', outline: rect(0, 0, 25, 23), stepMm: 0, stepTolMm: 0, for: 'die', part: null, through: 'paste', metal: 'copper' },
      ...memLands(skuaMem.map(([id, x, y]) => [`L-${id.toLowerCase()}`, x, y, Math.abs(x) > 20 ? 12 : 14, Math.abs(x) > 20 ? 14 : 12]), 0.21),
      { id: 'L-stage', outline: rect(60, 2.5, 7, 64), stepMm: -0.46, stepTolMm: 0.02, for: 'power-stage', part: null, through: 'pad', padMm: 1.0 },
      { id: 'L-coil', outline: rect(72, 2.5, 10, 66), stepMm: 1.94, stepTolMm: 0.02, for: 'inductor', part: null, through: 'pad', padMm: 1.0 }],
    pockets: [],
    holes: [...ring([['S1', -26, -26], ['S2', 26, -26], ['S3', 26, 26], ['S4', -26, 26]]), ...rim([['S5', -42, 44], ['S6', 88, 44], ['S7', 88, -40], ['S8', -42, -40]], 2.01)],
  }],
  backPlate: null, ports: [{ id: 'A', thread: 'G1/4', x: -15, y: 56, facing: 'up', role: 'inlet' }, { id: 'B', thread: 'G1/4', x: 12, y: 56, facing: 'up', role: 'outlet' }],
  bracketSlots: 1, heightMm: 22, massG: 690, headers: [], kit: kit({ screws: [{ thread: 'M2.5', lengthMm: 5, count: 9, driver: 'PH1', washer: 'plastic' }], plugs: 0 }),
  flow: { aKPerW: 0.034, bKPerW: 0.07, n: 0.75, unit: 'L/min', dropKPaAt: [[2, 5.2], [4, 16]] }, price: { amount: 104, currency: 'EUR' },
})

// ---- Dunlin 250: a card of unknown make, traced from a photo ---------------------------------------------------------
const wobble = [0.05, -0.04, 0.03, -0.06, 0.06, 0.02, -0.05, 0.04]
const dunlinHoles = [['H1', -24, -24, 'retention'], ['H2', 24, -24, 'retention'], ['H3', 24, 24, 'retention'], ['H4', -24, 24, 'retention'], ['P1', -38, 40, 'perimeter'], ['P2', 74, 40, 'perimeter'], ['P3', 74, -36, 'perimeter'], ['P4', -38, -36, 'perimeter']]
save('boards', 'dunlin-250-traced.board.json', {
  format: 'faithful-bracket/board', version: 1, id: 'dunlin-250-traced', maker: 'unknown', model: 'card without a label', boardCode: 'none', revision: 'none', kind: 'graphics-card',
  outline: [[-45, -42], [-22, -42], [-22, -50], [50, -50], [50, -42], [95, -42], [95, 46], [-45, 46]], thicknessMm: 1.6, slots: 2, socket: null, usableWithoutBlock: true, headers: [], positionSigmaMm: 0.09,
  holes: dunlinHoles.map(([id, x, y, role], i) => hole(id, round(x + wobble[i]), round(y + wobble[(i + 3) % 8]), 2.8, role)),
  parts: [part('U1', 'die', 0, 0, 17, 16, 1.9, { cool: 'must', dissipationW: 130, limitC: 95, maxLoadN: 320, maxPressureMPa: 3 }), memory('M1', -8, 30), memory('M2', 8, 30), memory('M3', 33, 8), memory('M4', 33, -8),
    ...Array.from({ length: 4 }, (_, i) => part(`Q${i + 1}`, 'power-stage', 56, 20 - i * 11, 5, 6, 0.8, { cool: 'must', dissipationW: 3.5, limitC: 110 })), part('J1', 'connector', 86, -14, 10, 16, 12)],
  notes: 'Traced with the printed target; no maker known.',
})
save('blocks', 'undertow-slim-250.block.json', {
  format: 'faithful-bracket/block', version: 1, id: 'undertow-slim-250', maker: 'Undertow', model: 'Slim 250', kind: 'full-cover', manualRevision: '2',
  declaredFor: [{ maker: 'Ninefold', boardCode: 'NF-250', revisions: ['A', 'B'] }], sockets: [], rotations: [0], coldPlate: { metal: 'nickel-plated copper', baseMm: 3, finDirectionDeg: 90, slitDirectionDeg: 0 },
  plates: [{
    id: 'main', board: null, face: 'front', seat: 'die', standoffMm: null, standoffTolMm: 0, outline: [[-42, -40], [78, -40], [78, 44], [-42, 44]], baseStepMm: 0.8,
    lands: [{ id: 'L-die', outline: rect(0, 0, 21, 20), stepMm: 0, stepTolMm: 0, for: 'die', part: null, through: 'paste', metal: 'nickel' },
      ...memLands([['L-m1', -8, 30, 14, 12], ['L-m2', 8, 30, 14, 12], ['L-m3', 33, 8, 12, 14], ['L-m4', 33, -8, 12, 14]], -0.01, 2),
      { id: 'L-stage', outline: rect(56, 3.5, 9, 44), stepMm: -0.41, stepTolMm: 0.02, for: 'power-stage', part: null, through: 'pad', padMm: 1.0 }],
    pockets: [],
    holes: [...ring([['S1', -24, -24], ['S2', 24, -24], ['S3', 24, 24], ['S4', -24, 24]]).map(h => ({ ...h, spring: { rateNPerMm: 48, travelMm: 1.2 } })), ...rim([['S5', -38, 40], ['S6', 74, 40], ['S7', 74, -36], ['S8', -38, -36]], 1.96)],
  }],
  backPlate: null, ports: [{ id: 'A', thread: 'G1/4', x: -10, y: 52, facing: 'up', role: 'either' }, { id: 'B', thread: 'G1/4', x: 14, y: 52, facing: 'up', role: 'either' }],
  bracketSlots: 1, heightMm: 20, massG: 520, headers: [], kit: kit({ screws: [{ thread: 'M2.5', lengthMm: 5, count: 9, driver: 'T6', washer: 'plastic' }], plugs: 0 }),
  flow: { aKPerW: 0.04, bKPerW: 0.08, n: 0.8, unit: 'L/min', dropKPaAt: [[2, 3.8], [4, 12]] }, price: { amount: 89, currency: 'EUR' },
})

// ---- a core-only block that fits many cards, with stick-on sinks -----------------------------------------------------
save('blocks', 'lathe-loch-core-u.block.json', {
  format: 'faithful-bracket/block', version: 1, id: 'lathe-loch-core-u', maker: 'Lathe & Loch', model: 'Core U', kind: 'core-only', manualRevision: '5', declaredFor: [], sockets: [], rotations: [0, 90], coldPlate: { metal: 'copper', baseMm: 4, finDirectionDeg: 0, slitDirectionDeg: 90 },
  plates: [{
    id: 'main', board: null, face: 'front', seat: 'die', standoffMm: null, standoffTolMm: 0, outline: [[-24, -22], [24, -22], [24, 22], [-24, 22]], baseStepMm: 1.2,
    lands: [{ id: 'L-die', outline: rect(0, 0, 32, 32), stepMm: 0, stepTolMm: 0, for: 'die', part: null, through: 'paste', metal: 'copper' }], pockets: [],
    holes: ring([['S1', -26, -26], ['S2', 26, -26], ['S3', 26, 26], ['S4', -26, 26]]).map(h => ({ ...h, spring: { rateNPerMm: 26, travelMm: 1.2 } })),
  }],
  backPlate: null, ports: [{ id: 'A', thread: 'G1/4', x: -10, y: 0, facing: 'front', role: 'inlet' }, { id: 'B', thread: 'G1/4', x: 10, y: 0, facing: 'front', role: 'outlet' }],
  bracketSlots: null, heightMm: 21, massG: 310, headers: [],
  kit: { screws: [{ thread: 'M2.5', lengthMm: 16, count: 4, driver: 'HEX1.5', washer: 'plastic' }], pads: [], pasteG: 2, plugs: 0, keys: ['HEX1.5'], sinks: [{ widthMm: 14, depthMm: 14, heightMm: 10, rKPerW: 18, count: 8 }, { widthMm: 8, depthMm: 8, heightMm: 8, rKPerW: 14, count: 12 }] },
  flow: { aKPerW: 0.036, bKPerW: 0.05, n: 0.85, unit: 'L/min', dropKPaAt: [[2, 3.1], [4, 9]] }, price: { amount: 64, currency: 'EUR' },
})

// ---- a mainboard and its power-stage block ---------------------------------------------------------------------------
const rail = Array.from({ length: 8 }, (_, i) => part(`Q${i + 1}`, 'power-stage', -46, 36 - i * 10, 6, 5, 0.9, { cool: 'must', dissipationW: 5, limitC: 110 }))
save('boards', 'levanter-x4-r1.board.json', {
  format: 'faithful-bracket/board', version: 1, id: 'levanter-x4-r1', maker: 'Saltmarsh Boards', model: 'Levanter X4', boardCode: 'SB-LX4', revision: 'R1', kind: 'mainboard',
  outline: [[-80, -170], [164, -170], [164, 74], [-80, 74]], thicknessMm: 1.6, slots: null, socket: 'gull', usableWithoutBlock: true, headers: [{ id: 'LIT1', kind: 'lighting' }, { id: 'FLOW1', kind: 'sensor' }], positionSigmaMm: 0,
  holes: [hole('G1', -38, -38, 4, 'retention'), hole('G2', 38, -38, 4, 'retention'), hole('G3', 38, 38, 4, 'retention'), hole('G4', -38, 38, 4, 'retention'), hole('R1', -52, 50, 3.2, 'standoff'), hole('R2', -52, -46, 3.2, 'standoff'), hole('R3', -62, 2, 3.2, 'standoff')],
  parts: [part('IHS', 'lid', 0, 0, 38, 38, 7.5, { cool: 'must', dissipationW: 170, limitC: 90, maxLoadN: 800, maxPressureMPa: 0.8, lidThicknessMm: 2.2, bondMm: 0.05 }), ...rail,
    ...Array.from({ length: 8 }, (_, i) => part(`L${i + 1}`, 'inductor', -34.5, 36 - i * 10, 7, 7, 4.2, { cool: 'no', dissipationW: 1 })),
    part('PCH', 'bridge-chip', 90, -110, 12, 12, 1.4, { cool: 'must', dissipationW: 8, limitC: 100 }), part('J24', 'connector', 150, 30, 8, 50, 13), part('D1', 'connector', 60, 20, 5, 130, 28)],
  assembly: {
    pieces: [{ id: 'shield', name: 'drive-slot cover', face: 'front' }, { id: 'sink', name: 'power-stage heatsink', face: 'front' }],
    fasteners: [
      { id: 'F1', driver: 'PH1', thread: 'M2', lengthMm: 3, count: 2, places: [[70, -80], [120, -80]], holes: [], face: 'front', joins: ['shield', 'board'], hiddenBy: null, springLoaded: false },
      { id: 'F2', driver: 'PH2', thread: 'M3', lengthMm: 6, count: 3, places: [[-52, 50], [-52, -46], [-62, 2]], holes: ['R1', 'R2', 'R3'], face: 'back', joins: ['sink', 'board'], hiddenBy: null, springLoaded: false },
    ],
    leads: [{ id: 'W1', name: 'lighting', between: ['sink', 'board'], latch: 'straight', slackMm: 60, face: 'front' }],
    bonds: [{ id: 'B1', between: ['sink', 'board'], kind: 'pads', padMm: 1.5, parts: rail.map(q => q.id), warm: true }], after: [],
  },
})
save('blocks', 'copperwell-rail-lx.block.json', {
  format: 'faithful-bracket/block', version: 1, id: 'copperwell-rail-lx', maker: 'Copperwell', model: 'Rail LX', kind: 'power-stage', manualRevision: '1', declaredFor: [{ maker: 'Saltmarsh Boards', boardCode: 'SB-LX4', revisions: ['R1'] }], sockets: [], rotations: [0],
  coldPlate: { metal: 'nickel-plated copper', baseMm: 3, finDirectionDeg: 90, slitDirectionDeg: null },
  plates: [{
    id: 'main', board: null, face: 'front', seat: 'standoff', standoffMm: 4.8, standoffTolMm: 0.05, outline: [[-66, -52], [-29, -52], [-29, 56], [-66, 56]], baseStepMm: 0.2,
    lands: [{ id: 'L-stage', outline: rect(-46, 1, 10, 78), stepMm: -3.18, stepTolMm: 0.02, for: 'power-stage', part: null, through: 'pad', padMm: 1.0 }], pockets: [],
    holes: rim([['S1', -52, 50], ['S2', -52, -46], ['S3', -62, 2]], 4.8, 'M3', { screwMm: 3, role: 'standoff', ring: 1 }),
  }],
  backPlate: null, ports: [{ id: 'A', thread: 'G1/4', x: -58, y: 30, facing: 'front', role: 'either' }, { id: 'B', thread: 'G1/4', x: -58, y: -26, facing: 'front', role: 'either' }],
  bracketSlots: null, heightMm: 18, massG: 240, headers: [], kit: { screws: [{ thread: 'M3', lengthMm: 8, count: 3, driver: 'PH2', washer: 'plastic' }], pads: [{ thicknessMm: 1, widthMm: 100, depthMm: 20, count: 1, material: 'soft-3', tacky: 'both' }], pasteG: 0, plugs: 0, keys: [], sinks: [] },
  flow: { aKPerW: 0.05, bKPerW: 0.1, n: 0.8, unit: 'L/min', dropKPaAt: [[2, 2], [4, 7]] }, price: { amount: 72, currency: 'EUR' },
})

// ---- the drawer ------------------------------------------------------------------------------------------------------
const curve = k => [[0, 0], [0.1, 0.015], [0.2, 0.04], [0.3, 0.08], [0.4, 0.16], [0.5, 0.35], [0.6, 0.8]].map(([s, p]) => [s, round(p * k)])
save('.', 'drawer.json', {
  material: [
    { id: 'soft-3', curve: curve(1), freshCurve: curve(1.6), squashMin: 0.1, squashMax: 0.45, thicknessTolMm: 0.05, conductivityWPerMK: 2.6, claimedWPerMK: 3 },
    { id: 'firm-6', curve: curve(3), freshCurve: curve(5), squashMin: 0.08, squashMax: 0.3, thicknessTolMm: 0.05, conductivityWPerMK: 4.8, claimedWPerMK: 6 },
    { id: 'putty-8', curve: [[0, 0], [0.5, 0.02], [0.8, 0.06]], squashMin: 0.05, squashMax: 0.8, thicknessTolMm: 0.1, conductivityWPerMK: 5.5, claimedWPerMK: 8 },
  ],
  pad: [
    { id: 'soft-3-1.5-a', material: 'soft-3', thicknessMm: 1.5, widthMm: 100, depthMm: 100, count: 2, offcut: false },
    { id: 'soft-3-1.0-a', material: 'soft-3', thicknessMm: 1, widthMm: 100, depthMm: 100, count: 3, offcut: false },
    { id: 'soft-3-0.5-a', material: 'soft-3', thicknessMm: 0.5, widthMm: 100, depthMm: 100, count: 1, offcut: false },
    { id: 'firm-6-1.0-a', material: 'firm-6', thicknessMm: 1, widthMm: 120, depthMm: 20, count: 4, offcut: false },
    { id: 'offcut-14', material: 'soft-3', thicknessMm: 1.5, widthMm: 46, depthMm: 30, count: 1, offcut: true },
    { id: 'offcut-17', material: 'soft-3', thicknessMm: 1, widthMm: 62, depthMm: 28, count: 1, offcut: true },
  ],
  paste: [
    { id: 'tube-3', material: { id: 'grey-standard', yieldPa: 110, viscosityPaS: 180, densityGPerMl: 2.6, cUm: 131, m: 0.166, conductivityWPerMK: 4.2 }, gramsLeft: 6.4, monthsToRepaste: 24 },
    { id: 'tube-5', material: { id: 'stiff-9', yieldPa: 320, viscosityPaS: 420, densityGPerMl: 3.1, cUm: 131, m: 0.166, conductivityWPerMK: 7.5 }, gramsLeft: 0.8, monthsToRepaste: 36 },
    { id: 'syringe-73', material: { id: 'quick-73', yieldPa: 8, viscosityPaS: 0.1, densityGPerMl: 6.4, cUm: 131, m: 0.166, conductivityWPerMK: 70, liquidMetal: true }, gramsLeft: 1.1, monthsToRepaste: 24, boreMm: 4.6 },
  ],
  screw: [{ id: 'm2.5x6', thread: 'M2.5', lengthMm: 6, count: 14 }, { id: 'm2.5x5', thread: 'M2.5', lengthMm: 5, count: 6 }, { id: 'm3x8', thread: 'M3', lengthMm: 8, count: 10 }],
  tool: ['PH0', 'PH1', 'PH2', 'T5', 'T6', 'T8', 'HEX1.5', 'HEX2', 'HEX2.5', 'NUT4', 'NUT5'].map(name => ({ id: name.toLowerCase(), name })),
  consumable: [
    { id: 'alcohol', name: 'alcohol', amount: 240, unit: 'mL', lowAt: 60 }, { id: 'cloth', name: 'lint-free cloth', amount: 34, unit: 'pieces', lowAt: 10 }, { id: 'gloves', name: 'gloves', amount: 6, unit: 'pairs', lowAt: 8 },
    { id: 'remover', name: 'two-part remover', amount: 35, unit: 'mL', lowAt: 10, waitS: 60 }, { id: 'washers', name: 'plastic washer', amount: 40, unit: '', lowAt: 20 }, { id: 'plugs', name: 'port plug', amount: 3, unit: '', lowAt: 2 },
  ],
})

// ---- jobs as they lie on the benches ---------------------------------------------------------------------------------
const reading = (by, phase, roomC, coolantC, dieC, hotspotC, memoryC, powerW, flowLMin) => ({ by, phase, roomC, coolantC, dieC, hotspotC, memoryC, powerW, flowLMin, note: null })
save('.', 'jobs.json', [
  { title: 'Tern 460 for the harbour office', client: 'Harbour office', bench: 'Bench B', board: 'tern-460-r2', block: 'brineworks-full-460', paste: 'grey-standard', by: 'ML', signedStations: 4, signedSteps: 1,
    readings: [reading('QA', 'before', 21.5, null, 92.4, 104.1, 88, 238, null)], notes: ['Client wants the stock cooler back in the box.'] },
  { title: 'Skua 380, memory ran hot', client: 'R. Ostrander', bench: 'Bench A', board: 'skua-380-r1', block: 'copperwell-broad-380', paste: 'grey-standard', by: 'QA', signedStations: 2, signedSteps: 4,
    readings: [reading('QA', 'before', 22, null, 84, 96, 101, 178, null)], timers: [{ stepId: 'prep.clean-die', label: 'remover soak on the cooler side', seconds: 1500 }] },
  { title: 'Tern 460 R3, block on the shelf', client: 'Walk-in', bench: 'Bench A', board: 'tern-460-r3', block: 'brineworks-full-460', by: 'RV', signedStations: 0, signedSteps: 0 },
  { title: 'Card without a label', client: 'L. Quayle', bench: 'Bench B', board: 'dunlin-250-traced', block: 'undertow-slim-250', by: 'RV', signedStations: 0, signedSteps: 1 },
  { title: 'Skua 380 with a core-only block', client: 'Ferry wheelhouse', bench: 'Shelf', board: 'skua-380-r1', block: 'lathe-loch-core-u', paste: 'grey-standard', by: 'QA', signedStations: 9, signedSteps: 0,
    readings: [reading('QA', 'before', 21, null, 83.5, 95.2, 96, 180, null), reading('QA', 'after', 21.4, 27.1, 46.8, 55, 71, 181, 3.1)], notes: ['Case fan turned toward the sinks.'] },
  { title: 'Levanter X4 power stages', client: 'Marrow Quay test bench', bench: 'Bench B', board: 'levanter-x4-r1', block: 'copperwell-rail-lx', paste: 'grey-standard', by: 'ML', signedStations: 1, signedSteps: 2 },
])
