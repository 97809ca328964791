import { useEffect, useRef } from 'react'
import { pictureClasses, type PictureClass } from '@/core/picture/classes.ts'
import type { Picture } from '@/core/picture/homography.ts'
import type { FramePoint } from '@/core/picture/points.ts'
import { pictureClassWords } from '@/text/pictureWords.ts'
import { say } from '../../../language/say.ts'

interface Props {
  straight: Picture
  points: readonly FramePoint[]
  /** Points that are named; the next one is at hand. */
  named: number
  /** Class of each block by the map, row by row; drawn over the picture where it is wanted. */
  blocks: readonly PictureClass[] | undefined
}

/** Pixels round a point that the lens shows. */
const LENS = 90
const inks: Record<PictureClass, [number, number, number]> = { green: [60, 170, 60], legume: [40, 110, 220], bare: [150, 80, 30], litter: [240, 220, 120] } // prettier-ignore

const drawn = (picture: Picture) => new ImageData(new Uint8ClampedArray(picture.data), picture.width, picture.height)

/** The straight picture with its points, and the point at hand under a lens. */
export function PicturePoints({ straight, points, named, blocks }: Props) {
  const whole = useRef<HTMLCanvasElement>(null)
  const lens = useRef<HTMLCanvasElement>(null)
  const over = useRef<HTMLCanvasElement>(null)
  const point = points[named]
  useEffect(() => {
    whole.current?.getContext('2d')?.putImageData(drawn(straight), 0, 0)
  }, [straight])
  useEffect(() => {
    const context = lens.current?.getContext('2d')
    if (!context || !point || !whole.current) return
    const [x, y] = [point[0] * straight.width, point[1] * straight.height]
    context.imageSmoothingEnabled = false
    context.fillRect(0, 0, 2 * LENS, 2 * LENS)
    context.drawImage(whole.current, x - LENS / 2, y - LENS / 2, LENS, LENS, 0, 0, 2 * LENS, 2 * LENS)
  }, [straight, point])
  useEffect(() => {
    const context = over.current?.getContext('2d')
    if (!context || !over.current) return
    const side = Math.sqrt(blocks?.length ?? 1)
    over.current.width = over.current.height = side
    if (!blocks) return
    const image = new ImageData(side, side)
    blocks.forEach((c, i) => image.data.set([...inks[c], 120], i * 4))
    context.putImageData(image, 0, 0)
  }, [blocks])
  return (
    <div className="mt-2 grid gap-2">
      <p data-testid="point-at-hand">
        {point
          ? say('Point {{n}} of {{all}}: what lies under the middle of the cross?', {
              n: named + 1,
              all: points.length,
            })
          : say('Every point of this frame is named.')}
      </p>
      {/* On a phone the lens and the frame stand side by side, so that the keys are in reach of the thumb. */}
      <div className="grid grid-cols-2 items-start gap-2 min-[901px]:grid-cols-1">
        {point ? (
          <div className="relative aspect-square w-full max-w-56 overflow-hidden rounded-full border-4 border-straw">
            <canvas
              ref={lens}
              width={2 * LENS}
              height={2 * LENS}
              className="size-full"
              aria-label={say('The point at hand')}
              role="img"
            />{' '}
            {/* prettier-ignore */}
            <svg viewBox="0 0 100 100" className="absolute inset-0 size-full" aria-hidden="true">
              <path d="M50 38V46M50 54V62M38 50H46M54 50H62" className="stroke-straw" strokeWidth="2" />
              <circle cx="50" cy="50" r="2.5" fill="none" className="stroke-straw" strokeWidth="1.4" />
            </svg>
          </div>
        ) : null}
        <div className="relative">
          <canvas
            ref={whole}
            width={straight.width}
            height={straight.height}
            className="block w-full"
            role="img"
            aria-label={say('The frame made straight, {{named}} of {{all}} points named', {
              named,
              all: points.length,
            })}
          />{' '}
          {/* prettier-ignore */}
          <canvas ref={over} className={`absolute inset-0 size-full ${blocks ? '' : 'hidden'}`} style={{ imageRendering: 'pixelated' }} aria-hidden="true" />{' '}
          {/* prettier-ignore */}
          <svg viewBox="0 0 100 100" className="absolute inset-0 size-full" aria-hidden="true">
          {points.map(([u, v], i) => (
            <circle
              key={i}
              cx={u * 100}
              cy={v * 100}
              r={i === named ? 1.8 : 0.8}
              className={i < named ? 'fill-culm stroke-husk' : i === named ? 'fill-none stroke-straw' : 'fill-husk/70 stroke-ink'} // prettier-ignore
              strokeWidth={i === named ? 0.7 : 0.25}
            />
          ))}
        </svg>
        </div>
      </div>
      {blocks ? (
        <p className="flex flex-wrap gap-x-4 text-sm">
          {pictureClasses.map((c) => (
            <span key={c}>
              <span aria-hidden="true" style={{ color: `rgb(${inks[c].join(' ')})` }}>
                ■
              </span>{' '}
              {pictureClassWords(c)}
            </span>
          ))}
        </p>
      ) : null}
    </div>
  )
}
