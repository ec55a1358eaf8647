import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
import { house, Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

interface Truth {
  holes: { id: string; px: [number, number]; xMm: number; yMm: number }[]
  parts: { id: string; kind: string; heightMm: number; corners: [number, number][] }[]
}
const truth = JSON.parse(readFileSync(join(house, 'demo/photos/dunlin-bench.truth.json'), 'utf8')) as Truth
const ledger = (page: Page) => page.getByRole('complementary', { name: 'Ledger' })

/** Where a pixel of the demo photo lies on the screen before anything was zoomed. */
async function onScreen(page: Page, [u, v]: [number, number]): Promise<[number, number]> {
  const area = (await page.getByRole('application', { name: 'Photo of the board' }).boundingBox())!
  const perPx = Math.max(2000 / area.width, 1500 / area.height)
  return [area.x + area.width / 2 + (u - 1000) / perPx, area.y + area.height / 2 + (v - 750) / perPx]
}

test('a photo of an unknown card becomes a board with a verdict', async ({ page }) => {
  await page.goto(`${server.address}/library/trace`)
  await page
    .locator('main input[type=file][accept="image/jpeg,image/png"]')
    .setInputFiles(join(house, 'demo/photos/dunlin-bench.jpg'))
  await expect(page.getByRole('heading', { name: '12 of 12 marks found' })).toBeVisible()

  // a hand clicks a few pixels off; the rim of the hole draws the click in
  await page.keyboard.press('h')
  for (const [i, h] of truth.holes.entries()) {
    await page.mouse.click(...(await onScreen(page, [h.px[0] + (i % 3) * 2 - 2, h.px[1] + (i % 2) * 2])))
    await expect(ledger(page).getByRole('heading', { name: `${i + 1} holes and parts, 95 % within` })).toBeVisible()
  }
  await page.keyboard.press('p')
  const die = truth.parts.find((p) => p.kind === 'Die')!
  await page.mouse.move(...(await onScreen(page, die.corners[0])))
  await page.mouse.down()
  await page.mouse.move(...(await onScreen(page, [1000, 700])))
  await page.mouse.move(...(await onScreen(page, die.corners[2])))
  await page.mouse.up()
  // a height that nobody measured decides nothing
  await expect(ledger(page)).toContainText('Put the caliper on it: the height of U1')
  await ledger(page).getByLabel('height by caliper, mm').fill(String(die.heightMm))
  await page.keyboard.press('Enter')

  await expect(ledger(page).getByText('Undertow Slim 250').first()).toBeVisible()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('Seats')
  await expect(ledger(page)).toContainText('Undertow Slim 250: All 8 screws pass')

  // the holes are where they are: distances against the truth
  const traced = (await (await page.request.get(`${server.address}/api/traces/2/calculate`)).json()) as {
    board: { holes: { x: number; y: number }[] }
    sigmaMm: number
  }
  const d = (list: { x: number; y: number }[], i: number, j: number) =>
    Math.hypot(list[i].x - list[j].x, list[i].y - list[j].y)
  const real = truth.holes.map((h) => ({ x: h.xMm, y: h.yMm }))
  for (let i = 1; i < real.length; i++) expect(Math.abs(d(traced.board.holes, 0, i) - d(real, 0, i))).toBeLessThan(0.2)

  await page.getByRole('button', { name: 'Keep as a board' }).click()
  await page.getByRole('link', { name: 'Open it' }).click()
  await expect(ledger(page)).toContainText('positions ±')
})

test('holes and parts of a bare card find its twin, differences under the block apart', async ({ page }) => {
  const board = (await (await page.request.get(`${server.address}/api/boards/tern-460-r2`)).json()) as {
    holes: { x: number; y: number; diameterMm: number }[]
    parts: { id: string; kind: string; face?: string; x: number; y: number; heightMm: number }[]
  }
  // turned by a quarter, shifted, a hole and some parts not measured, one capacitor taller, one part that is not there
  const at = (x: number, y: number) => `${(40 - y).toFixed(2)} ${(7 + x).toFixed(2)}`
  const seen = [
    ...board.holes.slice(1).map((h) => `hole ${at(h.x, h.y)} ${h.diameterMm}`),
    ...board.parts
      .filter((p) => p.face !== 'back' && p.kind !== 'empty')
      .slice(3)
      .map((p) => `part ${at(p.x, p.y)} ${(p.heightMm + (p.id === 'C21' ? 0.4 : 0)).toFixed(2)} ${p.kind}`),
    'part 0 0 1.5 capacitor',
  ]
  await page.goto(`${server.address}/library/twin`)
  await page.getByLabel('Holes and parts').fill(seen.join('\n'))
  await page.getByRole('button', { name: 'Find its twin' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toContainText('Tern 460 R2')
  await expect(ledger(page)).toContainText('Capacitor C21 stands')
  await expect(ledger(page)).toContainText('is not on Tern 460 R2')

  // nothing like it: a row of points of no board
  await page
    .getByLabel('Holes and parts')
    .fill(
      Array.from({ length: 14 }, (_, i) => `hole ${(i * 7.3).toFixed(1)} ${((i * i * 3.1) % 57).toFixed(1)} 3`).join(
        '\n',
      ),
    )
  await page.getByRole('button', { name: 'Find its twin' }).click()
  await expect(page.getByText('None is close', { exact: true })).toBeVisible()
})

test('three blocks side by side, and one of them laid on the board', async ({ page }) => {
  await page.goto(`${server.address}/library/boards/tern-460-r2`)
  for (const name of ['Brineworks Full 460', 'Copperwell Broad 380', 'Lathe & Loch Core U'])
    await page.getByRole('checkbox', { name: `Compare ${name}` }).check()
  await page.getByRole('button', { name: 'Compare 3' }).click()
  const table = page.getByRole('table')
  await expect(table.getByRole('columnheader')).toHaveCount(3)
  await expect(table.getByRole('row', { name: /pads that fit/ })).toContainText('23 of 23')
  await expect(table.getByRole('row', { name: /complete kit/ })).toContainText('2 fittings')
  await page.getByRole('button', { name: 'Lay Brineworks Full 460 on the board' }).click()
  await expect(ledger(page)).toContainText('Grade A')
})

test('when nothing seats there is a plan B with each part against its limit', async ({ page }) => {
  // the same card with one tall capacitor in the full cover's way
  const board = JSON.parse(readFileSync(join(house, 'demo/boards/skua-380-r1.board.json'), 'utf8')) as {
    id: string
    revision: string
    parts: { kind: string; heightMm: number }[]
  }
  board.id = 'skua-380-r9'
  board.revision = 'R9'
  for (const c of board.parts.filter((p) => p.kind === 'capacitor')) c.heightMm = 9
  await page.goto(`${server.address}/library`)
  await page
    .locator('nav input[type=file]')
    .setInputFiles({ name: 'r9.board.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(board)) })
  await page.getByRole('button', { name: 'Keep in the library' }).click()
  await expect(ledger(page).getByRole('heading', { name: /^Plan B/ })).toBeVisible()
  await expect(ledger(page)).toContainText('Lathe & Loch Core U on the die')
  await expect(ledger(page).getByRole('columnheader', { name: 'limit °C' })).toBeVisible()
  await expect(
    ledger(page)
      .getByRole('row', { name: /^Q\d .*\d+ \d+ \d+$/ })
      .first(),
  ).toBeVisible()
})

const good: [name: string, file: string, text: string, says: string][] = [
  [
    'a drill file',
    'board.drl',
    'M48\nMETRIC,TZ\nT1C2.8\n%\nT1\nX10000Y10000\nX68000Y10000\nX68000Y68000\nX10000Y68000\nM30\n',
    '4 holes, 0 parts',
  ],
  [
    'a placement list',
    'parts.csv',
    'Designator,Mid X,Mid Y,Rotation,Layer\nU1,20mm,20mm,0,Top\nC1,30mm,20mm,90,Top\nC2,30mm,30mm,0,Bottom\n',
    '0 holes, 3 parts',
  ],
  [
    'an IDF board',
    'board.emn',
    '.HEADER\nBOARD_FILE 3.0 "x" 2026/01/01.00:00:00 1\nb MM\n.END_HEADER\n.BOARD_OUTLINE ECAD\n1.6\n0 0 0 0\n0 100 0 0\n0 100 80 0\n0 0 80 0\n0 0 0 0\n.END_BOARD_OUTLINE\n.DRILLED_HOLES\n2.8 10 10 NPTH BOARD MTG ECAD\n.END_DRILLED_HOLES\n',
    '1 holes, 0 parts',
  ],
  [
    'our own table',
    'own.csv',
    'what,id,face,x,y,diameterMm,widthMm,depthMm,rotationDeg,heightMm,kind\nhole,H1,,1,2,2.8,,,,,\npart,U1,front,0,0,,24,22,0,2.1,die\noutline,,,-20,-20,,,,,,\noutline,,,20,-20,,,,,,\noutline,,,20,20,,,,,,\n',
    '1 holes, 1 parts',
  ],
]
for (const [name, file, text, says] of good) {
  test(`${name} is read, drawn and can be kept`, async ({ page }) => {
    await page.goto(`${server.address}/library`)
    await page
      .locator('nav input[type=file]')
      .setInputFiles({ name: file, mimeType: 'text/plain', buffer: Buffer.from(text) })
    await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText(says)
    await ledger(page).getByLabel('model').fill(`From ${file}`)
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Keep as a board' }).click()
    await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText(`From ${file}`)
  })
}

test('what was typed last is kept, though its reading is still on its way', async ({ page }) => {
  const [, file, text, says] = good.find(([name]) => name === 'an IDF board')!
  let release = () => {}
  const held = new Promise<void>((go) => {
    release = go
  })
  await page.goto(`${server.address}/library`)
  await page
    .locator('nav input[type=file]')
    .setInputFiles({ name: file, mimeType: 'text/plain', buffer: Buffer.from(text) })
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText(says)
  await page.route('**/api/library/layout?*', async (route) => {
    await held
    await route.continue()
  })
  const asked = page.waitForRequest('**/api/library/layout?*')
  await ledger(page).getByLabel('model').fill('Typed last')
  await page.keyboard.press('Enter')
  await asked
  await page.getByRole('button', { name: 'Keep as a board' }).click()
  release()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('Typed last')
})

test('what layout files do not say is asked about, and stays unproven until it is said', async ({ page }) => {
  await page.goto(`${server.address}/library`)
  await page.locator('nav input[type=file]').setInputFiles({
    name: 'asked.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'ref,x,y,width,depth,height\nU1,0,0,24,22,2.1\nU2,40,0,14,12,\nU3,-40,0,14,12,\nC1,20,30,2,1,1.2\nC2,-60,-50,2,1,1.2\n',
    ),
  })
  await ledger(page).getByLabel('main die, the origin').selectOption('U1')
  const asked = page.getByRole('region', { name: 'What the files do not say' })
  await expect(asked).toContainText('2 parts without a height or a kind')
  await expect(asked).toContainText('Because 2 alike of 14.0 × 12.0 mm near the die.')
  await asked.getByLabel('what they are').selectOption('memory')
  await asked.getByRole('button', { name: 'Take these answers' }).click()
  // the kind is said, the height is not
  await expect(asked.getByLabel('what they are')).toHaveCount(0)
  await asked.getByLabel('height, mm').fill('1,1')
  await asked.getByRole('button', { name: 'Take these answers' }).click()
  await expect(asked).toHaveCount(0)
  await ledger(page).getByLabel('model').fill('Asked about')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Keep as a board' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('Asked about')
  const boards = (await (await page.request.get(`${server.address}/api/boards?text=Asked`)).json()) as { id: string }[]
  const board = await (await page.request.get(`${server.address}/api/boards/${boards[0].id}`)).json()
  const memory = board.parts.find((x: { id: string }) => x.id === 'U3')
  expect(memory).toMatchObject({ kind: 'memory', heightMm: 1.1, cool: 'must' })
  expect(board.parts.find((x: { id: string }) => x.id === 'C1').cool).toBeUndefined()
})

const bad: [file: string, text: string, says: string][] = [
  ['parts.csv', 'Designator,X,Y,Layer\nC1,5,far,Top\n', 'line 2: y: expected a length'],
  ['board.emn', '.HEADER\nBOARD_FILE 3.0 x 2026 1\nb CM\n.END_HEADER\n', 'units: expected MM or THOU'],
  ['drawing.dxf', '0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nx\n20\n0\n40\n1\n0\nENDSEC\n0\nEOF\n', 'line 8: group 10'],
  ['copper.gbr', '%FSLAX36Y36*%\n%MOMM*%\nD10*\n', 'Export the drill file'],
]
for (const [file, text, says] of bad) {
  test(`${file} is refused with its line and field, and nothing is kept`, async ({ page }) => {
    const before = ((await (await page.request.get(`${server.address}/api/boards`)).json()) as unknown[]).length
    await page.goto(`${server.address}/library`)
    await page
      .locator('nav input[type=file]')
      .setInputFiles({ name: file, mimeType: 'text/plain', buffer: Buffer.from(text) })
    await expect(ledger(page)).toContainText(says)
    await expect(page.getByRole('button', { name: 'Keep as a board' })).toBeDisabled()
    expect(((await (await page.request.get(`${server.address}/api/boards`)).json()) as unknown[]).length).toBe(before)
  })
}

test('a pack is previewed before it is kept', async ({ page }) => {
  const pack = await (await page.request.get(`${server.address}/api/library/pack`)).body()
  await page.goto(`${server.address}/library`)
  await page
    .locator('nav input[type=file]')
    .setInputFiles({ name: 'library.pack.zip', mimeType: 'application/zip', buffer: pack })
  await expect(page.getByText(/0 new, 0 with other content/)).toBeVisible()
  await page
    .locator('nav input[type=file]')
    .setInputFiles({ name: 'broken.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') })
  await expect(page.getByRole('alert')).toContainText('nothing was kept')
})

test('the board of a finished job is kept as surveyed and answers for its twins', async ({ page }) => {
  await page.goto(`${server.address}/job/5/care`)
  await ledger(page).getByLabel('model').fill('Skua as measured')
  await ledger(page).getByRole('button', { name: 'Keep it in the library' }).click()
  await ledger(page).getByRole('link', { name: 'Open it' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('Skua as measured')
  const board = (await (
    await page.request.get(`${server.address}${new URL(page.url()).pathname.replace('/library', '/api')}`)
  ).json()) as { evidence: string }
  expect(board.evidence).toBe('B')
})

test('blocks are narrowed while typing, by words and by room', async ({ page }) => {
  await page.goto(`${server.address}/library/boards/tern-460-r2`)
  await expect(ledger(page)).toContainText(/\d+ judged: 1 seat/)
  await page.getByLabel('Narrow the blocks').fill('full cover'.split(' ')[0])
  await expect(ledger(page).getByRole('checkbox', { name: 'Compare Lathe & Loch Core U' })).toBeHidden()
  await expect(ledger(page).getByRole('checkbox', { name: 'Compare Brineworks Full 460' })).toBeVisible()
  // more room asked for than there is: the seat becomes one with work
  await page.getByLabel('Narrow the blocks').fill('brineworks')
  await expect(ledger(page)).toContainText('1 seat')
  await page.getByLabel('Least clear height, mm').fill('4')
  await expect(ledger(page)).toContainText('1 with work')
  await page.getByLabel('Narrow the blocks').fill('nobody makes this')
  await expect(ledger(page)).toContainText('No block by those words')
})

test('columns in another tongue are named once and known the next time', async ({ page }) => {
  const table = {
    name: 'bauteile.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Bauteil;Lage A;Lage B;Hoehe\nU1;10,5;20,25;2,1\nC7;30;40;1,2\n'),
  }
  await page.goto(`${server.address}/library`)
  await page.locator('nav input[type=file]').setInputFiles(table)
  const columns = ledger(page).getByRole('region', { name: 'Columns of bauteile.csv' })
  await columns.getByLabel('Column Bauteil means').selectOption('id')
  await columns.getByLabel('Column Lage A means').selectOption('x')
  await columns.getByRole('button', { name: 'Read it so' }).click()
  await expect(columns.getByRole('alert')).toContainText('Say which column holds y')
  await columns.getByLabel('Column Lage B means').selectOption('y')
  await columns.getByLabel('Column Hoehe means').selectOption('height')
  await columns.getByLabel('lengths in').selectOption('mm')
  await columns.getByRole('button', { name: 'Read it so' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('0 holes, 2 parts')

  await page.reload()
  await page.locator('nav input[type=file]').setInputFiles(table)
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('0 holes, 2 parts')
})

test('the caliper fills in a height, the camera lays a picture on the desk', async ({ page }) => {
  await page.goto(`${server.address}/library/trace`)
  await page.getByRole('button', { name: 'or take it with the simulated camera' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toContainText('marks found')
  const id = page.url().split('/').at(-1)
  const trace = (await (await page.request.get(`${server.address}/api/traces/${id}`)).json()) as {
    version: number
    state: { features: unknown[] }
  }
  trace.state.features = [
    { id: 'U1', isHole: false, uPx: 900, vPx: 400, oppositeUPx: 1000, oppositeVPx: 480, kind: 'die' },
  ]
  await page.request.put(`${server.address}/api/traces/${id}`, {
    data: trace.state,
    headers: { 'If-Match': `"${trace.version}"` },
  })
  await page.reload()
  await ledger(page).getByRole('button', { name: /^U1 / }).click()
  await ledger(page).getByRole('button', { name: 'Take it from the caliper' }).click()
  await expect(async () => {
    await page.request.post(`${server.address}/api/instruments/caliper/press`, { data: { widthMm: 2.1 } })
    expect(
      await ledger(page)
        .getByRole('button', { name: /^U1 die 2\.\d+ mm/ })
        .isVisible(),
    ).toBe(true)
  }).toPass()
})

test('the camera reads a label, a photo lies to scale under an underside, a spring is told from two weighings', async ({
  page,
}) => {
  await page.goto(`${server.address}/instruments`)
  await page.getByLabel('Label under the camera').selectOption({ label: 'port plug, low at 4' })
  await page.getByRole('button', { name: 'Hold it under the camera' }).click()
  await expect(page.locator('[aria-current=true]', { hasText: 'port plug' })).toBeVisible()

  const shot = await page.request.post(`${server.address}/api/instruments/camera/shoot?by=QA`)
  const photo = await page.request.get(`${server.address}/api/traces/${(await shot.json()).id}/photo`)
  await page.goto(`${server.address}/library/blocks/brineworks-full-460/edit`)
  const beside = page.getByLabel('Or a photo beside the target')
  const drop = async (buffer: Buffer) => beside.setInputFiles({ name: 'below.jpg', mimeType: 'image/jpeg', buffer })
  await drop(await page.screenshot({ type: 'jpeg' }))
  await expect(ledger(page).getByRole('alert')).toContainText('The target is not seen whole')
  await ledger(page).getByLabel('its face over the target, mm').fill('12,5')
  await drop(await photo.body())
  await expect(ledger(page).getByRole('button', { name: 'Take it away' })).toBeVisible()
  await expect(ledger(page).getByRole('alert')).toHaveCount(0)

  await page.locator('[data-at="/plates/0/holes/0"]').click()
  await page.locator('[data-at="/plates/0/holes/1"]').click({ modifiers: ['Shift'] })
  for (const [label, value] of [
    ['first weight, g', '0'],
    ['length under it, mm', '12,0'],
    ['second weight, g', '1500'],
    ['length under it then, mm', '12.5'],
    ['length with the screw home, mm', '8'],
  ])
    await ledger(page).getByLabel(label, { exact: true }).fill(value)
  await ledger(page).getByRole('button', { name: 'Calculate the rate' }).click()
  await expect(ledger(page).getByRole('alert')).toContainText('the spring gets shorter')
  await ledger(page).getByLabel('length under it then, mm', { exact: true }).fill('8,3')
  await ledger(page).getByRole('button', { name: 'Calculate the rate' }).click()
  await expect(ledger(page)).toContainText('3.98 ± 0.08 N/mm, free 12.00 mm, 4.00 mm pressed at home')
  await ledger(page).getByRole('button', { name: 'Take it for 2 screws' }).click()
  await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled()
})

test('a board begun as another one shows in words and on the mat what differs from it', async ({ page }) => {
  await page.goto(`${server.address}/library/boards/tern-460-r2`)
  await ledger(page).getByRole('button', { name: 'Describe one like it' }).click()
  await page.getByRole('dialog').getByLabel('model', { exact: true }).fill('Tern 466')
  await page.getByRole('dialog').getByRole('button', { name: 'Begin', exact: true }).click()
  const like = ledger(page)
  await expect(like).toContainText('As Tern 460, but')
  await expect(like).toContainText('Nothing differs yet.')
  const m2 = page.locator('[data-at="/parts/2"]')
  await m2.click()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(like).toContainText('part M2 moved by +0.2, 0 mm')
  await page.locator('[data-at="/parts/12"]').click()
  await page.keyboard.press('Delete')
  await expect(like).toContainText('part Q4 gone')
  await expect(page.locator('[data-difference="gone"]')).toHaveCount(1)
  await page.keyboard.press('Control+z')
  await expect(like).not.toContainText('part Q4 gone')
  // what nobody has looked at keeps it unproven
  const looked = ledger(page).getByRole('button', { name: /^Looked at: \d+ parts are as drawn$/ })
  await looked.click()
  await expect(looked).toHaveCount(0)
})

test('a picture is kept with a block and travels in the pack', async ({ page }) => {
  await page.goto(`${server.address}/library/blocks/brineworks-full-460`)
  await page.getByLabel('Add a picture of Full 460').setInputFiles(join(house, 'docs/screenshots/benches.png'))
  await expect(page.getByRole('button', { name: 'Look at benches' })).toBeVisible()
  const pack = await (await page.request.get(`${server.address}/api/library/pack`)).body()
  await page.goto(`${server.address}/library`)
  await page
    .locator('nav input[type=file]')
    .setInputFiles({ name: 'all.pack.zip', mimeType: 'application/zip', buffer: pack })
  await expect(page.getByText(/1 pictures?/)).toBeVisible()
})

test('a changed document tells what it changes in open jobs, is kept as the next version, and can be archived', async ({
  page,
}) => {
  const board = await (await page.request.get(`${server.address}/api/boards/tern-460-r2`)).json()
  for (const part of board.parts) if (part.kind === 'memory') part.heightMm -= 0.4
  await page.goto(`${server.address}/library`)
  await page.locator('nav input[type=file]').setInputFiles({
    name: 'tern.board.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(board)),
  })
  const changes = page.getByRole('region', { name: 'What it changes' })
  await expect(changes).toContainText(/open jobs? would change/)
  await expect(changes).toContainText('Pads: ')
  await changes.getByRole('button', { name: 'Keep as the next version' }).click()
  await expect(ledger(page).getByRole('heading', { name: 'Document, version 2' })).toBeVisible()
  // the job rests on its version until somebody takes the new one
  await page.goto(`${server.address}/job/1/pads`)
  const newer = page.getByRole('region', { name: /^Newer version of/ })
  await expect(newer).toContainText('This job rests on version 1')
  await newer.getByRole('button', { name: 'What it changes' }).click()
  await expect(newer).toContainText('Pads: ')
  await newer.getByRole('button', { name: 'Take version 2' }).click()
  await expect(newer).toHaveCount(0)
  await page.goto(`${server.address}/library/boards/tern-460-r2`)
  const first = await page.request.get(`${server.address}/api/boards/tern-460-r2/versions/1`)
  expect(first.ok()).toBeTruthy()

  await ledger(page).getByRole('button', { name: 'Delete' }).click()
  await expect(ledger(page).getByRole('alert')).toContainText('archive it instead')
  const listed = page.getByRole('region', { name: 'Boards', exact: true }).getByRole('link', { name: /HT-4607 R2/ })
  await expect(listed).toHaveCount(1)
  await ledger(page).getByRole('button', { name: 'Archive' }).click()
  await expect(listed).toHaveCount(0)
  await page.getByText('Archived, 1').click()
  await ledger(page).getByRole('button', { name: 'Bring it back' }).click()
  await expect(listed).toHaveCount(1)
})
