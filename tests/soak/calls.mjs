// One good example of every call that takes something; the soak spoils them.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const json = (file) => JSON.parse(readFileSync(file, 'utf8'))

export function corpus(house) {
  const read = (folder) =>
    readdirSync(join(house, 'demo', folder))
      .filter((f) => f.endsWith('.json'))
      .map((f) => json(join(house, 'demo', folder, f)))
  const boards = read('boards')
  const blocks = read('blocks')
  const cards = read('cards')
  const tern = boards.find((b) => b.id === 'tern-460-r2') ?? boards[0]
  const full = blocks.find((b) => b.id === 'brineworks-full-460') ?? blocks[0]
  const drawer = json(join(house, 'demo', 'drawer.json'))
  const sockets = read('sockets')
  return { boards, blocks, cards, sockets, tern, full, drawer }
}

/** Calls as functions of draws: method, path, body. */
export function calls({ boards, blocks, cards, sockets, tern, full, drawer }) {
  const pair = (d) => ({ board: d.chance(0.7) ? tern : d.of(boards), block: d.chance(0.7) ? full : d.of(blocks) })
  const pads = [
    { part: 'M1', thicknessMm: 1, material: 'soft-3' },
    { part: 'M2', thicknessMm: 1, material: 'soft-3' },
  ]
  const paste = { id: 'grey-standard' }
  const processors = boards.filter((b) => b.kind === 'processor')
  const coolers = blocks.filter((b) => b.sockets?.length)
  const onSocket = (d) => ({ socket: d.of(sockets), processor: d.of(processors), block: d.of(coolers), board: tern })
  const plate = [
    [0, 0],
    [60, 0],
    [60, 40],
    [0, 40],
  ]
  const job = (d) => 1 + d.whole(12)
  const post = (path, body) => (d) => ({
    method: 'POST',
    path: typeof path === 'function' ? path(d) : path,
    body: typeof body === 'function' ? body(d) : body,
  })
  const put = (path, body) => (d) => ({
    ...post(path, body)(d),
    method: 'PUT',
    match: d.chance(0.8) ? String(d.whole(4)) : undefined,
  })
  const get = (path) => (d) => ({ method: 'GET', path: path(d) })
  const number = (d) => d.of(['0', '12.5', '-30', 'NaN', '1e999', '', 'x', '1e7'])
  const words = ['tern', 'signer:qa harbour', '"', 'board:', '* OR (', 'x'.repeat(300), '\u0000']
  const time = (d) => d.of(['2026-12-01T10:00', '2031-01-01T00:00', 'soon', null, 7])
  return [
    get(() => '/api/day'),
    get(() => '/api/day.ics'),
    get(() => '/api/settings/calendar'),
    get(() => '/api/settings/events'),
    get((d) => `/calendar/${encodeURIComponent(d.of(['x.ics', '..', '%00', '0'.repeat(36) + '.ics']))}`),
    get((d) => `/api/search?text=${encodeURIComponent(d.of(words))}`),
    get((d) => `/api/past/${encodeURIComponent(d.of(['tern-460-r2', '..', 'x', '%']))}`),
    get(() => '/api/keeping/doctor'),
    put(
      (d) => `/api/jobs/${job(d)}/promise`,
      (d) => ({ by: 'QA', at: time(d) }),
    ),
    put(
      (d) => `/api/jobs/${job(d)}/hands`,
      (d) => ({ by: 'QA', initials: d.of(['QA', 'ML', 'ZZ', null]) }),
    ),
    put(
      (d) => `/api/jobs/${job(d)}/pin`,
      (d) => ({ by: 'QA', key: d.of(['prep.clean-die', 'care.stock', 'nowhere']), at: time(d) }),
    ),
    put(
      (d) => `/api/signers/${d.of(['QA', 'ML', 'RV', 'K9', 'LONGER'])}`,
      (d) => ({ name: 'N', colour: d.of(['plum', 'sky']), works: d.chance(0.9), left: false }),
    ),
    post('/api/records/check', () => ({ format: 'faithful-bracket/record', documents: [] })),
    post('/api/pair', (d) => ({ code: d.of(['ABCDEFGH', '', 'x'.repeat(100)]), name: 'Bench A' })),
    post('/api/devices/pairings', () => ({})),
    post('/api/compute/fit', pair),
    post('/api/compute/gaps', (d) => ({ ...pair(d), stock: [{ thicknessMm: 1, material: 'soft-3' }] })),
    post('/api/compute/seating', (d) => ({ ...pair(d), pads, paste, elasticBoard: d.chance(0.3) })),
    post('/api/compute/tightening', (d) => ({ ...pair(d), pads, paste, turnsPerMove: 0.5 })),
    post('/api/compute/teardown', (d) => ({ board: d.of(boards) })),
    post('/api/compute/work-order', (d) => ({
      boards: [{ key: 'A', board: tern }],
      pairs: [{ key: 'a', block: d.of(blocks) }],
      seed: 2,
    })),
    post('/api/compute/work-order', (d) => ({ card: d.of(cards), pairs: [{ key: 'a', block: d.of(blocks) }] })),
    post('/api/compute/cut-plan', (d) => ({
      pieces: [{ id: 'A', widthMm: 14, depthMm: 12, thicknessMm: 1, count: 1 + d.whole(12) }],
      stock: [{ id: 's', widthMm: 100, depthMm: 60, thicknessMm: 1, count: 2 }],
    })),
    post('/api/compute/bow', (d) => ({
      outline: plate,
      thicknessMm: 1.6,
      material: { eMPa: 22000, nu: 0.15 },
      edges: d.of(['free', 'simply-supported', 'clamped']),
      supports: [
        { x: 5, y: 5, kind: 'clamped', diameterMm: 6 },
        { x: 50, y: 9, kind: 'pinned', diameterMm: 5 },
      ],
      loads: [{ x: 30, y: 20, widthMm: 5, depthMm: 5, forceN: -20 }],
      probes: [[30, 20]],
      elements: 400,
    })),
    post('/api/compute/paste', (d) => ({
      surface: { widthMm: 22, depthMm: 18 },
      paste,
      clampN: 200,
      pattern: {
        kind: d.of(['spread', 'dot', 'line', 'cross', 'strokes']),
        strokes: [
          [
            [-5, 0],
            [5, 0],
          ],
        ],
      },
      cells: 32,
      tiltDeg: [0.05, 0],
    })),
    post('/api/compute/identify', () => ({ holes: tern.holes, parts: tern.parts.slice(0, 20) })),
    post('/api/compute/trace', () => ({
      target: [
        [0, 0],
        [100, 0],
        [100, 80],
        [0, 80],
        [50, 40],
      ].map(([x, y]) => ({ xMm: x, yMm: y, uPx: 300 + 10 * x, vPx: 200 + 10 * y })),
      points: [{ id: 'p', uPx: 500, vPx: 500 }],
      imageSize: [2000, 1500],
    })),
    post('/api/compute/socket', (d) => onSocket(d)),
    post('/api/compute/direct-die', (d) => ({
      ...onSocket(d),
      powerW: 200,
      blockKPerW: 0.03,
      paste,
      metal: { bondLineUm: 30, conductivityWPerMK: 30 },
    })),
    post('/api/sockets?replace=true', (d) => ({ ...d.of(sockets), id: `soak-${d.whole(5)}` })),
    post('/api/boards?replace=true', (d) => ({ ...d.of(boards), id: `soak-${d.whole(5)}` })),
    post('/api/blocks?replace=true', (d) => ({ ...d.of(blocks), id: `soak-${d.whole(5)}` })),
    post('/api/cards?replace=true', (d) => ({ ...d.of(cards), id: `soak-${d.whole(5)}` })),
    post('/api/boards/batch', (d) => ({ ...d.of(boards), id: `soak-${d.whole(5)}` })),
    post('/api/library/check', (d) => d.of([...boards, ...blocks, ...cards])),
    post('/api/jobs', (d) => ({
      title: 'Soak',
      bench: 'Bench A',
      boardId: d.chance(0.8) ? tern.id : `soak-${d.whole(5)}`,
      blockId: d.chance(0.8) ? full.id : `soak-${d.whole(5)}`,
      by: 'QA',
      client: 'Nobody',
      padChoices: [],
    })),
    put(
      (d) => `/api/jobs/${job(d)}`,
      (d) => ({
        by: 'QA',
        padChoices: [{ part: d.of(['M1', 'M9', 'U1']), thicknessMm: 1, material: 'soft-3' }],
        blockId: d.of(blocks).id,
      }),
    ),
    put(
      (d) => `/api/jobs/${job(d)}/ways`,
      () => ({ school: 'paste', way: 'spread', by: 'QA' }),
    ),
    put(
      (d) => `/api/jobs/${job(d)}/as-found`,
      () => ({ pads: [{ part: 'M1', thicknessMm: 1 }], by: 'ML' }),
    ),
    put(
      (d) => `/api/jobs/${job(d)}/assembly`,
      () => ({ assembly: tern.assembly ?? {}, by: 'QA' }),
    ),
    put(
      (d) => `/api/jobs/${job(d)}/order`,
      () => ({ order: ['F1', 'F2'], by: 'QA' }),
    ),
    post(
      (d) => `/api/jobs/${job(d)}/strip`,
      () => ({ note: { action: 'screw', holds: 'cooler', driver: 'T6', places: [[1, 2]] }, by: 'QA', done: true }),
    ),
    post(
      (d) => `/api/jobs/${job(d)}/practice`,
      () => ({
        moves: [
          { hole: 'S1', turns: 0.5 },
          { hole: 'S2', turns: 1 },
        ],
      }),
    ),
    post(
      (d) => `/api/jobs/${job(d)}/readings`,
      (d) => ({
        by: 'QA',
        phase: d.of(['before', 'after']),
        roomC: 21,
        dieC: 60,
        powerW: 240,
        coolantC: 27,
        flowLMin: 3,
      }),
    ),
    post(
      (d) => `/api/jobs/${job(d)}/timers`,
      () => ({ stepId: 'prep.clean', label: 'soak', seconds: 60 }),
    ),
    post(
      (d) => `/api/jobs/${job(d)}/notes`,
      () => ({ by: 'QA', text: 'a note' }),
    ),
    post('/api/paste/simulate', () => ({
      surface: { widthMm: 20, depthMm: 20 },
      paste,
      clampN: 150,
      pattern: { kind: 'dot' },
      cells: 24,
    })),
    post('/api/compute/schedule', (d) => ({
      hands: 1 + d.whole(2),
      tools: [{ id: 'jig', count: 1 }],
      jobs: [
        {
          id: 'A',
          operations: [
            { id: 'on', minutes: 5, hands: 1 },
            { id: 'soak', minutes: 20, hands: 0 },
          ],
        },
        { id: 'B', dueMin: 30, operations: [{ id: 'shear', minutes: 15, hands: 1, tool: 'jig', after: ['A/on'] }] },
      ],
    })),
    post('/api/compute/plate-heat', () => ({
      outline: plate,
      thicknessMm: 3,
      kWPerMK: 390,
      hWPerM2K: 9000,
      sources: [{ x: 40, y: 20, widthMm: 20, depthMm: 20, watts: 150 }],
      coolantC: 30,
      probes: [[40, 20]],
    })),
    post('/api/compute/expect', (d) => ({ ...pair(d), paste, conditions: { coolantInC: 30, flowLMin: 3 } })),
    post('/api/compute/faults', (d) => ({
      ...pair(d),
      paste,
      conditions: { coolantInC: 30, flowLMin: 3 },
      readings: [
        { parts: ['U1'], kind: 'max', c: 62, sigmaK: 0.5 },
        { parts: ['M1'], kind: 'max', c: 110, sigmaK: 0.5 },
      ],
    })),
    post('/api/compute/steady-state', () => ({
      samples: Array.from({ length: 90 }, (_, i) => ({ tS: i, c: 60 - 20 * Math.exp(-i / 12) })),
    })),
    post('/api/compute/resistance', () => ({
      before: { dieC: 84, roomC: 22, powerW: 200 },
      after: { dieC: 52, roomC: 23, coolantInC: 30, flowLMin: 3, powerW: 205, sigma: { dieC: 0.5 } },
    })),
    post('/api/compute/leak', () => ({
      volumeMl: 500,
      ambientKPa: 101.3,
      samples: Array.from({ length: 20 }, (_, i) => ({ tS: 30 * i, kPa: 50 - 0.01 * i, airC: 21 })),
    })),
    post('/api/compute/drift', () => ({
      points: [
        { day: 0, kPerW: 0.1, sigma: 0.001 },
        { day: 100, kPerW: 0.11, sigma: 0.001 },
      ],
      limitShare: 0.2,
      capDays: 150,
    })),
    put('/api/settings', (d) => ({ values: { coolantInC: 25 + d.whole(9) }, defaults: [], reason: 'soak', by: 'QA' })),
    post('/api/settings/try', (d) => ({
      values: { squashMost: 0.3 + d.whole(3) / 10 },
      defaults: [],
      reason: '',
      by: 'QA',
    })),
    post(
      (d) => `/api/jobs/${job(d)}/leak-tests`,
      () => ({
        by: 'QA',
        volumeMl: 500,
        limitMlPerMin: 0.2,
        samples: Array.from({ length: 20 }, (_, i) => ({ tS: 30 * i, kPa: 50 - 0.01 * i, airC: 21 })),
      }),
    ),
    post('/api/instruments/caliper/press', () => ({ widthMm: 12 })),
    post('/api/twins/rebuild', () => ({})),
    ...['materials', 'pads', 'pastes', 'screws', 'tools', 'supplies']
      .filter((k) => drawer[k]?.length)
      .map((k) =>
        put(
          (d) => `/api/drawer/${k.replace(/ies$/, 'y').replace(/s$/, '')}/${d.of(drawer[k]).id}`,
          (d) => d.of(drawer[k]),
        ),
      ),
    get((d) => `/api/jobs/${job(d)}`),
    get(() => '/api/bench'),
    get(() => '/api/boards'),
    get(() => '/api/blocks'),
    get(() => '/api/drawer'),
    get((d) => `/api/boards/${d.of([...boards.map((b) => b.id), 'soak-1', '..', '%2e%2e', 'no'])}/blocks`),
    get((d) => `/api/match/${d.of(boards).id}/${d.of(blocks).id}`),
    get((d) => `/api/jobs/${job(d)}/section?x1=${number(d)}&y1=0&x2=30&y2=${number(d)}`),
    get((d) => `/api/jobs/${job(d)}/alternatives?part=${d.of(['M1', 'U1', '', '%00'])}`),
    get((d) => `/api/jobs/${job(d)}/pad-fault?part=M1&fault=${d.of(['missing', 'tooThick', 'x'])}`),
    get((d) => `/api/jobs/${job(d)}/bow`),
    get((d) => `/api/jobs/${job(d)}/tray.svg?scale=${number(d)}`),
    get((d) => `/api/jobs/${job(d)}/cutting/${d.of([1, 2, -1])}.svg?scale=${number(d)}`),
    get((d) => `/api/jobs/${job(d)}/record.html`),
    get((d) => `/api/boards/${d.of(boards).id}/export?format=${d.of(['csv', 'idf', 'dxf', 'x'])}`),
    get(() => '/api/library/pack'),
  ]
}
