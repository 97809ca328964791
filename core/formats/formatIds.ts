/** Files that a round is given out as; the name is the address. */
export const writtenFiles = [
  'composition.csv',
  'hits.csv',
  'stops.csv',
  'stops.gpx',
  'stops.kml',
  'darwin-core.zip',
  'stops.geojson',
] as const
export type WrittenFile = (typeof writtenFiles)[number]

/** Formats that finds are read from; a table is told by its columns, and is what is left when none of these fits. */
export const readFormats = ['darwin-core', 'geojson', 'kml', 'gpx'] as const
export type ReadFormat = (typeof readFormats)[number]
