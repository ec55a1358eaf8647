/** What an edited document was, is, and was before it was undone; texts, so that undo gives them back bit for bit. */
export interface History {
  past: string[]
  now: string
  future: string[]
}

export const begin = (text: string): History => ({ past: [], now: text, future: [] })

export const push = (h: History, text: string): History =>
  text === h.now ? h : { past: [...h.past, h.now], now: text, future: [] }

export const undo = (h: History): History =>
  h.past.length === 0 ? h : { past: h.past.slice(0, -1), now: h.past[h.past.length - 1], future: [h.now, ...h.future] }

export const redo = (h: History): History =>
  h.future.length === 0 ? h : { past: [...h.past, h.now], now: h.future[0], future: h.future.slice(1) }
