import { expect, it } from 'vitest'
import { fitted, laid, type Spot } from './underlay'

it('lays a picture so that two spots lie where they are, without stretching it', () => {
  const u = laid('x', 400, 200, 0.5, [10, 20])
  const at = (v: typeof u, px: Spot): Spot => [
    v.origin[0] + px[0] * v.right[0] + px[1] * v.down[0],
    v.origin[1] + px[0] * v.right[1] + px[1] * v.down[1],
  ]
  expect(at(u, [200, 100])).toEqual([10, 20])
  const [a, b]: Spot[] = [
    [30, 40],
    [350, 160],
  ]
  const to: [Spot, Spot] = [
    [-29, 31],
    [44.5, -7.25],
  ]
  const moved = fitted(u, [at(u, a), at(u, b)], to)
  for (const [px, where] of [
    [a, to[0]],
    [b, to[1]],
  ] as const) {
    expect(at(moved, px)[0]).toBeCloseTo(where[0], 9)
    expect(at(moved, px)[1]).toBeCloseTo(where[1], 9)
  }
  expect(Math.hypot(...moved.right)).toBeCloseTo(Math.hypot(...moved.down), 12)
  expect(moved.right[0] * moved.down[0] + moved.right[1] * moved.down[1]).toBeCloseTo(0, 12)
})
