import { expect, type Locator, type Page, test } from '@playwright/test'
import { Server } from './server'
import { countAll, enter, station, stepDone } from './steps'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

const ledger = (page: Page) => page.getByRole('complementary', { name: 'Ledger' })
const line = (page: Page) => page.getByRole('contentinfo', { name: 'Step' })
const stations = ['Match', 'Kit', 'Teardown', 'Prep', 'Pads', 'Paste', 'Mount', 'Prove', 'Care']

interface Job {
  id: number
  kind: string
  title: string
  stations: {
    station: string
    steps: { id: string; title: string; count?: number; locks: string[]; turns: { hole: string }[] }[]
  }[]
  steps: { stepId: string; signed: boolean; version: number }[]
}

const fetchJob = async (page: Page, id: number) =>
  (await (await page.request.get(`${server.address}/api/jobs/${id}`)).json()) as Job

/** The demo job of a kind. */
async function jobOf(page: Page, kind: string) {
  // the bench calculates its jobs one after the other: the kind is there once this one's turn has come
  let found: Job | undefined
  await expect
    .poll(
      async () => {
        const bench = await (await page.request.get(`${server.address}/api/bench`)).json()
        found = bench.jobs.find((j: Job) => j.kind === kind)
        return found?.id
      },
      { message: kind, timeout: 60_000 },
    )
    .toBeTruthy()
  return fetchJob(page, found!.id)
}

/** Signs a station by keyboard; a whole pass of turns with one key. */
async function signStation(page: Page) {
  for (;;) {
    const at = await line(page).getAttribute('data-step')
    const signed = line(page).getByText(/^signed /)
    if (await signed.isVisible()) return
    const pass = await line(page)
      .getByRole('button', { name: /^All \d+ turned/ })
      .isVisible()
    if (!pass) await countAll(page)
    await page.keyboard.press(pass ? 'Enter' : 'Space')
    await stepDone(page, at)
  }
}

/** From where the job stands to care, by keyboard; what a kind asks is asked at its station. */
async function walk(page: Page, job: Job, at: Partial<Record<string, () => Promise<void>>>) {
  await page.goto(`${server.address}/job/${job.id}/match`)
  await expect(ledger(page).getByRole('heading', { level: 2 })).toBeVisible()
  for (const name of stations) {
    const key = name.toLowerCase()
    const steps = job.stations.find((s) => s.station === key)!.steps
    if (steps.length === 0) continue
    await enter(page, name)
    if (at[name]) {
      await at[name]()
      await page.reload()
      await expect(line(page)).toHaveAttribute('data-step', new RegExp(`^${key}[.@]`))
    }
    await signStation(page)
  }
  await expect(page.getByText(/^signed /).first()).toBeVisible()
  const record = await (await page.request.get(`${server.address}/api/jobs/${job.id}/record.html`)).text()
  return record
}

/** A job of the same documents with nothing signed. */
async function freshLike(page: Page, job: Job) {
  const { order } = await (await page.request.get(`${server.address}/api/jobs/${job.id}`)).json()
  const made = await page.request.post(`${server.address}/api/jobs`, {
    data: {
      title: `${job.title}, afresh`,
      bench: 'Bench A',
      boardId: order.pieces[0].board.id,
      blockId: order.pairs[0].block.id,
      by: 'QA',
    },
  })
  expect(made.status(), await made.text()).toBe(201)
  return fetchJob(page, (await made.json()).id)
}

/** Looks along the steps of Mount, by keyboard, until one says these words. */
async function reach(page: Page, words: RegExp) {
  const count = Number((await line(page).textContent())!.match(/of (\d+)/)![1])
  for (const key of ['ArrowRight', 'ArrowLeft'])
    for (let i = 0; i < count; i++) {
      if (words.test((await line(page).textContent())!)) return
      const at = await line(page).getAttribute('data-step')
      await page.keyboard.press(key)
      if (
        await expect(line(page))
          .not.toHaveAttribute('data-step', at!, { timeout: 1500 })
          .then(
            () => false,
            () => true,
          )
      )
        break
    }
  await expect(line(page)).toContainText(words)
}

/** A step of the station's list in the ledger. */
const step = (page: Page, words: RegExp) => ledger(page).getByRole('button', { name: words }).first()

test('two dies and a bridge chip: ring by ring, both stock plates back under the block', async ({ page }) => {
  const job = await jobOf(page, 'two-dies')
  const record = await walk(page, job, {
    Paste: async () => {
      for (const part of ['U1', 'U2', 'U3']) await expect(step(page, new RegExp(`over ${part},`))).toBeVisible()
    },
    Mount: async () => {
      const steps = job.stations.find((s) => s.station === 'mount')!.steps
      const plates = steps.filter((s) => s.title.includes('on the back of the board'))
      expect(plates).toHaveLength(2)
      // one die's ring, then the other's, then outward
      const firsts = steps.find((s) => s.id.endsWith('.turn-1'))!.turns.map((t) => Number(t.hole.slice(1)))
      expect(firsts.slice(0, 4).every((n) => n <= 4)).toBe(true)
      expect(firsts.slice(4, 8).every((n) => n >= 5 && n <= 8)).toBe(true)
      await reach(page, /Lay the back plate behind die U1 on the back of the board/)
      await expect(line(page)).toContainText('short circuit')
      // the screws wait for the plates: begun without them they stay locked
      await reach(page, /Start 14 screws loose/)
      await countAll(page)
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('Locked')
    },
  })
  expect(record).toContain('back plate behind die U2')
})

test('a workstation card: covers first, the hidden lead, and its longer screw kept apart', async ({ page }) => {
  const job = await jobOf(page, 'workstation')
  const record = await walk(page, job, {
    Teardown: async () => {
      // the shroud stays shut while the power lead still ties it
      await step(page, /Lift the blower shroud/).click()
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('Locked')
      // two lengths of one thread never share a cell
      await expect(ledger(page)).toContainText(/1 × M2 × 9/)
      await expect(ledger(page)).toContainText(/6 × M2 × 4/)
    },
    Mount: async () => {
      await reach(page, /Move the power lead over to the block/)
      await expect(line(page)).toContainText('wires pressed flat')
      await reach(page, /Set the back plate with its pads and 2 screws/)
      await expect(line(page)).toContainText('Paste first where it meets the block')
    },
  })
  expect(record).toContain('lead bracket')
})

test('a plug-in module on the back: off first, back last, its screws among the plate’s', async ({ page }) => {
  const job = await jobOf(page, 'plug-in-module')
  const teardown = job.stations.find((s) => s.station === 'teardown')!.steps.map((s) => s.title)
  const mount = job.stations.find((s) => s.station === 'mount')!.steps.map((s) => s.title)
  expect(teardown.findIndex((t) => t.includes('module cover'))).toBeLessThan(
    teardown.findIndex((t) => t.includes('stock back plate')),
  )
  expect(mount.at(-1)).toContain('group F1')
  expect(mount.findIndex((t) => t.includes('Set the plug-in module'))).toBeGreaterThan(
    mount.findIndex((t) => t.includes('Set the stock back plate')),
  )
  // the plate before the module on it is the mistake
  const fresh = await freshLike(page, job)
  await page.goto(`${server.address}/job/${fresh.id}/teardown`)
  await step(page, /Lift the stock back plate/).click()
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toContainText('Locked')
  await walk(page, job, {
    Mount: async () => {
      // six of the block's screws stay out until the plate is on: all ten at once is the mistake
      await reach(page, /Start 4 screws loose/)
      await expect(line(page)).toContainText('Leave 6 out')
      await expect(line(page)).toContainText('0 of 4')
    },
  })
})

test('a cooled back plate is a second block behind the board', async ({ page }) => {
  const job = await jobOf(page, 'back-plate')
  await walk(page, job, {
    Mount: async () => {
      await reach(page, /Start 6 screws of block P loose/)
      await expect(line(page)).toContainText('Leave 4 out')
      await reach(page, /Lay block Q behind the board/)
      // the cooled plate before the front block is home is the mistake: the board would hang on four screws
      await countAll(page)
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('Locked')
      await expect(page.getByText('BACK', { exact: true })).toBeVisible()
    },
    Prove: async () => {
      await expect(step(page, /bleed all 2 blocks/)).toBeVisible()
    },
  })
})

test('several cards in one machine: opened from its document, links told, each card proved', async ({ page }) => {
  await page.goto(server.address)
  await page.getByRole('button', { name: 'Open a job' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What it is').fill('Basin machine')
  await dialog.getByRole('combobox', { name: 'What lies on the mat' }).selectOption('machine')
  await dialog.getByRole('button', { name: 'Open the job' }).click()
  await expect(page).toHaveURL(/job\/\d+\/match/)
  await expect(ledger(page).getByRole('img', { name: /card A in slot 1 to 2, card B in slot 4 to 5/ })).toBeVisible()
  await expect(ledger(page)).toContainText('Every link reaches')
  await expect(ledger(page)).toContainText('side by side')
  // the other way is a way somebody chooses: every block the whole flow, the second one warmer
  const loop = ledger(page).getByRole('group', { name: 'How the blocks follow each other' })
  await loop.getByRole('button', { name: /one after the other/ }).click()
  await expect(ledger(page)).toContainText('one block after the other')
  await expect(ledger(page)).toContainText('K warmer')

  // a link that does not reach is told before anything is bought
  const machine = await (await page.request.get(`${server.address}/api/machines/two-tern-460`)).json()
  machine.id = 'too-far'
  machine.name = 'Cards too far apart'
  machine.cards[1].slot = 5
  await page.goto(`${server.address}/library`)
  await page.locator('input[type=file]').setInputFiles({
    name: 'too-far.machine.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(machine)),
  })
  await page.getByRole('button', { name: 'Keep in the library' }).click()
  await expect(page).toHaveURL(/machines\/too-far/)
  await expect(page.getByText(/the link reaches from 56\.0 to 66\.0 mm/).first()).toBeVisible()

  const job = await jobOf(page, 'machine')
  await walk(page, job, {
    Prove: async () => {
      await expect(step(page, /Measure on board B/)).toBeVisible()
    },
  })
})

test('a one-piece block over processor and power stages: kit, washers, drive cover back, leads the right way', async ({
  page,
}) => {
  const job = await jobOf(page, 'mainboard-one-piece')
  await walk(page, job, {
    Match: async () => {
      await expect(ledger(page)).toContainText('may not run without its block')
    },
    Mount: async () => {
      // one spring short is one nut too loose: eight posts, eight nuts
      await reach(page, /Fit the springs and nuts, 8 just gripping/)
      await countAll(page, 7)
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('7 of 8')
      await reach(page, /Set the drive cover with its pad back on/)
      await expect(line(page)).toContainText('nothing pinched')
      await reach(page, /Plug the lighting and sensor and leak ring lead/)
      await expect(line(page)).toContainText('A reversed plug')
    },
  })
})

test('blocks joined by a bridging fitting: fitting and rings in order, evened, the daughter card not before its sink', async ({
  page,
}) => {
  const job = await jobOf(page, 'mainboard-bridged')
  await page.goto(`${server.address}/job/${job.id}/match`)
  // the whole board: sets that cover it, with their cost, and the one that is on it now
  const sets = ledger(page).locator('li', { hasText: 'on it now' })
  await expect(sets).toContainText('all hot parts covered')
  await walk(page, job, {
    Teardown: async () => {
      // the daughter card's own sink and lead come off before it is drawn
      await step(page, /Lift the daughter card/).click()
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('Locked')
    },
    Mount: async () => {
      await reach(page, /Join block P and block Q by fitting BR1/)
      await expect(line(page)).toContainText('first O-ring')
      await reach(page, /Even the 4 screws of block P and block Q/)
      await reach(page, /Set the daughter card back on/)
    },
  })
})

test('separate blocks on a mainboard: the heat sink held, the stock plate never off', async ({ page }) => {
  const job = await jobOf(page, 'mainboard-split')
  const sirocco = await fetchJob(page, 8)
  expect(job.kind).toBe('mainboard-split')
  const teardown = sirocco.stations.find((s) => s.station === 'teardown')!.steps
  expect(teardown.some((s) => s.title.includes('back plate'))).toBe(false)
  // lifting a sink that its screws still hold is the mistake
  const fresh = await freshLike(page, job)
  await page.goto(`${server.address}/job/${fresh.id}/teardown`)
  await step(page, /Lift the /).click()
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toContainText('Locked')
  const record = await walk(page, sirocco, {
    Teardown: async () => {
      await step(page, /group F1/).click()
      await expect(line(page)).toContainText('Support the heat sink')
    },
    Care: async () => {
      await step(page, /Store the stock cooler/).click()
      await expect(line(page)).toContainText('Never came off: stock back plate with its pad')
    },
  })
  expect(record).toContain('Never came off')
})

test('four modules in carriers under one block: edge pads clear of the bolts, one star', async ({ page }) => {
  await page.goto(server.address)
  await page.getByRole('button', { name: 'Open a job' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What it is').fill('Two modules')
  await dialog.getByRole('combobox', { name: 'What lies on the mat' }).selectOption('memory-module')
  await dialog.getByLabel('How many').fill('2')
  await dialog.getByRole('button', { name: 'Open the job' }).click()
  await expect(page).toHaveURL(/job\/\d+\/match/)
  await ledger(page)
    .getByRole('button', { name: /Lathe & Loch Row M/ })
    .click()
  // one block from one box, on both modules
  await expect(page.getByRole('toolbar', { name: 'On the mat' }).getByRole('button', { name: /Row M/ })).toHaveCount(2)
  await expect(station(page, 'Match')).toContainText('all 2 blocks seat')

  const job = await jobOf(page, 'memory')
  await walk(page, job, {
    Mount: async () => {
      await reach(page, /edge of front carrier on module B/)
      await expect(line(page)).toContainText('the outer one stays on')
      await reach(page, /Trim the narrow pads of module B/)
      await reach(page, /bolt holes of all carriers in one line/)
      await expect(line(page)).toContainText('tilts the block')
      await reach(page, /4 modules, one by one, into 4 slots side by side/)
      await expect(line(page)).toContainText("The mainboard's manual goes first")
      // eleven of twelve bolts started is not twelve
      await reach(page, /start 12 bolts loose/)
      await countAll(page, 11)
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('11 of 12')
    },
  })
})

test('a console board between two halves: parts that drop out named, antennas on their own posts', async ({ page }) => {
  const job = await jobOf(page, 'console')
  await walk(page, job, {
    Prep: async () => {
      await step(page, /Take the factory's liquid metal off the die/).click()
      await expect(line(page)).toContainText('not for the drain')
      await step(page, /Open the block over a tray/).click()
      await expect(line(page)).toContainText('terminal, two O-rings, four spacers')
      // two of three counted is not three: the one that rolled away is missed now
      await countAll(page, 2)
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('2 of 3')
    },
    Mount: async () => {
      await reach(page, /Move the left antenna lead over to the left antenna post/)
      await expect(line(page)).toContainText('pull once')
      await reach(page, /Close the back half over the board|Close the front half over the board/)
      await expect(line(page)).toContainText("The drive's plug stays in reach")
    },
  })
})

test('a twin-board card: both faces screwed and proved, the ribbon kept out', async ({ page }) => {
  const job = await jobOf(page, 'twin-board')
  await walk(page, job, {
    Match: async () => {
      await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText(/Seats/)
      // both boards lie on the mat, to one scale: the other one is pressed and is worked on
      const bar = page.getByRole('toolbar', { name: 'On the mat' })
      const other = page.locator('[data-board="B"]')
      await bar.getByRole('button', { name: /^A/ }).click()
      const wide = async (die: Locator) => (await die.boundingBox())!.width
      const own = await wide(page.locator('svg [data-part="U1"]').last())
      // but for the line round it
      expect(Math.abs(own - (await wide(other.locator('[data-part="U1"]'))))).toBeLessThan(5)
      await other.click()
      await expect(bar.getByRole('button', { name: /^B/, pressed: true })).toBeVisible()
      await page.locator('[data-board="A"]').click()
      await expect(bar.getByRole('button', { name: /^A/, pressed: true })).toBeVisible()
      await page.keyboard.press('o')
      await expect(bar.getByRole('button', { name: /^B/, pressed: true })).toBeVisible()
    },
    Mount: async () => {
      await reach(page, /Lower board A onto the block/)
      await reach(page, /Lower board B onto the block/)
      // the second board before the first one is home is the mistake: the block would slide on its pads
      await countAll(page)
      await page.keyboard.press('Space')
      await expect(page.getByRole('alert')).toContainText('Locked')
    },
    Prove: async () => {
      await expect(step(page, /Look along the edges on board A/)).toBeVisible()
      await expect(step(page, /Look along the edges on board B/)).toBeVisible()
      await expect(step(page, /Measure on board B/)).toBeVisible()
    },
  })
})

test('a warm memory chip is told as a film left on a pad, with what to look at first', async ({ page }) => {
  const bench = await (await page.request.get(`${server.address}/api/bench`)).json()
  const id = bench.jobs.find((j: Job) => j.title === 'Tern 460, memory runs warm').id
  await page.goto(`${server.address}/job/${id}/prove`)
  const suspects = ledger(page).getByRole('list', { name: 'Suspects' })
  await expect(suspects.getByRole('listitem').first()).toContainText(/film left on a pad: one of 6/)
  await expect(ledger(page)).toContainText('Look along the edge at')
  // what was complained of stands first, without what its sensor is known to be off by
  const complained = ledger(page).getByRole('button', { name: 'memory', exact: true })
  await complained.click()
  await expect(complained).toHaveAttribute('aria-pressed', 'true')
  await ledger(page).getByText('Sensors that read high or low').click()
  await ledger(page).getByLabel('memory, K over').fill('0,5')
  await ledger(page).getByRole('button', { name: 'Take them off' }).click()
  await expect(ledger(page)).toContainText('Sensors that read high or low: 1')
  // once it runs as expected, nothing is suspected
  const form = page.getByRole('form', { name: 'New reading' })
  await form.getByRole('button', { name: 'after' }).click()
  for (const [name, value] of [
    ['room', '21.4'],
    ['coolant', '27'],
    ['die', '41'],
    ['memory', '32'],
    ['power', '240'],
    ['flow', '3'],
  ])
    await form.getByLabel(new RegExp(`^${name}, `)).fill(value)
  await form.getByRole('button', { name: 'Keep' }).click()
  await expect(suspects.getByRole('listitem').first()).toContainText('nothing wrong')
})

test('a tool that is missing only on paper is written down from the kit with one press', async ({ page }) => {
  const drawer = await (await page.request.get(`${server.address}/api/drawer`)).json()
  const scale = drawer.versions.find((v: { kind: string; id: string }) => v.kind === 'tool' && v.id === 'scale')
  const gone = await page.request.delete(`${server.address}/api/drawer/tool/scale?by=QA`, {
    headers: { 'if-match': `"${scale.version}"` },
  })
  expect(gone.ok(), await gone.text()).toBe(true)
  const job = await jobOf(page, 'memory')
  await page.goto(`${server.address}/job/${job.id}/kit`)
  await expect(ledger(page)).toContainText('1 item short')
  await ledger(page).getByRole('button', { name: 'We have scale' }).click()
  await expect(ledger(page)).toContainText('All here')
})

test('a press made while the last signature is on its way is not lost', async ({ page }) => {
  const fresh = await freshLike(page, await jobOf(page, 'plug-in-module'))
  const start = fresh.steps.findIndex((s) => s.stepId === 'mount.start')
  const counts = new Map(fresh.stations.flatMap((s) => s.steps).map((s) => [s.id, s.count]))
  for (const s of fresh.steps.slice(0, start)) {
    const answer = await page.request.post(`${server.address}/api/jobs/${fresh.id}/steps/${s.stepId}/sign`, {
      headers: { 'if-match': `"${s.version}"` },
      data: { by: 'QA', count: counts.get(s.stepId), overrideReason: 'before the test' },
    })
    expect(answer.ok(), `${s.stepId} ${await answer.text()}`).toBe(true)
  }
  // the shop keeps the signature and tells every page; its answer to this one is late
  let late = () => {}
  const held = new Promise<void>((go) => {
    late = go
  })
  await page.route('**/steps/mount.start/sign', async (route) => {
    const answer = await route.fetch()
    await held
    await route.fulfill({ response: answer })
  })
  await page.goto(`${server.address}/job/${fresh.id}/mount`)
  await expect(line(page)).toHaveAttribute('data-step', 'mount.start')
  await countAll(page)
  await page.keyboard.press('Space')
  await expect(line(page)).toHaveAttribute('data-step', 'mount.turn-1')
  await page.keyboard.press('Enter')
  late()
  await expect(line(page)).not.toHaveAttribute('data-step', 'mount.turn-1')
  const now = await fetchJob(page, fresh.id)
  expect(now.steps.filter((s) => s.stepId === 'mount.turn-1' && !s.signed)).toEqual([])
})
