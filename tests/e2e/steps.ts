import { expect, type Page } from '@playwright/test'

const line = (page: Page) => page.getByRole('contentinfo', { name: 'Step' })

/** Waits until the step has changed or is signed, looking at every frame: retries of expect lie up to a second apart. */
export const stepDone = (page: Page, step: string | null) =>
  page.waitForFunction(
    (before) => {
      const desk = document.querySelector('[data-step]')
      const bench = document.querySelector('[data-bench]')
      const now = desk?.getAttribute('data-step') ?? bench?.getAttribute('data-bench')
      if (!now) return false
      const signed = [...(desk?.querySelectorAll('*') ?? [])].some((e) => e.textContent!.startsWith('signed '))
      return now !== before || signed || bench?.textContent?.includes('back to the desk')
    },
    step,
    { polling: 'raf' },
  )

/** Waits until the counter says so many. */
const counted = (page: Page, n: number, of: number) =>
  page.waitForFunction(
    ([n, of]) => {
      const words = document.querySelector('[role="group"][aria-label="Count"]')?.textContent ?? ''
      return new RegExp(`(^|\\D)${n}( of ${of}|, often ${of})`).test(words)
    },
    [n, of],
    { polling: 'raf' },
  )

/** Counts what the step asks for, or up to `only`, by pressing + as often. */
export async function countAll(page: Page, only = Infinity) {
  const counter = page.getByRole('group', { name: 'Count' })
  if (!(await counter.isVisible())) return
  const [at, of] = (await counter.textContent())!.match(/\d+/g)!.map(Number)
  // every press is seen before the next: the page may be busy with the last one
  for (let i = at; i < Math.min(of, only); i++) {
    await page.keyboard.press('+')
    await counted(page, i + 1, of)
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
    await stepDone(page, step)
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
    await stepDone(page, step)
  }
}

export const station = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Route' }).getByRole('link', { name: new RegExp(`^${name}`) })

/** Goes to a station and waits until its own step stands in the line: a key pressed before would be the last station's. */
export async function enter(page: Page, name: string) {
  await station(page, name).click()
  await expect(line(page)).toHaveAttribute('data-step', new RegExp(`^${name.toLowerCase()}[.@]`))
}
