import type { Group } from '@/core/records/taxon.ts'

/** Each group has a colour and a hatch of its own; told apart in grey and by colour-blind eyes by the hatch. */
export const groupColour = (group: Group | 'harm'): string => `var(--group-${group})`

/** Strokes of each hatch in a square of 8 by 8. */
export const groupHatch: Record<Group | 'harm', string> = {
  'cool-grass': 'M-1 9L9 -1M-1 1L1 -1M7 9L9 7',
  'warm-grass': 'M0 2H8M0 6H8',
  legume: 'M2 2h.01M6 6h.01',
  forb: 'M0 0L8 8M8 0L0 8',
  'sedge-rush': 'M2 0V8M6 0V8',
  shrub: 'M0 6L4 2L8 6',
  unknown: '',
  ground: 'M1 5h.01M4 1h.01M6 6h.01',
  harm: 'M0 0L8 8M0 4L4 8M4 0L8 4',
}
