import { refusals, type FilePlace, type FileRefusal, type leftOut, type LeftOut } from '@/core/formats/fileProblem.ts'
import { say, type SayValues } from './say.ts'

type Code = FileRefusal['code'] | (typeof leftOut)[number] | FilePlace['code']

const words: Record<Code, (values: SayValues) => string> = {
  'geojson-too-deep': () => say('This file is nested deeper than GeoJSON can be.'),
  'not-geojson': () => say('This is not GeoJSON: a boundary is an object with a "type".'),
  'no-polygon': () => say('No polygon was found among the features.'),
  'not-a-polygon': (v) => say('A boundary must be a Polygon, not {{stringify}}.', v),
  'too-few-corners': () => say('A boundary needs at least three corners, each [longitude, latitude] in degrees.'),
  'too-few-different-corners': () => say('A boundary needs at least three different corners.'),
  'round-file-not-json': () => say('This is not a round file: it could not be read as JSON.'),
  'not-a-round-file': () => say('This is not a round file: it was not made by "Hand on as a file".'),
  'round-file-version': (v) =>
    say('This file is of version {{version}}; this app reads version {{ROUNDFILEVERSION}}.', v),
  'round-file-parts-missing': () => say('Parts of this round file are missing.'),
  'sheet-not-json': () => say('This file is not a specimen sheet: it cannot be read as JSON.'),
  'not-a-sheet': () => say('This file is not a specimen sheet.'),
  'sheet-too-new': () => say('This sheet was written by a later version than this one can read.'),
  'sheet-not-whole': () => say('The sheet is not whole: what, where or when is missing.'),
  'sheet-observation-unreadable': () => say('The sheet is not whole: an observation in it cannot be read.'),
  'sheet-opinion-unreadable': () => say('The opinion in this sheet cannot be read.'),
  'too-many-stops': (v) => say('more than {{MOSTREADSTOPS}} stops: the rest is left out', v),
  'amount-not-above-0': () => say('an amount that is not above 0'),
  'too-many-finds-at-a-stop': (v) => say('more than {{MOSTATASTOP}} finds at one stop: the rest is left out', v),
  'archive-file-missing': (v) => say('The archive names "{{file}}" but does not hold it.', v),
  'too-many-rows': (v) => say('more than {{MOSTREADROWS}} rows: the rest is left out', v),
  'at-file-row': (v) => say('{{file}}, row {{MOSTREADROWS}}', v),
  'archive-without-meta': () => say('This archive has no meta.xml, so it does not say which column holds what.'),
  'archive-meta-entities': () => say('The meta.xml of this archive declares entities; such files are not read.'),
  'archive-without-core': () => say('The meta.xml of this archive names no core table.'),
  'archive-meta-not-xml': () => say('The meta.xml of this archive could not be read as XML.'),
  'archive-core-not-occurrences': (v) =>
    say('The core of this archive is "{{rowType}}"; only archives of occurrences are read.', v),
  'table-not-used': (v) => say('the table "{{rowType}}" ({{n}} rows)', v),
  'at-occurrence': (v) => say('occurrence {{i}}', v),
  'recorded-absent': () => say('a plant recorded as absent'),
  'occurrence-without-name': () => say('an occurrence without a name'),
  'not-a-feature-collection': () => say('This is not a GeoJSON collection of features.'),
  'at-feature': (v) => say('feature {{i}}', v),
  'feature-without-geometry': () => say('a feature without a geometry'),
  'not-a-stop': (v) => say('a {{type}}: not a stop', v),
  'point-without-coordinates': () => say('a point without coordinates'),
  'point-not-in-degrees': () => say('a point that is not in degrees'),
  'count-not-a-number': () => say('a count that is not a number'),
  'no-stops': () => say('No point that could be a stop was found in this file.'),
  'name-column-missing': () => say('Say which column holds the names of the plants.'),
  'stop-column-missing': () => say('Say which column holds the stop, plot or frame.'),
  'at-row': (v) => say('row {{i}}', v),
  'row-without-stop': () => say('a row without a stop'),
  'row-without-plant': () => say('a row without a plant'),
  'amount-not-a-number': (v) => say('an amount that is not a number: "{{cell}}"', v),
  'place-not-in-degrees': (v) => say('a place that is not in degrees: "{{lon}}, {{lat}}"', v),
  'unknown-name': (v) => say('the name "{{name}}"', v),
  'at-stop': (v) => say('stop {{key}}', v),
  'points-not-whole': (v) => say('points that are not a whole number: {{amount}}', v),
  'amount-out-of-bounds': (v) => say('an amount out of bounds: {{amount}}', v),
  'too-many-points-at-a-stop': (v) => say('a stop of more than {{MOSTHITS}} points', v),
  'zip-unreadable': () => say('This file could not be opened as a zip archive: it is damaged or of another kind.'),
  'zip-too-many-files': (v) => say('This archive holds {{n}} files; at most {{MOSTFILES}} are read.', v),
  'zip-file-damaged': (v) => say('"{{name}}" in this archive is damaged.', v),
  'zip-swells': () => say('This archive unpacks to far more than it should hold; nothing of it was read.'),
  'not-a-practice-set': () => say('This is not a practice set.'),
  'practice-set-version': (v) => say('This set is of version {{version}}; this app reads version 1.', v),
  'practice-set-parts-wrong': () => say('Parts of this practice set are missing or wrong.'),
  'not-answers': () => say('This is not a file of answers.'),
  'answers-parts-wrong': () => say('Parts of this file of answers are missing or wrong.'),
  'nothing-counted': () => say('Nothing is counted in this round yet.'),
  'at-meta': () => 'meta.xml',
}

/** Why a file is not taken in, what of it is left out, or where something stands in it. */
export const fileWords = ({ code, values = {} }: FileRefusal | LeftOut | FilePlace): string => words[code](values)

/** An error whose message may be shown: a file that is not taken in. */
export const refusedFile = (refusal: FileRefusal): Error => new Error(fileWords(refusal))

export const isRefusal = (x: unknown): x is FileRefusal =>
  typeof x === 'object' && x !== null && (refusals as readonly unknown[]).includes((x as FileRefusal).code)
