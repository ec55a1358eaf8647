import { beforeEach, describe, expect, it, vi } from 'vitest'

const kept = new Map<string, string>()
const sent: { path: string; version: string; key: string }[] = []
let shop: (path: string) => Response

const ok = () => new Response('{}', { status: 200, headers: { 'content-type': 'application/json' } })
const refused = (status: number, detail: string) =>
  new Response(JSON.stringify({ title: 'Conflict', detail }), {
    status,
    headers: { 'content-type': 'application/problem+json' },
  })

/** The module as a page that has just been opened would have it. */
async function opened() {
  vi.resetModules()
  return await import('./outbox')
}
const wanting = (stepId: string) => ({
  key: crypto.randomUUID(),
  doneAt: '2026-01-31T10:20:30Z',
  jobId: 1,
  stepId,
  title: stepId,
  kind: 'sign' as const,
  by: 'QA',
  version: 0,
})
const lying = () =>
  [...kept]
    .filter(([k]) => k.startsWith('fb.outbox.'))
    .map(([, v]) => JSON.parse(v) as { key: string; stepId: string; conflict?: string; version: number; order: number })
    .sort((a, b) => a.order - b.order)

beforeEach(() => {
  kept.clear()
  sent.length = 0
  shop = ok
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
    removeItem: (k: string) => kept.delete(k),
    key: (i: number) => [...kept.keys()][i] ?? null,
    get length() {
      return kept.size
    },
  })
  vi.stubGlobal('location', new URL('http://shop.invalid/'))
  vi.stubGlobal('fetch', async (request: Request) => {
    const path = new URL(request.url, 'http://shop.invalid').pathname
    const body = (await request.json()) as { key: string }
    sent.push({ path, version: request.headers.get('If-Match') ?? '', key: body.key })
    return shop(path)
  })
  // a page's addresses begin with a slash; outside a page they need a house
  const Plain = globalThis.Request
  vi.stubGlobal(
    'Request',
    class extends Plain {
      constructor(input: RequestInfo | URL, init?: RequestInit) {
        super(typeof input === 'string' ? new URL(input, 'http://shop.invalid') : input, init)
      }
    },
  )
})

describe('what waits on this device', () => {
  it('is sent in order, once each, and then gone', async () => {
    const box = await opened()
    for (const s of ['a', 'b', 'c']) box.enqueue(wanting(s))
    expect(await box.flush()).toBe(true)
    expect(sent.map((s) => s.path)).toEqual(['a', 'b', 'c'].map((s) => `/api/jobs/1/steps/${s}/sign`))
    expect(new Set(sent.map((s) => s.key)).size).toBe(3)
    expect(lying()).toEqual([])
  })

  it('outlives the page', async () => {
    ;(await opened()).enqueue(wanting('a'))
    const again = await opened()
    await again.flush()
    expect(sent).toHaveLength(1)
  })

  it('stays whole and in order while the shop does not answer', async () => {
    const box = await opened()
    for (const s of ['a', 'b']) box.enqueue(wanting(s))
    shop = () => {
      throw new TypeError('no network')
    }
    expect(await box.flush()).toBe(false)
    expect(sent).toHaveLength(1)
    expect(lying().map((p) => p.stepId)).toEqual(['a', 'b'])
    shop = ok
    await box.flush()
    expect(lying()).toEqual([])
    // the same key both times: the shop takes it once
    expect(sent[1].key).toBe(sent[0].key)
  })

  it('is kept too when the shop stumbles', async () => {
    const box = await opened()
    box.enqueue(wanting('a'))
    shop = () => refused(500, 'Something broke.')
    await box.flush()
    expect(lying()).toMatchObject([{ stepId: 'a', version: 0 }])
    expect(lying()[0].conflict).toBeUndefined()
  })

  it('is shown as a conflict when refused, and the rest goes on', async () => {
    const box = await opened()
    for (const s of ['a', 'b']) box.enqueue(wanting(s))
    shop = (path) => (path.includes('/a/') ? refused(409, 'RV signed this step.') : ok())
    await box.flush()
    expect(lying()).toMatchObject([{ stepId: 'a', conflict: 'RV signed this step.' }])
    await box.flush()
    expect(sent).toHaveLength(2)
    box.again(lying()[0].key, 3)
    shop = ok
    await box.flush()
    expect(sent[2].version).toBe('"3"')
    expect(lying()).toEqual([])
  })

  it('of two pages that are open at once nothing is lost', async () => {
    const [one, two] = [await opened(), await opened()]
    one.enqueue(wanting('a'))
    two.enqueue(wanting('b'))
    one.enqueue({ ...wanting('b'), kind: 'undo' })
    expect(lying().map((p) => [p.stepId, p.version])).toEqual([
      ['a', 0],
      ['b', 0],
      ['b', 1],
    ])
    await two.flush()
    expect(sent).toHaveLength(3)
    expect(lying()).toEqual([])
  })

  it('takes over what an older page kept all in one', async () => {
    kept.set('fb.outbox', JSON.stringify([wanting('b'), wanting('a')]))
    await (await opened()).flush()
    expect(sent.map((s) => s.path.split('/').at(-2))).toEqual(['b', 'a'])
    expect(kept.size).toBe(0)
  })

  it('counts versions on from what waits already for the same step', async () => {
    const box = await opened()
    box.enqueue(wanting('a'))
    box.enqueue({ ...wanting('a'), kind: 'undo' })
    await box.flush()
    expect(sent.map((s) => [s.path.split('/').at(-1), s.version])).toEqual([
      ['sign', '"0"'],
      ['undo', '"1"'],
    ])
  })

  it('is nothing when what lies there cannot be read', async () => {
    kept.set('fb.outbox', '{torn')
    kept.set('fb.outbox.x', '{torn')
    const box = await opened()
    expect(await box.flush()).toBe(false)
    expect(sent).toEqual([])
  })
})

describe('papers', () => {
  interface Sent {
    path: string
    method: string
    key: string
    doneAt: string
    body: unknown
  }
  const papers: Sent[] = []
  const pictures = new Map<string, Blob>()
  let answers: () => Response | Promise<never>

  async function desk() {
    vi.resetModules()
    vi.doMock('./pictures', () => ({
      keepPicture: async (k: string, b: Blob) => void pictures.set(k, b),
      pictureOf: async (k: string) => pictures.get(k),
      forgetPicture: async (k: string) => void pictures.delete(k),
    }))
    return { box: await import('./outbox'), papers: await import('./papers') }
  }

  beforeEach(() => {
    papers.length = 0
    pictures.clear()
    answers = () => new Response('{}', { status: 201 })
    vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
      const headers = init.headers as Record<string, string>
      papers.push({
        path,
        method: init.method!,
        key: headers['Idempotency-Key'],
        doneAt: headers['Done-At'],
        body: typeof init.body === 'string' ? JSON.parse(init.body) : init.body,
      })
      return answers()
    })
  })
  const away = () => Promise.reject(new TypeError('no network'))

  it('a note that finds no shop goes out later with the key and time of its first try', async () => {
    const d = await desk()
    answers = away
    await d.papers.sendNote(3, { by: 'QA', text: 'pads were torn' })
    expect(d.box.waitingPapers(d.box.lying(), 3, 'note')).toHaveLength(1)
    answers = () => new Response('{}', { status: 201 })
    expect(await d.box.flush()).toBe(true)
    expect(papers.map((p) => [p.path, p.method])).toEqual([
      ['/api/jobs/3/notes', 'POST'],
      ['/api/jobs/3/notes', 'POST'],
    ])
    expect(papers[1]).toEqual(papers[0])
    expect(d.box.lying()).toEqual([])
  })

  it('a photo waits with its picture and leaves nothing behind', async () => {
    const d = await desk()
    answers = away
    const file = new File([new Uint8Array([1, 2, 3])], 'edge.png', { type: 'image/png' })
    await d.papers.sendPhoto(3, { by: 'QA', file, place: { x: 1, y: 2, face: 'front' } })
    expect(pictures.size).toBe(1)
    answers = () => new Response('{}', { status: 201 })
    await d.box.flush()
    expect(papers[1].path).toBe('/api/jobs/3/photos?by=QA&xMm=1&yMm=2&face=front')
    expect(papers[1].body).toBe(file)
    expect(pictures.size).toBe(0)
  })

  it('what the shop will not take stays to be looked at, and holds up nothing behind it', async () => {
    const d = await desk()
    answers = away
    await d.papers.sendNote(3, { by: 'QA', text: 'one' })
    await d.papers.sendNote(4, { by: 'QA', text: 'two' })
    let calls = 0
    answers = () =>
      calls++ === 0
        ? new Response(JSON.stringify({ title: 'Not here', detail: 'There is no job 3.' }), { status: 404 })
        : new Response('{}', { status: 201 })
    await d.box.flush()
    expect(d.box.lying().map((p) => [p.jobId, p.conflict])).toEqual([[3, 'There is no job 3.']])
  })

  it('a device that was shut out keeps what it has', async () => {
    const d = await desk()
    answers = away
    await d.papers.sendNote(3, { by: 'QA', text: 'one' })
    answers = () => new Response(JSON.stringify({ title: 'Not paired', detail: '' }), { status: 401 })
    await d.box.flush()
    expect(d.box.lying().map((p) => p.conflict)).toEqual([undefined])
  })

  it('a wait begun and ended without the network never reaches the shop', async () => {
    const d = await desk()
    answers = away
    await d.papers.startTimer(3, 'QA', 'prep.solder', 'alloy', 1200)
    expect(d.box.waitingPapers(d.box.lying(), 3, 'timer')).toHaveLength(1)
    await d.papers.stopTimer(3, -1)
    expect(d.box.lying()).toEqual([])
  })
})
