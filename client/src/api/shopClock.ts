import { answer } from './client'

/** The workshop's clock and time zone, as its server told them last; kept for when it is out of reach. */
const place = 'fb.clock'

/** Nearer than this the two clocks agree: an answer takes its time, and the server tells whole seconds. */
const agreeMs = 2000

interface Kept {
  /** How far this device's clock is ahead, ms. */
  aheadMs: number
  zone?: string
}

let kept: Kept = read()

function read(): Kept {
  try {
    return { aheadMs: 0, ...(JSON.parse(localStorage.getItem(place) ?? '{}') as Partial<Kept>) }
  } catch {
    return { aheadMs: 0 }
  }
}

/**
 * Asks for something that carries the server's time, and learns from it how this device's clock stands; an answer that
 * was kept on the device tells the time of then, and teaches nothing.
 */
export async function timed<T extends { serverTime: string; zone?: string }>(
  ask: () => Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const asked = Date.now()
  const call = ask()
  const told = await answer(call)
  const got = Date.now()
  if (!(await call).response.headers.has('Kept-On-Device')) learn(told.serverTime, told.zone, asked, got)
  return told
}

export function learn(serverTime: string, zone: string | undefined, asked: number, got: number) {
  const ahead = (asked + got) / 2 - Date.parse(serverTime)
  kept = { aheadMs: Math.abs(ahead) > agreeMs + (got - asked) / 2 ? Math.round(ahead) : 0, zone: zone ?? kept.zone }
  try {
    localStorage.setItem(place, JSON.stringify(kept))
  } catch {
    // it is learned again from the next answer
  }
}

/** Now, by the workshop's clock. */
export const shopNow = () => Date.now() - kept.aheadMs

/** When something is done: by the workshop's clock, and as this device's own clock says. */
export const moment = () => ({
  doneAt: new Date(shopNow()).toISOString(),
  deviceAt: new Date().toISOString(),
})

/** The zone the workshop's times are told in, wherever this device is. */
export const shopZone = () => kept.zone
