// What every set of documents is drawn with: outlines, parts, holes, lands, kits.
import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const here = join(dirname(fileURLToPath(import.meta.url)), '..')
export const round = (v) => Math.round(v * 1000) / 1000
export const rect = (x, y, w, d) =>
  [
    [x - w / 2, y - d / 2],
    [x + w / 2, y - d / 2],
    [x + w / 2, y + d / 2],
    [x - w / 2, y + d / 2],
  ].map((p) => p.map(round))
export const save = (sub, name, doc) => {
  mkdirSync(join(here, sub), { recursive: true })
  writeFileSync(
    join(here, sub, name),
    `${JSON.stringify(doc, null, 1).replace(/\[\s+(-?[\d.]+),\s+(-?[\d.]+)\s+\]/g, '[$1,$2]')}\n`,
  )
}
export const part = (id, kind, x, y, w, d, h, more = {}) => ({
  id,
  kind,
  face: 'front',
  x: round(x),
  y: round(y),
  widthMm: w,
  depthMm: d,
  rotationDeg: 0,
  heightMm: h,
  heightTolMm: 0.05,
  cool: 'no',
  ...more,
})
export const corners = (d) => [
  [-d, -d],
  [d, -d],
  [d, d],
  [-d, d],
]
export const hole = (id, x, y, diameterMm, role) => ({ id, x, y, diameterMm, role })
export const memory = (id, x, y, more = {}) =>
  part(id, 'memory', x, y, Math.abs(x) > 20 ? 12 : 14, Math.abs(x) > 20 ? 14 : 12, 1.2, {
    cool: 'must',
    dissipationW: 2.2,
    limitC: 95,
    ...more,
  })
export const at = (holes, ids) =>
  ids.map((id) => {
    const h = holes.find((x) => x.id === id)
    return [h.x, h.y]
  })
/** A row of like parts, side by side from its first place. */
export const row = (name, kind, n, [x, y], [dx, dy], [w, d, h], more) =>
  Array.from({ length: n }, (_, i) => part(`${name}${i + 1}`, kind, x + i * dx, y + i * dy, w, d, h, more))
export const stages = (name, n, from, step, more = {}) =>
  row(name, 'power-stage', n, from, step, [5, 6, 0.9], { cool: 'must', dissipationW: 5, limitC: 110, ...more })
export const die = (id, x, y, w, d, watts, more = {}) =>
  part(id, 'die', x, y, w, d, 2.1, {
    substrate: { widthMm: w + 20, depthMm: d + 20, thicknessMm: 1.2 },
    cool: 'must',
    dissipationW: watts,
    limitC: 95,
    maxLoadN: 450,
    maxPressureMPa: 6,
    ...more,
  })
/** Screws of a group in the stock assembly. */
export const screws = (id, driver, thread, lengthMm, places, joins, more = {}) => ({
  id,
  driver,
  thread,
  lengthMm,
  count: places.length,
  places: places.map((p) => p.map(round)),
  holes: [],
  face: 'back',
  joins,
  ...more,
})
export const lead = (id, name, between, slackMm, at, more = {}) => ({
  id,
  name,
  between,
  latch: 'straight',
  slackMm,
  face: 'front',
  at,
  ...more,
})
export const pads = (id, between, padMm, parts, more = {}) => ({
  id,
  between,
  kind: 'pads',
  padMm,
  parts,
  warm: false,
  ...more,
})
export const board = (id, maker, model, boardCode, revision, kind, more) => ({
  format: 'faithful-bracket/board',
  version: 1,
  id,
  maker,
  model,
  boardCode,
  revision,
  kind,
  thicknessMm: 1.6,
  slots: null,
  socket: null,
  usableWithoutBlock: true,
  headers: [],
  positionSigmaMm: 0,
  ...more,
})

/** Share by which a land presses its pad when the block is home. */
const squash = 0.28
/** A land whose pad is pressed by that share over a part so high, `seatMm` over the board where the plane lies. */
export const padLand = (id, outline, forKind, padMm, heightMm, seatMm) => ({
  id,
  outline,
  stepMm: round(padMm * (1 - squash) - seatMm + heightMm),
  stepTolMm: 0.03,
  for: forKind,
  through: 'pad',
  padMm,
})
export const pasteLand = (id, outline, forKind, stepMm = 0) => ({
  id,
  outline,
  stepMm,
  stepTolMm: 0,
  for: forKind,
  through: 'paste',
  metal: 'nickel',
})
/** Paste film the heights are made for, mm. */
export const film = 0.03
export const sprung = (list, ring, rateNPerMm = 58, more = {}) =>
  list.map(([id, x, y]) => ({
    id,
    x: round(x),
    y: round(y),
    screwMm: 2.5,
    thread: 'M2.5',
    role: 'retention',
    ring,
    required: true,
    engageMm: 4,
    washer: 'plastic',
    spring: { rateNPerMm, travelMm: 1.2 },
    finish: 'stop',
    ...more,
  }))
export const firm = (list, ring, stopMm, more = {}) =>
  list.map(([id, x, y]) => ({
    id,
    x: round(x),
    y: round(y),
    screwMm: 2.5,
    thread: 'M2.5',
    role: 'perimeter',
    ring,
    required: true,
    engageMm: 4,
    stopMm: round(stopMm),
    washer: 'plastic',
    finish: 'stop',
    ...more,
  }))
export const grip = (id, x, y, more = {}) => ({
  id,
  x,
  y,
  screwMm: 3,
  thread: 'M3',
  role: 'standoff',
  ring: 1,
  required: true,
  engageMm: 5,
  washer: 'plastic',
  finish: 'grip',
  ...more,
})
export const port = (id, x, y, facing, role = 'either') => ({ id, thread: 'G1/4', x, y, facing, role })
export const kit = (more = {}) => ({
  screws: [{ thread: 'M2.5', lengthMm: 6, count: 14, driver: 'T6', washer: 'plastic' }],
  pads: [{ thicknessMm: 1, widthMm: 120, depthMm: 20, count: 3, material: 'soft-3', tacky: 'both' }],
  pasteG: 2,
  plugs: 2,
  keys: ['HEX2.5'],
  sinks: [],
  ...more,
})
export const flow = (aKPerW, bKPerW, at2, at4) => ({
  aKPerW,
  bKPerW,
  n: 0.8,
  unit: 'L/min',
  dropKPaAt: [
    [2, at2],
    [4, at4],
  ],
})
export const block = (id, maker, model, kind, more) => ({
  format: 'faithful-bracket/block',
  version: 1,
  id,
  maker,
  model,
  kind,
  manualRevision: '1',
  declaredFor: [],
  rotations: [0],
  coldPlate: { metal: 'nickel-plated copper', baseMm: 3 },
  ...more,
})
export const plate = (id, outline, lands, holes, more = {}) => ({
  id,
  face: 'front',
  seat: 'die',
  outline,
  baseStepMm: 0.9,
  lands,
  pockets: [],
  holes,
  ...more,
})
export const eur = (amount) => ({ amount, currency: 'EUR' })
export const reading = (by, phase, roomC, coolantC, dieC, hotspotC, memoryC, powerW, flowLMin) => ({
  by,
  phase,
  roomC,
  coolantC,
  dieC,
  hotspotC,
  memoryC,
  powerW,
  flowLMin,
  note: null,
})
