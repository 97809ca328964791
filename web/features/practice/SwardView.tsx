import { useEffect, useRef } from 'react'
import type { SwardFrame } from '@/core/practice/frame.ts'
import { say } from '../../language/say.ts'

/** Hue of each plant seen from above: soil first, then a blade, a clover, a rosette. They differ in light as well. */
const TINTS: [r: number, g: number, b: number][] = [
  [122, 98, 72],
  [104, 132, 62],
  [58, 112, 74],
  [152, 158, 96],
]

/** A frame of sward as pixels. */
export function SwardView({ frame, label }: { frame: SwardFrame; label: string }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context) return
    const { side, plant, shade } = frame
    const image = context.createImageData(side, side)
    for (let i = 0; i < plant.length; i++) {
      const [r, g, b] = TINTS[plant[i]! % TINTS.length]!
      const light = shade[i]! / 150
      image.data.set([Math.min(255, r * light), Math.min(255, g * light), Math.min(255, b * light), 255], i * 4)
    }
    context.putImageData(image, 0, 0)
  }, [frame])
  return (
    <canvas
      ref={canvas}
      width={frame.side}
      height={frame.side}
      role="img"
      aria-label={label}
      className="mt-3 w-full max-w-md rounded-sm border-4 border-ink"
    />
  )
}

/** What the plants of a frame look like, each beside its name. */
export function FrameLegend({ names }: { names: string[] }) {
  return (
    <ul className="mt-2 flex flex-wrap gap-x-5">
      {[say('bare ground'), ...names].map((n, i) => (
        <li key={n} className="flex items-center gap-2">
          <span
            className="inline-block size-5 rounded-full border border-ink"
            style={{ background: `rgb(${TINTS[i]!.join(' ')})` }}
          />
          {n}
        </li>
      ))}
    </ul>
  )
}
