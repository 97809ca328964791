import type { Polygon } from 'geojson'
import type { Region } from '@/core/flora/flora.ts'
import { isSouthern } from '@/core/flora/seasons.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Holding, Outlook, Paddock, PaddockPart } from '@/core/records/round.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import type { Management } from '@/core/records/management.ts'
import type { SwardStage } from '@/core/records/measures.ts'
import type { Taxon } from '@/core/records/taxon.ts'
import { fixedId } from './fixedId.ts'

/** The Tarrow valley and the Harrowgum valley: invented places with invented people, their coordinates in open ocean on purpose. */
const TARROW = { lon: -29.4, lat: 45.6 }
const HARROWGUM = { lon: -118.4, lat: -41.2 }

/** Corners in metres east and north of a valley's origin. */
function polygon(corners: [number, number][], region: Region): Polygon {
  const origin = isSouthern(region) ? HARROWGUM : TARROW
  const metresPerDegree = 111_320
  const ring = corners.map(([e, n]) => [
    origin.lon + e / (metresPerDegree * Math.cos((origin.lat * Math.PI) / 180)),
    origin.lat + n / metresPerDegree,
  ])
  return { type: 'Polygon', coordinates: [[...ring, ring[0]!]] }
}

/** What was done, so many days before today. */
export interface DemoEvent extends Pick<PaddockEvent, 'kind' | 'note' | 'detail'> {
  daysAgo: number
}

/** What is to be done, so many days after today. */
export interface DemoTask {
  plant: string | null
  text: string
  owner: string
  dueInDays: number
  backInDays: number | null
  lookFor: string
}

export interface DemoRound {
  title: string
  purpose: string
  stops: number
  pointsPerStop: number
  daysFromToday: number
  /** Growth noted at each stop. */
  stage?: SwardStage
}

export interface DemoPlace {
  holding: Holding
  paddock: Paddock
  round: DemoRound
  /** One that was counted before, where the round is still to be walked. */
  before?: DemoRound & Pick<DemoPlace, 'sward'>
  management?: Management
  /** What is kept there, where somebody said so. */
  herd?: HerdPlan
  history: DemoEvent[]
  plan: DemoTask[]
  /** Counts of earlier years on the same stops: shares that were different then. */
  earlier: { yearsAgo: number; then: Record<Taxon, number> }[]
  /** Shares the made-up counts are drawn from; empty for a round still to be walked. */
  sward: [taxon: Taxon, share: number][]
  /** Shares that are different in a part of the paddock. */
  inPart?: Record<string, Record<Taxon, number>>
  /** How unlike the stops are: higher is more even. */
  evenness: number
}

/** A paddock of the valley with its holding, what was done on it and what is to do. */
export function place(
  holding: { name: string; client: string },
  paddock: {
    name: string
    outlook: Outlook
    /** The Tarrow's, where it is left out. */
    region?: Region
    sown: string[]
    corners: [number, number][]
    parts?: (Omit<PaddockPart, 'polygon'> & { corners: [number, number][] })[]
    note?: string
  },
  rest: Omit<DemoPlace, 'holding' | 'paddock' | 'history' | 'plan' | 'earlier'> &
    Partial<Pick<DemoPlace, 'history' | 'plan' | 'earlier'>>,
): DemoPlace {
  const holdingId = fixedId(`holding/${holding.name}`)
  const region = paddock.region ?? 'cool-humid'
  return {
    holding: { id: holdingId, ...holding },
    paddock: {
      id: fixedId(`paddock/${holding.name}/${paddock.name}`),
      holdingId,
      name: paddock.name,
      boundary: polygon(paddock.corners, region),
      region,
      outlook: paddock.outlook,
      sown: paddock.sown,
      strata: (paddock.parts ?? []).map(({ corners, ...part }) => ({ ...part, polygon: polygon(corners, region) })),
      note: paddock.note ?? '',
    },
    history: [],
    plan: [],
    earlier: [],
    ...rest,
  }
}
