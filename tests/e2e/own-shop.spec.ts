import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { house, Server } from './server'

const server = new Server({ own: true })
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('an empty shop says what to begin with until it is done, and takes no figure of a stand-in', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('fb.initials', 'EG'))
  await page.goto(server.address)
  const begin = page.getByRole('region', { name: 'To begin with' })
  await expect(begin.getByRole('img', { name: 'to be done' })).toHaveCount(3)
  await expect(page.getByText('demo shop, made up')).toHaveCount(0)
  await begin.getByRole('link', { name: 'The first block' }).click()
  for (const name of ['boards/tern-460-r2.board.json', 'blocks/brineworks-full-460.block.json']) {
    await page.locator('nav input[type=file]').setInputFiles({
      name: name.split('/')[1],
      mimeType: 'application/json',
      buffer: readFileSync(join(house, 'demo', name)),
    })
    await page.getByRole('button', { name: 'Keep in the library' }).click()
    await expect(page.getByRole('button', { name: 'Keep in the library' })).toHaveCount(0)
  }
  // whoever acts first is known from then on
  const opened = await page.request.post(`${server.address}/api/jobs`, {
    data: { title: 'My first', bench: 'A', boardId: 'tern-460-r2', blockId: 'brineworks-full-460', by: 'EG' },
  })
  expect(opened.status()).toBe(201)
  await page.goto(server.address)
  await expect(page.getByText('My first').first()).toBeVisible()
  await expect(begin).toHaveCount(0)

  await page.goto(`${server.address}/job/1/prove`)
  await page.getByRole('button', { name: 'Hold and watch' }).click()
  await expect(page.getByText('This gauge is a stand-in for practice')).toBeVisible({ timeout: 60_000 })
  await expect(page.getByRole('button', { name: 'Write it down', exact: true })).toHaveCount(0)
})
