import type { Plant } from '../naming/flora.ts'
import type { Round } from '../records/round.ts'
import { shareOf, type Share } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { namedLetters } from './figures.ts'
import { tallied, type Tallied } from './tally.ts'
import { BARE, type Taxon } from './taxon.ts'
import { say } from '../say.ts'

export type SaidId =
  'nitrogen-short' | 'grazed-hard' | 'compacted' | 'wet' | 'shaded' | 'disturbed' | 'thin' | 'sown-going'

/** How firmly the figures stand behind it: the whole interval, or only the estimate, lies beyond the mark. */
export type Strength = 'clear' | 'likely'

export interface Said {
  id: SaidId
  title: string
  strength: Strength
  /** Plants it stands on that were met. */
  of: Taxon[]
  share: Share
  /** The mark that the share passed, 0 to 1. */
  mark: number
  /** True where it is said because the share is low. */
  below: boolean
  /** What would speak against it, to be looked at. */
  against: string
  /** Further figures of the round that bear on it, in words. */
  also: string[]
  source: string
}

interface Rule {
  id: SaidId
  title: string
  plants: (plants: Plant[]) => Taxon[]
  mark: number
  below?: true
  against: string
  also?: (round: Round) => string[]
}

const ids =
  (...list: string[]) =>
  (plants: Plant[]) =>
    plants.filter((p) => list.includes(p.id)).map((p) => p.id)

/** Mean sward height where it was noted. */
function heights(round: Round): string[] {
  const noted = round.stops.flatMap((s) => s.measures.heightCm ?? [])
  if (noted.length < 3) return []
  const mean = noted.reduce((a, b) => a + b, 0) / noted.length
  return [say('mean height {{mean}} cm at {{n}} stops', { mean: mean.toFixed(0), n: noted.length })]
}

function grazed(round: Round): string[] {
  const noted = round.stops.flatMap((s) => s.measures.grazed ?? [])
  const hard = noted.filter((g) => g === 'hard').length
  return noted.length > 0 ? [say('grazed hard at {{hard}} of {{n}} stops', { hard, n: noted.length })] : []
}

/** Marks are common practice, no source. */
const rules: Rule[] = [
  {
    id: 'nitrogen-short',
    title: say('Short of nitrogen'),
    plants: ids('white-clover', 'ladino-clover'),
    mark: 0.3,
    against: say('Grass that is dark and strong beside the clover; clover sown thick a year ago; a soil test.'),
  },
  {
    id: 'grazed-hard',
    title: say('Grazed or mown too hard'),
    plants: ids('kentucky-bluegrass'),
    mark: 0.6,
    against: say('Bluegrass that was sown for turf; a sward left tall; taller grasses thriving between.'),
    also: (round) => [...heights(round), ...grazed(round)],
  },
  {
    id: 'compacted',
    title: say('Compacted or trodden'),
    plants: ids('broadleaf-plantain', 'goosegrass'),
    mark: 0.05,
    against: say('A spade that goes in easily; plantain only at the gate or along a path.'),
  },
  {
    id: 'wet',
    title: say('Wet ground'),
    plants: (plants) =>
      plants.filter((p) => p.form === 'sedge' || p.form === 'rush' || p.id === 'reed-canarygrass').map((p) => p.id),
    mark: 0.08,
    against: say('Dry-ground plants at the same stops; reed canarygrass that was sown.'),
  },
  {
    id: 'shaded',
    title: say('Shaded and moist'),
    plants: ids('japanese-stiltgrass', 'ground-ivy'),
    mark: 0.05,
    against: say('Full sun through the day.'),
  },
  {
    id: 'disturbed',
    title: say('Disturbed ground'),
    plants: (plants) =>
      plants
        .filter((p) => /-(thistle|ragweed)$/.test(p.id) || p.id === 'ground-cherry' || p.id === 'common-ragweed')
        .map((p) => p.id),
    mark: 0.05,
    against: say('Thistles that creep (they keep themselves); a seed lot that brought them.'),
  },
  {
    id: 'thin',
    title: say('Thin and stressed'),
    plants: (plants) => [...ids('large-crabgrass', 'smooth-crabgrass')(plants), BARE],
    mark: 0.15,
    against: say('Bare ground from moles, a new drilling or a dunging place.'),
  },
]

function judged(rule: Rule, share: Share): Strength | undefined {
  const beyond = (x: number) => (rule.below ? x < rule.mark : x > rule.mark)
  if (!beyond(share.estimate)) return undefined
  const near = share.interval?.[rule.below ? 1 : 0]
  return near !== undefined && beyond(near) ? 'clear' : 'likely'
}

function judge(rule: Rule, round: Round, all: Tallied, plants: Plant[]): Said[] {
  const wanted = rule.plants(plants)
  const of = wanted.filter((t) => all.taxa.includes(t))
  if (of.length === 0 && !rule.below) return []
  const share = shareOf(all, of, designOf(round))
  const strength = judged(rule, share)
  if (!strength) return []
  const { id, title, mark, against } = rule
  return [
    {
      id,
      title,
      strength,
      of,
      share,
      mark,
      below: rule.below ?? false,
      against,
      also: rule.also?.(round) ?? [],
      source: say('common practice, no source'),
    },
  ]
}

/** Sown plants against the rest: less than a third left is going. */
function sownRule(round: Round): Rule[] {
  const { sown } = round.paddock
  if (sown.length === 0) return []
  return [
    {
      id: 'sown-going',
      title: say('What was sown is going'),
      plants: () => sown,
      mark: 0.33,
      below: true,
      against: say(
        'A stand in its first months, where it is too early to judge; sown plants that are seen only in another season.',
      ),
    },
  ]
}

/**
 * What a composition says of the ground and of past management, each with the figure it stands on, how firmly, and what
 * would contradict it. Nothing is said from fewer than three stops.
 */
export function swardSays(round: Round, plants: Plant[]): Said[] {
  const all = tallied(countedStops(round), namedLetters(round))
  if (all.totals.length < 3) return []
  const found = [...rules, ...sownRule(round)].flatMap((rule) => judge(rule, round, all, plants))
  return found.sort((a, b) => Number(a.strength === 'likely') - Number(b.strength === 'likely'))
}
