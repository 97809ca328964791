import Papa from 'papaparse'
import type { Plant } from '../../flora/flora.ts'
import type { Round } from '../../records/round.ts'
import type { FileRefusal } from '../fileProblem.ts'
import type { Group, Taxon } from '../../records/taxon.ts'

/** How a file names taxa and groups. */
export interface RowNames {
  taxon: (taxon: Taxon, plants: Map<string, Plant>) => string
  group: (group: Group) => string
}

/** What a device shows at waypoints and on the route. */
export interface StopMarkWords {
  stop: (seq: number) => string
  skipped: (why: string) => string
  counted: string
  toCount: string
  walkOf: (paddock: string) => string
}

/** What a file is made from. Words come from outside: the core has none. */
export interface ToWrite {
  round: Round
  plants: Map<string, Plant>
  names: RowNames
  marks: StopMarkWords
}

/** A text, texts of an archive by their names, or why there is no such file. */
export type Written = string | Record<string, string> | { problem: FileRefusal }

export const isRefused = (made: Written): made is { problem: FileRefusal } =>
  typeof made !== 'string' && typeof made.problem === 'object'

/** A file that a round can be given out as. */
export interface Writer {
  /** Media type (RFC 6838). */
  type: string
  write: (from: ToWrite) => Written
}

/** What a spreadsheet may take for a formula; a number below zero is none, and a western longitude must stay one. */
const FORMULA = /^(?!-\d+(\.\d+)?$)[=+\-@\t\r\n＝＋－＠]/

/**
 * A spreadsheet must never run a cell: cells that look like a formula are marked (and stay readable). Each stands in
 * quotes, so that a spreadsheet that parts at another sign makes no new cell within one.
 */
export const toCsv = (rows: object[]): string =>
  `${Papa.unparse(rows, { quotes: true, escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`
