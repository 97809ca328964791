import { useEffect, useRef } from 'react'
import type { SwardFrame } from '@/core/practice/frame.ts'
import { say } from '../../language/say.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { useFlora } from '../../stores/floraStore.ts'

/** How dark all else becomes when one plant is shown. */
const DIMMED = 0.28

/** A frame of sward as it looks from above. `lit`: number of the plant that stays bright, 0 the ground. */
export function SwardView({ frame, label, lit }: { frame: SwardFrame; label: string; lit?: number }) {
  const canvas = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context) return
    const { side, rgba, plant } = frame
    const image = context.createImageData(side, side)
    image.data.set(rgba)
    for (let i = 0; lit !== undefined && i < side * side; i++) {
      const at = 2 * Math.floor(i / side) * 2 * side + 2 * (i % side)
      if (plant[at] === lit) continue
      for (let k = 0; k < 3; k++) image.data[4 * i + k]! *= DIMMED
    }
    context.putImageData(image, 0, 0)
  }, [frame, lit])
  return (
    <canvas
      ref={canvas}
      width={frame.side}
      height={frame.side}
      role="img"
      aria-label={label}
      className="mt-3 w-full max-w-[min(36rem,48dvh)] rounded-sm max-[900px]:max-w-[40dvh] border-4 border-ink"
    />
  )
}

/** Plants of the book that those of a frame stand for. */
const LIKE = ['perennial-ryegrass', 'white-clover', 'buckhorn-plantain']

/** What the plants of a frame look like, each beside its name. */
export function FrameLegend({ names }: { names: string[] }) {
  const byId = useFlora((s) => s.byId)
  return (
    <ul className="mt-2 flex flex-wrap items-end gap-x-5">
      {names.map((n, i) => {
        const plant = byId.get(LIKE[i]!)
        return (
          <li key={n} className="text-center">
            {plant ? (
              <PlantPicture plant={plant} className="mx-auto size-20 object-contain max-[900px]:size-14" />
            ) : null}
            {n}
          </li>
        )
      })}
      <li className="max-w-44 text-sm text-ink-soft">
        {say('Half a metre square. Litter and stones count as bare ground.')}
      </li>
    </ul>
  )
}
