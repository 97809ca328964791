import { useLayoutEffect } from 'react'
import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import { browserStore } from '../stores/browserStore.ts'

interface LetterKeys {
  on: boolean
  setOn: (on: boolean) => void
}

/** Whether single letters and digits do something on this device: who dictates or presses keys by chance turns them off. */
export const useLetterKeys = create<LetterKeys>()(
  persist((set) => ({ on: true, setOn: (on) => set({ on }) }), {
    name: 'fold-sprig-letter-keys',
    storage: browserStore,
  }),
)

/** True where keys belong to what is being typed. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && target.matches('input:not([type=range]), select, textarea, [contenteditable]')

/**
 * Listen to keys pressed anywhere on the page. At once, not after the picture: a key pressed as soon as the screen is seen
 * counts. Keys with a modifier belong to the browser; single characters do nothing where letter keys are turned off.
 */
export function useWindowKeys(press: (e: KeyboardEvent) => void): void {
  const on = useLetterKeys((s) => s.on)
  useLayoutEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey) return
      if (on || e.key.length > 1) press(e)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
}
