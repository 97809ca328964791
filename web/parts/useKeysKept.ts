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
    const { pathname } = location
    const keep = (e: KeyboardEvent) => {
      // Enter on a link or a button is meant for it.
      if (e.target instanceof Element && e.target.closest('a, button, input, select, textarea, summary')) return
      const plain = !e.ctrlKey && !e.metaKey && !e.altKey
      if (plain && (e.key.length === 1 || e.key === 'Enter')) kept.push(e.key)
    }
    window.addEventListener('keydown', keep)
    return () => {
      window.removeEventListener('keydown', keep)
      // Somebody who went elsewhere meanwhile did not mean that place.
      if (!came || location.pathname !== pathname) return
      // Each in its own turn, as they were pressed: what a key does rests on what the one before did.
      kept.forEach((key, i) => setTimeout(() => window.dispatchEvent(new KeyboardEvent('keydown', { key })), i))
    }
  }, [coming])
}
