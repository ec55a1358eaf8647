import { expect, test } from '@playwright/test'
import { Cable, Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

interface Papers {
  notes: { text: string; byInitials: string }[]
  readings: { dieC: number; at: string }[]
  photos: { id: number; by: string }[]
  timers: { stepId: string; startedAt: string }[]
}

const picture = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

test('notes, photos, waits and readings taken without the network arrive once, with the time they were made', async ({
  page,
  context,
  browser,
}) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'QA'))
  const cable = await new Cable(server.address).plug()
  await page.goto(`${cable.address}/job/14/prep`)
  const line = page.getByRole('contentinfo', { name: 'Step' })
  await expect(line).toBeVisible()
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  // both places that are visited without the network have to be on the device
  await page.goto(`${cable.address}/job/14/prove`)
  await expect(page.getByRole('form', { name: 'New reading' })).toBeVisible()
  await page.goto(`${cable.address}/job/14/prep`)
  await expect(line).toBeVisible()
  await page.reload()
  await expect(line).toBeVisible()

  const shop = await browser.newContext({ serviceWorkers: 'block' })
  const atTheShop = async () => (await (await shop.request.get(`${server.address}/api/jobs/14`)).json()) as Papers
  const before = await atTheShop()
  cable.pull()
  await context.setOffline(true)
  const left = Date.now()

  await line.getByRole('button', { name: 'Note' }).click()
  await page.getByRole('textbox', { name: 'Note' }).fill('the old paste was dry')
  await page.getByRole('button', { name: 'Pin the note' }).click()
  const notice = page.locator('[aria-label="Kept on this device"]')
  await expect(notice).toContainText('1 note kept on this device')
  await expect(page.getByRole('dialog')).toHaveCount(0)

  const chooser = page.waitForEvent('filechooser')
  await line.getByRole('button', { name: 'Add a photo' }).click()
  await (await chooser).setFiles({ name: 'die.png', mimeType: 'image/png', buffer: picture })
  await expect(notice).toContainText('1 note and 1 photo')

  // the wait runs on the device meanwhile
  await page.keyboard.press('t')
  await expect(line.getByRole('button', { name: 'Stop the timer' })).toBeVisible()
  await expect(notice).toContainText('1 note, 1 photo and 1 wait')

  await page
    .getByRole('navigation', { name: 'Route' })
    .getByRole('link', { name: /^Prove/ })
    .click()
  const form = page.getByRole('form', { name: 'New reading' })
  await form.getByRole('button', { name: 'before' }).click()
  await form.getByLabel(/^room/).fill('21,5')
  await form.getByLabel(/^die/).fill('88')
  await form.getByLabel('power, W').fill('140')
  await form.getByRole('button', { name: /^(Note|Write|Keep|Add|Enter|Take)/ }).click()
  await expect(notice).toContainText('1 reading')
  // asleep and awake again, all of it is still there, and nothing has reached the shop
  await page.reload()
  await expect(notice).toContainText('1 note, 1 photo, 1 wait and 1 reading')
  expect(await atTheShop()).toMatchObject({ notes: before.notes, readings: before.readings, photos: before.photos })

  await cable.plug()
  await context.setOffline(false)
  await expect(notice).toHaveCount(0)
  await expect.poll(async () => (await atTheShop()).readings.length).toBe(before.readings.length + 1)
  const after = await atTheShop()
  expect(after.notes.slice(before.notes.length).map((n) => n.text)).toEqual(['the old paste was dry'])
  expect(after.photos).toHaveLength(before.photos.length + 1)
  const timer = after.timers.at(-1)!
  expect(Date.parse(timer.startedAt)).toBeGreaterThanOrEqual(left - 1000)
  expect(Date.parse(after.readings.at(-1)!.at)).toBeGreaterThanOrEqual(left - 1000)
  expect(after.readings.at(-1)!.dieC).toBe(88)
  await shop.close()
  cable.pull()
})

test('two pages of a tablet whose clock is two hours ahead keep both notes, and the shop has them at its own time', async ({
  context,
  browser,
}) => {
  const cable = await new Cable(server.address).plug()
  const pages = [await context.newPage(), await context.newPage()]
  const line = (n: number) => pages[n].getByRole('contentinfo', { name: 'Step' })
  for (const [n, page] of pages.entries()) {
    await page.addInitScript(() => localStorage.setItem('fb.initials', 'QA'))
    await page.clock.setSystemTime(Date.now() + 2 * 3600_000)
    await page.goto(`${cable.address}/job/15/prep`)
    await expect(line(n)).toBeVisible()
  }
  const shop = await browser.newContext({ serviceWorkers: 'block' })
  const notes = async () =>
    (
      (await (await shop.request.get(`${server.address}/api/jobs/15`)).json()) as {
        notes: { text: string; at: string }[]
      }
    ).notes
  const before = await notes()
  cable.pull()
  await context.setOffline(true)
  const left = Date.now()
  for (const [n, page] of pages.entries()) {
    await page.bringToFront()
    await line(n).getByRole('button', { name: 'Note' }).click()
    await page.getByRole('textbox', { name: 'Note' }).fill(`from page ${n + 1}`)
    await page.getByRole('button', { name: 'Pin the note' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  for (const page of pages)
    await expect(page.locator('[aria-label="Kept on this device"]')).toContainText('2 notes kept on this device')
  await cable.plug()
  await context.setOffline(false)
  for (const page of pages) await expect(page.locator('[aria-label="Kept on this device"]')).toHaveCount(0)
  const added = (await notes()).slice(before.length)
  expect(added.map((a) => a.text).sort()).toEqual(['from page 1', 'from page 2'])
  for (const a of added) {
    expect(Date.parse(a.at)).toBeGreaterThanOrEqual(left - 5000)
    expect(Date.parse(a.at)).toBeLessThanOrEqual(Date.now() + 5000)
  }
  await shop.close()
  cable.pull()
})
