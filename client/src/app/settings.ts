import { useSyncExternalStore } from 'react'

/** Settings of this screen: who signs, which light. Kept in the browser. */
const listeners = new Set<() => void>()
const read = (key: string, otherwise: string) => localStorage.getItem(`fb.${key}`) ?? otherwise

export function write(key: string, value: string) {
  localStorage.setItem(`fb.${key}`, value)
  apply()
  for (const l of listeners) l()
}

export function useSetting(key: string, otherwise: string): [string, (v: string) => void] {
  const value = useSyncExternalStore(
    (l) => {
      listeners.add(l)
      return () => listeners.delete(l)
    },
    () => read(key, otherwise),
  )
  return [value, (v) => write(key, v)]
}

/** In a shop of one's own nobody signs until somebody says so; the demo has its own hand. */
export const useInitials = () => useSetting('initials', document.documentElement.dataset.shop === 'demo' ? 'QA' : '')
export const useTheme = () => useSetting('theme', 'paper')

export function apply() {
  document.documentElement.dataset.theme = read('theme', 'paper')
}
