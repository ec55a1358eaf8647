/** A picture under the drawing: where its pixels lie on the board, mm. */
export interface Underlay {
  url: string
  widthPx: number
  heightPx: number
  /** Of one pixel to the right, and one down. */
  right: [number, number]
  down: [number, number]
  origin: [number, number]
}

export type Spot = [number, number]

/** Begun so that the picture is as wide as told, its middle over the middle of the board. */
export const laid = (url: string, widthPx: number, heightPx: number, mmPerPx: number, middle: Spot): Underlay => ({
  url,
  widthPx,
  heightPx,
  right: [mmPerPx, 0],
  down: [0, -mmPerPx],
  origin: [middle[0] - (widthPx * mmPerPx) / 2, middle[1] + (heightPx * mmPerPx) / 2],
})

/** Turned, moved and scaled so that two spots come to lie where they are. */
export const fitted = (u: Underlay, from: [Spot, Spot], to: [Spot, Spot]): Underlay => {
  const [ax, ay] = [from[1][0] - from[0][0], from[1][1] - from[0][1]]
  const [bx, by] = [to[1][0] - to[0][0], to[1][1] - to[0][1]]
  const square = ax * ax + ay * ay
  if (square === 0) return u
  // the quotient of the two as complex numbers: a turn and a scale in one
  const [c, s] = [(ax * bx + ay * by) / square, (ax * by - ay * bx) / square]
  const turned = ([x, y]: Spot): Spot => [c * x - s * y, s * x + c * y]
  const at = turned([u.origin[0] - from[0][0], u.origin[1] - from[0][1]])
  return { ...u, right: turned(u.right), down: turned(u.down), origin: [at[0] + to[0][0], at[1] + to[0][1]] }
}
