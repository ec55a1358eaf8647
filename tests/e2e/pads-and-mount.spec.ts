import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, type Page, test } from '@playwright/test'
import { house, Server } from './server'
import { signBench } from './steps'

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
  await ledger(page).getByRole('button', { name: 'as calculated' }).click()
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
    if ((await left.count()) === 0) continue
    await left.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByRole('button', { name: `Turn S${screw}, home` })).toBeVisible()
  }
  await expect(bar).toContainText(/Score \d+/)
  expect(Number((await bar.textContent())!.match(/Score (\d+)/)![1])).toBeLessThan(80)
  await bar.getByRole('button', { name: 'Start again' }).click()
  await expect(bar).toContainText('To beat')
})

test('the bow of the mounted board is told with and without its back plate', async ({ page }) => {
  await page.goto(`${server.address}/job/1/mount`)
  await expect(ledger(page)).toContainText(/The board bows 0\.\d\d mm/)
  await expect(ledger(page).getByRole('img', { name: /^with back plate/ })).toBeVisible()
  await ledger(page)
    .getByRole('group', { name: 'Bow on the mat' })
    .getByRole('button', { name: 'with back plate', exact: true })
    .click()
  await expect(page.getByRole('img', { name: /^Bow with back plate, peak/ })).toBeVisible()
})

test('1.5 for 1.0 at the memory floats the block, and the application says so', async ({ page }) => {
  // the same cover held by its four spring screws alone
  const block = JSON.parse(readFileSync(join(house, 'demo/blocks/brineworks-full-460.block.json'), 'utf8')) as {
    id: string
    model: string
    backPlate: unknown
    plates: { holes: { spring: unknown }[] }[]
  }
  Object.assign(block, { id: 'brineworks-open-460', model: 'Open 460', backPlate: null })
  block.plates[0].holes = block.plates[0].holes.filter((h) => h.spring)
  await page.request.post(`${server.address}/api/blocks`, { data: block })
  const job = (await (
    await page.request.post(`${server.address}/api/jobs`, {
      data: { title: 'Four screws', bench: 'Bench A', boardId: 'tern-460-r2', blockId: block.id, by: 'QA' },
    })
  ).json()) as { id: number }
  await page.goto(`${server.address}/job/${job.id}/pads`)
  await ledger(page).getByRole('button', { name: /A/ }).first().click()
  const swap = ledger(page).getByRole('button', { name: /^1\.5 soft-3/ })
  await expect(swap).toContainText(/floats: film up to \d+ µm/)
  await swap.click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).toHaveText('The block floats')
  await expect(page.getByRole('navigation', { name: 'Route' })).toContainText('the block floats')
  await ledger(page).getByRole('button', { name: 'as calculated' }).click()
  await expect(ledger(page).getByRole('heading', { level: 2 })).not.toHaveText('The block floats')
})

test('a pad laid wrong is told by what is seen and felt', async ({ page }) => {
  await page.goto(`${server.address}/job/1/pads`)
  await ledger(page).getByRole('button', { name: /A/ }).first().click()
  const faults = ledger(page).getByRole('group', { name: 'What if this pad is laid wrong' })
  await faults.getByRole('button', { name: 'film on both' }).click()
  await expect(faults).toContainText(/M1 stands \d+ K over its land instead of \d+/)
  await faults.getByRole('button', { name: 'missed' }).click()
  await expect(faults).toContainText('M1 touches nothing')
})

test('two clicks cut a section, with its gaps in figures', async ({ page }) => {
  await page.goto(`${server.address}/job/1/pads`)
  await expect(ledger(page).getByRole('button', { name: 'Cut a section' })).toBeVisible()
  await page.keyboard.press('x')
  const mat = page.getByRole('main', { name: 'Mat' })
  const area = (await mat.boundingBox())!
  await page.mouse.click(area.x + 40, area.y + area.height * 0.3)
  await page.mouse.click(area.x + area.width - 40, area.y + area.height * 0.3)
  const section = page.getByRole('region', { name: 'Section' })
  await expect(section).toContainText(/heights drawn \d+ times as tall/)
  await expect(section.getByRole('img')).toBeVisible()
  await section.getByRole('button', { name: 'Close the section' }).click()
  await expect(section).toBeHidden()
  // by keyboard: through the selected pad
  await ledger(page).getByRole('button', { name: /A/ }).first().click()
  await ledger(page).getByRole('button', { name: 'Section along x' }).click()
  await expect(section).toContainText(/M1: gap 0\.\d\d mm, 1\.0 mm pad squashed \d+ %/)
})

test('the printed sheet is true to a fifth of a millimetre, on both papers', async ({ page }) => {
  const folder = mkdtempSync(join(tmpdir(), 'fb-print-'))
  for (const paper of ['A4', 'Letter']) {
    await page.goto(`${server.address}/job/1/cutting`)
    await page.getByLabel('Paper', { exact: true }).selectOption(paper)
    await expect(page.getByRole('img', { name: /^Cutting sheet 1/ })).toBeVisible()
    const file = join(folder, `${paper}.pdf`)
    writeFileSync(file, await page.pdf({ preferCSSPageSize: true }))
    const dpi = 600
    execFileSync('pdftoppm', ['-r', String(dpi), '-f', '1', '-l', '1', '-gray', file, join(folder, paper)])
    const picture = readPgm(
      readFileSync(
        join(
          folder,
          execFileSync('ls', [folder])
            .toString()
            .split('\n')
            .find((f) => f.startsWith(paper) && f.endsWith('.pgm'))!,
        ),
      ),
    )
    const mm = (px: number) => (px / dpi) * 25.4
    const [w, h] = paper === 'A4' ? [210, 297] : [215.9, 279.4]
    expect(Math.abs(mm(picture.width) - w)).toBeLessThan(0.2)
    expect(Math.abs(mm(picture.height) - h)).toBeLessThan(0.2)
    // the check bar: the lowest long dark run between two short uprights
    const bar = longRuns(picture, 45, 56, mm)
    expect(bar.length).toBeGreaterThan(0)
    expect(Math.min(...bar.map((b) => Math.abs(b - 50)))).toBeLessThan(0.2)
  }
})

test('a bar that measured short corrects the next print', async ({ page }) => {
  await page.goto(`${server.address}/job/1/cutting`)
  await page.getByLabel('The 50 mm bar measures on paper, mm').fill('49')
  await expect(page.getByText('Corrected by 2.0 %')).toBeVisible()
  const svg = await (
    await page.request.get(
      `${server.address}${await page.getByRole('img', { name: /^Cutting sheet 1/ }).getAttribute('src')}`,
    )
  ).text()
  const width = (t: string) => Number(/width="([\d.]+)mm"/.exec(t)![1])
  const plain = await (await page.request.get(`${server.address}/api/jobs/1/cutting/1.svg`)).text()
  expect(width(svg) / width(plain)).toBeCloseTo(50 / 49, 4)
  await page.getByLabel('The 50 mm bar measures on paper, mm').fill('70')
  await expect(page.getByRole('alert')).toContainText('no printer')
})

test('an offcut is used up, cut by cut at the bench, and new ones are stored', async ({ page }) => {
  await page.goto(`${server.address}/job/1/pads/bench`)
  const bench = page.locator('[data-bench]')
  await expect(bench).toContainText('Cut 1: along')
  await page.keyboard.press('Space')
  await expect(bench).toContainText('Cut 2: along')
  await page.keyboard.press('Backspace')
  await expect(bench).toContainText('Cut 1: along')
  await signBench(page)

  await page.goto(`${server.address}/job/1/pads`)
  await ledger(page).getByRole('button', { name: 'Take the sheet off the drawer' }).click()
  await ledger(page)
    .getByRole('button', { name: /^Put \d offcuts? in the drawer/ })
    .first()
    .click()
  await expect(ledger(page)).toContainText(/offcuts? lies? in the drawer/)
  await page.goto(`${server.address}/drawer`)
  await expect(page.getByRole('main', { name: 'Drawer' })).not.toContainText('62 × 28')
  await expect(page.getByRole('row', { name: /soft-3.*offcut/ }).first()).toBeVisible()

  // the drawer knows what it was for, and takes what else was used
  await page.goto(`${server.address}/job/1/care`)
  const out = ledger(page).getByRole('list', { name: 'Out of the drawer' })
  await expect(out).toContainText('soft-3')
  await ledger(page).getByRole('button', { name: 'Take it out of the drawer' }).click()
  await ledger(page).getByLabel('Another line of the drawer').selectOption({ label: 'port plug' })
  await ledger(page).getByLabel('Used of port plug').fill('999')
  await ledger(page).getByRole('button', { name: 'Take it out', exact: true }).click()
  await expect(ledger(page).getByRole('alert')).toContainText('lie there, not 999')
  await ledger(page).getByLabel('Used of port plug').fill('1')
  await ledger(page).getByRole('button', { name: 'Take it out', exact: true }).click()
  await expect(out).toContainText('1 port plug, used by')
})

interface Pgm {
  width: number
  height: number
  at: (x: number, y: number) => number
}

function readPgm(bytes: Buffer): Pgm {
  const head = /^P5\s+(\d+)\s+(\d+)\s+\d+\s/.exec(bytes.subarray(0, 60).toString('latin1'))!
  const [width, height] = [Number(head[1]), Number(head[2])]
  return { width, height, at: (x, y) => bytes[head[0].length + y * width + x] }
}

/** Lengths of dark horizontal runs within bounds, mm. */
function longRuns(p: Pgm, least: number, most: number, mm: (px: number) => number) {
  const found: number[] = []
  for (let y = 0; y < p.height; y++) {
    let from = -1
    for (let x = 0; x <= p.width; x++) {
      const dark = x < p.width && p.at(x, y) < 110
      if (dark && from < 0) from = x
      if (!dark && from >= 0) {
        const length = mm(x - from)
        if (length > least && length < most) found.push(length)
        from = -1
      }
    }
  }
  return found
}
