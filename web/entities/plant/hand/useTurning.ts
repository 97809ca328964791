import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { Specimen } from '@/core/likeness/specimenOf.ts'
import { firstLook, type Look } from '../../../likeness/specimenScene.ts'

export const TURN = Math.PI / 12
const clamp = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x))

/** How a specimen is turned and looked at: by drag, by one finger, by keys. A new specimen is looked at anew. */
export function useTurning(specimen: Specimen | undefined, lens: boolean) {
  const [moved, setMoved] = useState<{ of: object; look: Look }>()
  const [at, setAt] = useState<readonly [number, number]>([0.5, 0.5])
  const from = useRef<{ x: number; y: number; look: Look }>(undefined)
  const look = specimen ? (moved?.of === specimen ? moved.look : firstLook(specimen)) : undefined
  const turn = (patch: Partial<Look>) => {
    if (specimen && look) setMoved({ of: specimen, look: { ...look, ...patch } })
  }
  const onKeyDown = (e: KeyboardEvent) => {
    if (!look) return
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key]
    if (by && lens) setAt(([x, y]) => [clamp(x + by[0]! * 0.03, 0, 1), clamp(y - by[1]! * 0.03, 0, 1)])
    else if (by) turn({ yaw: look.yaw - by[0]! * TURN, pitch: clamp(look.pitch + by[1]! * 0.15, -0.3, 1.5) })
    else if (e.key === '+' || e.key === '=') turn({ zoom: Math.min(8, look.zoom * 1.25) })
    else if (e.key === '-') turn({ zoom: Math.max(0.6, look.zoom / 1.25) })
    else return
    e.preventDefault()
    e.stopPropagation()
  }
  const onPointerDown = (e: PointerEvent<HTMLCanvasElement>) => {
    if (!look) return
    e.currentTarget.setPointerCapture(e.pointerId)
    from.current = { x: e.clientX, y: e.clientY, look }
  }
  const onPointerMove = (e: PointerEvent<HTMLCanvasElement>) => {
    if (lens) {
      const box = e.currentTarget.getBoundingClientRect()
      setAt([(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height])
      return
    }
    const start = from.current
    if (start)
      turn({
        yaw: start.look.yaw - (e.clientX - start.x) * 0.01,
        pitch: clamp(start.look.pitch + (e.clientY - start.y) * 0.006, -0.3, 1.5),
      })
  }
  const letGo = () => void (from.current = undefined)
  return { look, turn, at, on: { onKeyDown, onPointerDown, onPointerMove, onPointerUp: letGo, onPointerCancel: letGo } }
}
