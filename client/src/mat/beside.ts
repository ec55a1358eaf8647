import type { Box } from './view'

/** Between two boards, mm. */
export const gapMm = 12

/** A board that would draw the one worked on smaller than this share of its size stays out of view. */
export const leastShare = 0.7

/** How far a board is moved on the mat, mm; null where it stays out of view. */
export type Moved = { dx: number; dy: number } | null

const wide = (b: Box) => b.maxX - b.minX
const high = (b: Box) => b.maxY - b.minY
const middle = (b: Box) => ({ x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 })
const fits = (b: Box, width: number, height: number) => Math.min(width / wide(b), height / high(b))

const both = (a: Box, b: Box): Box => ({
  minX: Math.min(a.minX, b.minX),
  minY: Math.min(a.minY, b.minY),
  maxX: Math.max(a.maxX, b.maxX),
  maxY: Math.max(a.maxY, b.maxY),
})

export const moved = (b: Box, dx: number, dy: number): Box => ({
  minX: b.minX + dx,
  minY: b.minY + dy,
  maxX: b.maxX + dx,
  maxY: b.maxY + dy,
})

function row(own: Box, others: Box[], width: number, height: number, below: boolean) {
  const whole = fits(own, width, height)
  let shown = own
  const at = others.map((o): Moved => {
    const [m, c] = [middle(own), middle(o)]
    const dx = below ? m.x - c.x : shown.maxX + gapMm - o.minX
    const dy = below ? shown.minY - gapMm - o.maxY : m.y - c.y
    const next = both(shown, moved(o, dx, dy))
    if (fits(next, width, height) < leastShare * whole) return null
    shown = next
    return { dx, dy }
  })
  return { at, box: shown, many: at.filter((a) => a).length, scale: fits(shown, width, height) }
}

/** The other boards under the one worked on, or beside it: whichever shows more of them, then whichever draws them larger. */
export function beside(own: Box, others: Box[], width: number, height: number): { at: Moved[]; box: Box } {
  const [under, right] = [true, false].map((below) => row(own, others, width, height, below))
  return under.many > right.many || (under.many === right.many && under.scale >= right.scale) ? under : right
}
