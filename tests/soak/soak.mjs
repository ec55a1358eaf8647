// node soak.mjs SERVER.dll HOUSE [minutes] [seed] [longest answer in seconds] [hands] [inputs a life] [kills at most]:
// spoilt inputs over every call, kills, two hands at once, two pages, wrong clocks, people who left, tablets.
// Nothing acknowledged may be lost, nothing may answer 5xx or take over five seconds, and memory may not grow.
import { readFileSync } from 'node:fs'
import { calls, corpus } from './calls.mjs'
import { broken, Draws, spoilt } from './mutate.mjs'
import { offered } from './offered.mjs'
import { People } from './people.mjs'
import { Shop } from './shop.mjs'

const [dll, house, minutes = '2', seed = '1', mostSeconds = '5', hands = '3', life = '700', mostKills = 'Infinity'] =
  process.argv.slice(2)
const d = new Draws(Number(seed))
const good = calls(corpus(house))
const every = offered(house)
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

function describe(r, sent) {
  const shown = Buffer.isBuffer(sent) ? sent.toString('utf8').slice(0, 1500) : ''
  return `${r.method} ${r.path}${r.type ? ` (${r.type})` : ''}\n${shown}`
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

/** How long a stream is listened to before it is left, ms. */
const listensMs = 200

/** What an answer says; a stream that goes on is left after its first words. */
async function said(response) {
  if (!response.headers.get('content-type')?.includes('event-stream')) return response.text()
  const reader = response.body.getReader()
  await Promise.race([reader.read(), new Promise((heard) => setTimeout(heard, listensMs))])
  await reader.cancel()
  return ''
}

/** What the machine's host has taken from the cores since it was started, s. */
const stolenS = () => Number(readFileSync('/proc/stat', 'utf8').split(/\s+/)[8]) / 100

let dying = false
let underWay = 0

async function ask(r, sent) {
  const headers = { ...r.headers }
  if (Buffer.isBuffer(sent) && r.type !== '') headers['content-type'] = r.type ?? 'application/json'
  if (r.match !== undefined) headers['if-match'] = `"${r.match}"`
  const [from, taken] = [performance.now(), stolenS()]
  underWay++
  try {
    const response = await fetch(shop.address + r.path, { method: r.method, headers, body: sent })
    const text = await said(response)
    const seconds = (performance.now() - from) / 1000
    totals.requests++
    answers.set(response.status, (answers.get(response.status) ?? 0) + 1)
    if (seconds > slowest.seconds) slowest = { seconds, at: `${r.method} ${r.path}` }
    if (seconds > Number(mostSeconds))
      fail(
        `took ${seconds.toFixed(1)} s, ${(stolenS() - taken).toFixed(1)} s of the cores taken by the host`,
        [describe(r, sent), ...shop.slowChanges.slice(-8)].join('\n'),
      )
    const type = response.headers.get('content-type') ?? ''
    if (response.status >= 500 && response.status !== 503) {
      // what the server says of it in its log comes a moment later
      await new Promise((said) => setTimeout(said, 100))
      fail(`answered ${response.status}`, `${describe(r, sent)}\n${shop.log.slice(-4000)}`)
    }
    let json
    if (type.includes('json') && !type.includes('ndjson') && text !== '')
      try {
        json = JSON.parse(text)
      } catch {
        fail(`answered ${response.status} with no JSON: ${text.slice(-80)}`, describe(r, sent))
      }
    return { status: response.status, json }
  } catch (e) {
    if (!dying) fail(`no answer: ${e.cause?.code ?? ''} ${e.cause?.message ?? e.message}`, describe(r, sent))
    return { status: 0 }
  } finally {
    underWay--
  }
}

/** Half of them good examples spoilt, half made up from what the server says it takes. */
async function one() {
  totals.inputs++
  const r = d.of(d.chance(0.5) ? good : every)(d)
  if (r.type === undefined || d.chance(0.1)) r.type = d.of(types)
  const sent =
    r.form ??
    (r.bytes ? broken(d, r.bytes) : r.body === undefined ? undefined : spoilt(d, r.body, d.of([0, 1, 1, 1, 2, 3, 6])))
  await ask(r, sent)
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
  if (key && won === 1 && a.status && b.status)
    fail(`one key was answered ${a.status} and ${b.status}`, `${job} ${step.stepId}`)
  if (won > 0) {
    totals.signed++
    kept.push({ job, step: step.stepId })
  }
}

/** Killed in the middle of what is under way, started again, and asked for all that it had acknowledged. */
async function killed() {
  dying = true
  await shop.kill()
  totals.kills++
  while (underWay > 0) await new Promise((later) => setTimeout(later, 5))
  await shop.start()
  dying = false
  // while the hands go on: what had been acknowledged before the kill stands in whatever is read now
  proving = proveKept()
  if (totals.kills % 50 === 0)
    console.log(
      `${new Date().toISOString()} ${totals.inputs} inputs, ${totals.kills} kills, slowest ${slowest.seconds.toFixed(2)} s (${slowest.at}), ${failures.length} failed`,
    )
}

/** Whether the shop is being asked for what it had acknowledged: it lives until it has answered. */
let asking = false

async function proveKept() {
  asking = true
  const byJob = new Map()
  for (const k of kept) {
    if (!byJob.has(k.job)) byJob.set(k.job, [])
    byJob.get(k.job).push(k)
  }
  await Promise.all(
    [...byJob].map(async ([job, all]) => {
      const view = (await ask({ method: 'GET', path: `/api/jobs/${job}` })).json
      const stands = JSON.stringify(view?.history ?? []) + JSON.stringify(view?.notes ?? [])
      for (const k of all)
        if (!stands.includes(k.text ?? k.step)) fail(`lost after a kill: ${k.text ?? k.step}`, `job ${job}`)
    }),
  )
  asking = false
}

const goesOn = () => Date.now() < end && failures.length < 20 && totals.kills < Number(mostKills)

/** Done when the shop is up, again after a kill. */
let risen = Promise.resolve()
/** Done when all that it had acknowledged was found. */
let proving = Promise.resolve()

const people = new People({ d, seed, ask, shop, fail, said: (job, text) => kept.push({ job, text }) })
await people.arrive()

async function hand() {
  while (goesOn()) {
    await risen
    const draw = d.next()
    await (draw < 0.86 ? one() : draw < 0.91 ? note() : draw < 0.95 ? race() : people.one())
    if (!shop.alive && !dying) return fail('the server ended', shop.log.slice(-2000))
    if (shop.memoryMb() > mostMb) return fail(`holds ${shop.memoryMb().toFixed(0)} MB`, '')
    if (totals.inputs >= shop.starts * lifeRequests && !dying && !asking) risen = killed()
  }
}

await Promise.all(Array.from({ length: Number(hands) }, hand))
await risen
await proving
if (shop.alive) await proveKept()
const memory = shop.memoryMb()
await shop.end()

console.log(
  `seed ${seed}: ${totals.requests} requests (${totals.inputs} spoilt inputs), ${totals.kills} kills, ${totals.races} races, ${totals.signed} signed, ${kept.length} acknowledged and found again`,
)
console.log(
  `${Object.entries(people.totals)
    .map(([kind, n]) => `${kind} ${n}`)
    .join(', ')}`,
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
for (const slow of shop.slowChanges.slice(0, 12)) console.log(slow)
console.log(`${shop.slowChanges.length} changes of the file took over a second`)
console.log(`soak: ${failures.length === 0 ? 'nothing failed' : `${failures.length} failed`}`)
process.exit(failures.length === 0 ? 0 : 1)
