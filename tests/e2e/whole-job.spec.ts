import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
import { house, Server } from './server'
import { countAll, enter, signBench, signStation, station } from './steps'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('a board file becomes a signed traveller, and a restart keeps it', async ({ page }) => {
  await page.goto(`${server.address}/library`)

  // a new revision of a board, dropped on the library: drawn first, kept when told to
  const board = JSON.parse(readFileSync(join(house, 'demo/boards/tern-460-r2.board.json'), 'utf8'))
  Object.assign(board, { id: 'tern-460-r1', revision: 'R1' })
  await page.locator('input[type=file]').setInputFiles({
    name: 'tern-r1.board.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(board)),
  })
  await expect(page.getByRole('article', { name: 'tern-r1.board.json' })).toContainText('12 holes')
  await page.getByRole('button', { name: 'Keep in the library' }).click()

  // blocks by verdict with reasons
  const ledger = page.getByRole('complementary', { name: 'Ledger' })
  await expect(ledger).toContainText('Brineworks states the fit for HT-4607 R1')
  await expect(ledger.getByRole('button', { name: /Brineworks Full 460/ })).toContainText('Seats')
  await expect(ledger.getByRole('button', { name: /Copperwell Broad 380/ })).toContainText('Clashes')
  await page.getByRole('button', { name: 'Open a job with this block' }).click()

  await expect(page).toHaveURL(/job\/\d+\/match/)
  const id = /job\/(\d+)/.exec(page.url())![1]
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText(/Seats/)
  await signStation(page)
  await enter(page, 'Kit')
  await signStation(page)

  // the lift stays shut for one screw
  await station(page, 'Teardown').click()
  await expect(page.getByRole('contentinfo', { name: 'Step' })).toHaveAttribute('data-step', /^teardown\./)
  await page.keyboard.press('Space')
  await expect(page.locator('[data-step="teardown.F1"], [data-step="teardown.F2"]').first()).toBeVisible()
  await ledger.getByRole('button', { name: /Lift the fin stack/ }).click()
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toContainText('Locked')
  await ledger.getByRole('button', { name: /Take out 6 screws, group F2/ }).click()
  await countAll(page, 5)
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toContainText('5 of 6 counted: 1 still in')
  await countAll(page)
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toBeHidden()
  await expect(page.locator('[data-step="teardown.F2"]')).toHaveCount(0)
  await signStation(page)
  await expect(station(page, 'Teardown')).toContainText('18 of 18 screws in tray')

  await enter(page, 'Prep')
  await signStation(page)

  // pads: another thickness answers at once, then back to what is calculated
  await station(page, 'Pads').click()
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText('Every pad touches')
  await page.locator('[data-pad=M1]').click()
  await ledger.getByRole('button', { name: '1.5 soft-3' }).click()
  await expect(station(page, 'Pads')).toContainText('crushed')
  await ledger.getByRole('button', { name: 'as calculated' }).click()
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText('Every pad touches')
  await page.keyboard.press('Escape')
  await ledger.getByRole('link', { name: 'Open the cutting sheets' }).click()
  await expect(page.getByRole('img', { name: /Cutting sheet 1/ })).toBeVisible()
  await page.getByRole('link', { name: 'Back to the pads' }).click()
  await signStation(page)

  await station(page, 'Paste').click()
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText(/0\.0\d g, spread/)
  await signStation(page)

  // mount at the bench, by keyboard alone
  await station(page, 'Mount').click()
  await page.keyboard.press('g')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Lower the board onto the block')
  await page.keyboard.press('f')
  await expect(page.getByRole('group', { name: 'Place of the step on the front' })).toBeVisible()
  await signBench(page)
  await page.keyboard.press('Escape')
  await expect(station(page, 'Mount').getByLabel(/signed QA/)).toBeVisible()

  await station(page, 'Prove').click()
  const form = page.getByRole('form', { name: 'New reading' })
  const read = async (values: Record<string, string>) => {
    for (const [name, value] of Object.entries(values)) await form.getByLabel(new RegExp(`^${name}, `)).fill(value)
    await form.getByRole('button', { name: 'Keep' }).click()
    await expect(form.getByLabel('room')).toHaveValue('')
  }
  await read({ room: '21', die: '92', power: '238' })
  await form.getByRole('button', { name: 'after' }).click()
  await read({ room: '21.5', coolant: '28', die: '43', power: '239', flow: '3' })
  await expect(ledger.getByRole('heading', { level: 2 })).toContainText('K cooler, as expected')
  await signStation(page)
  await enter(page, 'Care')
  await signStation(page)
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText('Traveller signed')

  await page.reload()
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText('Traveller signed')
  await server.kill()
  await server.start()
  await page.goto(`${server.address}/job/${id}/care`)
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText('Traveller signed')
  const record = await page.request.get(`${server.address}/api/jobs/${id}/record.html`)
  expect(await record.text()).toContain('K cooler, as expected')
})

test('a second browser that signs the same step loses politely', async ({ browser }) => {
  // without the worker that keeps jobs on the device: what it fetches cannot be held back here
  const alone = async () => (await browser.newContext({ serviceWorkers: 'block' })).newPage()
  const [a, b] = [await alone(), await alone()]
  for (const [page, initials] of [
    [a, 'QA'],
    [b, 'ML'],
  ] as const) {
    await page.addInitScript((i) => localStorage.setItem('fb.initials', i), initials)
    await page.goto(`${server.address}/job/3/kit`)
    await expect(page.locator('[data-step="kit.count"]')).toBeVisible()
  }
  // the second has not heard of the first when it signs
  await b.route('**/api/jobs/3', (r) => r.abort())
  await a.keyboard.press('Space')
  await expect(a.locator('[data-step="kit.manual"]')).toBeVisible()
  await b.keyboard.press('Space')
  await expect(b.getByRole('alert')).toContainText(/QA signed this step at \d\d:\d\d while you were at it/)
  await b.unroute('**/api/jobs/3')
  await b.reload()
  await expect(b.locator('[data-step="kit.manual"]')).toBeVisible()
})

test('two people on one job see each other', async ({ browser }) => {
  const [a, b] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()]
  const running = (page: Page) =>
    page
      .getByRole('complementary', { name: 'Ledger' })
      .getByRole('button', { name: /Run the card with its stock cooler/ })
  for (const page of [a, b]) {
    await page.goto(`${server.address}/job/3/kit`)
    await expect(running(page)).toBeVisible()
  }
  await running(a).click()
  await a.keyboard.press('Space')
  await expect(running(b)).toContainText(/QA|ML/)
})

test('a sign-off can be taken back', async ({ page }) => {
  await page.goto(`${server.address}/job/4/kit`)
  await expect(page.locator('[data-step="kit.count"]')).toBeVisible()
  await page.keyboard.press('Space')
  await expect(page.locator('[data-step="kit.manual"]')).toBeVisible()
  await page.keyboard.press('Backspace')
  await expect(page.locator('[data-step="kit.count"]')).toBeVisible()
})

test('a faulty file is drawn up fault by fault and not kept', async ({ page }) => {
  await page.goto(`${server.address}/library`)
  const board = JSON.parse(readFileSync(join(house, 'demo/boards/skua-380-r1.board.json'), 'utf8'))
  board.id = 'faulty'
  board.parts[0].heigthMm = 2
  board.holes[1].diameterMm = 'wide'
  await page.locator('input[type=file]').setInputFiles({
    name: 'faulty.board.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(board)),
  })
  const article = page.getByRole('article', { name: 'faulty.board.json' })
  await expect(article).toContainText('2 faults; nothing was kept')
  await expect(article.getByRole('row', { name: /\/holes\/1\/diameterMm/ })).toContainText('found the text "wide"')
  await expect(article.getByRole('row', { name: /heigthMm/ })).toContainText('did you mean "heightMm"')
  await expect(page.getByRole('button', { name: 'Keep in the library' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Discard' }).click()
  await expect(article).toHaveCount(0)
})

test('everything can be found by a few letters', async ({ page }) => {
  await page.goto(server.address)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.getByLabel('Find a job, board, block, step or place').fill('board levanter')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Levanter X4' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('turn the board over')
})
