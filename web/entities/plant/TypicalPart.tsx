import { collarPortrait } from '@/core/drawing/collarPortrait.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { usualState } from './usualState.ts'

const tellingParts = ['leaf.plan', 'leaf.outline', 'life.form']

/** The one part that says most of what sort of plant it is. */
export function TypicalPart({ plant, className }: { plant: Plant; className: string }) {
  const collar = collarPortrait(plant, 'vegetative')
  if (collar) return <DrawingView drawing={collar} className={className} />
  for (const part of tellingParts) {
    const state = usualState(plant, part, 'vegetative')
    const drawing = state ? drawState(part, state) : undefined
    if (drawing) return <DrawingView drawing={drawing} className={className} />
  }
  return <span className={className} />
}
