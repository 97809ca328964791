import { useState, type KeyboardEvent } from 'react'
import type { Metres } from '@/core/geo/localPlane.ts'

const MOVES: Record<string, Metres> = { ArrowUp: [0, 1], ArrowDown: [0, -1], ArrowLeft: [-1, 0], ArrowRight: [1, 0] }

interface Sheet {
  west: number
  north: number
  wide: number
  /** Metres that an arrow key goes; a fifth of it with Shift. */
  step: number
  active: boolean
  onCorner: (at: Metres) => void
  onTakeLast: () => void
}

/** A corner is set without a pointer: arrows move a cross over the sheet, Enter sets it there, Backspace takes the last one away. */
export function useGridKeys({ west, north, wide, step, active, onCorner, onTakeLast }: Sheet) {
  const [moved, setMoved] = useState<Metres>()
  const at: Metres = moved ?? [west + wide / 2, north - wide / 2]
  const onKeyDown = (e: KeyboardEvent) => {
    if (!active || e.ctrlKey || e.metaKey || e.altKey) return
    const move = MOVES[e.key]
    if (move) {
      const by = e.shiftKey ? step / 5 : step
      const within = (x: number, low: number) => Math.min(low + wide, Math.max(low, x))
      setMoved([within(at[0] + move[0] * by, west), within(at[1] + move[1] * by, north - wide)])
    } else if (e.key === 'Enter' || e.key === ' ') {
      setMoved(at)
      onCorner(at)
    } else if (e.key === 'Backspace' || e.key === 'Delete') onTakeLast()
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  return { at, moved: moved !== undefined, onKeyDown }
}
