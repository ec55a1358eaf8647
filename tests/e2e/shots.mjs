// Pictures of every main view, from the demo data: node shots.mjs <server.dll> <house>

import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'

const [dll, house] = process.argv.slice(2)
const out = join(house, 'docs/screenshots')
const data = mkdtempSync(join(tmpdir(), 'fb-shots-'))
let address = ''
const truth = JSON.parse(readFileSync(join(house, 'demo/photos/dunlin-bench.truth.json'), 'utf8'))
/** The demo photo with its holes clicked and its die drawn. */
async function traced(page) {
  const area = await page.getByRole('application').boundingBox()
  const perPx = Math.max(2000 / area.width, 1500 / area.height)
  const at = ([u, v]) => [area.x + area.width / 2 + (u - 1000) / perPx, area.y + area.height / 2 + (v - 750) / perPx]
  await page.keyboard.press('h')
  for (const [i, h] of truth.holes.entries()) {
    await page.mouse.click(...at(h.px))
    await page.getByRole('heading', { name: `${i + 1} holes and parts` }).waitFor()
  }
  await page.keyboard.press('p')
  const die = truth.parts.find((p) => p.kind === 'Die')
  await page.mouse.move(...at(die.corners[0]))
  await page.mouse.down()
  await page.mouse.move(...at([1000, 700]))
  await page.mouse.move(...at(die.corners[2]))
  await page.mouse.up()
  await page.getByLabel('height by caliper, mm').fill(String(die.heightMm))
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name: 'Blocks by verdict' }).waitFor()
  await page.waitForTimeout(500)
  await page.keyboard.press('m')
}
/** A card turned by a quarter, one capacitor taller, three parts not measured. */
async function twin(page) {
  const board = await (await page.request.get(`${address}/api/boards/tern-460-r2`)).json()
  const at = (x, y) => `${(40 - y).toFixed(2)} ${(7 + x).toFixed(2)}`
  const seen = [
    ...board.holes.slice(1).map((h) => `hole ${at(h.x, h.y)} ${h.diameterMm}`),
    ...board.parts
      .filter((p) => p.face !== 'back' && p.kind !== 'empty')
      .slice(3)
      .map((p) => `part ${at(p.x, p.y)} ${(p.heightMm + (p.id === 'C21' ? 0.4 : 0)).toFixed(2)} ${p.kind}`),
  ]
  await page.getByLabel('Holes and parts').fill(seen.join('\n'))
  await page.getByRole('button', { name: 'Find its twin' }).click()
  await page.getByText('Capacitor C21 stands').waitFor()
}
/** A block that nobody described, begun from its board, its lands read down to. */
async function describe(page) {
  await page.getByRole('button', { name: 'Describe a block for it' }).click()
  await page.getByLabel('maker, from the box').fill('Quayside')
  await page.getByLabel('model').fill('Weir 460')
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('button', { name: /Tried by hand/ }).click()
  await page.getByLabel('reading of the die land').fill('3.00')
  const readings = ['2.79', '2.79', '2.80', '2.44', '5.59', '2.49']
  const cells = page.getByLabel(/^gauge reading of/)
  for (const [i, mm] of readings.entries()) await cells.nth(i).fill(mm)
  await page.getByRole('button', { name: 'Take 6 steps into the block' }).click()
  await page
    .getByText(/^Seats/)
    .first()
    .waitFor()
  await page.getByLabel('Ledger').evaluate((e) => e.scrollTo(0, 120))
}
const views = [
  ['benches', '/'],
  ['match', '/job/8/match'],
  ['kit', '/job/1/kit'],
  ['teardown', '/job/6/teardown'],
  ['prep', '/job/1/prep'],
  [
    'pads',
    '/job/1/pads',
    'paper',
    [],
    async (page) => {
      await page.locator('[data-pad="M1"]').click()
      await page.getByRole('button', { name: 'Section along x' }).click()
      await page.getByRole('region', { name: 'Section' }).getByRole('img').waitFor()
      await page.waitForTimeout(400)
    },
  ],
  [
    'paste',
    '/job/1/paste',
    'paper',
    [],
    async (page) => {
      await page.getByRole('button', { name: 'Compare patterns' }).click()
      await page
        .getByRole('region', { name: 'Cross', exact: true })
        .getByText(/^covered/)
        .waitFor()
      await page.waitForTimeout(2500)
    },
  ],
  ['mount', '/job/7/mount'],
  ['prove', '/job/22/prove', 'paper', [], (page) => page.getByRole('list', { name: 'Suspects' }).waitFor()],
  ['care', '/job/23/care'],
  ['bench-mount', '/job/1/mount/bench', 'night', ['ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight']],
  ['describe', '/library/boards/tern-460-r2', 'paper', [], describe],
  ['library-board', '/library/boards/dunlin-250-traced'],
  ['socket', '/job/9/match', 'paper', [], (page) => page.getByText('slit to be turned').first().waitFor()],
  [
    'bare-die',
    '/job/11/match',
    'paper',
    [],
    async (page) => {
      await page.getByRole('button', { name: 'Lid on beside lid off' }).click()
      await page.getByRole('region', { name: 'Lid on beside lid off' }).getByText('With its lid').waitFor()
    },
  ],
  ['drawer', '/drawer'],
  ['trace', '/library/trace/1', 'paper', [], traced],
  ['twin', '/library/twin', 'paper', [], twin],
]
/** One mat of each kind of work, side by side on one sheet. */
const kinds = [
  'twin-board',
  'two-dies',
  'workstation',
  'plug-in-module',
  'back-plate',
  'machine',
  'mainboard-one-piece',
  'mainboard-split',
  'mainboard-bridged',
  'memory',
  'console',
]
async function contactSheet(browser) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
  await page.addInitScript(() => localStorage.setItem('fb.theme', 'paper'))
  const { jobs } = await (await page.request.get(`${address}/api/bench`)).json()
  const mats = []
  for (const kind of kinds) {
    const job = jobs.findLast((j) => j.kind === kind)
    await page.goto(`${address}/job/${job.id}/match`)
    await page.getByRole('complementary', { name: 'Ledger' }).getByRole('heading', { level: 2 }).waitFor()
    await page.waitForTimeout(900)
    const mat = await page.getByRole('main', { name: 'Mat' }).screenshot()
    mats.push({ words: `${job.kindName}: ${job.boardName}`, src: `data:image/png;base64,${mat.toString('base64')}` })
  }
  await page.setViewportSize({ width: 1280, height: 900 })
  await page.setContent(
    `<style>body{margin:0;padding:14px;background:#d8ded4;font:600 14px 'Atkinson Hyperlegible',Verdana,sans-serif;color:#1d2a2e;
    display:grid;grid-template-columns:repeat(4,1fr);gap:12px}figure{margin:0}img{width:100%;display:block;box-shadow:0 0 0 1px #b9bfae}
    figcaption{padding:5px 2px;line-height:1.2;height:34px;overflow:hidden}</style>${mats
      .map((m) => `<figure><img src="${m.src}"><figcaption>${m.words}</figcaption></figure>`)
      .join('')}`,
  )
  await page.waitForTimeout(300)
  await page.screenshot({ path: join(out, 'kinds.png'), fullPage: true })
  await page.close()
  console.log('docs/screenshots/kinds.png')
}
mkdirSync(out, { recursive: true })
const server = spawn(
  'dotnet',
  [
    dll,
    '--urls',
    'http://127.0.0.1:0',
    '--data',
    data,
    '--demo',
    join(house, 'demo'),
    '--client',
    join(house, 'client/dist'),
  ],
  { stdio: ['ignore', 'pipe', 'inherit'] },
)
address = await new Promise((ready) => {
  let said = ''
  server.stdout.on('data', (d) => {
    said += String(d)
    const at = /Now listening on: (http:\S+)/.exec(said)
    if (at && said.includes('Application started')) ready(at[1])
  })
})
// the day is told by the clock: the shop is open around now, whenever the pictures are made
const hour = new Date().getHours()
await fetch(`${address}/api/settings`, {
  method: 'PUT',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({
    values: { dayFromH: Math.max(0, hour - 5), dayToH: Math.min(24, hour + 7), daysAWeek: 7 },
    reason: 'open while the pictures are made',
    by: 'QA',
  }),
})
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})
try {
  for (const file of readdirSync(out)) rmSync(join(out, file))
  for (const [name, path, theme = 'paper', keys = [], act] of views) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' })
    await page.addInitScript((t) => localStorage.setItem('fb.theme', t), theme)
    await page.goto(address + path)
    await page.locator('main, [role=application], svg, table').first().waitFor()
    await page
      .getByText(/^Loading /)
      .first()
      .waitFor({ state: 'detached' })
    await page.waitForTimeout(900)
    if (act) await act(page)
    for (const key of keys) await page.keyboard.press(key)
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: join(out, `${name}.png`) })
    await page.close()
    console.log(`docs/screenshots/${name}.png`)
  }
  await contactSheet(browser)
} finally {
  await browser.close()
  server.kill()
  rmSync(data, { recursive: true, force: true })
}
