import { execFileSync } from 'node:child_process'
import { expect, type Page, test } from '@playwright/test'
import ICAL from 'ical.js'
import { Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

const ledger = (page: Page) => page.getByRole('complementary', { name: 'Ledger' })
const log = (page: Page) => page.getByRole('region', { name: 'Log' })

/** A job of one's own, so that no test sees another's readings. */
async function open(page: Page, title: string) {
  const made = await page.request.post(`${server.address}/api/jobs`, {
    data: { title, bench: 'Bench A', boardId: 'tern-460-r2', blockId: 'brineworks-full-460', by: 'QA' },
  })
  expect(made.status()).toBe(201)
  return (await made.json()).id as number
}

const byTitle = async (page: Page, title: string) => {
  const bench = await (await page.request.get(`${server.address}/api/bench`)).json()
  return bench.jobs.find((j: { title: string }) => j.title === title).id as number
}

test('heat on the mat follows the hand, and figures are told while choosing', async ({ page }) => {
  const id = await open(page, 'Heat')
  await page.goto(`${server.address}/job/${id}/prove`)
  const heat = page.locator('[data-heat]')
  await expect(heat).toBeVisible()
  const die = ledger(page).getByText(/^die, U1/)
  await expect(die).toBeVisible()
  const row = die.locator('..')
  const plain = await row.textContent()
  await ledger(page).getByLabel('heat').focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowRight')
  await expect(row).not.toHaveText(plain!)
  await ledger(page).getByRole('button', { name: 'As planned' }).click()
  await expect(row).toHaveText(plain!)
  await page
    .locator('main')
    .first()
    .click({ position: { x: 5, y: 5 } })
  await page.keyboard.press('m')
  await expect(heat).toBeHidden()

  // while choosing: each candidate by what it will hold the parts at
  await page.goto(`${server.address}/library/boards/tern-460-r2`)
  for (const name of ['Brineworks Full 460', 'Lathe & Loch Core U'])
    await page.getByRole('checkbox', { name: `Compare ${name}` }).check()
  await page.getByRole('button', { name: 'Compare 2' }).click()
  await expect(page.getByRole('row', { name: /^memory/ })).toContainText('°C')
  await expect(page.getByRole('row', { name: /^power stage/ })).toContainText('limit 110')
})

test('a bench with a fault is run, waited for, kept and taken as a reading, and something is suspected', async ({
  page,
}) => {
  const id = await open(page, 'A run')
  await page.goto(`${server.address}/job/${id}/prove`)
  await ledger(page).getByRole('button', { name: 'Run the bench' }).click()
  await expect(log(page)).toContainText(/Wait|Too short/)
  await expect(log(page)).toContainText('Steady: die', { timeout: 60_000 })
  await log(page).getByRole('button', { name: 'Keep the log' }).click()
  await expect(log(page).getByRole('button', { name: 'Take as after' })).toBeEnabled()
  await log(page).getByRole('button', { name: 'Take as after' }).click()
  await expect(ledger(page).getByRole('list', { name: 'Suspects' }).getByRole('listitem').first()).toContainText(
    'nothing wrong',
  )
  // the next bench has something to find
  await ledger(page).getByRole('button', { name: 'A bench with a fault' }).click()
  await expect(log(page)).toContainText('simulated logger')
  await expect(log(page)).toContainText('Steady: die', { timeout: 60_000 })
  await log(page).getByRole('button', { name: 'Stop' }).click()
  await log(page).getByRole('button', { name: 'Throw away' }).click()
  await log(page).getByRole('button', { name: 'Close' }).click()
  await expect(log(page)).toBeHidden()
})

test('a log of an unknown logger is dropped in, its columns told once, then known', async ({ page }) => {
  const id = await open(page, 'A file')
  const rows = Array.from({ length: 700 }, (_, t) => `${t};${(47 - 25 * Math.exp(-t / 60)).toFixed(2)};30;21,5;240`)
  const file = (name: string) => ({
    name,
    mimeType: 'text/csv',
    buffer: Buffer.from(['stamp;first;second;third;fourth', ...rows].join('\n').replaceAll('.', ',')),
  })
  await page.goto(`${server.address}/job/${id}/prove`)
  await page.getByLabel('Log file').setInputFiles(file('evening.csv'))
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('700 rows')
  for (const [column, role] of [
    ['stamp', 'time'],
    ['first', 'die'],
    ['second', 'coolant-in'],
    ['third', 'room'],
    ['fourth', 'power'],
  ])
    await dialog.getByLabel(`What ${column} is`).selectOption(role)
  await dialog.getByRole('button', { name: 'Read the log' }).click()
  await expect(log(page)).toContainText('Steady: die 47.0')
  await log(page).getByRole('button', { name: 'Close' }).click()
  await page.getByLabel('Log file').setInputFiles(file('morning.csv'))
  await expect(log(page)).toContainText('morning.csv')
  await expect(dialog).toBeHidden()
})

test('a pressure hold waits, passes and is written down; one that leaks asks for the place', async ({ page }) => {
  const id = await open(page, 'A hold')
  await page.goto(`${server.address}/job/${id}/prove`)
  await expect(ledger(page)).toContainText('Air at most 0.5 bar')
  await ledger(page).getByRole('button', { name: 'Hold and watch' }).click()
  await expect(ledger(page).getByText('Tight', { exact: true })).toBeVisible({ timeout: 60_000 })
  await ledger(page).getByRole('button', { name: 'Write it down' }).click()
  await expect(ledger(page).getByText('tight', { exact: true })).toBeVisible()
  await ledger(page).getByRole('button', { name: 'Practise on a leak' }).click()
  await expect(ledger(page).getByText('It leaks', { exact: true })).toBeVisible({ timeout: 60_000 })
  await ledger(page)
    .getByLabel(/where it leaks/)
    .fill('fitting at port B')
  await ledger(page).getByRole('button', { name: 'Write it down' }).click()
  await expect(ledger(page)).toContainText('fitting at port B')
})

test('what a pad showed is evidence: a film seen at one chip settles which', async ({ page }) => {
  const id = await byTitle(page, 'Tern 460, memory runs warm')
  await page.goto(`${server.address}/job/${id}/prove`)
  const suspects = ledger(page).getByRole('list', { name: 'Suspects' }).getByRole('listitem')
  await expect(suspects.first()).toContainText('one of 6')
  await expect(ledger(page)).toContainText('Leave it down')
  await page.locator('[data-part="M4"]').click()
  await ledger(page).getByRole('button', { name: 'film still on' }).click()
  await expect(suspects.first()).toContainText('film left on a pad: M4')
  await ledger(page).getByRole('button', { name: 'Strike M4' }).click()
  await expect(suspects.first()).toContainText('one of 6')
})

test('a drifting year is due on a day, and the calendar file says the same to an outside reader', async ({ page }) => {
  const id = await byTitle(page, 'Tern 460, a year on')
  await page.goto(`${server.address}/job/${id}/care`)
  await expect(ledger(page).getByRole('img', { name: /Resistance of 5 proofs/ })).toBeVisible()
  const care = await (await page.request.get(`${server.address}/api/jobs/${id}/care`)).json()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    ledger(page).getByRole('link', { name: 'Dates for the calendar' }).click(),
  ])
  const stream = await file.createReadStream()
  const parts: Buffer[] = []
  for await (const part of stream) parts.push(part as Buffer)
  const calendar = new ICAL.Component(ICAL.parse(Buffer.concat(parts).toString('utf8')))
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
  const repaste = events.find((e) => e.summary.startsWith('Repaste'))!
  expect(repaste.startDate.toString()).toBe(care.repaste)
  expect(repaste.startDate.isDate).toBe(true)
  expect(events.length).toBe(1 + care.inspections.length)
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
})

test('the trainer hides a fault, answers each look, and measures it against the likeliest first', async ({ page }) => {
  const id = await open(page, 'Training')
  await page.goto(`${server.address}/job/${id}/prove`)
  await ledger(page).getByRole('button', { name: 'Find a hidden fault' }).click()
  const mat = page.getByRole('main', { name: 'Mat' })
  await expect(mat.getByRole('heading')).toContainText('Something is wrong with this bench')
  await page.getByLabel('What to look for').selectOption('tilt')
  await page.getByRole('button', { name: 'Look', exact: true }).click()
  await expect(page.getByRole('list', { name: 'Looks' }).getByRole('listitem')).toHaveCount(1)
  if (await page.getByRole('button', { name: 'Give up' }).isEnabled())
    await page.getByRole('button', { name: 'Give up' }).click()
  await expect(mat.getByRole('heading')).toContainText(/It was: |Found in /)
  await expect(mat.getByRole('heading')).toContainText('likeliest first takes')
  await ledger(page).getByRole('button', { name: 'Show the mat' }).click()
  await expect(page.locator('[data-heat]')).toBeVisible()
})

test('a reading of a finished job is struck with a reason only, and the verdict follows', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'QA'))
  await page.goto(`${server.address}/job/5/prove`)
  const prove = page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: /^Prove/ })
  await expect(prove).toContainText('K cooler')
  await page.getByRole('button', { name: 'Strike the after reading' }).click()
  const dialog = page.getByRole('dialog', { name: 'Strike the after reading' })
  const strike = dialog.getByRole('button', { name: 'Strike, signed QA' })
  await expect(strike).toBeDisabled()
  await dialog.getByLabel('Why').fill('the pump stood still')
  await strike.click()
  await expect(dialog).toHaveCount(0)
  await expect(page.getByText('The after reading was struck: the pump stood still')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Strike the after reading' })).toHaveCount(0)
  await expect(prove).not.toContainText('K cooler')

  // what the job is called is corrected the same way
  await page.getByRole('link', { name: /^Care/ }).click()
  await page.getByRole('button', { name: 'Change title or client' }).click()
  const name = page.getByRole('dialog', { name: 'Title and client' })
  await name.getByLabel('Client').fill('H. Brook')
  const correct = name.getByRole('button', { name: 'Correct, signed QA' })
  await expect(correct).toBeDisabled()
  await name.getByLabel('Why').fill('the wrong brother')
  await correct.click()
  await expect(name).toHaveCount(0)
  await expect(page.getByText(/for H\. Brook/)).toBeVisible()
  await expect(page.getByText(/was changed: the wrong brother/)).toBeVisible()
})

test('a leak test and four runs by hand are kept with their sources, and the printed record reads them', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'QA'))
  await page.goto(`${server.address}/job/2/prove`)
  // as much air as the loop holds is told; the gauge sits on part of it
  await page.getByLabel('air shut in, mL').fill('250')
  await page.getByRole('button', { name: 'By hand' }).click()
  const leak = page.getByRole('dialog', { name: 'A leak test by hand' })
  await leak.getByLabel('gauge at the start').fill('40')
  await leak.getByLabel('gauge at the end').fill('39,9')
  await leak.getByLabel('held for').fill('10')
  await leak.getByRole('button', { name: /^Write it down/ }).click()
  // ten minutes tell nothing by themselves
  await expect(leak.getByRole('alert')).toContainText('Hold longer, or say what you saw')
  await leak.getByRole('button', { name: 'tight' }).click()
  await leak.getByLabel('read with').fill('gauge 2')
  await leak.getByLabel('last checked').fill('2026-01-31')
  await leak.getByRole('button', { name: /^Write it down/ }).click()
  await expect(leak).toHaveCount(0)
  await expect(page.getByText('gauge 2, checked')).toBeVisible()

  const form = page.getByRole('form', { name: 'New reading' })
  await form.getByText('Instrument and conditions').click()
  await form.getByLabel('read with').fill('probe 4')
  await form.getByLabel('load program').fill('loop A')
  await form.getByLabel('clock, MHz').first().fill('2500')
  const runs = [
    ['before', 71.2],
    ['after', 51.4],
    ['before', 71.9],
    ['after', 51.1],
  ] as const
  const strikes = page.getByRole('button', { name: /^Strike the (before|after) reading/ })
  const had = await strikes.count()
  for (const [k, [phase, die]] of runs.entries()) {
    await form.getByRole('button', { name: phase }).click()
    await form.getByLabel('room, °C').fill('22')
    await form.getByLabel('coolant, °C').fill('30')
    await form.getByLabel('die, °C').fill(String(die))
    await form.getByLabel('power, W').fill('250')
    await form.getByLabel('flow, L/min').fill('3')
    await form.getByRole('button', { name: 'Keep' }).click()
    await expect(strikes).toHaveCount(had + k + 1)
  }
  await expect(page.getByText('probe 4').first()).toBeVisible()
  // the four runs are one fit, in one sentence and one picture; the run on air was another cooler's
  await expect(page.getByRole('img', { name: '4 runs before and after' })).toBeVisible()
  const sentence =
    /At \d+ W the die runs \d+ K cooler than before, .* measured over the mean of the coolant, from 2 runs before and 2 after\./
  await expect(page.getByText(sentence).first()).toBeVisible()

  // whose record it is
  await page.goto(`${server.address}/settings`)
  const shop = page.getByRole('region', { name: 'The shop' })
  await shop.getByLabel('Name').fill('Saltmarsh Water Works')
  await shop.getByLabel('Contact').fill('Quay 4\nbench@saltmarsh.example')
  await shop.getByRole('button', { name: 'Keep' }).click()
  await expect(shop.getByText('last kept by QA')).toBeVisible()
  await shop.getByLabel('The shop’s mark').setInputFiles({
    name: 'mark.png',
    mimeType: 'image/png',
    buffer: await page.screenshot({ clip: { x: 0, y: 0, width: 60, height: 40 } }),
  })
  await expect(shop.getByRole('img', { name: 'The shop’s mark' })).toBeVisible()

  const paper = await page.context().newPage()
  await paper.goto(`${server.address}/api/jobs/2/record.html?for=client`)
  const file = test.info().outputPath('record.pdf')
  await paper.pdf({ path: file, format: 'A4' })
  const read = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ')
  expect(read).toMatch(/^\s*Saltmarsh Water Works Quay 4 bench@saltmarsh.example/)
  expect(read).toMatch(/Draft: \d+ of \d+ steps are not signed yet\./)
  expect(read).toMatch(sentence)
  for (const [, die] of runs) expect(read).toContain(die.toFixed(1))
  expect(read.match(/by hand with probe 4; clock 2500 MHz, load loop A/g)).toHaveLength(4)
  expect(read).toContain('tight by eye, the pressure alone tells under 0.38 mL/min')
  expect(read).toContain('By hand with gauge 2, checked 2026-01-31.')
})
