import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { house, Server } from './server'
import { views } from './views'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

for (const theme of ['paper', 'night']) {
  test(`axe finds nothing on any view and none scrolls sideways, ${theme}`, async ({ page }) => {
    test.setTimeout(views.length * 12_000)
    await page.addInitScript((t) => localStorage.setItem('fb.theme', t), theme)
    const faults: string[] = []
    page.on('pageerror', (e) => faults.push(`${page.url()}: ${e.message}`))
    for (const [name, path] of views) {
      await page.goto(server.address + path)
      await page.waitForLoadState('networkidle')
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
        .analyze()
      faults.push(
        ...violations.map(
          (v) =>
            `${name}: ${v.id} at ${v.nodes
              .slice(0, 3)
              .map((n) => n.target.join(' '))
              .join(', ')} (${v.nodes[0].failureSummary?.split('\n')[1]?.trim()})`,
        ),
      )
      if (await page.evaluate(() => document.documentElement.scrollWidth > innerWidth))
        faults.push(`${name}: scrolls sideways`)
    }
    expect(faults).toEqual([])
  })
}

test('the client weighs under 250 kB compressed', () => {
  const assets = join(house, 'client/dist/assets')
  const bytes = readdirSync(assets)
    .filter((f) => /\.(js|css)$/.test(f))
    .reduce((n, f) => n + gzipSync(readFileSync(join(assets, f))).length, 0)
  expect(bytes).toBeLessThan(250_000)
})

test('the page asks nothing of anyone but its own server', async ({ page }) => {
  const strangers: string[] = []
  page.on('request', (r) => {
    if (!r.url().startsWith(server.address) && !r.url().startsWith('data:')) strangers.push(r.url())
  })
  for (const [, path] of views.slice(0, 6)) {
    await page.goto(server.address + path)
    await page.waitForLoadState('networkidle')
  }
  expect(strangers).toEqual([])
})
