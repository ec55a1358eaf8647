// node soak.mjs SERVER.dll HOUSE [minutes] [seed] [longest answer in seconds] [hands] [requests a life] [kills at most]:
// spoilt inputs over every call, kills, two hands at once.
// Nothing acknowledged may be lost, nothing may answer 5xx or take over five seconds, and memory may not grow.
import { calls, corpus } from './calls.mjs'
import { Draws, spoilt } from './mutate.mjs'
import { Shop } from './shop.mjs'

const [dll, house, minutes = '2', seed = '1', mostSeconds = '5', hands = '3', life = '700', mostKills = 'Infinity'] =
  process.argv.slice(2)
const d = new Draws(Number(seed))
const all = calls(corpus(house))
const shop = await new Shop(dll, house).start()
const end = Date.now() + Number(minutes) * 60_000
const mostMb = 700
const lifeRequests = Number(life)
const totals = { requests: 0, inputs: 0, kills: 0, races: 0, signed: 0, notes: 0 }
const answers = new Map()
const failures = []
/** What the server said it had kept: job, kind, and the words or step that must be found again. */
const kept = []
let slowest = { seconds: 0 }

function fail(what, sent) {
  failures.push({ what, sent })
  console.log(`FAILED ${what}\n${sent}\n`)
}

function describe(r, bytes) {
  return `${r.method} ${r.path}${r.type ? ` (${r.type})` : ''}\n${bytes ? bytes.toString('utf8').slice(0, 1500) : ''}`
}

const types = [
  ...Array(14).fill('application/json'),
  'application/json; charset=utf-8',
  'application/json; charset=utf-16',
  'application/json; charset=klingon',
  'text/plain',
  'application/x-www-form-urlencoded',
  '',
]

async function ask(r, bytes) {
  const headers = {}
  if (bytes && r.type !== '') headers['content-type'] = r.type ?? 'application/json'
  if (r.match !== undefined) headers['if-match'] = `"${r.match}"`
  const from = performance.now()
  try {
    const response = await fetch(shop.address + r.path, { method: r.method, headers, body: bytes })
    const text = await response.text()
    const seconds = (performance.now() - from) / 1000
    totals.requests++
    answers.set(response.status, (answers.get(response.status) ?? 0) + 1)
    if (seconds > slowest.seconds) slowest = { seconds, at: `${r.method} ${r.path}` }
    if (seconds > Number(mostSeconds)) fail(`took ${seconds.toFixed(1)} s`, describe(r, bytes))
    const type = response.headers.get('content-type') ?? ''
    if (response.status >= 500 && response.status !== 503) {
      // what the server says of it in its log comes a moment later
      await new Promise((said) => setTimeout(said, 100))
      fail(`answered ${response.status}`, `${describe(r, bytes)}\n${shop.log.slice(-4000)}`)
    }
    let json
    if (type.includes('json') && !type.includes('ndjson') && text !== '')
      try {
        json = JSON.parse(text)
      } catch {
        fail(`answered ${response.status} with no JSON: ${text.slice(-80)}`, describe(r, bytes))
      }
    return { status: response.status, json }
  } catch (e) {
    if (!dying) fail(`no answer: ${e.cause?.code ?? ''} ${e.cause?.message ?? e.message}`, describe(r, bytes))
    return { status: 0 }
  }
}

let dying = false

async function one() {
  totals.inputs++
  const r = d.of(all)(d)
  r.type = d.of(types)
  const bytes = r.body === undefined ? undefined : spoilt(d, r.body, d.of([0, 1, 1, 1, 2, 3, 6]))
  await ask(r, bytes)
}

/** A note with words of its own: once acknowledged it is there for good. */
async function note() {
  const job = 1 + d.whole(6)
  const text = `soak ${seed}-${totals.notes++}`
  const said = await ask(
    { method: 'POST', path: `/api/jobs/${job}/notes` },
    Buffer.from(JSON.stringify({ by: 'QA', text })),
  )
  if (said.status >= 200 && said.status < 300) kept.push({ job, text })
}

async function sign(job, step, version, key) {
  return ask(
    { method: 'POST', path: `/api/jobs/${job}/steps/${step}/sign`, match: version },
    Buffer.from(JSON.stringify({ by: 'QA', overrideReason: 'soak', key })),
  )
}

/** Two hands sign the same step at once: one wins, the other is told; the same key is the same signature. */
async function race() {
  const job = 1 + d.whole(6)
  const view = await ask({ method: 'GET', path: `/api/jobs/${job}` })
  const open = (view.json?.steps ?? []).filter((s) => !s.signed)
  if (open.length === 0) return
  const step = open[0]
  totals.races++
  const key = d.chance(0.5) ? `soak-${seed}-${totals.races}` : undefined
  const [a, b] = await Promise.all([
    sign(job, step.stepId, step.version, key),
    sign(job, step.stepId, step.version, key),
  ])
  const won = [a, b].filter((x) => x.status >= 200 && x.status < 300).length
  if (!key && won > 1) fail('two hands signed one step', `${job} ${step.stepId}`)
  if (key && won === 1) fail(`one key was answered ${a.status} and ${b.status}`, `${job} ${step.stepId}`)
  if (won > 0) {
    totals.signed++
    kept.push({ job, step: step.stepId })
  }
}

async function killed(work) {
  await shop.kill()
  totals.kills++
  await Promise.all(work)
  await shop.start()
  dying = false
  await proveKept()
  if (totals.kills % 50 === 0)
    console.log(
      `${new Date().toISOString()} ${totals.inputs} inputs, ${totals.kills} kills, slowest ${slowest.seconds.toFixed(2)} s, ${failures.length} failed`,
    )
}

async function proveKept() {
  const views = new Map()
  for (const k of kept) {
    if (!views.has(k.job)) {
      const view = (await ask({ method: 'GET', path: `/api/jobs/${k.job}` })).json
      views.set(k.job, JSON.stringify(view?.history ?? []) + JSON.stringify(view?.notes ?? []))
    }
    if (!views.get(k.job).includes(k.text ?? k.step)) fail(`lost after a kill: ${k.text ?? k.step}`, `job ${k.job}`)
  }
}

while (Date.now() < end && failures.length < 20 && totals.kills < Number(mostKills)) {
  const work = Array.from({ length: Number(hands) }, () => {
    const draw = d.next()
    return draw < 0.9 ? one() : draw < 0.96 ? note() : race()
  })
  // killed in the middle of what is under way
  if (totals.requests > shop.starts * lifeRequests) {
    dying = true
    await Promise.race(work)
    await killed(work)
  }
  await Promise.all(work)
  if (!shop.alive && !dying) {
    fail('the server ended', shop.log.slice(-2000))
    break
  }
  if (shop.memoryMb() > mostMb) {
    fail(`holds ${shop.memoryMb().toFixed(0)} MB`, '')
    break
  }
}
if (shop.alive) await proveKept()
const memory = shop.memoryMb()
await shop.end()

console.log(
  `seed ${seed}: ${totals.requests} requests (${totals.inputs} spoilt inputs), ${totals.kills} kills, ${totals.races} races, ${totals.signed} signed, ${kept.length} acknowledged and found again`,
)
console.log(
  `answers ${[...answers]
    .sort((a, b) => a[0] - b[0])
    .map(([s, n]) => `${s}: ${n}`)
    .join(', ')}`,
)
console.log(
  `slowest ${slowest.seconds.toFixed(2)} s (${slowest.at}); memory ${memory.toFixed(0)} MB at the end, ${shop.peakMb.toFixed(0)} MB at most`,
)
console.log(`soak: ${failures.length === 0 ? 'nothing failed' : `${failures.length} failed`}`)
process.exit(failures.length === 0 ? 0 : 1)
