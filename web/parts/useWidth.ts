import { useEffect, useRef, useState } from 'react'

/** Width of an element in pixels, kept as it changes: charts draw their text at its own size. */
export function useWidth<E extends HTMLElement>(start: number) {
  const ref = useRef<E>(null)
  const [width, setWidth] = useState(start)
  useEffect(() => {
    const element = ref.current
    if (!element) return
    const watch = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)))
    watch.observe(element)
    return () => watch.disconnect()
  }, [])
  return { ref, width }
}
