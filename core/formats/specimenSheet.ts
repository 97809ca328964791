import { coded } from '../coded.ts'
import type { FileRefusal } from './fileProblem.ts'
import type { Context, Observation } from '../records/observation.ts'
import type { Opinion } from '../records/specimen.ts'

/** A described plant on its way to a colleague and back. */
export interface SpecimenSheet {
  id: string
  place: string
  note: string
  context: Context
  observations: Observation[]
  /** What the sender's book made of it, in words. */
  verdict: string
  askedAt: string
  opinion?: Opinion
}

const KIND = 'fold-sprig specimen'
const VERSION = 1

export const writeSheet = (sheet: SpecimenSheet): string =>
  `${JSON.stringify({ kind: KIND, version: VERSION, ...sheet }, null, 2)}\n`

type Loose = Record<string, unknown>
const isRecord = (x: unknown): x is Loose => typeof x === 'object' && x !== null && !Array.isArray(x)
const isText = (x: unknown): x is string => typeof x === 'string' && x.length <= 5000
const isTexts = (x: unknown): x is string[] => Array.isArray(x) && x.length > 0 && x.every(isText)
const isSizes = (x: unknown): x is number[] =>
  Array.isArray(x) && x.length > 0 && x.every((v) => typeof v === 'number' && Number.isFinite(v))
const isCounts = (x: unknown): boolean =>
  isRecord(x) && Object.values(x).every((n) => Number.isInteger(n) && (n as number) >= 0)

function isObservation(x: unknown): x is Observation {
  if (!isRecord(x) || !isText(x['character'])) return false
  const sureness = x['sureness']
  if (sureness !== undefined && !['sure', 'likely', 'guess'].includes(sureness as string)) return false
  return (
    isTexts(x['states']) ||
    isCounts(x['counts']) ||
    isSizes(x['values']) ||
    (typeof x['value'] === 'number' && Number.isFinite(x['value']))
  )
}

function isOpinion(x: unknown): x is Opinion {
  return (
    isRecord(x) &&
    isText(x['by']) &&
    isText(x['note']) &&
    isText(x['at']) &&
    (x['plant'] === null || isText(x['plant'])) &&
    (x['probability'] === null || typeof x['probability'] === 'number')
  )
}

/**
 * Read a sheet that a colleague sent.
 *
 * @returns the sheet, or what is wrong with the file in the reader's words; ids are not looked up here
 */
export function readSheet(text: string): { sheet: SpecimenSheet } | { problem: FileRefusal } {
  let raw: unknown
  try {
    raw = JSON.parse(text)
  } catch {
    return { problem: coded('sheet-not-json') }
  }
  if (!isRecord(raw) || raw['kind'] !== KIND) return { problem: coded('not-a-sheet') }
  if (typeof raw['version'] !== 'number' || raw['version'] > VERSION) return { problem: coded('sheet-too-new') }
  const { id, place, note, context, observations, verdict, askedAt, opinion } = raw
  if (!isText(id) || !isText(place) || !isText(note) || !isText(verdict) || !isText(askedAt) || !isRecord(context))
    return { problem: coded('sheet-not-whole') }
  if (!Array.isArray(observations) || observations.length > 200 || !observations.every(isObservation))
    return { problem: coded('sheet-observation-unreadable') }
  if (opinion !== undefined && !isOpinion(opinion)) return { problem: coded('sheet-opinion-unreadable') }
  return {
    sheet: {
      id,
      place,
      note,
      context: context as Context,
      observations,
      verdict,
      askedAt,
      ...(opinion ? { opinion } : {}),
    },
  }
}
