import type { Bale, Designated, HayDesignation, HeatCode } from '@/core/assess/feed/hay.ts'
import type { FeedState } from '@/core/assess/feed/feedStates.ts'
import type { FeedNote } from '@/core/assess/feed/meetsNeeds.ts'
import type { EnergyUnit } from '@/core/assess/feed/needs.ts'
import type { FeedBasis } from '@/core/assess/feed/walkedFeed.ts'
import type { Walked } from '@/core/assess/feed/walkedStates.ts'
import type { ClipFactor } from '@/core/assess/feed/clipFactors.ts'
import type { ForageClass } from '@/core/assess/feed/forageClass.ts'
import type { MassBy } from '@/core/assess/feed/mixtureFeed.ts'
import { say } from './say.ts'

/** Two-sided 95 % of a normal distribution. */
const Z = 1.96

const states: Record<FeedState, () => string> = {
  leafy: () => say('leafy'),
  boot: () => say('in boot or bud'),
  headed: () => say('headed or in bloom'),
  ripe: () => say('ripe'),
  cured: () => say('dead leaf standing'),
}
export const feedStateWords = (state: FeedState): string => states[state]()

const bases: Record<FeedBasis, () => string> = {
  laboratory: () => say('the sample of the laboratory'),
  noted: () => say('the sward as it was walked'),
  month: () => say('the sward as it may stand in this month'),
}
/** What a feed stands on. */
export const feedBasisWords = (basis: FeedBasis): string => bases[basis]()

/** The growth that a sward is judged at, most of it first. */
export function walkedWords(at: Walked): string {
  if (at.by === 'month') return say('growth not noted: whatever the month allows')
  if (at.by === 'state') return feedStateWords(at.state)
  const shares = (Object.entries(at.shares) as [FeedState, number][]).toSorted((a, b) => b[1] - a[1])
  const only = shares.length === 1 ? shares[0] : undefined
  if (only) return feedStateWords(only[0])
  return shares.map(([s, share]) => `${feedStateWords(s)} ${Math.round(100 * share)} %`).join(', ')
}

const notes: Record<FeedNote, () => string> = {
  'protein-first': () =>
    say('Protein first: with so little of it the rumen digests, and the animal eats, less of this than it could.'),
  'fills-before-it-feeds': () =>
    say('It fills before it feeds: of so much fibre an animal of this class eats less than it would of good feed.'),
  'more-than-needed': () =>
    say('More energy than this class needs: left to eat as it likes it grows fat, which in horses ends in founder.'),
}
export const feedNoteWords = (note: FeedNote): string => notes[note]()

const units: Record<EnergyUnit | 'kg', () => string> = {
  kg: () => say('kg'),
  'kg-tdn': () => say('kg TDN'),
  'mcal-de': () => say('Mcal digestible energy'),
}
export const needUnitWords = (unit: EnergyUnit | 'kg'): string => units[unit]()

const hay: Record<HayDesignation, () => string> = {
  supreme: () => say('supreme'),
  premium: () => say('premium'),
  good: () => say('good'),
  fair: () => say('fair'),
  utility: () => say('utility'),
}

/** What hay of it would be called, with what it might be called as well. */
export function hayWords({ by, best, likely, worst }: Designated): string {
  const name = hay[likely]()
  const range =
    best === worst ? '' : say(', between {{worst}} and {{best}}', { worst: hay[worst](), best: hay[best]() })
  return by === 'protein'
    ? say('{{name}} grass hay by protein{{range}}', { name, range })
    : say('{{name}} legume hay by relative feed value{{range}}', { name, range })
}

const baleNames: Record<Bale, () => string> = {
  'small-square': () => say('small square bales'),
  round: () => say('round bales'),
  'large-square': () => say('large square bales'),
}
export const baleWords = (bale: Bale): string => baleNames[bale]()

const heats: Record<HeatCode, () => string> = {
  watch: () => say('look twice a day.'),
  'move-apart': () => say('take it apart only with somebody by and water at hand: air can set it alight.'),
  'fire-service': () => say('leave it as it stands and call the fire service first.'),
}
/** What heat in a stack asks for. */
export const heatWords = (code: HeatCode): string => heats[code]()

const classes: Record<ForageClass, () => string> = {
  legume: () => say('legumes'),
  'cool-grass': () => say('cool-season grasses'),
  'warm-grass': () => say('warm-season grasses'),
  forb: () => say('forbs'),
  browse: () => say('browse'),
}

/** What the shares of a mixture stand on. @param figure writes a number in the reader's language */
export function massByWords(massBy: MassBy, figure: (n: number) => string): string {
  if (massBy.by === 'weight') return say('Its shares are of dry matter.')
  if (massBy.by === 'guess')
    return say(
      'Shares of points stand for shares of dry matter, a guess that may be off by up to half for each kind of forage; clips would tell.',
    )
  const { stops, of } = massBy.factors
  const factors = (Object.entries(of) as [ForageClass, ClipFactor][]).map(([c, { log, sd }]) =>
    say('{{kind}} {{times}} ({{low}} to {{high}})', {
      kind: classes[c](),
      times: figure(Math.exp(log)),
      low: figure(Math.exp(log - Z * sd)),
      high: figure(Math.exp(log + Z * sd)),
    }),
  )
  return say(
    'Shares of points are turned into dry matter by {{n}} stops that were clipped and sorted as well (ratio estimate, Cochran 1977), times {{factors}}; what they do not tell of, by a guess that may be off by up to half.',
    { n: stops, factors: factors.join(', ') },
  )
}
