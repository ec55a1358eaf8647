// What awkward people and devices do: two pages that send one thing, keys used again for other words, clocks that are
// wrong, people who left, tablets of the shop's network and strangers in it.
import { request } from 'node:https'

/** Initials of one who left, as others write them too; none may act. */
const gone = ['LV', 'lv', ' LV ', 'L\u200bV', '\uff2c\uff36', 'L\u0056\u0301']

/** Instants that no bench can have done something at, and some that it can. */
const instants = (d) =>
  d.of([
    '12:00',
    '0001-01-01T00:00:00Z',
    '9999-12-31T23:59:59Z',
    '2031-05-05T10:00:00Z',
    '2026-13-41T00:00:00Z',
    '-0',
    new Date(Date.now() + 7_200_000).toISOString(),
    new Date(Date.now() - 30_000).toISOString(),
    new Date(Date.now() + 200_000).toISOString(),
    new Date(Date.now() - 400_000).toISOString().replace('Z', '+02:00'),
  ])

export class People {
  keys = 0
  totals = { pages: 0, clocks: 0, gone: 0, tablets: 0, strangers: 0 }

  /** @param said what was acknowledged and has to be found again: (job, words) */
  constructor({ d, seed, ask, shop, fail, said }) {
    Object.assign(this, { d, seed, ask, shop, fail, said })
  }

  json(method, path, body, headers) {
    return this.ask({ method, path, headers }, Buffer.from(JSON.stringify(body)))
  }

  /** Who leaves and the tablet that is paired; once for each data folder, both outlive a kill. */
  async arrive() {
    const left = await this.json('PUT', '/api/signers/LV', {
      name: 'L. Vane',
      colour: 'ink',
      works: false,
      left: true,
    })
    if (left.status !== 200) this.fail(`someone who left was answered ${left.status}`, 'PUT /api/signers/LV')
    await this.pair()
  }

  /** Lets a tablet in by a code of the desk's. */
  async pair() {
    const pairing = await this.json('POST', '/api/devices/pairings', {})
    const paired = await this.tablet('POST', '/api/pair', { code: pairing.json?.code, name: 'Soak' }, '')
    if (paired.status === 204) this.cookie = paired.headers['set-cookie'][0].split(';')[0]
    else if (paired.status && paired.status !== 429 && pairing.status === 200)
      this.fail(`a tablet was answered ${paired.status}`, 'POST /api/pair')
  }

  /** One of them, at random. */
  one() {
    return this.d.of([this.pages, this.pages, this.clocks, this.left, this.network])()
  }

  /** Two pages of one device send one note with one key; then the key comes with other words. */
  pages = async () => {
    const key = `soak-${this.seed}-${this.keys++}`
    const job = 1 + this.d.whole(6)
    const text = `page ${key}`
    const path = `/api/jobs/${job}/notes`
    const send = (words) => this.json('POST', path, { by: 'QA', text: words }, { 'idempotency-key': key })
    const [a, b] = await Promise.all([send(text), send(text)])
    this.totals.pages++
    const kept = [a, b].filter((x) => x.status >= 200 && x.status < 300)
    if (kept.length === 1 && a.status && b.status && a.status !== 503 && b.status !== 503)
      this.fail(`one note with one key was answered ${a.status} and ${b.status}`, `${path} ${key}`)
    if (kept.length === 0) return
    this.said(job, text)
    const other = await send(`${text}, other words`)
    if (other.status >= 200 && other.status < 300) this.fail('one key took other words', `${path} ${key}`)
    const view = await this.ask({ method: 'GET', path: `/api/jobs/${job}` })
    const count = (view.json?.notes ?? []).filter((n) => n.text === text).length
    if (view.status === 200 && count !== 1) this.fail(`one key made ${count} notes`, `${path} ${key}`)
  }

  /** A wrong clock is refused or taken; the day goes on all the same. */
  clocks = async () => {
    const job = 1 + this.d.whole(6)
    const headers = { 'done-at': instants(this.d), 'device-at': instants(this.d) }
    const path = `/api/jobs/${job}/notes`
    await this.json('POST', path, { by: 'QA', text: `clock ${this.keys++}` }, headers)
    const view = (await this.ask({ method: 'GET', path: `/api/jobs/${job}` })).json
    const open = (view?.steps ?? []).find((s) => !s.signed)
    if (open)
      await this.ask(
        { method: 'POST', path: `/api/jobs/${job}/steps/${open.stepId}/sign`, match: open.version },
        Buffer.from(
          JSON.stringify({
            by: 'QA',
            overrideReason: 'soak',
            doneAt: headers['done-at'],
            deviceAt: headers['device-at'],
          }),
        ),
      )
    const day = await this.ask({ method: 'GET', path: '/api/day' })
    if (day.status >= 400 && day.status !== 503) this.fail(`the day answered ${day.status}`, JSON.stringify(headers))
    this.totals.clocks++
  }

  /** Who left writes nothing, however the initials are written. */
  left = async () => {
    const job = 1 + this.d.whole(6)
    const by = this.d.of(gone)
    const [method, path, body] = this.d.of([
      ['POST', `/api/jobs/${job}/notes`, { by, text: 'gone' }],
      ['POST', '/api/jobs', { by, title: 'gone', bench: 'Bench A', boardId: 'tern-460-r2' }],
      ['PUT', '/api/settings', { by, values: { beadMm: 1.5 }, reason: 'gone' }],
      ['POST', `/api/jobs/${job}/timers`, { by, stepId: 'paste.U1', label: 'gone', seconds: 60 }],
      ['PUT', '/api/signers/QA', { by, name: 'Q', colour: 'ink', works: true, left: false }],
    ])
    const said = await this.json(method, path, body)
    // refused for who it is, and for nothing else: the rest of the body is sound
    const places = (said.json?.errors ?? []).map((e) => e.pointer)
    if (said.status && said.status !== 503 && (said.status !== 422 || String(places) !== '/by'))
      this.fail(`who left was answered ${said.status} at ${places}`, `${method} ${path} ${JSON.stringify(body)}`)
    this.totals.gone++
  }

  /** A paired tablet reads, writes and listens; a stranger sees nothing. */
  network = async () => {
    const job = 1 + this.d.whole(6)
    if (this.d.chance(0.5)) {
      const path = this.d.of([
        '/api/bench',
        `/api/jobs/${job}`,
        '/api/keeping/backups/x',
        '/api/live',
        '/api/search?q=a',
      ])
      const said = await this.tablet('GET', path, undefined, '')
      if (said.status && said.status !== 401 && said.status !== 429 && said.status !== 503)
        this.fail(`a stranger was answered ${said.status}`, path)
      this.totals.strangers++
      return
    }
    const text = `tablet ${this.seed}-${this.keys++}`
    const said = await this.tablet('POST', `/api/jobs/${job}/notes`, { by: 'QA', text })
    if (said.status >= 200 && said.status < 300) this.said(job, text)
    const path = this.d.of([
      '/api/bench',
      `/api/jobs/${job}`,
      '/api/live',
      '/api/day',
      '/api/keeping/backups/x',
      '/api/devices',
    ])
    const cookie = this.cookie
    const read = await this.tablet('GET', path)
    if (read.status === 401) {
      // a spoilt input at the desk may have shut it out: only then is it a stranger
      const devices = (await this.ask({ method: 'GET', path: '/api/devices' })).json?.devices
      if (cookie === this.cookie && devices && !devices.filter((x) => x.name === 'Soak').pop()?.revokedAt)
        this.fail('a paired tablet was answered 401', path)
      return this.pair()
    }
    const refused = path === '/api/keeping/backups/x' || path === '/api/devices'
    if (read.status && read.status !== 503 && read.status !== (refused ? 403 : 200))
      this.fail(`a tablet was answered ${read.status}`, path)
    this.totals.tablets++
  }

  /** Over the shop's network: its certificate is the shop's own. No answer while the shop is killed. */
  tablet(method, path, body, cookie = this.cookie) {
    return new Promise((answer) => {
      const sent = body === undefined ? undefined : JSON.stringify(body)
      const headers = { ...(cookie ? { cookie } : {}), ...(sent ? { 'content-type': 'application/json' } : {}) }
      const r = request(
        this.shop.lan + path,
        { method, headers, rejectUnauthorized: false, agent: false },
        (response) => {
          if (response.statusCode >= 500 && response.statusCode !== 503)
            this.fail(
              `a tablet was answered ${response.statusCode}`,
              `${method} ${path}\n${this.shop.log.slice(-3000)}`,
            )
          const done = () => {
            response.destroy()
            answer({ status: response.statusCode, headers: response.headers })
          }
          response.on('data', () => response.headers['content-type']?.includes('event-stream') && done())
          response.on('end', done)
          response.on('error', () => answer({ status: 0 }))
        },
      )
      r.on('error', () => answer({ status: 0 }))
      r.end(sent)
    })
  }
}
