import { fetched } from '../../api/client'
import type { DocumentPath } from '../documents'

/** As much of a JSON schema as a form needs. */
export interface Shape {
  $ref?: string
  type?: string | string[]
  enum?: (string | number | null)[]
  properties?: Record<string, Shape>
  items?: Shape | false
  prefixItems?: Shape[]
  required?: string[]
  description?: string
}

const singular = { boards: 'board', blocks: 'block', cards: 'card', sockets: 'socket', machines: 'machine' }

/** The published shape of a kind of documents, with the shapes that it names in place. */
export const shapeOf = async (what: DocumentPath): Promise<Shape> => {
  const shape = await fetched<Shape>(`/formats/${singular[what]}-1.schema.json`)
  if (what === 'cards') {
    const entry = shape.properties?.boards?.items || undefined
    if (entry?.properties) entry.properties.board = await shapeOf('boards')
  }
  return shape
}

export const isType = (s: Shape, type: string) => (Array.isArray(s.type) ? s.type.includes(type) : s.type === type)

/** The shape at a pointer. */
export const shapeAt = (root: Shape, pointer: string): Shape | undefined =>
  keysOf(pointer).reduce<Shape | undefined>(
    (s, k) => (s?.items && /^\d+$/.test(k) ? s.items : s?.properties?.[k]),
    root,
  )

export const keysOf = (pointer: string) => (pointer ? pointer.slice(1).split('/') : [])

// biome-ignore lint/suspicious/noExplicitAny: a document of any kind
export type Json = any

export const valueAt = (root: Json, pointer: string): Json => keysOf(pointer).reduce((v, k) => v?.[k], root)

const units: [RegExp, string][] = [
  [/Mm2KPerW$/, 'mm²·K/W'],
  [/NPerMm$/, 'N/mm'],
  [/KPerW$/, 'K/W'],
  [/WPerMK$/, 'W/(m·K)'],
  [/MPa$/, 'MPa'],
  [/Mm$/, 'mm'],
  [/Deg$/, '°'],
  [/Nm$/, 'N·m'],
  [/N$/, 'N'],
  [/W$/, 'W'],
  [/C$/, '°C'],
  [/G$/, 'g'],
]

/** A field's name in words with its unit: heightTolMm is "height tol, mm". */
export const labelOf = (key: string) => {
  const unit = units.find(([end]) => end.test(key))
  const words = (unit ? key.replace(unit[0], '') : key)
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .replace(/\btol\b/, '±')
  return unit ? `${words}, ${unit[1]}` : key === 'x' || key === 'y' ? `${key}, mm` : words
}
