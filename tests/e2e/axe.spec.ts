import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test } from '@playwright/test'
import { Server } from './server'
import { see, views } from './views'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

/** What axe finds on the page as it stands. */
async function found(page: Page, check: (axe: AxeBuilder) => AxeBuilder) {
  const { violations } = await check(new AxeBuilder({ page }).options({ resultTypes: ['violations'] })).analyze()
  return violations.map((v) => {
    const at = v.nodes.slice(0, 3).map((n) => n.target.join(' '))
    return `${v.id} at ${at.join(', ')} (${v.nodes[0].failureSummary?.split('\n')[1]?.trim()})`
  })
}

const rules = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']

for (const [part, some] of [
  ['first half', views.filter((_, i) => i % 2 === 0)],
  ['second half', views.filter((_, i) => i % 2 === 1)],
] as const)
  test(`axe finds nothing on any view by day and by night, ${part}`, async ({ page }) => {
    test.setTimeout(some.length * 20_000)
    const faults: string[] = []
    page.on('pageerror', (e) => faults.push(`${page.url()}: ${e.message}`))
    for (const [name, path] of some) {
      await see(page, server.address + path)
      for (const fault of await found(page, (axe) => axe.withTags(rules))) faults.push(`${name}: ${fault}`)
      // what differs at night is colour alone
      await page.evaluate(() => {
        document.documentElement.dataset.theme = 'night'
        return new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)))
      })
      for (const fault of await found(page, (axe) => axe.withRules(['color-contrast'])))
        faults.push(`${name}, night: ${fault}`)
    }
    expect(faults).toEqual([])
  })
