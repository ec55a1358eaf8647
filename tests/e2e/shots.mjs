// Pictures of every main view, from the demo data: node shots.mjs <server.dll> <house>
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const [dll, house] = process.argv.slice(2)
const out = join(house, 'docs/screenshots')
const data = mkdtempSync(join(tmpdir(), 'fb-shots-'))
const address = 'http://127.0.0.1:5187'
const views = [
  ['benches', '/'], ['match', '/job/1/match'], ['match-clash', '/job/3/match'], ['kit', '/job/1/kit'], ['teardown', '/job/6/teardown'], ['prep', '/job/1/prep'],
  ['pads', '/job/1/pads'], ['paste', '/job/1/paste'], ['mount', '/job/1/mount'], ['prove', '/job/5/prove'], ['care', '/job/5/care'],
  ['bench-teardown', '/job/6/teardown/bench', 'night'], ['bench-mount', '/job/1/mount/bench', 'night', ['ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight']],
  ['cutting', '/job/1/cutting'], ['library-board', '/library/boards/dunlin-250-traced'], ['library-block', '/library/blocks/brineworks-full-460'], ['drawer', '/drawer'],
]
mkdirSync(out, { recursive: true })
const server = spawn('dotnet', [dll, '--urls', address, '--data', data, '--demo', join(house, 'demo'), '--client', join(house, 'client/dist')], { stdio: ['ignore', 'pipe', 'inherit'] })
await new Promise((ready) => server.stdout.on('data', (d) => String(d).includes('Application started') && ready()))
const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'] })
try {
  for (const file of readdirSync(out)) rmSync(join(out, file))
  for (const [name, path, theme = 'paper', keys = []] of views) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
    await page.addInitScript((t) => localStorage.setItem('fb.theme', t), theme)
    await page.goto(address + path)
    await page.locator('main, [role=application], svg, table').first().waitFor()
    await page.getByText(/^Loading /).first().waitFor({ state: 'detached' })
    await page.waitForTimeout(900)
    for (const key of keys) await page.keyboard.press(key)
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: join(out, `${name}.png`) })
    await page.close()
    console.log(`docs/screenshots/${name}.png`)
  }
} finally {
  await browser.close()
  server.kill()
  rmSync(data, { recursive: true, force: true })
}
