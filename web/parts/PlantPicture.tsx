import { useState } from 'react'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { pictureOf } from '@/core/likeness/pictureOf.ts'
import { PlantDrawing } from './PlantDrawing.tsx'
import { useOwnPicture } from './useOwnPicture.ts'

interface Props {
  plant: Plant
  stage?: Stage
  className?: string
  /** The ink drawings of the deciding parts beside it. */
  insets?: boolean
  /** What a screen reader says; left out where the name stands beside the picture. */
  label?: string
  /** Where it is shown larger than a hand. */
  large?: boolean
  /** On paper, where nobody scrolls to it. */
  eager?: boolean
}

/** A plant as it would stand before one; where there is no picture of it, or it cannot be had, its ink drawing. */
export function PlantPicture({
  plant,
  stage = 'vegetative',
  insets = false,
  label,
  className = '',
  large,
  eager,
}: Props) {
  const made = useOwnPicture(plant, stage)
  const source = pictureOf(plant, stage, 360) ?? made
  const [missing, setMissing] = useState<string>()
  if (!source || missing === source)
    return (
      <PlantDrawing plant={plant} stage={stage} insets={insets} className={className} {...(label ? { label } : {})} />
    )
  const fine = large ? pictureOf(plant, stage, 1200) : undefined
  const image = (
    <img
      src={source}
      {...(fine ? { srcSet: `${source} 360w, ${fine} 1200w`, sizes: 'min(34rem, 90vw)' } : {})}
      alt={label ?? ''}
      width={360}
      height={360}
      loading={eager ? 'eager' : 'lazy'}
      decoding="async"
      onError={() => setMissing(source)}
      className={`plate ${insets ? 'min-w-0 flex-1' : className}`}
    />
  )
  if (!insets) return image
  return (
    <span className={`flex items-center ${className}`}>
      {image}
      <PlantDrawing plant={plant} stage={stage} only="insets" className="h-full max-h-[28rem] w-1/4 shrink-0" />
    </span>
  )
}
