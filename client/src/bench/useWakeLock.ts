import { useEffect } from 'react'

/** Keeps the screen awake while a step is shown, where the browser can. */
export function useWakeLock() {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined
    const ask = () => {
      if (document.visibilityState === 'visible')
        navigator.wakeLock?.request('screen').then(
          (l) => {
            lock = l
          },
          () => {},
        )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
}
