import { useLayoutEffect } from 'react'

/**
 * For the front of a place that is worked by keys: what is pressed before the whole of it listens is pressed again once it
 * does. The eye is on the plant, not on the screen.
 */
export function useKeysKept(coming: Promise<unknown>): void {
  useLayoutEffect(() => {
    const kept: string[] = []
    let came = false
    coming.then(() => (came = true)).catch(() => undefined)
    const keep = (e: KeyboardEvent) => {
      const plain = !e.ctrlKey && !e.metaKey && !e.altKey
      if (plain && (e.key.length === 1 || e.key === 'Enter')) kept.push(e.key)
    }
    window.addEventListener('keydown', keep)
    return () => {
      window.removeEventListener('keydown', keep)
      if (!came) return
      // Each in its own turn, as they were pressed: what a key does rests on what the one before did.
      kept.forEach((key, i) => setTimeout(() => window.dispatchEvent(new KeyboardEvent('keydown', { key })), i))
    }
  }, [coming])
}
