import { chromium } from 'playwright'

const [url, out, ...acts] = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const c = await b.newContext({
  viewport: { width: 1280, height: 800 },
  colorScheme: process.env.DARK ? 'dark' : 'light',
})
await c.addInitScript((dark) => {
  localStorage.setItem('initials', 'QA')
  localStorage.setItem('fb.initials', 'QA')
  if (dark) {
    localStorage.setItem('theme', 'night')
    localStorage.setItem('fb.theme', 'night')
  }
}, !!process.env.DARK)
const p = await c.newPage()
p.on('pageerror', (e) => console.log('PAGEERROR', e.message))
await p.goto('http://127.0.0.1:5197' + url)
await p.waitForTimeout(1200)
for (const a of acts) {
  const [k, v] = a.split('=')
  if (k === 'click')
    await p
      .getByRole('button', { name: new RegExp(v) })
      .first()
      .click()
  if (k === 'key') await p.keyboard.press(v)
  if (k === 'scroll')
    await p.getByRole('complementary', { name: 'Ledger' }).evaluate((e, y) => e.scrollTo(0, y), Number(v))
  if (k === 'fill') {
    const [l, t] = v.split(':')
    await p.getByLabel(l).fill(t)
  }
  await p.waitForTimeout(500)
}
await p.screenshot({ path: out })
await b.close()
