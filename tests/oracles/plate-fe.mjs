// Temperatures of two plates by a solid finite-element model (ccx of Debian's calculix-ccx): node tests/oracles/plate-fe.mjs
// Eight-node bricks, 1 mm square and a quarter of the thickness high. Heat goes in over the footprint through the whole depth, so that the
// mean over the thickness is what a thin sheet tells; film cooling acts on the underside. Prints what tests/Core.Tests/Data/plate-fe.json keeps.
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const inside = (r, x, y) => Math.abs(x - r.x) < r.w / 2 && Math.abs(y - r.y) < r.d / 2

const plates = [
  {
    name: 'whole underside cooled',
    columns: 80,
    rows: 60,
    metal: () => true,
    outline: [
      [0, 0],
      [80, 0],
      [80, 60],
      [0, 60],
    ],
    tMm: 3,
    k: 390,
    cooled: [{ x: 40, y: 30, w: 80, d: 60, h: 8000 }],
    sources: [{ x: 30, y: 34, w: 20, d: 20, watts: 200 }],
    coolantC: 30,
  },
  {
    name: 'angle with a finned part and two sources',
    columns: 90,
    rows: 70,
    metal: (x, y) => !(x > 60 && y > 40),
    outline: [
      [0, 0],
      [90, 0],
      [90, 40],
      [60, 40],
      [60, 70],
      [0, 70],
    ],
    tMm: 2,
    k: 390,
    cooled: [
      { x: 30, y: 35, w: 40, d: 40, h: 14000 },
      { x: 70, y: 20, w: 30, d: 20, h: 2100 },
    ],
    sources: [
      { x: 30, y: 35, w: 24, d: 18, watts: 240 },
      { x: 80, y: 20, w: 8, d: 30, watts: 32 },
    ],
    coolantC: 30,
  },
]
const layers = 4
const probesOf = (p) => [
  ...p.sources.map((s) => [s.x, s.y]),
  [5.5, 5.5],
  [p.columns - 5.5, 5.5],
  [5.5, p.rows - 5.5],
  [45.5, 20.5],
  [20.5, 50.5],
]

function solve(p) {
  const node = new Map()
  const nodes = []
  const at = (i, j, l) => {
    const key = `${i},${j},${l}`
    if (!node.has(key)) {
      node.set(key, nodes.length + 1)
      nodes.push([i, j, (l * p.tMm) / layers])
    }
    return node.get(key)
  }
  const elements = []
  const films = []
  const flux = []
  for (let i = 0; i < p.columns; i++)
    for (let j = 0; j < p.rows; j++) {
      const [x, y] = [i + 0.5, j + 0.5]
      if (!p.metal(x, y)) continue
      for (let l = 0; l < layers; l++) {
        elements.push([
          at(i, j, l),
          at(i + 1, j, l),
          at(i + 1, j + 1, l),
          at(i, j + 1, l),
          at(i, j, l + 1),
          at(i + 1, j, l + 1),
          at(i + 1, j + 1, l + 1),
          at(i, j + 1, l + 1),
        ])
        const e = elements.length
        for (const s of p.sources) if (inside(s, x, y)) flux.push(`${e}, BF, ${s.watts / (s.w * s.d * p.tMm)}`)
        if (l === 0) for (const c of p.cooled) if (inside(c, x, y)) films.push(`${e}, F1, ${p.coolantC}, ${c.h * 1e-6}`)
      }
    }
  const folder = mkdtempSync(join(tmpdir(), 'plate-'))
  writeFileSync(
    join(folder, 'plate.inp'),
    [
      '*NODE, NSET=ALL',
      ...nodes.map((n, k) => `${k + 1}, ${n.join(', ')}`),
      '*ELEMENT, TYPE=C3D8, ELSET=PLATE',
      ...elements.map((e, k) => `${k + 1}, ${e.join(', ')}`),
      '*MATERIAL, NAME=METAL',
      '*CONDUCTIVITY',
      `${p.k / 1000}`,
      '*SOLID SECTION, ELSET=PLATE, MATERIAL=METAL',
      '*INITIAL CONDITIONS, TYPE=TEMPERATURE',
      `ALL, ${p.coolantC}`,
      '*STEP',
      '*HEAT TRANSFER, STEADY STATE',
      '*DFLUX',
      ...flux,
      '*FILM',
      ...films,
      '*NODE PRINT, NSET=ALL',
      'NT',
      '*END STEP',
    ].join('\n'),
  )
  execFileSync('ccx', ['plate'], { cwd: folder, stdio: 'ignore' })
  const c = new Map()
  for (const line of readFileSync(join(folder, 'plate.dat'), 'utf8').split('\n')) {
    const found = /^\s+(\d+)\s+([-\d.E+]+)\s*$/.exec(line)
    if (found) c.set(Number(found[1]), Number(found[2]))
  }
  // mean over the thickness at a cell's corner or middle: trapezium over the layers, mean of the corners around
  const column = (i, j) => {
    let sum = 0
    for (let l = 0; l <= layers; l++) sum += c.get(node.get(`${i},${j},${l}`)) * (l === 0 || l === layers ? 0.5 : 1)
    return sum / layers
  }
  return probesOf(p).map(([x, y]) => {
    const [i, j] = [Math.floor(x), Math.floor(y)]
    const corners =
      x === i && y === j
        ? [[i, j]]
        : [
            [i, j],
            [i + 1, j],
            [i, j + 1],
            [i + 1, j + 1],
          ]
    const mean = corners.reduce((s, q) => s + column(...q), 0) / corners.length
    return { x, y, c: Math.round(mean * 1000) / 1000 }
  })
}

console.log(
  JSON.stringify(
    plates.map(({ metal: _, columns: _c, rows: _r, ...p }, n) => ({ ...p, probes: solve(plates[n]) })),
    null,
    1,
  ),
)
