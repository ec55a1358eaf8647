import { useEffect, useState } from 'react'

/** The time, told every second. */
export function useNow() {
  const [now, set] = useState(() => Date.now())
  useEffect(() => {
    const t = setInterval(() => set(Date.now()), 1000)
    return () => clearInterval(t)
  }, [])
  return now
}
