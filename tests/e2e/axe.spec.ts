import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { Server } from './server'
import { see, views } from './views'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

// what differs at night is colour alone
const themes: [theme: string, check: (axe: AxeBuilder) => AxeBuilder][] = [
  ['paper', (axe) => axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])],
  ['night', (axe) => axe.withRules(['color-contrast'])],
]
for (const [theme, check] of themes) {
  test(`axe finds nothing on any view, ${theme}`, async ({ page }) => {
    test.setTimeout(views.length * 20_000)
    await page.addInitScript((t) => localStorage.setItem('fb.theme', t), theme)
    const faults: string[] = []
    page.on('pageerror', (e) => faults.push(`${page.url()}: ${e.message}`))
    for (const [name, path] of views) {
      await see(page, server.address + path)
      const { violations } = await check(new AxeBuilder({ page }).options({ resultTypes: ['violations'] })).analyze()
      for (const v of violations) {
        const at = v.nodes.slice(0, 3).map((n) => n.target.join(' '))
        faults.push(`${name}: ${v.id} at ${at.join(', ')} (${v.nodes[0].failureSummary?.split('\n')[1]?.trim()})`)
      }
    }
    expect(faults).toEqual([])
  })
}
