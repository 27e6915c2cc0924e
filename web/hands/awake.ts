import { useEffect } from 'react'

/** The screen stays lit while this is shown, where the browser can; taken again when the page comes back to the front. */
export function useAwake(on = true) {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let gone = false
    const take = async () => {
      if (document.visibilityState !== 'visible') return
      // Refused on a low battery: then the screen sleeps as it does elsewhere.
      const taken = await navigator.wakeLock.request('screen').catch(() => null)
      if (gone) void taken?.release()
      else lock = taken
    }
    const back = () => void take()
    void take()
    document.addEventListener('visibilitychange', back)
    return () => {
      gone = true
      document.removeEventListener('visibilitychange', back)
      void lock?.release()
    }
  }, [on])
}
