import { expect, type Page, test } from '@playwright/test'
import { Cable, Server } from './server'
import { countAll } from './steps'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())
const ledger = (page: Page) => page.getByRole('complementary', { name: 'Ledger' })
const bench = (page: Page) => page.locator('[data-bench]')
interface Job {
  id: number
  steps: { stepId: string; signed: boolean; version: number }[]
  plan: {
    teardown: { boards: { plan: { steps: { target: string }[] } }[] }
    care: { restore: { id: string; targets: string[]; kind: string }[] }
  }
  stations: { station: string; steps: { id: string; count?: number }[] }[]
  history: { stepId: string; kind: string; doneAt?: string }[]
  driverTurns: { state: string }[]
}
const read = async (page: Page, id: number) =>
  (await (await page.request.get(`${server.address}/api/jobs/${id}`)).json()) as Job
const open = async (page: Page, boardId: string, blockId?: string) =>
  (
    (await (
      await page.request.post(`${server.address}/api/jobs`, {
        data: { title: 'Bench test', bench: 'Bench A', boardId, blockId, by: 'QA' },
      })
    ).json()) as { id: number }
  ).id

test('an unknown card is stripped and recorded, and the same card is planned from the record', async ({ page }) => {
  const id = await open(page, 'dunlin-250-traced')
  await page.goto(`${server.address}/job/${id}/teardown`)
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('Unknown assembly')
  await ledger(page).getByRole('button', { name: 'Note what comes off' }).click()
  const desk = ledger(page).getByRole('group', { name: 'Note what comes off' })

  // a cover with two screws, one of them clicked on the mat
  await desk.getByLabel('they held the').fill('cover')
  const area = (await page.locator('[data-place]').boundingBox())!
  await page.mouse.click(area.x + area.width * 0.5, area.y + area.height * 0.3)
  await desk.getByLabel('Add a place at hole').selectOption('P1')
  await desk.getByLabel('length, mm').fill('4')
  await desk.getByRole('button', { name: '2 out, in the tray' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('2 of 2 screws out')
  await desk.getByRole('button', { name: 'piece', exact: true }).click()
  await desk.getByLabel('piece', { exact: true }).fill('cover')
  await desk.getByRole('button', { name: 'Lifted' }).click()
  await expect(ledger(page)).toContainText('Lift the cover')

  // the cooler under it: the die ring, its lead, then the lift
  await desk.getByRole('button', { name: 'screws', exact: true }).click()
  await desk.getByLabel('they held the').fill('cooler')
  for (const h of ['H1', 'H2', 'H3', 'H4']) await desk.getByLabel('Add a place at hole').selectOption(h)
  await desk.getByLabel('length, mm').fill('6')
  await desk.getByRole('button', { name: '4 out, in the tray' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('6 of 6 screws out')
  await desk.getByRole('button', { name: 'lead', exact: true }).click()
  await desk.getByLabel('lead', { exact: true }).fill('fan')
  await desk.getByRole('button', { name: 'Describe only' }).click()
  await expect(desk.getByRole('button', { name: 'Strike W1' })).toBeVisible()
  await desk.getByRole('button', { name: 'piece', exact: true }).click()
  await desk.getByLabel('piece', { exact: true }).fill('cooler')
  await desk.getByRole('button', { name: 'Lifted' }).click()
  await expect(desk.getByRole('alert')).toContainText('W1')
  await page.reload()
  await ledger(page).getByRole('button', { name: 'Unplug the fan lead' }).click()
  await page.getByRole('button', { name: /^Unplugged and marked/ }).click()
  await ledger(page).getByRole('button', { name: 'Note what comes off' }).click()
  await desk.getByRole('button', { name: 'piece', exact: true }).click()
  await desk.getByLabel('piece', { exact: true }).fill('cooler')
  await desk.getByRole('button', { name: 'Lifted' }).click()
  await expect(desk.getByRole('alert')).toBeHidden()
  await desk.getByRole('button', { name: 'Keep it with the board' }).click()

  // the way back is the record backwards, once the lift is signed
  let record: string[] = []
  await expect(async () => {
    const first = await read(page, id)
    record = first.plan.teardown.boards[0].plan.steps.map((s) => s.target)
    expect(record).toContain('cooler')
    const back = first.plan.care.restore.filter((s) => s.id.startsWith('care.restore-back-'))
    expect(back.map((s) => s.targets[0])).toEqual([...record].reverse())
  }).toPass()

  // the next job on that board plans from it
  await expect(async () => {
    const next = await read(page, await open(page, 'dunlin-250-traced'))
    expect(next.plan.teardown.boards[0].plan.steps.map((s) => s.target)).toEqual(record)
  }).toPass()
})

test('a lift stays locked for one screw, and an order of ones own is refused only where it cannot be', async ({
  page,
}) => {
  const id = await open(page, 'tern-460-r2', 'brineworks-full-460')
  await page.goto(`${server.address}/job/${id}/teardown`)
  await ledger(page)
    .getByRole('button', { name: /Lift the fin stack/ })
    .click()
  await page.keyboard.press('Space')
  await expect(page.getByRole('contentinfo', { name: 'Step' }).getByRole('alert')).toContainText('Locked')
  // earlier and earlier: legal moves are made, the first that is not is refused with its reason
  const order = async () => (await read(page, id)).plan.teardown.boards[0].plan.steps.map((s) => s.target).join()
  const refused = ledger(page).getByRole('alert')
  let moved = 0
  for (;;) {
    const before = await order()
    await ledger(page).getByRole('button', { name: 'Earlier' }).click()
    await expect(async () => expect((await refused.count()) > 0 || (await order()) !== before).toBe(true)).toPass()
    if ((await refused.count()) > 0) break
    moved++
    await expect(ledger(page).getByRole('button', { name: /Lift the fin stack/ })).toHaveAttribute(
      'aria-current',
      'step',
    )
  }
  await expect(refused).toContainText(/still (hold|tie)/)
  if (moved > 0) {
    await expect(ledger(page)).toContainText('Your order:')
    await ledger(page).getByRole('button', { name: 'The best order again' }).click()
    await expect(ledger(page)).not.toContainText('Your order:')
  }

  // five of six: not signed
  await page.goto(`${server.address}/job/${id}/teardown/bench`)
  await expect(bench(page)).toHaveAttribute('data-bench', 'teardown.power')
  await page.keyboard.press('Space')
  const counter = page.getByRole('group', { name: 'Count' })
  await expect(counter).toBeVisible()
  const of = Number((await counter.textContent())!.match(/of (\d+)/)![1])
  await countAll(page, of - 1)
  await page.keyboard.press('Space')
  await expect(bench(page).getByRole('alert')).toContainText(`${of - 1} of ${of} counted`)
})

test('ten steps without the network are kept, sent when it is back, and a conflict is shown', async ({
  page,
  context,
  browser,
}) => {
  // a job that no other test knows, over a cable that can be pulled
  const id = await open(page, 'tern-460-r2', 'brineworks-full-460')
  const cable = await new Cable(server.address).plug()
  await page.goto(`${cable.address}/job/${id}/teardown/bench`)
  await expect(bench(page)).toHaveAttribute('data-bench', 'teardown.power')
  // the application itself has to be on the device before the network goes
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  await page.reload()
  await expect(bench(page)).toHaveAttribute('data-bench', 'teardown.power')

  // the test's own calls do not go through the page: what they read is what has reached the shop
  const shop = await browser.newContext({ serviceWorkers: 'block' })
  const atTheShop = async () => {
    const job = (await (await shop.request.get(`${server.address}/api/jobs/${id}`)).json()) as Job
    return { signed: job.steps.filter((s) => s.signed).map((s) => s.stepId), history: job.history }
  }
  cable.pull()
  await context.setOffline(true)
  const done: string[] = []
  for (let i = 0; i < 10; i++) {
    const step = (await bench(page).getAttribute('data-bench'))!
    await countAll(page)
    await page.keyboard.press('Space')
    await expect(bench(page)).not.toHaveAttribute('data-bench', step)
    done.push(step)
  }
  const notice = page.locator('[aria-label="Kept on this device"]')
  await expect(notice).toContainText('10 steps kept on this device')
  expect((await atTheShop()).history).toEqual([])
  // the tablet sleeps and wakes without the network
  await page.reload()
  await expect(notice).toContainText('10 steps kept on this device')
  await expect(bench(page)).not.toHaveAttribute('data-bench', done[9])
  expect((await atTheShop()).history).toEqual([])

  // meanwhile somebody else signs the first of them
  const theJob = (await (await shop.request.get(`${server.address}/api/jobs/${id}`)).json()) as Job
  const first = theJob.stations.flatMap((s) => s.steps).find((s) => s.id === done[0])!
  const theirs = await shop.request.post(`${server.address}/api/jobs/${id}/steps/${done[0]}/sign`, {
    headers: { 'If-Match': '"0"' },
    data: { by: 'RV', count: first.count },
  })
  expect(theirs.ok()).toBe(true)

  await cable.plug()
  await context.setOffline(false)
  await expect(notice).toContainText('1 met somebody else’s')
  await notice.getByRole('button', { name: 'Look' }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('RV signed this step')
  await dialog.getByRole('button', { name: 'Keep theirs' }).click()
  await expect(notice).toHaveCount(0)
  await expect.poll(async () => (await atTheShop()).signed.sort()).toEqual([...done].sort())
  const kept = (await atTheShop()).history.filter((h) => done.slice(1).includes(h.stepId))
  expect(kept.map((h) => h.stepId).sort()).toEqual(done.slice(1).sort())
  expect(kept.every((h) => !!h.doneAt)).toBe(true)
  await shop.close()
  cable.pull()
})

test('the torque driver ticks a screw that is met, warns of one that went too far, and the last one signs the pass', async ({
  page,
}) => {
  const id = await open(page, 'tern-460-r2', 'brineworks-full-460')
  const { stations } = await read(page, id)
  const mount = stations.find((s) => s.station === 'mount')!.steps
  const all = stations.flatMap((s) => s.steps)
  for (const step of all.slice(
    0,
    all.findIndex((s) => s.id === mount[2].id),
  ))
    await page.request.post(`${server.address}/api/jobs/${id}/steps/${step.id}/sign`, {
      headers: { 'If-Match': '"0"' },
      data: { by: 'QA', count: step.count },
    })
  await page.goto(`${server.address}/job/${id}/mount/bench`)
  await expect(bench(page)).toHaveAttribute('data-bench', mount[2].id)
  const panel = page.getByRole('group', { name: 'Torque driver' })
  const words = page.getByRole('region', { name: 'Step' })
  const screws = mount[2].count!
  await expect(words).toContainText('Screw 1, ')
  await panel.getByRole('button', { name: 'Turn it' }).click()
  await expect(words).toContainText('Screw 2, ')
  await panel.getByRole('button', { name: 'too far' }).click()
  await expect(panel.getByRole('alert')).toContainText(/Too far: \d+°/)
  await expect(words).toContainText('Screw 2, ')
  await panel.getByRole('button', { name: 'skip it' }).click()
  await expect(panel.getByRole('alert')).toContainText('skipped')
  await panel.getByRole('button', { name: 'across the thread' }).click()
  await expect(panel.getByRole('alert')).toContainText('thread is crossed')
  // by hand up to the last, which the driver turns: it signs the pass
  for (let n = 2; n < screws; n++) {
    await expect(words).toContainText(`Screw ${n}, `)
    await page.keyboard.press('Space')
  }
  await expect(words).toContainText(`Screw ${screws}, `)
  await panel.getByRole('button', { name: 'Turn it' }).click()
  await expect(bench(page)).toHaveAttribute('data-bench', mount[3].id)
  // the next pass in one press
  await page.keyboard.press('Enter')
  await expect(bench(page)).toHaveAttribute('data-bench', mount[4].id)
  // what it turned stays with the job, and says that nobody measured it
  const { driverTurns } = await read(page, id)
  expect(driverTurns.map((t) => t.state)).toEqual(['met', 'overshoot', 'skipped', 'cross-thread', 'met'])
  await page.goto(`${server.address}/job/${id}/mount`)
  const line = page.getByRole('contentinfo', { name: 'Step' })
  for (const step of [mount[4], mount[3], mount[2]]) {
    await expect(line).toHaveAttribute('data-step', step.id)
    if (step !== mount[2]) await page.keyboard.press('ArrowLeft')
  }
  await expect(ledger(page).getByRole('list', { name: 'Driver turns' }).getByText('simulated')).toHaveCount(5)
})

test('back to stock is walked through at the bench, and photos are pinned where they belong', async ({ page }) => {
  await page.goto(`${server.address}/job/2/teardown`)
  await page.locator('[data-part="M1"]').click()
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Add a photo of M1' }).click()
  await (await chooser).setFiles({
    name: 'm1.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
      'base64',
    ),
  })
  await expect(page.getByRole('link', { name: /^Photo \d+ by QA/ })).toBeVisible()

  await page.goto(`${server.address}/job/2/care`)
  await ledger(page).getByRole('link', { name: 'Put it back to stock, step by step' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toContainText('steps to stock')
  await page.keyboard.press('g')
  await expect(bench(page)).toHaveAttribute('data-bench', 'care.restore-power')
  await page.keyboard.press('Space')
  // nothing but two groups of screws is out: they go back in
  await expect(bench(page)).toHaveAttribute('data-bench', /^care\.restore-back-F/)
})

test('every hole is in the ledger, and the tray map prints', async ({ page }) => {
  await page.goto(`${server.address}/job/1/mount`)
  const stage = ledger(page).getByRole('group', { name: 'Stage' })
  await stage.getByRole('button', { name: 'stock', exact: true }).click()
  await expect(ledger(page).getByRole('row', { name: /^H1 stock M2\.5/ })).toBeVisible()
  await stage.getByRole('button', { name: 'block on' }).click()
  await expect(ledger(page)).toContainText('empty until the back plate is on')
  await page.goto(`${server.address}/job/1/tray`)
  const map = page.getByRole('img', { name: /^Tray map: \d cells/ })
  await expect(map).toBeVisible()
  // true size: the browser lays 96 px on an inch
  const svg = await (await page.request.get(`${server.address}/api/jobs/1/tray.svg`)).text()
  expect(
    Math.abs((await map.boundingBox())!.width - (Number(/width="([\d.]+)mm"/.exec(svg)![1]) * 96) / 25.4),
  ).toBeLessThan(1)
})

test('before a turn-over the bench says what holds what, and for the last time what a block closes over', async ({
  page,
}) => {
  // a card on two boards: the core between them hangs by screws from both sides
  await page.goto(`${server.address}/job/7/teardown`)
  await expect(ledger(page)).toContainText('Fin core between the boards: groups F3 and F4 hold it')
  await expect(ledger(page).getByRole('img', { name: /before and after the turn/ })).toBeVisible()
  // pads laid, paste spread: one step before the block is on
  await page.goto(`${server.address}/job/15/mount/bench`)
  await expect(bench(page)).toHaveAttribute('data-bench', 'mount.lower')
  await expect(page.locator('[data-turn="back"]')).toContainText('13 pads: their tack holds them')
  const last = page.getByRole('region', { name: 'Last chance before the block closes' })
  await expect(last.getByRole('img', { name: 'done' })).toHaveCount(3)
  await expect(last.getByRole('img', { name: 'in this step' })).toHaveCount(1)
  await expect(page.getByRole('list', { name: 'Waiting open' })).toContainText(/Paste is spread\s*\d+ min/)
  // the mat at the desk: the cooler lies over a card that nobody has opened, and names of what lies there
  await page.goto(`${server.address}/job/2/teardown`)
  await expect(page.locator('[data-over="fan and fin assembly, bracket"]')).toBeAttached()
})
