import { expect, type Page, test } from '@playwright/test'
import ICAL from 'ical.js'
import { Server } from './server'

const server = new Server({ filledNow: true })
test.beforeAll(async () => {
  await server.start()
  await calculated()
  // a shop that never closes: the hour of the test is none of its business
  await put('/api/settings', { values: { dayFromH: 0, dayToH: 24, daysAWeek: 7 }, reason: 'by night', by: 'QA' })
})
test.afterAll(() => server.stop())

async function put(path: string, body: unknown) {
  const answer = await fetch(server.address + path, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  expect(answer.ok, await answer.text()).toBe(true)
}

interface Work {
  job: number
  key: string
  station: string
  by: string
  startAt: string
  begun: boolean
  pinned: boolean
}
interface JobTold {
  steps: { stepId: string; station: string; signed: boolean; version: number }[]
  stations: { steps: { id: string; count?: number }[] }[]
}
interface Told {
  plan: { now: string; work: Work[]; jobs: { job: number; title: string; by?: string; promised?: string }[] }
}
const day = async () => (await (await fetch(`${server.address}/api/day`)).json()) as Told
const calculated = () =>
  expect
    .poll(async () => (await (await fetch(`${server.address}/api/bench`)).json()).renewing, { timeout: 60_000 })
    .toBe(0)
const signsAs = (page: Page, by: string) => page.addInitScript((who) => localStorage.setItem('fb.initials', who), by)

test('a day is re-planned within seconds when a step is late, and nothing begun is moved', async ({ page }) => {
  await calculated()
  await signsAs(page, 'QA')
  await page.goto(server.address)
  const strip = page.getByRole('region', { name: 'The day by hands' })
  // four jobs in one person's hands
  const before = await day()
  const mine = [...new Set(before.plan.work.filter((w) => w.by === 'QA').map((w) => w.job))]
  expect(mine.length).toBeGreaterThanOrEqual(4)
  const begun = strip.getByRole('button', { name: /QA, under way/ })
  await expect(begun).toHaveCount(1)
  const started = before.plan.work.find((w) => w.by === 'QA' && w.begun)!
  // the step under way is given a promise that is over before it can be done
  const due = new Date(Date.parse(`${before.plan.now.slice(0, 16)}Z`) + 10 * 60_000).toISOString().slice(0, 16)
  await begun.click()
  const chosen = page.getByRole('region', { name: 'Chosen work' })
  await chosen.getByLabel('Promised for').fill(due)
  await chosen.getByRole('button', { name: 'Promise' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/past its promise|will be late/)
  await expect(strip).toContainText('late')
  const after = await day()
  const still = after.plan.work.find((w) => w.by === 'QA' && w.begun)!
  expect([still.job, still.key, still.startAt]).toEqual([started.job, started.key, started.startAt])
  // signed at another desk: the day of this page follows by itself
  const job = (await (await fetch(`${server.address}/api/jobs/${started.job}`)).json()) as JobTold
  const open = job.steps.filter((s) => s.station === started.station && !s.signed)
  const plan = job.stations.flatMap((s) => s.steps)
  for (const s of open) {
    const answer = await fetch(`${server.address}/api/jobs/${started.job}/steps/${s.stepId}/sign`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'If-Match': `"${s.version}"` },
      body: JSON.stringify({ by: 'QA', count: plan.find((x) => x.id === s.stepId)?.count }),
    })
    expect(answer.ok, `${s.stepId} ${await answer.text()}`).toBe(true)
  }
  await expect(strip.locator(`[data-bar="${started.job}/${started.key}"]`)).toHaveCount(0)
})

test('work is dragged to an hour, given to other hands and let go of again', async ({ page }) => {
  await calculated()
  await signsAs(page, 'ML')
  await page.goto(server.address)
  const strip = page.getByRole('region', { name: 'The day by hands' })
  const bars = strip.getByRole('button', { name: /, ML$/ })
  await expect(bars.first()).toBeVisible()
  // one wide enough to be taken hold of
  const boxes = await bars.evaluateAll((list) => list.map((e) => e.getBoundingClientRect().toJSON() as DOMRect))
  const box = boxes.find((r) => r.width > 24)!
  await page.mouse.move(box.x + 16, box.y + 20)
  await page.mouse.down()
  await page.mouse.move(box.x + 30, box.y + 21, { steps: 4 })
  await page.mouse.move(box.x + 56, box.y + 21, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => (await day()).plan.work.filter((w) => w.pinned).length).toBeGreaterThan(0)
  const { plan } = await day()
  const pinned = plan.work.find((w) => w.pinned)!
  // shortly before midnight an hour later is another day's strip
  if (pinned.startAt.slice(0, 10) !== plan.now.slice(0, 10))
    await page.getByRole('button', { name: 'The day after' }).click()
  await strip
    .getByRole('button', { name: /pinned/ })
    .first()
    .click()
  const chosen = page.getByRole('region', { name: 'Chosen work' })
  await chosen.getByRole('button', { name: 'Unpin' }).click()
  await expect.poll(async () => (await day()).plan.work.filter((w) => w.pinned).length).toBe(0)
  await chosen.getByLabel('Whose job').selectOption('RV')
  await expect.poll(async () => (await day()).plan.jobs.find((j) => j.job === pinned.job)?.by).toBe('RV')
})

test('in a wait one key goes to the other work and the same key comes back', async ({ page }) => {
  await calculated()
  await signsAs(page, 'RV')
  await page.goto(`${server.address}/job/11/prep/bench`)
  await expect(page.locator('[data-bench="prep.solder"]')).toBeVisible()
  const line = page.getByRole('button', { name: /^Meanwhile/ })
  await expect(line).toBeVisible()
  await page.keyboard.press('m')
  await expect(page).not.toHaveURL(/job\/11\//)
  await expect(page.getByRole('button', { name: /back to it/ })).toBeVisible()
  await page.keyboard.press('m')
  await expect(page).toHaveURL(/job\/11\/prep\/bench/)
  await expect(page.locator('[data-bench="prep.solder"]')).toBeVisible()
})

test('the calendar opens in another reader, the list to order is offered', async ({ page }) => {
  await page.goto(server.address)
  const text = await (await fetch(`${server.address}/api/day.ics`)).text()
  const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
  expect(new Set(events.map((e) => e.uid)).size).toBe(events.length)
  const promise = events.find((e) => e.summary.startsWith('Promised: Skua 380, memory ran hot'))!
  const told = (await day()).plan.jobs.find((j) => j.title === 'Skua 380, memory ran hot')?.promised as string
  expect(Math.abs(promise.startDate.toJSDate().getTime() - Date.parse(told))).toBeLessThan(60_000)
  expect(events.some((e) => e.summary.startsWith('Repaste: '))).toBe(true)
  const orders = page.getByRole('region', { name: 'To order' })
  await expect(orders).toContainText('Port plug')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    orders.getByRole('link', { name: 'The list as CSV' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('to-order.csv')
})

test('a signer is named, inked and retired; the stamp on the day follows', async ({ page }) => {
  await page.goto(`${server.address}/settings`)
  const ml = page.locator('[data-signer="ML"]')
  await ml.getByLabel('Name of ML').fill('M. Loxley')
  await ml.getByLabel('Name of ML').blur()
  await ml.getByLabel('Ink of ML').selectOption('plum')
  await expect
    .poll(async () =>
      (await (await fetch(`${server.address}/api/signers`)).json()).find(
        (s: { initials: string }) => s.initials === 'ML',
      ),
    )
    .toMatchObject({ name: 'M. Loxley', colour: 'plum' })
  await ml.getByRole('button', { name: 'Deactivate' }).click()
  await expect(ml).toContainText('left')
  await page.goto(server.address)
  await expect(page.getByText('2 pairs of hands')).toBeVisible()
})
