import { useCallback, useEffect, useRef } from 'react'

/** A handler that stays the same from render to render but does what the latest one would: it does not make others redraw. */
export function useStable<A extends unknown[]>(handler: (...args: A) => void): (...args: A) => void {
  const latest = useRef(handler)
  useEffect(() => {
    latest.current = handler
  })
  return useCallback((...args: A) => latest.current(...args), [])
}
