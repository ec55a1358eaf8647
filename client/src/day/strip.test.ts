import { describe, expect, it } from 'vitest'
import { inLanes, narrowest } from './strip'

/** Numbers that come the same each time (Park and Miller 1988). */
function draws(seed: number) {
  let s = seed
  return () => {
    s = (s * 48271) % 2147483647
    return s / 2147483647
  }
}

describe('work on the strip', () => {
  it('is never narrower than a finger and never over its neighbour, at any hour and on any screen', () => {
    const next = draws(7)
    for (let shop = 0; shop < 500; shop++) {
      const pxPerMin = 0.2 + next() * 2
      let t = 0
      const work = Array.from({ length: 1 + Math.floor(next() * 25) }, () => {
        const start = t + next() * 20
        t = start + 1 + next() ** 3 * 120
        return { start, end: t }
      })
      const laid = inLanes(
        work.toSorted(() => next() - 0.5),
        (m) => 64 + m * pxPerMin,
      )
      expect(laid).toHaveLength(work.length)
      for (const [i, a] of laid.entries()) {
        expect(a.width).toBeGreaterThanOrEqual(narrowest)
        for (const b of laid.slice(i + 1))
          if (a.lane === b.lane) expect(a.left + a.width <= b.left || b.left + b.width <= a.left).toBe(true)
      }
    }
  })

  it('lies in one lane while there is room', () => {
    const hours = [8, 9, 10.5, 13].map((h) => ({ start: h * 60, end: h * 60 + 45 }))
    expect(inLanes(hours, (m) => m * 1.5).map((w) => w.lane)).toEqual([0, 0, 0, 0])
  })

  it('goes below where it would lie on what comes before, and back up after', () => {
    const short = [0, 10, 20, 60].map((m) => ({ start: m, end: m + 5 }))
    expect(inLanes(short, (m) => m).map((w) => w.lane)).toEqual([0, 1, 2, 0])
  })
})
