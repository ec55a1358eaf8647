import { describe, expect, it } from 'vitest'
import { beside, gapMm, leastShare, moved } from './beside'
import type { Box } from './view'

const box = (w: number, h: number): Box => ({ minX: -w / 2, minY: -h / 2, maxX: w / 2, maxY: h / 2 })
const scale = (b: Box, w: number, h: number) => Math.min(w / (b.maxX - b.minX), h / (b.maxY - b.minY))

describe('boards beside the one worked on', () => {
  it('lie under a wide board and beside a tall one', () => {
    expect(beside(box(260, 100), [box(260, 100)], 700, 600).at).toEqual([{ dx: 0, dy: -100 - gapMm }])
    expect(beside(box(100, 260), [box(100, 260)], 900, 500).at).toEqual([{ dx: 100 + gapMm, dy: 0 }])
  })

  it('stay out where they would make it too small to work by', () => {
    const own = box(240, 240)
    const { at, box: all } = beside(own, [box(240, 240)], 600, 600)
    expect(at).toEqual([null])
    expect(all).toEqual(own)
  })

  it('show as many as the mat holds, in their order, never over each other', () => {
    for (let w = 40; w <= 320; w += 40)
      for (let h = 30; h <= 240; h += 30) {
        const own = box(w, h)
        const others = [box(w, h), box(w / 2, h), box(w, h / 2)]
        const { at, box: all } = beside(own, others, 760, 520)
        expect(scale(all, 760, 520)).toBeGreaterThanOrEqual(leastShare * scale(own, 760, 520) - 1e-9)
        const drawn = [own, ...others.flatMap((o, i) => (at[i] ? [moved(o, at[i].dx, at[i].dy)] : []))]
        for (const [i, a] of drawn.entries())
          for (const b of drawn.slice(i + 1))
            expect(a.minX < b.maxX && b.minX < a.maxX && a.minY < b.maxY && b.minY < a.maxY).toBe(false)
      }
  })
})
