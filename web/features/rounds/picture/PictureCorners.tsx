import { useEffect, useMemo, useState, type MouseEvent } from 'react'
import type { Pixel } from '@/core/picture/homography.ts'
import { say } from '../../../language/say.ts'

type Corners = [Pixel, Pixel, Pixel, Pixel]

/** Four corners of the frame, touched on the picture: the nearest of them goes where the finger was. */
export function PictureCorners({ picture, onStraight }: { picture: Blob; onStraight: (corners: Corners) => void }) {
  const url = useMemo(() => URL.createObjectURL(picture), [picture])
  const [size, setSize] = useState<[number, number]>()
  const [corners, setCorners] = useState<Corners>()
  useEffect(() => () => URL.revokeObjectURL(url), [url])
  const touch = (e: MouseEvent<HTMLDivElement>) => {
    if (!size || !corners) return
    const box = e.currentTarget.getBoundingClientRect()
    const at: Pixel = [((e.clientX - box.left) / box.width) * size[0], ((e.clientY - box.top) / box.height) * size[1]]
    const away = corners.map(([x, y]) => Math.hypot(x - at[0], y - at[1]))
    const nearest = away.indexOf(Math.min(...away))
    setCorners(corners.map((c, i) => (i === nearest ? at : c)) as Corners)
  }
  return (
    <div className="mt-2">
      <p className="text-ink-soft">{say('Touch the four inner corners of the frame; the nearest mark goes there.')}</p>
      <div className="relative mt-1 cursor-crosshair" onClick={touch} data-testid="corners">
        <img
          src={url}
          alt={say('The picture of the frame')}
          className="block w-full"
          onLoad={(e) => {
            const { naturalWidth: w, naturalHeight: h } = e.currentTarget
            setSize([w, h])
            setCorners((c) => c ?? [[w * 0.1, h * 0.1], [w * 0.9, h * 0.1], [w * 0.9, h * 0.9], [w * 0.1, h * 0.9]]) // prettier-ignore
          }}
        />
        {size && corners ? (
          <svg viewBox={`0 0 ${size[0]} ${size[1]}`} className="absolute inset-0 size-full" aria-hidden="true">
            <path
              d={`M${corners.map((c) => c.join(' ')).join('L')}Z`}
              fill="none"
              className="stroke-straw"
              strokeWidth={size[0] / 200}
            />
            {corners.map(([x, y], i) => (
              <circle
                key={i}
                cx={x}
                cy={y}
                r={size[0] / 45}
                className="fill-straw/60 stroke-ink"
                strokeWidth={size[0] / 400}
              />
            ))}
          </svg>
        ) : null}
      </div>
      <button
        type="button"
        disabled={!corners}
        onClick={() => corners && onStraight(corners)}
        className="mt-2 min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm disabled:opacity-50"
      >
        {say('Make it straight')}
      </button>
    </div>
  )
}
