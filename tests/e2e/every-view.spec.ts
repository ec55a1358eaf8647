import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { expect, type Page, test } from '@playwright/test'
import axe from 'axe-core'
import { house, Server } from './server'
import { see, views } from './views'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

type Only = { type: 'tag' | 'rule'; values: string[] }

const byDay: Only = { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }
const byNight: Only = { type: 'rule', values: ['color-contrast'] }

/** What axe finds on the page as it stands; it is put there once a page. */
async function found(page: Page, only: Only) {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  return page.evaluate(async (runOnly) => {
    const here = (window as unknown as { axe: typeof axe }).axe
    const { violations } = await here.run(document, { resultTypes: ['violations'], runOnly })
    return violations.map((v) => {
      const at = v.nodes.slice(0, 3).map((n) => n.target.join(' '))
      return `${v.id} at ${at.join(', ')} (${v.nodes[0].failureSummary?.split('\n')[1]?.trim()})`
    })
  }, only)
}

const sizes = [
  [800, 1280],
  [1024, 700],
  [1280, 800],
  [2560, 1440],
]

/** What a reader cannot read or a finger cannot reach: texts cut off, controls under others or beyond the edge. */
function hidden(): string[] {
  const faults: string[] = []
  if (document.documentElement.scrollWidth > innerWidth) faults.push('scrolls sideways')
  const say = (e: Element) =>
    `${e.tagName.toLowerCase()} "${(e.getAttribute('aria-label') ?? e.textContent ?? '').trim().slice(0, 40)}"`
  // a drawing in a column too narrow for it
  for (const e of document.querySelectorAll('aside svg, figure svg'))
    if (e.checkVisibility() && e.getBoundingClientRect().right > innerWidth + 1)
      faults.push(`drawing "${(e.getAttribute('aria-label') ?? '').slice(0, 40)}" is cut off`)
  for (const e of document.querySelectorAll('button, a[href], select, input, h1, h2, h3')) {
    if (!(e instanceof HTMLElement) || !e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true })) continue
    if (e.matches('.sr-only, .sr-only *, [type=file], [type=hidden]')) continue
    // whole: cut short with dots only where the whole is told on touch or hover
    const cut = getComputedStyle(e).overflowX !== 'visible' && e.scrollWidth > e.clientWidth + 1
    if (cut && !e.matches('input, select, [title], [title] *')) faults.push(`${say(e)} is cut off`)
    if (!e.matches('button, a[href], select, input')) continue
    e.scrollIntoView({ block: 'nearest', inline: 'nearest' })
    const rects = [...e.getClientRects()].filter((b) => b.width > 0 && b.height > 0)
    const rect = rects[0]
    if (!rect) continue
    const x = rect.left + rect.width / 2
    const y = rect.top + rect.height / 2
    if (x < 0 || y < 0 || x > innerWidth || y > innerHeight) {
      faults.push(`${say(e)} cannot be reached`)
      continue
    }
    const top = document.elementFromPoint(x, y)
    if (top && !e.contains(top) && !top.contains(e) && !(e.id && top.closest('label')?.getAttribute('for') === e.id))
      faults.push(`${say(e)} is under ${say(top)}`)
  }
  return [...new Set(faults)]
}

const drawn = (page: Page) =>
  page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))

/** Day or night, without a new page: what differs is colour alone. */
const light = async (page: Page, theme: 'paper' | 'night') => {
  await page.evaluate((t) => {
    document.documentElement.dataset.theme = t
  }, theme)
  await drawn(page)
}

for (const [part, some] of [
  ['first half', views.filter((_, i) => i % 2 === 0)],
  ['second half', views.filter((_, i) => i % 2 === 1)],
] as const)
  test(`every view can be read and reached by day, by night and at four sizes, ${part}`, async ({ page }) => {
    test.setTimeout(some.length * 30_000)
    const faults: string[] = []
    page.on('pageerror', (e) => faults.push(`${page.url()}: ${e.message}`))
    page.on('request', (r) => {
      if (!r.url().startsWith(server.address) && !r.url().startsWith('data:')) faults.push(`asks ${r.url()}`)
    })
    for (const [name, path] of some) {
      await page.setViewportSize({ width: 1280, height: 800 })
      await see(page, server.address + path)
      for (const fault of await found(page, byDay)) faults.push(`${name}: ${fault}`)
      await light(page, 'night')
      for (const fault of await found(page, byNight)) faults.push(`${name}, night: ${fault}`)
      await light(page, 'paper')
      for (const [width, height] of sizes) {
        await page.setViewportSize({ width, height })
        await drawn(page)
        for (const fault of await page.evaluate(hidden)) faults.push(`${name} ${width}x${height}: ${fault}`)
      }
    }
    expect(faults).toEqual([])
  })

test('no page loads more than 220 kB compressed, the first no more than 130', () => {
  const assets = join(house, 'client/dist/assets')
  const files = readdirSync(assets).filter((f) => /\.(js|css)$/.test(f))
  const styles = files.filter((f) => f.endsWith('.css'))
  const weight = (all: Iterable<string>) =>
    [...new Set([...all, ...styles])].reduce((n, f) => n + gzipSync(readFileSync(join(assets, f))).length, 0)
  /** A part of the client with all that it imports at once. */
  const whole = (f: string, seen = new Set<string>()): Set<string> => {
    if (!seen.has(f)) {
      seen.add(f)
      const text = readFileSync(join(assets, f), 'utf8')
      for (const [, of] of text.matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) whole(of, seen)
    }
    return seen
  }
  const first = files.find((f) => /^index-.*\.js$/.test(f))!
  expect(weight(whole(first))).toBeLessThan(130_000)
  // what draws a page of a PDF comes only when somebody lays one under a drawing
  for (const part of files.filter((f) => f.endsWith('.js')))
    expect(weight([...whole(first), ...whole(part)]), part).toBeLessThan(part.startsWith('pdfPage') ? 250_000 : 220_000)
})
