import { useEffect, useRef, type MouseEvent, type PointerEvent } from 'react'

/** A finger that rests this long holds; shorter, it taps. */
const HOLD_MS = 500

/**
 * Holding a finger on a button does what Shift and a click do with a mouse; the click that ends it is not one.
 *
 * @returns for the button: what a pointer does on it
 */
export function useHold(onTap: (e: MouseEvent) => void, onHold: () => void) {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  const held = useRef(false)
  const end = () => clearTimeout(timer.current)
  useEffect(() => end, [])
  return {
    onPointerDown: ({ pointerType }: PointerEvent) => {
      held.current = false
      if (pointerType === 'mouse') return
      timer.current = setTimeout(() => {
        held.current = true
        onHold()
      }, HOLD_MS)
    },
    onPointerUp: end,
    onPointerLeave: end,
    // As soon as the finger scrolls.
    onPointerCancel: end,
    // A browser's own menu would come up under the finger.
    onContextMenu: (e: MouseEvent) => held.current && e.preventDefault(),
    onClick: (e: MouseEvent) => {
      // A key that is pressed on it has no finger before it.
      if (held.current && e.detail > 0) held.current = false
      else onTap(e)
    },
  }
}
