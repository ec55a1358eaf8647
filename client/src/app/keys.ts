import { useEffect, useRef } from 'react'

export type Keys = Record<string, (e: KeyboardEvent) => void>

const typing = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement &&
  e.target.closest('input, textarea, select, [contenteditable], [role=dialog]') !== null

/** Listens for keys by name ("Space", "Backspace", "f", "ctrl+k") while nothing is being typed. */
export function useKeys(keys: Keys, enabled = true) {
  const current = useRef(keys)
  current.current = keys
  useEffect(() => {
    if (!enabled) return
    const down = (e: KeyboardEvent) => {
      const name = e.code === 'Space' ? 'Space' : e.key.length === 1 ? e.key.toLowerCase() : e.key
      const full = e.ctrlKey || e.metaKey ? `ctrl+${name}` : name
      if (typing(e) && full !== 'ctrl+k') return
      // Space or Enter on a focused button or link presses that
      if (
        (name === 'Space' || name === 'Enter') &&
        e.target instanceof HTMLElement &&
        e.target.closest(name === 'Enter' ? 'button, summary, a' : 'button, summary')
      )
        return
      const act = current.current[full]
      if (!act) return
      e.preventDefault()
      act(e)
    }
    window.addEventListener('keydown', down)
    return () => window.removeEventListener('keydown', down)
  }, [enabled])
}

/** A button pressed by hand lets go of the keyboard, so that Space still signs the step. */
export function releaseButtons() {
  document.addEventListener('click', (e) => {
    if (e.detail > 0 && e.target instanceof HTMLElement) e.target.closest<HTMLElement>('button')?.blur()
  })
}
