import { expect, test } from '@playwright/test'
import { Server } from './server'

const server = new Server()
test.beforeAll(() => server.start())
test.afterAll(() => server.stop())

test('a cooler on a socket: the slit is told, the wrong kit refused, a bare die weighed', async ({ page }) => {
  const ledger = page.getByRole('complementary', { name: 'Ledger' })
  await page.goto(`${server.address}/library/sockets/gull`)
  await expect(ledger).toContainText("The jet's slit lies along the fins")
  await expect(ledger).toContainText('7.50')
  const turns = page.getByRole('group', { name: 'Turns' })
  await turns.getByRole('button', { name: '180°' }).click()
  await expect(page.getByRole('img', { name: /turned 180°/ })).toBeVisible()

  // the other socket needs its upgrade kit; a block without one is refused in words
  const jet = await (await page.request.get(`${server.address}/api/blocks/lathe-loch-jet-p`)).json()
  const own = { ...jet, id: 'jet-gull-only', model: 'Jet G', sockets: [jet.sockets[0]] }
  expect((await page.request.post(`${server.address}/api/blocks`, { data: own })).status()).toBe(201)
  await page.getByRole('link', { name: /^Plover/ }).click()
  await expect(ledger).toContainText('Needs upgrade kit LL-PLV')
  await page.reload()
  await page.getByRole('combobox', { name: 'Block', exact: true }).selectOption({ label: 'Lathe & Loch Jet G' })
  await expect(ledger).toContainText('no upgrade kit is known')
  await expect(ledger).toContainText('Clashes')
  await page.getByRole('link', { name: /^Avocet/ }).click()
  await page.getByRole('button', { name: 'Bare die' }).click()
  await expect(ledger).toContainText('K cooler')
  await expect(ledger).toContainText('coat them and let it dry before any metal is opened')
  await expect(ledger.getByRole('img', { name: /contact at 8.20 mm with the lid, 4.10 mm without/ })).toBeVisible()
})

test('a card of two boards is drawn in the library and dropped again', async ({ page }) => {
  await page.goto(`${server.address}/library/cards/petrel-twin`)
  const ledger = page.getByRole('complementary', { name: 'Ledger' })
  await expect(ledger).toContainText('B faces A')
  await expect(page.getByRole('region', { name: 'Board B' })).toBeVisible()
  const card = await (await page.request.get(`${server.address}/api/cards/petrel-twin`)).json()
  const file = { ...card, id: 'petrel-other', model: 'Petrel Other' }
  await page.getByLabel(/Drop documents here/).setInputFiles({
    name: 'petrel-other.card.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  })
  await expect(page.getByRole('article', { name: 'petrel-other.card.json' })).toContainText('a card of 2 boards')
  await page.getByRole('button', { name: 'Keep in the library' }).click()
  await expect(page).toHaveURL(/library\/cards\/petrel-other$/)
})
