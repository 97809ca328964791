/** Schools of finding out how much of each plant there is. Their data are kept apart. */
export const methods = [
  'step-points',
  'layer-points',
  'pin-frame',
  'turf-grid',
  'cover-classes',
  'dry-weight-rank',
  'clips',
  'nested-frequency',
  'grid-frequency',
  'comparative-yield',
  'plate-meter',
  'ruler-height',
  'search-walk',
  'picture-frame',
] as const
export type Method = (typeof methods)[number]
