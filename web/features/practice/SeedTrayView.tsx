import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { SeedTray } from '@/core/practice/seedTray.ts'
import { say } from '../../language/say.ts'

const LENS_PIXELS = 240
const NEARER = 2

/** Seeds on a white tray to scale, with a lens that follows the pointer or the arrow keys. */
export function SeedTrayView({ tray }: { tray: SeedTray }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const glass = useRef<HTMLCanvasElement>(null)
  const [at, setAt] = useState<readonly [number, number]>()
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context) return
    const image = context.createImageData(tray.side, tray.side)
    image.data.set(tray.rgba)
    context.putImageData(image, 0, 0)
  }, [tray])
  useEffect(() => {
    const context = glass.current?.getContext('2d')
    if (!context || !at || !canvas.current) return
    const wide = LENS_PIXELS / NEARER
    context.clearRect(0, 0, LENS_PIXELS, LENS_PIXELS)
    context.drawImage(canvas.current, at[0] * tray.side - wide / 2, at[1] * tray.side - wide / 2, wide, wide, 0, 0, LENS_PIXELS, LENS_PIXELS) // prettier-ignore
  }, [at, tray])
  const onMove = (e: PointerEvent<HTMLCanvasElement>) => {
    const box = e.currentTarget.getBoundingClientRect()
    setAt([(e.clientX - box.left) / box.width, (e.clientY - box.top) / box.height])
  }
  const onKey = (e: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key]
    if (!by) return
    e.preventDefault()
    setAt(([x, y] = [0.5, 0.5]) => [Math.min(1, Math.max(0, x + by[0]! * 0.04)), Math.min(1, Math.max(0, y + by[1]! * 0.04))]) // prettier-ignore
  }
  const tenth = 10 / tray.millimetres
  return (
    <figure className="mt-3 max-w-[min(36rem,46dvh)] max-[900px]:max-w-[38dvh]">
      <div className="relative">
        <canvas
          ref={canvas}
          width={tray.side}
          height={tray.side}
          tabIndex={0}
          role="application"
          aria-label={say('{{n}} seeds on a tray. Move the lens with the pointer or the arrow keys.', {
            n: tray.seeds,
          })}
          className="block w-full touch-none rounded-2xl border-4 border-rule"
          onPointerMove={onMove}
          onPointerDown={onMove}
          onKeyDown={onKey}
        />
        <canvas
          ref={glass}
          width={LENS_PIXELS}
          height={LENS_PIXELS}
          aria-hidden="true"
          className={`pointer-events-none absolute size-44 -translate-x-1/2 -translate-y-1/2 rounded-full border-4 border-straw bg-sheet ${at ? '' : 'hidden'}`}
          style={{ left: `${(at?.[0] ?? 0) * 100}%`, top: `${(at?.[1] ?? 0) * 100}%` }}
        />
      </div>
      <figcaption className="mt-1 flex items-center gap-2 text-ink-soft">
        <span className="inline-block h-2 border-x-2 border-b-2 border-ink" style={{ width: `${tenth * 100}%` }} />
        {say('1 cm; a lens makes them four times as large')}
      </figcaption>
    </figure>
  )
}
