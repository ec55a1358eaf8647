import type { Block, Placement } from '../api/client'

/** A point or outline of the block in the board frame: rotate about the block's origin, then translate. */
export function placed(p: Placement, points: number[][]): number[][] {
  const r = (p.rotationDeg * Math.PI) / 180
  const [s, c] = [Math.sin(r), Math.cos(r)]
  return points.map(([x, y]) => [c * x - s * y + p.xMm, s * x + c * y + p.yMm])
}

export const identity: Placement = { xMm: 0, yMm: 0, rotationDeg: 0 }

/** The driver the block's kit names for a thread; nothing where it names none. */
export const driverOf = (block: Block, thread?: string | null) =>
  block.kit?.screws.find((s) => s.thread === thread)?.driver ?? ''

export const holesOf = (block: Block) => block.plates.flatMap((p) => p.holes)
