import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
import { house, Server } from './server'

const server = new Server({ own: true })
// biome-ignore lint/suspicious/noExplicitAny: a document
type Any = any
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('an empty shop says what to begin with until it is done, and takes no figure of a stand-in', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'EG'))
  await page.goto(server.address)
  const begin = page.getByRole('region', { name: 'To begin with' })
  await expect(begin.getByRole('img', { name: 'to be done' })).toHaveCount(3)
  await expect(page.getByText('demo shop, made up')).toHaveCount(0)
  await begin.getByRole('link', { name: 'The first block' }).click()
  for (const name of ['boards/tern-460-r2.board.json', 'blocks/brineworks-full-460.block.json']) {
    await page.locator('nav input[type=file]').setInputFiles({
      name: name.split('/')[1],
      mimeType: 'application/json',
      buffer: readFileSync(join(house, 'demo', name)),
    })
    await page.getByRole('button', { name: 'Keep in the library' }).click()
    await expect(page.getByRole('button', { name: 'Keep in the library' })).toHaveCount(0)
  }
  // whoever acts first is known from then on
  const opened = await page.request.post(`${server.address}/api/jobs`, {
    data: { title: 'My first', bench: 'A', boardId: 'tern-460-r2', blockId: 'brineworks-full-460', by: 'EG' },
  })
  expect(opened.status()).toBe(201)
  await page.goto(server.address)
  await expect(page.getByText('My first').first()).toBeVisible()
  await expect(begin).toHaveCount(0)

  await page.goto(`${server.address}/job/1/prove`)
  await page.getByRole('button', { name: 'Hold and watch' }).click()
  await expect(page.getByText('This gauge is a stand-in for practice')).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('button', { name: 'Write it down', exact: true })).toHaveCount(0)
})

const kept = async (page: Page, path: string) => (await page.request.get(`${server.address}/api/${path}`)).json()

/** Every true gap lies within what was told of the shop's own documents. */
async function holdsTrueGaps(page: Page, [board, block]: string[], truth: Any[]) {
  const gaps = async ([board, block]: Any[]) => {
    const answer = await page.request.post(`${server.address}/api/compute/gaps`, { data: { board, block } })
    return (await answer.json()).pairs as { part: string; nominalMm: number; minMm: number; maxMm: number }[]
  }
  const mine = await gaps([await kept(page, `boards/${board}`), await kept(page, `blocks/${block}`)])
  const real = await gaps(truth)
  expect(real.length).toBeGreaterThan(6)
  for (const t of real) {
    const own = mine.find((g) => g.part === t.part)!
    expect(own.minMm, t.part).toBeLessThanOrEqual(t.nominalMm)
    expect(own.maxMm, t.part).toBeGreaterThanOrEqual(t.nominalMm)
  }
}

test('a card from its layout and a block from seven readings are a planned job like the makers’ own documents', async ({
  page,
}) => {
  const demo = (name: string) => JSON.parse(readFileSync(join(house, 'demo', name), 'utf8'))
  const [truth, maker] = [demo('boards/tern-460-r2.board.json'), demo('blocks/brineworks-full-460.block.json')]
  const rows = [
    'what,id,face,x,y,diameterMm,widthMm,depthMm,rotationDeg,heightMm,kind',
    ...truth.outline.map(([x, y]: number[]) => `outline,,,${x},${y},,,,,,`),
    ...truth.holes.map((h: Any) => `hole,,,${h.x},${h.y},${h.diameterMm},,,,,`),
    ...truth.parts.map(
      (p: Any) =>
        `part,${p.id},${p.face},${p.x},${p.y},,${p.widthMm},${p.depthMm},${p.rotationDeg ?? 0},${p.heightMm ?? ''},${p.kind}`,
    ),
  ]
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'EG'))
  await page.goto(`${server.address}/library`)
  await page.locator('nav input[type=file]').setInputFiles({
    name: 'placement.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(rows.join('\n')),
  })
  const ledger = page.getByLabel('Ledger')
  await expect(ledger.getByText(/holes, \d+ parts/)).toBeVisible()
  for (const [label, value] of [
    ['maker', 'Anchor'],
    ['model', 'Own 460'],
    ['board code', 'AN-1'],
    ['revision', 'R1'],
  ]) {
    await ledger.getByLabel(label, { exact: true }).fill(value)
    await ledger.getByLabel(label, { exact: true }).blur()
  }
  await ledger.getByRole('button', { name: 'Keep as a board' }).click()

  // one hole wrongly moved, undone, one part corrected in inches; a new version
  await page.getByRole('link', { name: 'Edit' }).click()
  const hole = page.locator('[data-at="/holes/0"]')
  await hole.click()
  const x = ledger.getByRole('textbox', { name: 'x, mm', exact: true })
  const first = await x.inputValue()
  await page.keyboard.press('ArrowRight')
  await expect(x).toHaveValue(String(Number(first) + 0.1))
  await page.getByRole('button', { name: 'Undo' }).click()
  // an outline gets a corner where one is dragged out of its side
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Corners' }).click()
  const sides = await page.locator('[data-corner^=c]').count()
  const middle = (await page.locator('[data-corner=m0]').boundingBox())!
  await page.mouse.move(middle.x + middle.width / 2, middle.y + middle.height / 2)
  await page.mouse.down()
  await page.mouse.move(middle.x + 20, middle.y + 30, { steps: 4 })
  await page.mouse.up()
  await expect(page.locator('[data-corner^=c]')).toHaveCount(sides + 1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-corner^=c]')).toHaveCount(sides)
  await page.getByRole('button', { name: 'Corners' }).click()
  await page.locator('[data-at="/parts/1"]').click()
  await ledger.getByLabel('height ±, mm').fill('0,002 in')
  await ledger.getByLabel('height ±, mm').press('Enter')
  await expect(ledger.getByLabel('height ±, mm')).toHaveValue('0.0508')
  await ledger.getByLabel('width, mm', { exact: true }).fill('900')
  await ledger.getByLabel('width, mm', { exact: true }).press('Enter')
  await expect(ledger.getByText(/from 0.05 to 700/)).toBeVisible()
  // a draft survives the page
  await page.reload()
  await expect(ledger.getByText('A draft on this device')).toBeVisible()
  await ledger.getByRole('button', { name: 'Keep a new version' }).click()
  await page.getByRole('button', { name: 'Keep as the next version' }).click()
  await page.waitForURL(/boards\/[^/]+$/)
  const board = page.url().split('/').pop()!

  await page.getByRole('button', { name: 'Describe a block for it' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('maker, from the box').fill('Quayside')
  await dialog.getByLabel('model').fill('Weir 460')
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await expect(ledger.getByText('Unproven')).toBeVisible()
  // the manual's drawing of its underside, out of its maker's own document
  await page.request.post(`${server.address}/api/blocks`, { data: maker })
  const drawn = await page.request.get(`${server.address}/api/blocks/${maker.id}/export?form=dxf`)
  await page.request.delete(`${server.address}/api/blocks/${maker.id}`)
  await ledger
    .getByLabel('Underside from a drawing')
    .setInputFiles({ name: 'below.dxf', mimeType: 'image/vnd.dxf', buffer: await drawn.body() })
  await expect(ledger.getByText('10 holes agree with the screws.')).toBeVisible()
  await ledger.getByRole('button', { name: /Tried by hand/ }).click()
  await ledger.getByLabel('reading of the die land').fill('3,00')
  const step = (kind: string) => maker.plates[0].lands.find((l: Any) => l.for === kind).stepMm as number
  const part = (id: string) => truth.parts.find((p: Any) => p.id === id)
  for (const input of await ledger.getByLabel(/^gauge reading of/).all()) {
    const land = (await input.getAttribute('aria-label'))!.replace('gauge reading of L-', '').split('-')[0]
    await input.fill((3 + step(part(land).kind)).toFixed(2))
  }
  await ledger.getByRole('button', { name: /Take \d+ steps into the block/ }).click()
  await expect(ledger.getByText(/^Seats/).first()).toBeVisible()
  await ledger.getByRole('button', { name: 'Keep in the library' }).click()
  await page.waitForURL(/blocks\/[^/]+$/)
  const block = page.url().split('/').pop()!
  await holdsTrueGaps(page, [board, block], [truth, maker])
  const job = await page.request.post(`${server.address}/api/jobs`, {
    data: { title: 'Nobody described it', bench: 'A', boardId: board, blockId: block, by: 'EG' },
  })
  await page.goto(`${server.address}/job/${(await job.json()).id}/match`)
  await expect(page.getByText(/^Seats/).first()).toBeVisible()
})

/** One page of 200 × 100 mm with a circle on it. */
const pdf = () => {
  const draw = '0 0 0 RG 2 w 100 100 50 50 re S'
  const objects = [
    '<</Type/Catalog/Pages 2 0 R>>',
    '<</Type/Pages/Kids[3 0 R]/Count 1>>',
    '<</Type/Page/Parent 2 0 R/MediaBox[0 0 566.93 283.46]/Contents 4 0 R/Resources<<>>>>',
    `<</Length ${draw.length}>>stream\n${draw}\nendstream`,
  ]
  let text = '%PDF-1.4\n'
  const at = objects.map((o, i) => {
    const here = text.length
    text += `${i + 1} 0 obj${o}endobj\n`
    return here
  })
  const table = text.length
  text += `xref\n0 5\n0000000000 65535 f \n${at.map((a) => `${String(a).padStart(10, '0')} 00000 n \n`).join('')}`
  return Buffer.from(`${text}trailer<</Size 5/Root 1 0 R>>\nstartxref\n${table}\n%%EOF`)
}

test('a manual’s page lies under the drawing at its own size, and a broken one says so', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'EG'))
  await page.goto(`${server.address}/library/boards/tern-460-r2/edit`)
  const ledger = page.getByLabel('Ledger')
  const lay = (name: string, buffer: Buffer) =>
    ledger.locator('input[type=file]').first().setInputFiles({ name, mimeType: 'application/pdf', buffer })
  await lay('cut.pdf', pdf().subarray(0, 90))
  await expect(ledger.getByRole('alert')).toBeVisible()
  await lay('manual.pdf', pdf())
  const picture = page.locator('svg image')
  await expect(picture).toBeVisible()
  const [px, board] = [await picture.boundingBox(), await page.locator('[data-part="U1"]').boundingBox()]
  const die = JSON.parse(readFileSync(join(house, 'demo/boards/tern-460-r2.board.json'), 'utf8')).parts[0]
  expect(px!.width / board!.width / (200 / die.widthMm)).toBeCloseTo(1, 1)
  // what stands already is only looked at against it
  await expect(ledger.getByText('As it stands in the library.')).toBeVisible()
})

test('the drawer of an empty shop is filled by hand and by a table, and its labels are found by their codes', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'EG'))
  await page.goto(`${server.address}/drawer`)
  await page.getByRole('button', { name: 'Add a material' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('id', { exact: true }).fill('grey-2')
  await dialog.getByLabel('squash min').fill('0.1')
  await dialog.getByLabel('squash max').fill('0.4')
  await dialog.getByText('No curve: weigh a piece').click()
  for (const [label, value] of [
    ['thickness unpressed, mm', '1'],
    ['area of the piece, mm²', '400'],
    ['first weight, g', '2000'],
    ['left under it, mm', '0,8'],
    ['second weight, g', '4000'],
    ['left under it then, mm', '0.65'],
  ])
    await dialog.getByLabel(label).fill(value)
  await dialog.getByRole('button', { name: 'Calculate the curve' }).click()
  await expect(dialog.getByLabel('curve', { exact: true })).toHaveValue('0.2, 0.04903; 0.35, 0.09807')
  await dialog.getByRole('button', { name: 'Add to the drawer' }).click()
  await expect(dialog).toHaveCount(0)

  const table = (rows: string) =>
    page.getByLabel('Take in a table').setInputFiles({
      name: 'count.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`kind;id;material;thicknessMm;widthMm;depthMm;count\n${rows}`),
    })
  await table('pad;A1;grey-2;1,0;100;50;3\npad;A2;grey-2;1.5;100;50;many\n')
  await expect(dialog.getByText('Line 3, count')).toBeVisible()
  await dialog.getByRole('button', { name: 'Leave it' }).click()
  await table('pad;A1;grey-2;1,0;100;50;3\n')
  await expect(dialog.getByText('1 new, 0 changed, 0 as they are')).toBeVisible()
  await dialog.getByRole('button', { name: 'Take it in' }).click()
  const count = page.getByLabel('Count of A1')
  await expect(count).toHaveValue('3')
  await count.fill('12')
  await Promise.all([page.waitForResponse((r) => r.request().method() === 'PUT' && r.ok()), count.blur()])
  await page.goto(`${server.address}/labels/drawer`)
  await expect(page.getByAltText('Labels with their codes')).toBeVisible()
  await page.goto(server.address)
  await page.keyboard.press('Control+k')
  await page.getByLabel('Find a job, board, block, step or place').fill('fb:drawer:pad/A1')
  await page.getByRole('button', { name: /grey-2 1 mm/ }).click()
  await expect(page.getByLabel('Count of A1')).toHaveValue('12')
  await expect(page.locator('[aria-current=true]', { hasText: 'grey-2' })).toBeVisible()

  // archived it is in no list, and comes back as it was
  await page.locator('[aria-current=true]', { hasText: 'grey-2' }).click()
  await page
    .getByRole('dialog')
    .getByText(/^What became of it/)
    .click()
  await expect(page.getByRole('dialog')).toContainText(/counted \+9\s*, 12 left, EG/)
  // nobody counted it for a job
  await expect(page.getByRole('dialog').getByRole('link', { name: /^job/ })).toHaveCount(0)
  await page.getByRole('dialog').getByRole('button', { name: 'Archive' }).click()
  await expect(page.getByLabel('Count of A1')).toHaveCount(0)
  await page.getByText('Archived, 1').click()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByLabel('Count of A1')).toHaveValue('12')
})

/** Where places of the target's plane, mm, stand in the photo, px: four marks decide, the lens is left out. */
function project(marks: { xMm: number; yMm: number; uPx: number; vPx: number }[]) {
  const far = [marks[0], marks[2], marks[marks.length - 3], marks[marks.length - 1]]
  const rows = far.flatMap(({ xMm: x, yMm: y, uPx: u, vPx: v }) => [
    [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
    [0, 0, 0, x, y, 1, -v * x, -v * y, v],
  ])
  for (let i = 0; i < 8; i++) {
    const best = rows.slice(i).reduce((b, r, k) => (Math.abs(r[i]) > Math.abs(rows[b][i]) ? i + k : b), i)
    ;[rows[i], rows[best]] = [rows[best], rows[i]]
    for (let k = 0; k < 8; k++)
      if (k !== i) {
        const f = rows[k][i] / rows[i][i]
        for (let j = i; j < 9; j++) rows[k][j] -= f * rows[i][j]
      }
  }
  const h = rows.map((r, i) => r[8] / r[i])
  return (x: number, y: number) => {
    const w = h[6] * x + h[7] * y + 1
    return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w]
  }
}

test('a card from a photo, ten heights and a manual’s pads are a planned job whose gaps hold the true ones', async ({
  page,
}) => {
  const read = (name: string) => JSON.parse(readFileSync(join(house, 'demo', name), 'utf8'))
  const [truth, maker] = [read('boards/dunlin-250-traced.board.json'), read('blocks/undertow-slim-250.block.json')]
  const soft = read('drawer.json').material.find((m: Any) => m.id === 'soft-3')
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'EG'))
  const sheets = { id: 'S10', material: 'soft-3', thicknessMm: 1, widthMm: 120, depthMm: 100, count: 2 }
  for (const [path, data] of [
    ['material/soft-3', soft],
    ['pad/S10', sheets],
  ] as const)
    await page.request.put(`${server.address}/api/drawer/${path}`, { data, headers: { 'If-Match': '"0"' } })
  // the picture that the camera stand-in of the demo shop takes, as a file
  const demo = await new Server().start()
  const shot = await (await page.request.post(`${demo.address}/api/instruments/camera/shoot?by=QA`)).json()
  const photo = await (await page.request.get(`${demo.address}/api/traces/${shot.id}/photo`)).body()
  await demo.stop()

  await page.goto(`${server.address}/library/trace`)
  await page.getByLabel('Choose the picture').setInputFiles({ name: 'card.jpg', mimeType: 'image/jpeg', buffer: photo })
  const ledger = page.getByLabel('Ledger')
  await expect(ledger.getByRole('heading', { level: 2 })).toContainText('marks found')
  const id = page.url().split('/').at(-1)
  const got = await page.request.get(`${server.address}/api/traces/${id}`)
  const { state, version, widthPx, heightPx } = await got.json()
  // the sheet lies under the card's lower edge: where things stand in the picture, raised ones by what they seem off
  const ys = truth.outline.map((p: number[]) => p[1])
  const xs = truth.outline.map((p: number[]) => p[0])
  const sheet = [(Math.min(...xs) + Math.max(...xs)) / 2 - 105, Math.min(...ys) - 160]
  const px = project(state.marks)
  const places: Any[] = [
    ...truth.holes.map((h: Any) => ({ id: h.id, x: h.x, y: h.y, heightMm: 0 })),
    ...truth.parts.flatMap((p: Any) => [
      { id: `${p.id}-a`, x: p.x - p.widthMm / 2, y: p.y - p.depthMm / 2, heightMm: p.heightMm },
      { id: `${p.id}-b`, x: p.x + p.widthMm / 2, y: p.y + p.depthMm / 2, heightMm: p.heightMm },
    ]),
  ].map((p) => ({ ...p, x: p.x - sheet[0], y: p.y - sheet[1], ax: p.x - sheet[0], ay: p.y - sheet[1] }))
  for (let turn = 0; turn < 6; turn++) {
    for (const p of places) [p.uPx, p.vPx] = px(p.ax, p.ay)
    const answer = await page.request.post(`${server.address}/api/compute/trace`, {
      data: {
        target: state.marks.map(({ xMm, yMm, uPx, vPx }: Any) => ({ xMm, yMm, uPx, vPx })),
        points: places.map(({ id, uPx, vPx, heightMm }) => ({ id, uPx, vPx, heightMm })),
        imageSize: [widthPx, heightPx],
      },
    })
    for (const [i, q] of (await answer.json()).points.entries()) {
      places[i].ax += places[i].x - q.xMm
      places[i].ay += places[i].y - q.yMm
    }
  }
  const at = (name: string) => places.find((p) => p.id === name)!
  state.features = [
    ...truth.holes.map((h: Any) => ({
      ...{ id: h.id, isHole: true, role: h.role, diameterMm: h.diameterMm },
      ...{ uPx: at(h.id).uPx, vPx: at(h.id).vPx },
    })),
    ...truth.parts.map((p: Any) => ({
      ...{ id: p.id, isHole: false, kind: p.kind },
      ...{ uPx: at(`${p.id}-a`).uPx, vPx: at(`${p.id}-a`).vPx },
      ...{ oppositeUPx: at(`${p.id}-b`).uPx, oppositeVPx: at(`${p.id}-b`).vPx },
    })),
  ]
  await page.request.put(`${server.address}/api/traces/${id}`, {
    data: { ...state, maker: 'Anchor', model: 'Own 250', boardCode: 'AN-2', revision: 'R1' },
    headers: { 'If-Match': `"${version}"` },
  })
  await page.reload()
  for (const p of truth.parts) {
    await ledger.getByRole('button', { name: new RegExp(`^${p.id} `) }).click()
    const height = ledger.getByLabel('height by caliper, mm')
    await height.fill(String(p.heightMm).replace('.', ','))
    await height.press('Enter')
    await expect(ledger.getByRole('button', { name: new RegExp(`^${p.id} ${p.kind} ${p.heightMm} mm`) })).toBeVisible()
  }
  await ledger.getByRole('button', { name: 'Keep as a board' }).click()
  await ledger.getByRole('link', { name: 'Open it' }).click()
  await page.waitForURL(/boards\/[^/]+$/)
  const board = page.url().split('/').pop()!

  await page.getByRole('button', { name: 'Describe a block for it' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('maker, from the box').fill('Quayside')
  await dialog.getByLabel('model').fill('Weir 250')
  await dialog.getByRole('button', { name: 'Begin' }).click()
  await ledger.getByRole('button', { name: /Tried by hand/ }).click()
  // the manual: 1.0 mm of the same material on everything
  for (const pad of await ledger.getByLabel(/^pad by the manual of/).all()) {
    await pad.fill('1,0')
    const land = (await pad.getAttribute('aria-label'))!.split(' of ')[1]
    await ledger.getByLabel(`material of the pad of ${land}`).selectOption('soft-3')
  }
  await ledger.getByRole('button', { name: /Take \d+ steps into the block/ }).click()
  await ledger.getByRole('button', { name: 'Keep in the library' }).click()
  await page.waitForURL(/blocks\/[^/]+$/)
  const block = page.url().split('/').pop()!
  await holdsTrueGaps(page, [board, block], [truth, maker])
  const job = await page.request.post(`${server.address}/api/jobs`, {
    data: { title: 'From a photo', bench: 'A', boardId: board, blockId: block, by: 'EG' },
  })
  const planned = await kept(page, `jobs/${(await job.json()).id}`)
  expect(planned.stations.find((s: Any) => s.station === 'match').summary).toMatch(/seats|unproven/)
  expect(new Set(planned.plan.pads.pairs[0].pads.map((p: Any) => p.thicknessMm))).toEqual(new Set([1]))
})
