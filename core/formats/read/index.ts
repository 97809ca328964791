import type { FeatureCollection } from 'geojson'
import type { FileRefusal } from '../fileProblem.ts'
import type { ReadFormat } from '../formatIds.ts'
import { isKml } from '../mapXml.ts'
import type { ReadFinds } from './finds.ts'
import { readArchive, type ArchiveTexts } from './readArchive.ts'
import { readPoints } from './readPoints.ts'

/** A file by what is in it, not by what it is called. */
export type Content =
  | { kind: 'archive'; texts: ArchiveTexts }
  | { kind: 'json'; value: unknown }
  | { kind: 'map'; root: string; features: FeatureCollection }

export interface Reader {
  /** Usual endings of such a file, for the list to choose from. */
  endings: string[]
  fits: (content: Content) => boolean
  read: (content: Content) => ReadFinds | { problem: FileRefusal }
}

/** A reader of one kind of content; what it is given is narrowed to that kind. */
const reader = <K extends Content['kind']>(
  endings: string[],
  kind: K,
  read: (content: Extract<Content, { kind: K }>) => ReadFinds | { problem: FileRefusal },
  also: (content: Extract<Content, { kind: K }>) => boolean = () => true,
): Reader => {
  const is = (content: Content): content is Extract<Content, { kind: K }> => content.kind === kind
  return {
    endings,
    fits: (content) => is(content) && also(content),
    read: (content) => {
      if (!is(content)) throw new TypeError(`a reader of ${kind} was given ${content.kind}`)
      return read(content)
    },
  }
}

/** Every format that finds are read from, the first that fits is taken. */
export const readers: Record<ReadFormat, Reader> = {
  'darwin-core': reader(['.zip'], 'archive', ({ texts }) => readArchive(texts)),
  geojson: reader(['.json', '.geojson'], 'json', ({ value }) => readPoints(value)),
  kml: reader(
    ['.kml'],
    'map',
    ({ features }) => readPoints(features),
    ({ root }) => isKml(root),
  ),
  gpx: reader(['.gpx'], 'map', ({ features }) => readPoints(features)),
}
