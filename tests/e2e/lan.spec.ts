import { expect, test } from '@playwright/test'
import { Server } from './server'

const server = new Server({ lan: true })
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('two tablets are let in by a code, one is shut out, the other works on', async ({ page, browser }) => {
  await page.goto(`${server.address}/settings`)
  const tablets = page.getByRole('region', { name: 'Tablets' })
  await expect(tablets).toContainText('over HTTPS')
  const letIn = async (name: string, open: boolean) => {
    await tablets.getByRole('button', { name: 'Pair a tablet' }).click()
    await expect(tablets.getByAltText(/read by the tablet/)).toBeVisible()
    const code = (await tablets.locator('[data-code]').textContent())!
    const context = await browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 1024, height: 700 } })
    await context.addInitScript(() => localStorage.setItem('fb.initials', 'RV'))
    const tablet = await context.newPage()
    // by the picture the code comes along; else it is typed
    await tablet.goto(open ? `${server.lan}/pair#${code}` : `${server.lan}/`)
    await expect(tablet.getByRole('heading', { name: 'Pair this tablet with the shop' })).toBeVisible()
    if (!open) await tablet.getByLabel('Code').fill(code.toLowerCase())
    await tablet.getByLabel('Which tablet this is').fill(name)
    await tablet.getByRole('button', { name: 'Pair' }).click()
    await expect(tablet.getByText(/jobs on the benches/)).toBeVisible()
    await expect(tablets.locator(`[data-device="${name}"]`)).toBeVisible()
    return tablet
  }
  const first = await letIn('Bench A', true)
  const second = await letIn('Bench B', false)
  // what one signs the other sees
  await second.goto(`${server.lan}/job/3/match`)
  await first.goto(`${server.lan}/job/3/match`)
  await expect(first.getByRole('contentinfo', { name: 'Step' })).toHaveAttribute('data-step', 'match.label')
  await first.keyboard.press('Space')
  await expect(second.getByRole('contentinfo', { name: 'Step' })).not.toHaveAttribute('data-step', 'match.label')
  // tablets have no say over tablets
  await second.goto(`${server.lan}/settings`)
  await expect(second.getByRole('region', { name: 'Backups' })).toBeVisible()
  await expect(second.getByRole('region', { name: 'Tablets' })).toHaveCount(0)

  await tablets.locator('[data-device="Bench B"]').getByRole('button', { name: 'Revoke access' }).click()
  await expect(tablets.locator('[data-device="Bench B"]')).toContainText('shut out')
  await expect(async () => {
    const answer = await second.request.get(`${server.lan}/api/bench`)
    expect(answer.status()).toBe(401)
  }).toPass()
  await second.goto(`${server.lan}/settings`)
  await expect(second.getByRole('heading', { name: 'Pair this tablet with the shop' })).toBeVisible()
  await first.reload()
  await expect(first.getByRole('contentinfo', { name: 'Step' })).toBeVisible()
  await first.context().close()
  await second.context().close()
})

test('a wrong code is refused in words', async ({ browser }) => {
  const context = await browser.newContext({ ignoreHTTPSErrors: true })
  const tablet = await context.newPage()
  await tablet.goto(`${server.lan}/pair#WRONGONE`)
  await tablet.getByLabel('Which tablet this is').fill('Bench C')
  await tablet.getByRole('button', { name: 'Pair' }).click()
  await expect(tablet.getByRole('alert')).toContainText('lets nobody in')
  await context.close()
})
