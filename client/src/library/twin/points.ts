import { partKinds } from '../partKinds'

export interface Seen {
  holes: { x: number; y: number; diameterMm?: number }[]
  parts: { x: number; y: number; heightMm?: number; kind?: string; id?: string }[]
}

const kinds = new Set<string>(partKinds)

/** Reads "hole x y Ø" and "part x y height kind-or-name" lines; a decimal comma is a point. */
export function readPoints(text: string): [Seen, string | undefined] {
  const seen: Seen = { holes: [], parts: [] }
  for (const [i, line] of text.split('\n').entries()) {
    const words = line
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean)
    if (words.length === 0 || words[0].startsWith('#')) continue
    const number = (w: string | undefined) => (w === undefined ? undefined : Number(w.replace(',', '.')))
    const [x, y, third] = [number(words[1]), number(words[2]), number(words[3])]
    if (words[0] !== 'hole' && words[0] !== 'part') return [seen, `Line ${i + 1}: begin with hole or part.`]
    if (x === undefined || y === undefined || !Number.isFinite(x) || !Number.isFinite(y))
      return [seen, `Line ${i + 1}: x and y are numbers in mm.`]
    if (words[0] === 'hole') seen.holes.push({ x, y, ...(third ? { diameterMm: third } : {}) })
    else {
      const name = words.slice(3).find((w) => !Number.isFinite(Number(w.replace(',', '.'))))
      seen.parts.push({
        x,
        y,
        ...(third !== undefined && Number.isFinite(third) ? { heightMm: third } : {}),
        ...(name && kinds.has(name) ? { kind: name } : name ? { id: name } : {}),
      })
    }
  }
  return [seen, undefined]
}
