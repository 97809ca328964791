import { mean } from 'd3-array'
import type { Indication } from '../../flora/codes.ts'
import type { Plant } from '../../flora/flora.ts'
import type { Outlook, Round } from '../../records/round.ts'
import type { Share } from '../../survey/composition.ts'
import { sharesOf, type RoundShares } from '../../survey/sharesOf.ts'
import { BARE, type Taxon } from '../../records/taxon.ts'

export type SaidId = Indication | 'sown-going'

/** How firmly the figures stand behind it: the whole interval of two kinds or more, or only the estimate, lies beyond the mark. */
export type Strength = 'clear' | 'likely'

/** A figure of the sward beside the mark at which the ground is suspected. */
export interface SwardFigure {
  id: SaidId
  /** Plants it stands on that were met. */
  of: Taxon[]
  share: Share
  /** The mark that the share passed, 0 to 1. */
  mark: number
  /** True where it is said because the share is low. */
  below: boolean
  /** How firmly it lies beyond the mark; undefined where it does not. */
  strength: Strength | undefined
}

export interface Indicator extends SwardFigure {
  strength: Strength
  /** Further figures of the round that bear on it. */
  also: SaidBeside[]
}

/** A figure beside what the sward says: mean height, or how many stops were grazed hard. */
export type SaidBeside =
  { code: 'mean-height'; cm: number; stops: number } | { code: 'grazed-hard'; hard: number; stops: number }

interface Rule {
  id: SaidId
  plants: (plants: Plant[]) => Taxon[]
  mark: number
  below?: true
  /** Only where the ground is used so: what is a sign in turf is the goal in pasture. */
  only?: readonly Outlook[]
  also?: (round: Round) => SaidBeside[]
}

/** Mean sward height where it was noted. */
function heights(round: Round): SaidBeside[] {
  const noted = round.stops.flatMap((s) => s.measures.heightCm ?? [])
  return noted.length < 3 ? [] : [{ code: 'mean-height', cm: mean(noted)!, stops: noted.length }]
}

function grazed(round: Round): SaidBeside[] {
  const noted = round.stops.flatMap((s) => s.measures.grazed ?? [])
  const hard = noted.filter((g) => g === 'hard').length
  return noted.length > 0 ? [{ code: 'grazed-hard', hard, stops: noted.length }] : []
}

const indicating = (what: Indication) => (plants: Plant[]) =>
  plants.filter((p) => p.indicates?.includes(what)).map((p) => p.id)
const isWet = (p: Plant) => p.form === 'sedge' || p.form === 'rush' || p.indicates?.includes('wet')

/** Marks are common practice, no source. */
const rules: Rule[] = [
  { id: 'nitrogen-short', plants: indicating('nitrogen-short'), mark: 0.3, only: ['turf'] },
  {
    id: 'grazed-hard',
    plants: indicating('grazed-hard'),
    mark: 0.6,
    also: (round) => [...heights(round), ...grazed(round)],
  },
  { id: 'compacted', plants: indicating('compacted'), mark: 0.05 },
  { id: 'wet', plants: (plants) => plants.filter(isWet).map((p) => p.id), mark: 0.08 },
  { id: 'shaded', plants: indicating('shaded'), mark: 0.05 },
  { id: 'disturbed', plants: indicating('disturbed'), mark: 0.05 },
  { id: 'acid', plants: indicating('acid'), mark: 0.08 },
  { id: 'hungry', plants: indicating('hungry'), mark: 0.15, only: ['grazing', 'hay', 'turf'] },
  { id: 'thin', plants: (plants) => [...indicating('thin')(plants), BARE], mark: 0.15 },
]

/** One kind of plant may have reasons of its own: the ground speaks clearly through two. */
const KINDS_CLEAR = 2

function judged(rule: Rule, share: Share, kinds: number): Strength | undefined {
  const beyond = (x: number) => (rule.below ? x < rule.mark : x > rule.mark)
  if (!beyond(share.estimate)) return undefined
  const near = share.interval?.[rule.below ? 1 : 0]
  return near !== undefined && beyond(near) && (rule.below || kinds >= KINDS_CLEAR) ? 'clear' : 'likely'
}

function figureOf(rule: Rule, counted: RoundShares, plants: Plant[]): SwardFigure {
  const of = rule.plants(plants).filter((t) => counted.all.taxa.includes(t))
  const share = counted.share(of)
  const strength = of.length === 0 && !rule.below ? undefined : judged(rule, share, of.length)
  return { id: rule.id, of, share, mark: rule.mark, below: rule.below ?? false, strength }
}

/** Sown plants against the rest: less than a third left is going. */
function sownRule(round: Round): Rule[] {
  const { sown } = round.paddock
  if (sown.length === 0) return []
  return [{ id: 'sown-going', plants: () => sown, mark: 0.33, below: true }]
}

const rulesFor = (round: Round): Rule[] => [
  ...rules.filter(({ only }) => !only || only.includes(round.paddock.outlook)),
  ...sownRule(round),
]

/** Every figure that could speak of the ground, with its mark, in the order of the rules. None from fewer than three stops. */
export function swardFigures(round: Round, plants: Plant[]): SwardFigure[] {
  const counted = sharesOf(round)
  if (counted.all.totals.length < 3) return []
  return rulesFor(round).map((rule) => figureOf(rule, counted, plants))
}

/**
 * What a composition says of the ground and of past management, each with the figure it stands on, how firmly, and what
 * would contradict it. Nothing is said from fewer than three stops.
 */
export function siteIndicators(round: Round, plants: Plant[]): Indicator[] {
  const beside = new Map(rules.map((r) => [r.id, r.also]))
  const said = swardFigures(round, plants).flatMap((f) =>
    f.strength ? [{ ...f, strength: f.strength, also: beside.get(f.id)?.(round) ?? [] }] : [],
  )
  return said.sort((a, b) => Number(a.strength === 'likely') - Number(b.strength === 'likely'))
}
