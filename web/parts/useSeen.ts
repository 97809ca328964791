import { useEffect, useRef, useState } from 'react'

let last: Promise<void> = Promise.resolve()

/** One after the other, with a pause in which the page answers: thirty drawings at once would hold it up. */
function inTurn(work: () => void): void {
  last = last.then(
    () =>
      new Promise((done) =>
        setTimeout(() => {
          work()
          done()
        }),
      ),
  )
}

/** True from when an element first comes near the window: what is costly to draw can wait until then. */
export function useSeen<E extends Element>(): [React.RefObject<E | null>, boolean] {
  const ref = useRef<E>(null)
  const [seen, setSeen] = useState(false)
  useEffect(() => {
    const element = ref.current
    if (!element || seen) return
    let current = true
    const observer = new IntersectionObserver(
      (entries) => entries.some((e) => e.isIntersecting) && inTurn(() => current && setSeen(true)),
      { rootMargin: '300px' },
    )
    observer.observe(element)
    return () => {
      current = false
      observer.disconnect()
    }
  }, [seen])
  return [ref, seen]
}
