import { expect, type Page } from '@playwright/test'

const line = (page: Page) => page.getByRole('contentinfo', { name: 'Step' })

/** Counts what the step asks for, or up to `only`, by pressing + as often. */
export async function countAll(page: Page, only = Infinity) {
  const counter = page.getByRole('group', { name: 'Count' })
  if (!(await counter.isVisible())) return
  const [at, of] = (await counter.textContent())!.match(/\d+/g)!.map(Number)
  // every press is seen before the next: the page may be busy with the last one
  for (let i = at; i < Math.min(of, only); i++) {
    await page.keyboard.press('+')
    await expect(counter).toContainText(new RegExp(`(^|\\D)${i + 1}( of ${of}|, often ${of})`))
  }
}

/** Signs every open step of the station on the desk, by keyboard. */
export async function signStation(page: Page) {
  for (;;) {
    const step = await line(page).getAttribute('data-step')
    if (
      await line(page)
        .getByText(/^signed /)
        .isVisible()
    )
      return
    await countAll(page)
    await page.keyboard.press('Space')
    await expect(async () => {
      const now = await line(page).getAttribute('data-step')
      expect(
        now !== step ||
          (await line(page)
            .getByText(/^signed /)
            .isVisible()),
      ).toBe(true)
    }).toPass()
  }
}

/** Signs every step in bench mode, by keyboard. */
export async function signBench(page: Page) {
  const bench = page.locator('[data-bench]')
  for (;;) {
    if (await page.getByText('back to the desk').isVisible()) return
    const step = await bench.getAttribute('data-bench')
    await countAll(page)
    await page.keyboard.press('Space')
    await expect(async () => {
      const now = await bench.getAttribute('data-bench')
      expect(now !== step || (await page.getByText('back to the desk').isVisible())).toBe(true)
    }).toPass()
  }
}

export const station = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: new RegExp(`^${name}`) })

/** Goes to a station and waits until its own step stands in the line: a key pressed before would be the last station's. */
export async function enter(page: Page, name: string) {
  await station(page, name).click()
  await expect(line(page)).toHaveAttribute('data-step', new RegExp(`^${name.toLowerCase()}[.@]`))
}
