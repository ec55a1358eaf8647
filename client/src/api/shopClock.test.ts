import { beforeEach, describe, expect, it, vi } from 'vitest'

const kept = new Map<string, string>()

const told =
  (serverTime: string, headers = {}) =>
  async () => ({
    data: { serverTime, zone: 'Europe/Lisbon' },
    response: new Response(null, { headers }),
  })

async function opened() {
  vi.resetModules()
  return await import('./shopClock')
}

beforeEach(() => {
  kept.clear()
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
  })
  vi.useFakeTimers({ now: Date.parse('2026-03-01T12:00:00Z') })
})

describe("the workshop's clock", () => {
  it('is told by a device that is two hours ahead, and still is when the shop is out of reach', async () => {
    const clock = await opened()
    await clock.timed(told('2026-03-01T10:00:00Z'))
    expect(clock.moment()).toEqual({ doneAt: '2026-03-01T10:00:00.000Z', deviceAt: '2026-03-01T12:00:00.000Z' })
    const later = await opened()
    expect(new Date(later.shopNow()).toISOString()).toBe('2026-03-01T10:00:00.000Z')
    expect(later.shopZone()).toBe('Europe/Lisbon')
  })

  it('is not learned from an answer that was kept on the device', async () => {
    const clock = await opened()
    await clock.timed(told('2026-03-01T09:00:00Z', { 'Kept-On-Device': 'true' }))
    expect(clock.shopNow()).toBe(Date.now())
  })

  it("is this device's own where the two agree as far as an answer's way can tell", async () => {
    const clock = await opened()
    clock.learn('2026-03-01T11:59:58Z', 'UTC', Date.now() - 4000, Date.now())
    expect(clock.shopNow()).toBe(Date.now())
  })
})
