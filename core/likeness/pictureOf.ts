import type { Plant, Stage } from '../flora/flora.ts'

/** Address of a plant's picture; a stage without one of its own looks as the plant mostly does. */
export function pictureOf({ id, plates }: Plant, stage: Stage, pixels: 360 | 1200): string | undefined {
  const shown = plates?.[stage] ? stage : 'vegetative'
  const print = plates?.[shown]
  return print && `/plates/${id}-${shown}.${print}.${shown === 'vegetative' ? pixels : 360}.webp`
}
