import { expect, test } from '@playwright/test'
import { Server } from './server'
import { countAll, enter, signBench, signStation, station } from './steps'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('a jet cooler on its socket goes from match to care: slit told, jet plate measured, turned, nuts by turns', async ({
  page,
}) => {
  const ledger = page.getByRole('complementary', { name: 'Ledger' })
  await page.goto(server.address)
  await page.getByRole('button', { name: 'Open a job' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What it is').fill('P8 for the pilot house')
  await dialog.getByRole('combobox', { name: 'What lies on the mat' }).selectOption('mainboard')
  await dialog.getByRole('combobox', { name: 'Board', exact: true }).selectOption('levanter-x4-r1')
  await dialog
    .getByRole('combobox', { name: 'Processor in its socket' })
    .selectOption({ label: 'Orrery Works Orrery P8' })
  await dialog.getByRole('button', { name: 'Open the job' }).click()
  await expect(page).toHaveURL(/job\/\d+\/match/)

  // the block made for bare dies is refused on a lid, the jet cooler seats once its slit is turned
  await expect(ledger.getByRole('button', { name: /Undertow Bare G/ })).toContainText('made for bare dies')
  await ledger.getByRole('button', { name: /Undertow Bare G/ }).click()
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText(/Clashes/)
  await ledger.getByRole('button', { name: /Lathe & Loch Jet P/ }).click()
  await expect(ledger.getByRole('heading', { level: 2 })).toHaveText(/Seats with work/)
  await expect(ledger).toContainText("The jet's slit lies along the fins")
  await expect(station(page, 'Match')).toContainText('slit to be turned')

  // another turn re-plans where the ports stand
  const turns = ledger.getByRole('group', { name: 'Turns' })
  await expect(turns.getByRole('button', { name: /90°/ })).toHaveAttribute('aria-pressed', 'true')
  await turns.getByRole('button', { name: /^0°/ }).click()
  await expect(turns.getByRole('button', { name: /^0°/ })).toHaveAttribute('aria-pressed', 'true')
  await signStation(page)

  // unmarked jet plates are told by the caliper
  await enter(page, 'Kit')
  await ledger.getByLabel('thickness, mm').fill('1.01')
  await expect(ledger.getByRole('status')).toContainText('Put it back in the bag')
  await ledger.getByRole('button', { name: 'Take it from the caliper' }).click()
  await expect(ledger.getByRole('button', { name: 'Waits for the caliper' })).toBeVisible()
  await expect(async () => {
    await page.request.post(`${server.address}/api/instruments/caliper/press`, { data: { widthMm: 0.8 } })
    await expect(ledger.getByRole('status')).toContainText('J2, the right one', { timeout: 2000 })
  }).toPass()
  await signStation(page)
  for (const name of ['Teardown', 'Prep']) {
    await enter(page, name)
    if (name === 'Prep') {
      await ledger.getByRole('button', { name: /Fit jet plate J2/ }).click()
      await expect(ledger.getByRole('img', { name: /slit across the fins; not: along them/ })).toBeVisible()
      // it is in its socket already, under the old cooler, and stays there
      await expect(ledger.getByRole('button', { name: /Lay the processor in socket/ })).toHaveCount(0)
      await ledger.getByRole('button', { name: /Clean the lid/ }).click()
    }
    await signStation(page)
  }
  await enter(page, 'Paste')
  await signStation(page)

  // nuts at the bench, by keyboard
  await enter(page, 'Mount')
  await page.keyboard.press('g')
  await expect(page.locator('[data-bench="mount.lower"]')).toContainText('turned 0°. Do not slide it.')
  await signBench(page)
  await page.keyboard.press('Escape')
  await enter(page, 'Prove')
  await expect(ledger).toContainText('runs at its normal speed')
  await signStation(page)
  await enter(page, 'Care')
  await signStation(page)
  await page.reload()
  await expect(page.getByText(/^signed /).first()).toBeVisible()
})

test('a bare die goes from the decision to care: metal locked before the coat, a corner too far told of each die', async ({
  page,
}) => {
  const ledger = page.getByRole('complementary', { name: 'Ledger' })
  const line = page.getByRole('contentinfo', { name: 'Step' })
  await page.goto(`${server.address}/job/11/match`)
  await page.getByRole('button', { name: 'Lid on beside lid off' }).click()
  const both = page.getByRole('region', { name: 'Lid on beside lid off' })
  await expect(both.getByRole('img', { name: /With its lid: .*contact 8\.20/ })).toBeVisible()
  await expect(both.getByRole('img', { name: /Bare, in a frame: .*contact 4\.10/ })).toBeVisible()
  await expect(both.getByRole('img', { name: /bond .* lid .* paste .* base/ })).toBeVisible()
  await both.getByRole('button', { name: 'Back to the mat' }).click()
  await expect(ledger).toContainText('Lid off')

  // the alloy soaks while its timer runs; strokes are counted as they come
  await enter(page, 'Prep')
  await expect(line).toHaveAttribute('data-step', 'prep.solder')
  await expect(page.getByText(/alloy on the solder/).first()).toBeVisible()

  // no metal before the coat
  await enter(page, 'Paste')
  await ledger.getByRole('button', { name: /quick-73 on CCD1/ }).click()
  await page.keyboard.press('Space')
  await expect(page.getByRole('alert')).toContainText('Locked')
  await expect(page.getByRole('alert')).toContainText('Coat the 6 bare parts')
  await enter(page, 'Prep')
  await signStation(page)
  await enter(page, 'Paste')
  await signStation(page)

  // one corner home first, in practice: each die is told
  await enter(page, 'Mount')
  await page.getByRole('button', { name: 'Practise' }).click()
  const practice = page.getByRole('region', { name: 'Practice' })
  await practice.getByRole('button', { name: 'home' }).click()
  await page.getByRole('button', { name: /^Turn S42-1, / }).click()
  await expect(practice.getByRole('table', { name: 'Each die after this turn' })).toContainText('the edge chips')
  await practice.getByRole('button', { name: 'Leave' }).click()
  await countAll(page)
  for (const name of ['Mount', 'Prove', 'Care']) {
    await enter(page, name)
    await signStation(page)
  }
  await expect(ledger).toContainText('no alcohol on them')
})
