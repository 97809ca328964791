import { useEffect, useRef, useState } from 'react'

/** Left and right of a page that is as wide as the screen, px. */
const MARGINS = 32

/**
 * Width of an element in pixels, kept as it changes: charts draw their text at its own size.
 *
 * @param start width that is drawn first; on a narrow screen that of the page, so that nothing moves once it is measured
 */
export function useWidth<E extends HTMLElement>(start: number) {
  const ref = useRef<E>(null)
  const [width, setWidth] = useState(() => Math.min(start, (globalThis.innerWidth ?? Infinity) - MARGINS))
  useEffect(() => {
    const element = ref.current
    if (!element) return
    // What is folded away has no width; it is drawn as before until it is turned to.
    const watch = new ResizeObserver(([entry]) => {
      const wide = Math.round(entry?.contentRect.width ?? 0)
      if (wide > 0) setWidth(wide)
    })
    watch.observe(element)
    return () => watch.disconnect()
  }, [])
  return { ref, width }
}
