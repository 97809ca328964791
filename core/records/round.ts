import type { Hit } from './hit.ts'
import type { Method } from './method.ts'
import type { Polygon } from 'geojson'
import type { Region } from '../flora/flora.ts'
import type { Observation, Context } from './observation.ts'
import type { Taxon } from './taxon.ts'
import type { Position } from '../geo/route.ts'
import type { Measures, RoundSettings } from './measures.ts'

export const outlooks = ['grazing', 'hay', 'turf', 'native'] as const
export type Outlook = (typeof outlooks)[number]

export interface Holding {
  id: string
  name: string
  client: string
}

export interface Paddock {
  id: string
  holdingId: string
  name: string
  boundary: Polygon | null
  region: Region
  outlook: Outlook
  /** Plant ids of the sown list. */
  sown: string[]
  strata: PaddockPart[]
  note: string
}

export const partKinds = ['crest', 'slope', 'wet hollow', 'gateway', 'camp', 'shade', 'other'] as const
export type PartKind = (typeof partKinds)[number]

/** A part of a paddock that is unlike the rest: counted on its own, or kept out of the walk. */
export interface PaddockPart {
  name: string
  kind: PartKind
  polygon: Polygon
  keptOut: boolean
}

/** Usual reasons for skipping a stop, as they are kept; any other text may be. Kept ones stay as they were first written. */
export const skipReasons = ['stock on it', 'under water', 'cannot be reached', 'treated, keep off'] as const

/** The part of a paddock along its boundary: fence, hedge, ditch, gates, under trees. Kept under this name with each stop. */
export const FENCE = 'along the fence'

export interface Stop {
  id: string
  seq: number
  /** Null where an imported plot has no known place. */
  position: Position | null
  hits: Hit[]
  /** ISO time at which the stop was closed, null while it is open. */
  doneAt: string | null
  /** Part of the paddock it lies in; empty where the paddock is not parted. */
  stratum: string
  measures: Measures
  /** Why it was passed over; null where it was not. */
  skipped: string | null
  /** Counts the writes, so that two devices do not overwrite each other unseen. */
  version: number
}

/** A stop at which nothing was done yet. */
export const openStop = (id: string, seq: number, position: Position | null, stratum = ''): Stop => ({
  id,
  seq,
  position,
  hits: [],
  doneAt: null,
  stratum,
  measures: {},
  skipped: null,
  version: 0,
})

export interface Unknown {
  letter: string
  namedAs: Taxon | null
}

export interface RoundSummary {
  id: string
  paddockId: string
  paddock: string
  holding: string
  client: string
  title: string
  method: Method
  purpose: string
  plannedOn: string
  pointsPerStop: number
  settings: RoundSettings
  stops: number
  stopsDone: number
  /** Where imported data come from and under which licence; empty for the reader's own. */
  source: string
}

export interface Round extends Omit<RoundSummary, 'stops' | 'stopsDone' | 'paddock'> {
  paddock: Paddock
  route: { line: Position[]; lengthM: number } | null
  stops: Stop[]
  unknowns: Unknown[]
}

/** A name written down at the bench, with what it stands on. */
export interface Determination {
  id: string
  roundId: string | null
  letter: string | null
  plant: string
  probability: number
  context: Context
  observations: Observation[]
  namedAt: string
  /** Where, in the person's words or those of the round. */
  place: string
  /** Plants looked at. */
  specimens: number
  /** Bits for (+) or against (-) the name, look by look. */
  evidence: { character: string; bits: number }[]
}
