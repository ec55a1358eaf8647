import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { house, Server } from './server'

const server = new Server()
const folder = mkdtempSync(join(tmpdir(), 'fb-keep-'))
test.beforeAll(() => server.start())
test.afterAll(async () => {
  await server.stop()
  rmSync(folder, { recursive: true, force: true })
})

const run = (...args: string[]) =>
  execFileSync('dotnet', [join(house, '.run/app/FaithfulBracket.Server.dll'), ...args], { encoding: 'utf8' })
const rows = (data: string) =>
  run('--data', data, '--doctor', 'look')
    .split('\n')
    .filter((l) => l.startsWith('table'))

test('a backup taken at the desk and restored into an empty folder equals the shop to the last row', async ({
  page,
}) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'QA'))
  await page.goto(`${server.address}/job/3/match`)
  await expect(page.getByRole('contentinfo', { name: 'Step' })).toHaveAttribute('data-step', 'match.label')
  await page.keyboard.press('Space')
  await expect(page.getByRole('contentinfo', { name: 'Step' })).not.toHaveAttribute('data-step', 'match.label')
  await expect
    .poll(async () => (await (await fetch(`${server.address}/api/bench`)).json()).renewing, { timeout: 60_000 })
    .toBe(0)
  await page.goto(`${server.address}/settings`)
  const kept = page.getByRole('region', { name: 'Backups' })
  await kept.getByRole('button', { name: 'Back up now' }).click()
  await expect(kept.getByRole('status')).toContainText('is written and read back')
  const [download] = await Promise.all([page.waitForEvent('download'), kept.getByRole('link').first().click()])
  const file = join(folder, 'shop.zip')
  await download.saveAs(file)
  await kept.getByRole('button', { name: 'Check data' }).click()
  await expect(kept.getByRole('list', { name: 'What was found' })).toContainText('The database is whole')
  await server.kill()
  const data = join(folder, 'new')
  expect(run('--data', data, '--restore', file)).toContain('every hash right')
  expect(rows(data)).toEqual(rows(server.data))
  // and it is a shop: the signature is there
  const again = await new Server({ data }).start()
  await page.goto(`${again.address}/job/3/match`)
  await expect(page.getByRole('contentinfo', { name: 'Step' })).not.toHaveAttribute('data-step', 'match.label')
  await again.stop()
  await server.start()
})

test('a backup that takes its time is followed, and one that is stopped is not said to be written', async ({
  page,
}) => {
  let share: number | undefined
  // as a shop with many pictures answers: not yet, look how far it is
  await page.route('**/api/keeping', async (route) => {
    const answer = await route.fetch()
    await route.fulfill({ response: answer, json: { ...(await answer.json()), writing: share } })
  })
  let written = true
  await page.route('**/api/keeping/backups', async (route) => {
    if (written) await route.fetch()
    share = 0.42
    await route.fulfill({ status: 202 })
  })
  await page.goto(`${server.address}/settings`)
  const kept = page.getByRole('region', { name: 'Backups' })
  await kept.getByRole('button', { name: 'Back up now' }).click()
  await expect(kept.getByRole('button', { name: 'Backing up, 42 %' })).toBeDisabled()
  await expect(kept.getByRole('status')).toHaveCount(0)
  share = undefined
  await expect(kept.getByRole('status')).toContainText('is written and read back')
  written = false
  await kept.getByRole('button', { name: 'Back up now' }).click()
  await expect(kept.getByRole('button', { name: 'Backing up, 42 %' })).toBeVisible()
  // stopped from another tablet: the newest is the one before
  share = undefined
  await expect(kept.getByRole('status')).toContainText('Stopped: nothing of it was kept')
  await kept.getByRole('button', { name: 'Back up now' }).click()
  const stopped = page.waitForRequest((r) => r.method() === 'DELETE' && r.url().endsWith('/backups/under-way'))
  await kept.getByRole('button', { name: 'Stop it' }).click()
  await stopped
  await expect(kept.getByRole('status')).toContainText('Stopped: nothing of it was kept')
  await page.unrouteAll({ behavior: 'wait' })
})

test('a record dropped on the library is whole, a touched one is told', async ({ page }) => {
  await page.goto(`${server.address}/job/5/care`)
  const link = page.getByRole('link', { name: 'Build record for the client' })
  const html = await (await page.request.get(server.address + (await link.getAttribute('href')))).text()
  await page.goto(`${server.address}/library`)
  const drop = async (name: string, text: string) => {
    const file = join(folder, name)
    writeFileSync(file, text)
    const data = await page.evaluateHandle(
      ([n, t]) => {
        const d = new DataTransfer()
        d.items.add(new File([t], n, { type: 'text/html' }))
        return d
      },
      [name, readFileSync(file, 'utf8')],
    )
    await page.getByRole('main').dispatchEvent('drop', { dataTransfer: data })
  }
  await drop('record.html', html)
  const told = page.getByRole('region', { name: 'Record' })
  await expect(told.getByRole('heading', { name: 'Whole' })).toBeVisible()
  await expect(told).toContainText('block lathe-loch-core-u is the same in the library')
  await told.getByRole('link', { name: 'Skua 380 with a core-only block' }).click()
  await expect(page).toHaveURL(/job\/5/)
  await page.goto(`${server.address}/library`)
  await drop('touched.html', html.replace('39.6', '36.9'))
  await expect(told.getByRole('heading', { name: 'Changed' })).toBeVisible()
  await drop('letter.html', '<p>Dear shop</p>')
  await expect(told.getByRole('heading', { name: 'No record' })).toBeVisible()
})

test('everything ever done is found, and what was done last time stands on the board', async ({ page }) => {
  await page.goto(server.address)
  await expect(page.getByText(/jobs on the benches/)).toBeVisible()
  await page.keyboard.press('Control+k')
  await page.getByLabel(/Find a job/).fill('ferry fan turned')
  const hit = page.getByRole('dialog').getByRole('button', { name: /Skua 380 with a core-only block/ })
  await expect(hit).toContainText('note:')
  await hit.click()
  await expect(page).toHaveURL(/job\/5/)
  await page.goto(`${server.address}/library/boards/skua-380-r1`)
  await expect(page.getByText('What was done on this board')).toBeVisible()
  await expect(page.getByRole('complementary', { name: 'Ledger' })).toContainText('K cooler')
  await page.goto(`${server.address}/job/1/match`)
  await expect(page.getByText('Last time on this board')).toBeVisible()
})
