import { randomLcg } from 'd3-random'
import { useMemo } from 'react'
import { plantPortrait } from '@/core/drawing/portrait/portraitOf.ts'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { PortraitView } from './PortraitView.tsx'
import { useSeen } from './useSeen.ts'

/** A number from 0 to 1 that always belongs to the same text. */
export const seedOf = (text: string): number =>
  ([...text].reduce((n, c) => (n * 31 + c.charCodeAt(0)) % 9973, 7) + 0.5) / 9973

interface Props {
  plant: Plant
  className?: string
  stage?: Stage
  insets?: boolean
  /** The close looks without the plant. */
  only?: 'insets'
  /** Another number is another specimen of the same plant. */
  specimen?: number
  label?: string
}

/** A plant of the book as it mostly looks, drawn whole. */
export function PlantDrawing({ plant, stage = 'vegetative', specimen = 0, ...view }: Props) {
  const portrait = useMemo(
    () => plantPortrait(plant, stage, randomLcg(seedOf(`${plant.id}${specimen}`))),
    [plant, stage, specimen],
  )
  return <PortraitView portrait={portrait} {...view} />
}

/** The same in a long list: drawn when it comes into sight. The class must give it its size. */
export function PlantDrawingLater({ className, ...props }: Props) {
  const [ref, seen] = useSeen<HTMLSpanElement>()
  return (
    <span ref={ref} className={`block ${className ?? ''}`}>
      {seen ? <PlantDrawing {...props} className="size-full" /> : null}
    </span>
  )
}
