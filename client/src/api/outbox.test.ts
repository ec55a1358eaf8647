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
const wanting = (stepId: string) => ({ jobId: 1, stepId, title: stepId, kind: 'sign' as const, by: 'QA', version: 0 })
const lying = () =>
  JSON.parse(kept.get('fb.outbox') ?? '[]') as { stepId: string; conflict?: string; version: number }[]

beforeEach(() => {
  kept.clear()
  sent.length = 0
  shop = ok
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
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
    box.again(box.waiting([], 1)[0]?.key ?? (JSON.parse(kept.get('fb.outbox')!)[0].key as string), 3)
    shop = ok
    await box.flush()
    expect(sent[2].version).toBe('"3"')
    expect(lying()).toEqual([])
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

  it('is nothing when what lies there can not be read', async () => {
    kept.set('fb.outbox', '{torn')
    const box = await opened()
    expect(await box.flush()).toBe(false)
    expect(sent).toEqual([])
  })
})
