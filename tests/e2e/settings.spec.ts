import { readFileSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, test } from '@playwright/test'
import { Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('a setting is found, its consequences shown, kept with a reason, saved and taken from a file', async ({
  page,
}) => {
  await page.goto(`${server.address}/settings`)
  await page.getByLabel('Find a setting').fill('pastings')
  const one = page.getByRole('region', { name: 'Care' })
  await expect(page.getByRole('region', { name: 'Match' })).toBeHidden()
  await one.getByLabel(/longest time between pastings/).fill('12')
  await one.getByRole('button', { name: 'Change' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText(/Changes \d+ of \d+ open jobs/, { timeout: 60_000 })
  await expect(dialog).toContainText('repaste in 12 months')
  await expect(dialog.getByRole('button', { name: 'Keep it' })).toBeDisabled()
  await dialog.getByLabel('Why').fill('harbour air')
  // every open job is planned anew before it can be kept
  await dialog.getByRole('button', { name: 'Keep it' }).click({ timeout: 90_000 })
  await expect(dialog).toBeHidden()
  await expect(one).toContainText('harbour air')
  await expect(page.getByRole('region', { name: 'History' })).toContainText('longest time between pastings')
  // out as a file, changed by hand, back in: only what differs is asked
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as a file' }).click(),
  ])
  const file = JSON.parse(readFileSync(await download.path(), 'utf8'))
  expect(file.values.repasteCapMonths).toBe(12)
  file.values.coolantInC = 27
  await page.getByLabel('Settings file').setInputFiles({
    name: 'ours.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  await expect(dialog).toContainText('1 setting out of ours.json')
  await expect(dialog).toContainText(/open jobs/, { timeout: 60_000 })
  await dialog.getByLabel('Why').fill('our radiator')
  await dialog.getByRole('button', { name: 'Keep it' }).click({ timeout: 90_000 })
  await expect(dialog).toBeHidden()
  await page.getByLabel('Find a setting').fill('')
  await expect(page.getByRole('region', { name: 'Heat' })).toContainText('default 30')
})

test('a change is tried portion by portion and left when enough was seen', async ({ page }) => {
  // the shop says that two more jobs come after its first portion, and never answers for them
  const asked: string[] = []
  let late = () => {}
  const held = new Promise<void>((go) => {
    late = go
  })
  await page.route('**/api/settings/try*', async (route) => {
    asked.push(new URL(route.request().url()).search)
    if (asked.length > 1) {
      await held
      return route.abort().catch(() => {})
    }
    const answer = await route.fetch()
    await route.fulfill({ json: { ...(await answer.json()), last: 7, more: 2 } })
  })
  await page.goto(`${server.address}/settings`)
  await page.getByLabel('Find a setting').fill('pastings')
  await page.getByLabel(/longest time between pastings/).fill('9')
  await page.getByRole('button', { name: 'Change', exact: true }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('status')).toContainText(/Planning every open job with it: \d+ of \d+/)
  await expect(dialog).toContainText('repaste in 9 months')
  await dialog.getByLabel('Why').fill('humid room')
  const keep = dialog.getByRole('button', { name: 'Keep it' })
  await expect(keep).toBeDisabled()
  await expect.poll(() => asked).toEqual(['', '?before=7'])
  await dialog.getByRole('button', { name: 'Enough' }).click()
  await expect(dialog).toContainText('2 older ones were not looked at.')
  await expect(keep).toBeEnabled()
  late()
  await dialog.getByRole('button', { name: 'Cancel' }).click()
  await expect(dialog).toBeHidden()
})

test('figures are written with a comma and inches beside, on every page at once and back again', async ({ page }) => {
  const write = async (name: string, choice: string) => {
    await page.goto(`${server.address}/settings`)
    await page.getByLabel('Find a setting').fill(name)
    await page.getByLabel(name).selectOption(choice)
    await page.getByRole('button', { name: 'Change', exact: true }).click()
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText(/open jobs/, { timeout: 60_000 })
    await dialog.getByLabel('Why').fill('our clients read it so')
    await dialog.getByRole('button', { name: 'Keep it' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.getByRole('region', { name: 'History' })).toContainText(choice)
  }
  const job = `${server.address}/job/1/match`
  const ledger = page.getByRole('complementary', { name: 'Ledger' })
  await write('decimal mark of figures', 'comma')
  await page.goto(job)
  await expect(ledger).toContainText('0,43')
  await write('inches beside millimetres', 'beside')
  await page.goto(job)
  await expect(ledger).toContainText('0,017 in')
  await expect(page.getByRole('navigation', { name: 'Route' })).toContainText('tightest 0,43 mm (0,017 in)')
  await write('decimal mark of figures', 'point')
  await page.goto(job)
  await expect(ledger).toContainText('0.017 in')
})

test('the calendar is subscribed to by an address that can be made anew', async ({ page }) => {
  await page.goto(`${server.address}/settings`)
  const calendar = page.getByRole('region', { name: 'Calendar' })
  const address = (await calendar.locator('code').textContent())!
  const text = await (await fetch(address)).text()
  expect(text).toContain('BEGIN:VCALENDAR')
  expect(text).toMatch(/SEQUENCE:\d/)
  await calendar.getByRole('button', { name: 'Make a new address' }).click()
  await expect(calendar.locator('code')).not.toHaveText(address)
  expect((await fetch(address)).status).toBe(404)
})

test('another tool of the shop is told what happens, and the settings say how that went', async ({ page }) => {
  const told: string[] = []
  const tool = createServer((asked, answer) => {
    let body = ''
    asked.on('data', (d) => {
      body += String(d)
    })
    asked.on('end', () => {
      told.push(JSON.parse(body).type)
      answer.writeHead(204).end()
    })
  })
  await new Promise<void>((ready) => tool.listen(0, '127.0.0.1', ready))
  await page.goto(`${server.address}/settings`)
  const events = page.getByRole('region', { name: 'Events', exact: true })
  await expect(events).toContainText('Off')
  await events.getByLabel('Address').fill(`http://127.0.0.1:${(tool.address() as AddressInfo).port}/bench`)
  await events.getByLabel('Inventory low').uncheck()
  await events.getByRole('button', { name: 'Turn on' }).click()
  await expect(events.locator('[data-events=on]')).toBeVisible()
  await events.getByRole('button', { name: 'Send a test' }).click()
  const sent = events.locator('[data-event=test]')
  await expect(sent).toContainText('answered 204', { timeout: 30_000 })
  expect(told).toContain('test')
  expect(told).not.toContain('inventory.low')
  // the key is shown when it is asked for, and another one is made
  const key = events.locator('code')
  await events.getByRole('button', { name: 'Show' }).click()
  const first = await key.textContent()
  expect(first).toHaveLength(44)
  await events.getByRole('button', { name: 'Make a new key' }).click()
  await expect(key).not.toHaveText(first!)
  await events.getByRole('button', { name: 'Turn off' }).click()
  await expect(events.locator('[data-events=off]')).toBeVisible()
  tool.close()
})
