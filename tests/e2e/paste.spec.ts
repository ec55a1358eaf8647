import { expect, type Page, test } from '@playwright/test'
import { Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

/** A stroke on the die, given in shares of its sides from the lower left. */
async function stroke(page: Page, from: [number, number], to: [number, number]) {
  const area = (await page.getByRole('application', { name: /Draw paste/ }).boundingBox())!
  const at = ([x, y]: [number, number]): [number, number] => [area.x + x * area.width, area.y + (1 - y) * area.height]
  await page.mouse.move(...at(from))
  await page.mouse.down()
  await page.mouse.move(...at([(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]))
  await page.mouse.move(...at(to))
  await page.mouse.up()
}

const covered = async (page: Page) =>
  Number(
    (await page
      .getByRole('region', { name: 'Drawn by hand' })
      .getByText(/^covered/)
      .locator('..')
      .textContent())!.match(/([\d.]+) %/)![1],
  )

test('patterns are pressed side by side, and a drawn one is mended until it covers', async ({ page }) => {
  await page.goto(`${server.address}/job/1/paste`)
  await page.getByRole('button', { name: 'Compare patterns' }).click()
  for (const name of ['Spread', 'Dot', 'Line', 'Cross'])
    await expect(page.getByRole('region', { name, exact: true }).getByText(/^covered/)).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('region', { name: 'Spread' })).toContainText('covers most')

  const own = page.getByRole('region', { name: 'Drawn by hand' })
  await own.scrollIntoViewIfNeeded()
  await stroke(page, [0.15, 0.2], [0.4, 0.2])
  await own.getByRole('button', { name: 'Press it' }).click()
  await expect(own.getByText(/^covered/)).toBeVisible({ timeout: 60_000 })
  await expect(own).toContainText(/upper right/)
  const first = await covered(page)
  expect(first).toBeLessThan(98)

  await own.getByRole('button', { name: 'Draw on' }).click()
  for (const [x, y] of [
    [0.12, 0.88],
    [0.88, 0.88],
    [0.88, 0.12],
    [0.12, 0.12],
  ] as const)
    await stroke(page, [0.5, 0.5], [x, y])
  for (const [from, to] of [
    [
      [0.1, 0.1],
      [0.9, 0.1],
    ],
    [
      [0.1, 0.9],
      [0.9, 0.9],
    ],
    [
      [0.1, 0.1],
      [0.1, 0.9],
    ],
    [
      [0.9, 0.1],
      [0.9, 0.9],
    ],
  ] as const)
    await stroke(page, [...from], [...to])
  await own.getByRole('button', { name: 'Press it' }).click()
  await expect(own.getByText(/^covered/)).toBeVisible({ timeout: 60_000 })
  expect(await covered(page)).toBeGreaterThan(99)
})

test('paste is drawn with the keyboard alone', async ({ page }) => {
  await page.goto(`${server.address}/job/1/paste`)
  await page.getByRole('button', { name: 'Compare patterns' }).click()
  const own = page.getByRole('region', { name: 'Drawn by hand' })
  await own.getByRole('application').focus()
  await page.keyboard.press('Space')
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
  await page.keyboard.press('Space')
  await own.getByRole('button', { name: 'Press it' }).click()
  await expect(own.getByText(/^covered/)).toBeVisible({ timeout: 60_000 })
})
