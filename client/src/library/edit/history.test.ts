import { expect, it } from 'vitest'
import { begin, push, redo, undo } from './history'

/** Park and Miller, 1988. */
const random = (seed: number) => {
  let state = seed
  return () => {
    state = (state * 48271) % 2147483647
    return state / 2147483647
  }
}

it('gives a thousand sequences of edits back bit for bit', () => {
  for (let seed = 1; seed <= 1000; seed++) {
    const next = random(seed)
    const first = `document ${next()}`
    let h = begin(first)
    // what a plain list of every state, cut off at each new edit, says
    const states = [first]
    let at = 0
    for (let i = 0; i < 40; i++) {
      const what = next()
      if (what < 0.5) {
        const text = `document ${next()}`
        h = push(h, text)
        states.splice(++at, states.length, text)
      } else if (what < 0.8) {
        h = undo(h)
        at = Math.max(0, at - 1)
      } else {
        h = redo(h)
        at = Math.min(states.length - 1, at + 1)
      }
      expect(h.now).toBe(states[at])
    }
    while (h.past.length > 0) h = undo(h)
    expect(h.now).toBe(first)
  }
})
