import { useEffect, useRef, useState } from 'react'

/** True from when an element first comes near the window: what is costly to draw can wait until then. */
export function useSeen<E extends Element>(): [React.RefObject<E | null>, boolean] {
  const ref = useRef<E>(null)
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    const element = ref.current
    if (!element || seen) return
    const observer = new IntersectionObserver((entries) => entries.some((e) => e.isIntersecting) && setSeen(true), {
      rootMargin: '300px',
    })
    observer.observe(element)
    return () => observer.disconnect()
  }, [seen])
  return [ref, seen]
}
