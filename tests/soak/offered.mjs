// Every call that the server offers, made up from its own description: nothing it can be asked is left out.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const lists = {
  boards: ['tern-460-r2', 'tern-480-r1', 'orrery-p8', 'soak-1', '..', '%2e%2e', 'no'],
  blocks: ['brineworks-full-460', 'lathe-loch-jet-p', 'soak-1', '%00', 'no'],
  cards: ['petrel-twin', 'no'],
  sockets: ['gull', 'plover', 'no'],
  machines: ['quay', 'no'],
  jobs: ['1', '2', '3', '4', '5', '6', '7', '8', '9', '0', '-1', '99999999999999999999', 'x'],
  signers: ['ML', 'ZZ', 'toolong', '%'],
  drawer: ['pad', 'paste', 'material', 'screw', 'tool', 'supply', 'x'],
}

/** Steps of a card's job, and what is none. */
const steps = [
  'match.label',
  'kit.count',
  'teardown.power',
  'pads.cut',
  'mount.turn-2-S6',
  'prove.leak',
  'care.date',
  'x',
]

const named = {
  by: ['QA', 'ML', 'Q', ''],
  initials: ['ML', 'ZZ'],
  stepId: steps,
  key: ['prep', 'pads', 'k1'],
  part: ['M1', 'U1', 'L1', ''],
  units: ['mm', 'inch', 'x'],
  digits: ['2.4', '3.3', '9.9', 'x'],
  phase: ['before', 'after'],
  format: ['csv', 'idf', 'dxf', 'x'],
  pair: ['P', 'Q', ''],
  board: ['A', 'B', 'tern-460-r2'],
  face: ['front', 'back'],
  at: ['2026-12-01T10:00', 'soon'],
  doneAt: ['2026-11-20T10:00:00Z', 'soon'],
  id: ['M1', 'soak-9', ''],
}

const settings = ['squashMost', 'coolantInC', 'flowLPerMin', 'repasteCapMonths', 'jigs', 'decimalMark', 'springBack']
const numbers = [0, 1, 2, 2.5, 12, 30, 60, 240, -1]
const words = ['a word', 'Soak', '1.5 mm', '', 'x'.repeat(400)]

const csv = [
  `time_s,die_c,room_c,power_w\n${Array.from({ length: 60 }, (_, i) => `${i},${40 + i / 9},21,200`).join('\n')}`,
  'what,id,face,x,y,diameterMm\nhole,H1,,1,2,2.8\noutline,,,0,0,\noutline,,,9,0,\noutline,,,9,9,\n',
  'M48\nMETRIC\nT1C2.8\n%\nT1\nX10.0Y10.0\nX20.0\nM30\n',
]

/** One described value: what may be left out sometimes is. */
function made(schema, name, d, defs, depth = 0) {
  if (!schema || depth > 8) return {}
  if (schema.$ref) return made(defs[schema.$ref.split('/').pop()], name, d, defs, depth + 1)
  const choice = schema.oneOf ?? schema.anyOf
  if (choice) return made(d.of(choice), name, d, defs, depth + 1)
  if (schema.enum) return d.of(schema.enum)
  const type = Array.isArray(schema.type) ? d.of(schema.type) : schema.type
  if (type === 'null') return null
  if (type === 'boolean') return d.chance(0.5)
  if (type === 'integer') return d.whole(6)
  if (type === 'number') return d.of(numbers)
  if (type === 'string') return d.of(named[name] ?? words)
  if (type === 'array') return Array.from({ length: d.whole(4) }, () => made(schema.items, name, d, defs, depth + 1))
  const value = {}
  for (const [key, of] of Object.entries(schema.properties ?? {}))
    if (schema.required?.includes(key) || d.chance(0.6)) value[key] = made(of, key, d, defs, depth + 1)
  if (schema.additionalProperties?.type)
    for (let k = d.whole(3); k >= 0; k--)
      value[d.of(settings)] = made(schema.additionalProperties, '', d, defs, depth + 1)
  return value
}

/** A path with its places filled from what stands before them. */
function filled(path, d) {
  const parts = path.split('/')
  return parts
    .map((part, i) => {
      if (!part.includes('{')) return part
      const value = part.includes('{stepId}')
        ? d.of(steps)
        : part.includes('{sheet}')
          ? d.of(['1', '2', '-1'])
          : d.of(lists[parts[i - 1]] ?? ['1', '2', '3', '4', 'soak-1', '%00'])
      return part.replace(/\{[^}]+\}/, value)
    })
    .join('/')
}

/** What a body may be, and how it is sent. */
function body(content, d, defs, files) {
  if (!content) return {}
  const type = d.of(Object.keys(content))
  if (type === 'application/json') return { body: made(content[type].schema, '', d, defs) }
  if (type === 'multipart/form-data') {
    const form = new FormData()
    form.append('files', new Blob([d.of(csv)]), d.of(['board.csv', 'holes.drl', '../x', 'a.dxf', '']))
    return { form }
  }
  const bytes = type.startsWith('image/')
    ? files.photo
    : type === 'application/zip'
      ? files.zip
      : Buffer.from(d.of(csv))
  return { bytes, type }
}

/** @param house - Where the description lies. */
export function offered(house) {
  const api = JSON.parse(readFileSync(join(house, 'docs', 'formats', 'openapi-v1.json'), 'utf8'))
  const photos = join(house, 'demo', 'photos')
  const files = {
    photo: readFileSync(
      join(
        photos,
        readdirSync(photos).find((f) => f.endsWith('.jpg')),
      ),
    ),
    // an archive of nothing
    zip: Buffer.from('504b0506000000000000000000000000000000000000', 'hex'),
  }
  const defs = api.components.schemas
  const verbs = ['get', 'put', 'post', 'delete']
  return Object.entries(api.paths).flatMap(([path, of]) =>
    Object.entries(of)
      .filter(([verb]) => verbs.includes(verb))
      .map(([verb, call]) => (d) => {
        const query = (call.parameters ?? [])
          .filter((p) => p.in === 'query' && (p.required || d.chance(0.6)))
          .map((p) => `${p.name}=${encodeURIComponent(String(made(p.schema, p.name, d, defs)))}`)
        const asked = filled(path, d) + (query.length > 0 ? `?${query.join('&')}` : '')
        const match = d.chance(0.5) ? String(d.whole(4)) : undefined
        return { method: verb.toUpperCase(), path: asked, match, ...body(call.requestBody?.content, d, defs, files) }
      }),
  )
}
