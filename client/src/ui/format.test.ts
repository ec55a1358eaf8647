import { expect, test } from 'vitest'
import { figuresIn } from './format'

test('a figure stays on one line with its unit, and with nothing else', () => {
  const said = (text: string) =>
    figuresIn(text)
      .map((t, i) => (i % 2 ? t.replace(' ', '_') : t))
      .join('')
  expect(said('film up to 35 µm, squash 28 %, 3.9 K over its land')).toBe(
    'film up to 35_µm, squash 28_%, 3.9_K over its land',
  )
  expect(said('284 N of 450, 1.2 MPa on 60 mm² in 5 min at 40 °C')).toBe(
    '284_N of 450, 1.2_MPa on 60_mm² in 5_min at 40_°C',
  )
  expect(said('2 screws, 3 more, 5 minutes, 4 kits, hole 7 stays')).toBe(
    '2 screws, 3 more, 5 minutes, 4 kits, hole 7 stays',
  )
})
