import { useEffect, useState } from 'react'
import { shopNow } from '../api/shopClock'

/** The time by the workshop's clock, told every second. */
export function useNow() {
  const [now, set] = useState(() => shopNow())
  useEffect(() => {
    const t = setInterval(() => set(shopNow()), 1000)
    return () => clearInterval(t)
  }, [])
  return now
}
