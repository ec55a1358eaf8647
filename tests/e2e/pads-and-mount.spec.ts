import { expect, test, type Page } from '@playwright/test'
import { Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())
const ledger = (page: Page) => page.getByRole('complementary', { name: 'Ledger' })

test('a thicker pad on the memory is named before it is chosen, and seen when it is', async ({ page }) => {
  await page.goto(`${server.address}/job/1/pads`)
  await ledger(page).getByRole('button', { name: /A/ }).first().click()
  const thick = ledger(page).getByRole('button', { name: /^1\.5 soft-3/ })
  await expect(thick).toContainText(/squashed \d+ %, past|floats/)
  await thick.click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText(/floats|do(es)? not fit/)
  await ledger(page).getByRole('button', { name: 'as reckoned' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('Every pad touches')
})

test('practising: corner first scores under the cross', async ({ page }) => {
  await page.goto(`${server.address}/job/1/mount`)
  await page.getByRole('button', { name: 'Practise it first' }).click()
  const bar = page.getByRole('region', { name: 'Practice' })
  await expect(bar).toContainText(/cross 100, one corner first \d+/)
  await bar.getByRole('button', { name: 'home' }).click()
  for (let screw = 1; screw <= 10; screw++) {
    const left = page.getByRole('button', { name: new RegExp(`^Turn S${screw}, [\\d.]+ turns left`) })
    if (await left.count() === 0) continue
    await left.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: `Turn S${screw}, home` })).toBeVisible()
  }
  await expect(bar).toContainText(/Score \d+/)
  expect(Number((await bar.innerText()).match(/Score (\d+)/)![1])).toBeLessThan(80)
  await bar.getByRole('button', { name: 'Start again' }).click()
  await expect(bar).toContainText('To beat')
})

test('the bow of the mounted board is told with and without its back plate', async ({ page }) => {
  await page.goto(`${server.address}/job/1/mount`)
  await expect(ledger(page)).toContainText(/The board bows 0\.\d\d mm/)
  await expect(ledger(page).getByRole('img', { name: /^with back plate/ })).toBeVisible()
})
