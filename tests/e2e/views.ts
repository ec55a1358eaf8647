import { expect, type Page } from '@playwright/test'

/** Every view of the application, by path. */
export const views: [name: string, path: string][] = [
  ['benches', '/'],
  ...['match', 'kit', 'teardown', 'prep', 'pads', 'paste', 'mount', 'prove', 'care'].map((s): [string, string] => [
    s,
    `/job/1/${s}`,
  ]),
  ['match, clash', '/job/3/match'],
  ['prove, finished', '/job/5/prove'],
  ['bench mode, teardown', '/job/2/teardown/bench'],
  ['bench mode, mount', '/job/1/mount/bench'],
  ['cutting sheets', '/job/1/cutting'],
  ['library', '/library'],
  ['board', '/library/boards/tern-460-r2'],
  ['block', '/library/blocks/brineworks-full-460'],
  ['card', '/library/cards/petrel-twin'],
  ['board, edited', '/library/boards/tern-460-r2/edit'],
  ['block, edited', '/library/blocks/brineworks-full-460/edit'],
  ['card, edited', '/library/cards/petrel-twin/edit'],
  ['machine, edited', '/library/machines/two-tern-460/edit'],
  ['socket', '/library/sockets/gull'],
  ['machine', '/library/machines/two-tern-460'],
  ['trace, start', '/library/trace'],
  ['trace', '/library/trace/1'],
  ['twin', '/library/twin'],
  ['target', '/target'],
  ['drawer', '/drawer'],
  ['labels', '/labels/job/1'],
  ['instruments', '/instruments'],
  ['settings', '/settings'],
  ['pairing', '/pair'],
  ['care, drifting', '/job/23/care'],
  ['prove, a suspect', '/job/22/prove'],
  ['restore', '/job/5/restore'],
  ['tray map', '/job/1/tray'],
  ['unknown teardown', '/job/4/teardown'],
  ['bench mode, pads', '/job/1/pads/bench'],
  ['card of two boards', '/job/7/mount'],
  ['three blocks', '/job/8/match'],
  ['machine, match', '/job/17/match'],
  ['modules, pads', '/job/20/pads'],
  ['socket, match', '/job/9/match'],
  ['socket, kit', '/job/10/kit'],
  ['bare die, prep', '/job/11/prep'],
  ['bench mode, bare die', '/job/11/prep/bench'],
]

/** Opens a view and waits until all it asked for is drawn. */
export async function see(page: Page, address: string) {
  await page.goto(address)
  await expect(page.locator('main, [data-bench]').first()).toBeVisible()
  await expect(page.getByText(/^Loading /)).toHaveCount(0)
}
