import type { Coded } from '../coded.ts'

/** Why a file is not taken in. */
export const refusals = [
  'geojson-too-deep',
  'not-geojson',
  'no-polygon',
  'not-a-polygon',
  'too-few-corners',
  'too-few-different-corners',
  'round-file-not-json',
  'not-a-round-file',
  'round-file-version',
  'round-file-parts-missing',
  'sheet-not-json',
  'not-a-sheet',
  'sheet-too-new',
  'sheet-not-whole',
  'sheet-observation-unreadable',
  'sheet-opinion-unreadable',
  'archive-file-missing',
  'archive-without-meta',
  'archive-meta-entities',
  'archive-without-core',
  'archive-meta-not-xml',
  'archive-core-not-occurrences',
  'not-a-feature-collection',
  'no-stops',
  'name-column-missing',
  'stop-column-missing',
  'zip-unreadable',
  'zip-too-many-files',
  'zip-file-damaged',
  'zip-swells',
  'not-a-practice-set',
  'practice-set-version',
  'practice-set-parts-wrong',
  'not-answers',
  'answers-parts-wrong',
  'nothing-counted',
] as const
export type FileRefusal = Coded<(typeof refusals)[number]>

/** What of a file is left out. */
export const leftOut = [
  'too-many-stops',
  'amount-not-above-0',
  'too-many-finds-at-a-stop',
  'archive-file-missing',
  'too-many-rows',
  'table-not-used',
  'recorded-absent',
  'occurrence-without-name',
  'feature-without-geometry',
  'not-a-stop',
  'point-without-coordinates',
  'point-not-in-degrees',
  'count-not-a-number',
  'row-without-stop',
  'row-without-plant',
  'amount-not-a-number',
  'place-not-in-degrees',
  'unknown-name',
  'points-not-whole',
  'amount-out-of-bounds',
  'too-many-points-at-a-stop',
] as const
export type LeftOut = Coded<(typeof leftOut)[number]>

/** Where in a file something stands. */
export const places = ['at-file-row', 'at-occurrence', 'at-feature', 'at-row', 'at-stop', 'at-meta'] as const
export type FilePlace = Coded<(typeof places)[number]>
