// Seeded draws, and what can be wrong with a JSON body.

/** Mulberry32: the same seed, the same run. */
export class Draws {
  constructor(seed) {
    this.state = seed >>> 0
  }
  next() {
    this.state = (this.state + 0x6d2b79f5) | 0
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  whole(n) {
    return Math.floor(this.next() * n)
  }
  of(list) {
    return list[this.whole(list.length)]
  }
  chance(p) {
    return this.next() < p
  }
}

/** Text put into a body as it stands, past what a JSON writer would write. */
const raw = (text) => ({ [RAW]: text })
const RAW = '\u0001raw'

const numbers = [0, -0, -1, 1, 1e-300, 1e300, -1e308, 0.1 + 0.2, 2 ** 53, 2 ** 31, -(2 ** 63), 1e-9, 400, 1e6]
const texts = [
  '',
  ' ',
  '..',
  '../..',
  '.',
  '/',
  '\0',
  'a'.repeat(300),
  'b'.repeat(30_000),
  'é\u202e',
  '%00',
  "'; --",
  'none',
  'U1',
  '🧪',
]
const raws = [
  'NaN',
  '1e999',
  '-1e999',
  '"\\ud800"',
  '"\\udc00x"',
  '1.',
  '01',
  'tru',
  '{"a":1,"a":2}',
  '[[[[[[[[]]]]]]]]',
  '1e-999',
  '"\\u0000"',
]

function anyValue(d) {
  return d.of([
    () => d.of(numbers),
    () => d.of(texts),
    () => raw(d.of(raws)),
    () => null,
    () => d.chance(0.5),
    () => [],
    () => ({}),
    () => Array.from({ length: d.of([1, 3, 700]) }, () => d.of(numbers)),
  ])()
}

/** Every place of a value: its holder and key. */
function places(value, into = []) {
  if (value && typeof value === 'object' && !(RAW in value))
    for (const key of Object.keys(value)) {
      into.push([value, key])
      places(value[key], into)
    }
  return into
}

function once(d, body) {
  const all = places(body)
  if (all.length === 0) return
  const [holder, key] = d.of(all)
  const old = holder[key]
  d.of([
    () => (Array.isArray(holder) ? holder.splice(Number(key), 1) : delete holder[key]),
    () => (holder[key] = anyValue(d)),
    () => (holder[key] = anyValue(d)),
    () => {
      if (typeof old === 'number') holder[key] = old * d.of([-1, 0, 1e-6, 1e6, 1.0000001, 0.5, 3])
    },
    () => {
      if (Array.isArray(old) && old.length > 0)
        old.push(...structuredClone(Array.from({ length: d.of([1, 2, 60]) }, () => d.of(old))))
    },
    () => {
      if (Array.isArray(holder)) holder.reverse()
      else holder[d.of(['x-new', 'notes', 'unknown', 'id', '__proto__'])] = anyValue(d)
    },
    () => {
      const [other, at] = d.of(all)
      if (other !== holder) [holder[key], other[at]] = [structuredClone(other[at]), structuredClone(old)]
    },
  ])()
}

/** The body as bytes, spoilt so many times. */
export function spoilt(d, body, times) {
  let copy = structuredClone(body)
  for (let k = 0; k < times; k++) {
    if (d.chance(0.02)) copy = anyValue(d)
    else if (copy && typeof copy === 'object') once(d, copy)
  }
  let text = JSON.stringify(copy, (_, v) => (v && typeof v === 'object' && RAW in v ? `${RAW}${v[RAW]}` : v)) ?? ''
  text = text.replaceAll(/"\\u0001raw((?:[^"\\]|\\.)*)"/g, (_, inner) => JSON.parse(`"${inner}"`))
  const bytes = Buffer.from(text)
  if (times > 0 && bytes.length > 0 && d.chance(0.05)) {
    // broken on the way: a byte flipped, the end cut off, no UTF-8
    if (d.chance(0.4)) return bytes.subarray(0, d.whole(bytes.length))
    bytes[d.whole(bytes.length)] = d.of([0, 0xff, 0xc3, 0x22, 0x7b, 0x5d])
  }
  return bytes
}

/** Bytes of a file as they are, cut short, or with some turned. */
export function broken(d, bytes) {
  if (d.chance(0.3)) return bytes
  if (d.chance(0.3)) return bytes.subarray(0, d.whole(bytes.length))
  const copy = Buffer.from(bytes)
  for (let k = d.of([1, 3, 20]); k > 0; k--) copy[d.whole(copy.length)] = d.whole(256)
  return copy
}
