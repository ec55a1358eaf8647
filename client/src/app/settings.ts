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

export const useInitials = () => useSetting('initials', 'QA')
export const useTheme = () => useSetting('theme', 'paper')

export function apply() {
  document.documentElement.dataset.theme = read('theme', 'paper')
}
