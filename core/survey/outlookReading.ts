import { cellAt, type Plant } from '../naming/flora.ts'
import type { Outlook, Round } from '../records/round.ts'
import { shareOf, type Share } from './composition.ts'
import { countedStops, designOf } from './counted.ts'
import { namedLetters } from './figures.ts'
import { noneFoundUpperBound } from './proportionIntervals.ts'
import { tallied } from './tally.ts'
import { BARE, LITTER, type Taxon } from './taxon.ts'
import { say } from '../say.ts'

/** A figure of the composition as one outlook reads it. */
export interface OutlookLine {
  title: string
  share: Share
  /** Plants it is made of. */
  of: Taxon[]
  /** What it means, where it means something. */
  says: string
}

/** A sown plant, as it was found again. */
export interface SownFound {
  plant: string
  /** Undefined where it was not met. */
  share: Share | undefined
  /** Not met: the highest share of stops, 0 to 1, that could still hold it. */
  couldBe: number | undefined
}

/** Heights in mm between which a turf plant is kept, low and high; common practice, no source. */
const MOWN_MM: Record<string, readonly [number, number]> = {
  'perennial-ryegrass': [15, 60],
  'kentucky-bluegrass': [20, 65],
  'annual-bluegrass': [3, 40],
  'rough-bluegrass': [12, 50],
  'creeping-bentgrass': [3, 12],
  'red-fescue': [20, 70],
  'hard-sheep-fescue': [30, 80],
  'tall-fescue': [40, 75],
  'tall-fescue-turf': [35, 75],
  bermudagrass: [5, 40],
  zoysiagrass: [12, 50],
  buffalograss: [40, 80],
}

export interface OutlookReading {
  lines: OutlookLine[]
  /** Sown list against what was found; empty where nothing is known to be sown. */
  sown: SownFound[]
  /** Turf only: heights in mm that suit every grass with a tenth of the sward or more. */
  mowMm: { range: [number, number]; of: string[] } | { clash: string[] } | undefined
}

/** Left by most stock, or refused once it is stemmy; common practice, no source. */
const REFUSED = new Set(['velvetgrass', 'sweet-vernalgrass', 'broomsedge', 'purple-moor-grass', 'sericea-lespedeza'])

const creeps = (p: Plant) => {
  const cell = cellAt(p, 'habit', 'vegetative')
  return (
    cell?.kind === 'states' &&
    ['rhizome', 'stolon', 'rhizome-and-stolon'].some((s) =>
      ['always', 'usually', 'often'].includes(cell.words[s] ?? ''),
    )
  )
}

function mowing(list: { id: string; share: number }[]): OutlookReading['mowMm'] {
  const counts = list.filter((t) => t.share >= 0.1 && MOWN_MM[t.id]).map((t) => t.id)
  if (counts.length === 0) return undefined
  const low = Math.max(...counts.map((id) => MOWN_MM[id]![0]))
  const high = Math.min(...counts.map((id) => MOWN_MM[id]![1]))
  return low <= high ? { range: [low, high], of: counts } : { clash: counts }
}

/**
 * The composition as an outlook reads it: the same counts, other questions.
 *
 * Grazing: eaten against refused. Hay: what harms in it. Turf: sown, bare, what
 * repairs wear and creeps. Native: native plants against others. Sown against unsown in all of them. Which plants are
 * refused and which heights suit are common practice without a source.
 *
 * @returns undefined while nothing is counted
 */
export function outlookReading(round: Round, plants: Map<string, Plant>, outlook: Outlook): OutlookReading | undefined {
  const all = tallied(countedStops(round), namedLetters(round))
  if (all.taxa.length === 0) return undefined
  const design = designOf(round)
  const met = all.taxa.flatMap((t) => plants.get(t) ?? [])
  const { sown } = round.paddock
  const line = (title: string, test: (p: Plant) => boolean, says = ''): OutlookLine[] => {
    const of = met.filter(test).map((p) => p.id)
    return of.length > 0 ? [{ title, of, says, share: shareOf(all, of, design) }] : []
  }
  const notLiving = [BARE, LITTER].filter((t) => all.taxa.includes(t))
  const bare: OutlookLine[] =
    notLiving.length > 0
      ? [{ title: say('Bare ground and litter'), of: notLiving, says: '', share: shareOf(all, notLiving, design) }]
      : []
  const refused = (p: Plant) => p.role === 'weed' || p.role === 'toxic' || REFUSED.has(p.id)
  const ofSown =
    sown.length > 0
      ? [...line(say('Sown'), (p) => sown.includes(p.id)), ...line(say('Came by itself'), (p) => !sown.includes(p.id))]
      : []
  const own: Record<Outlook, () => OutlookLine[]> = {
    grazing: () => [
      ...line(say('Mostly eaten'), (p) => !refused(p)),
      ...line(say('Mostly refused'), refused, say('Present is not eaten: hungry stock eat what they would leave.')),
    ],
    hay: () => [
      ...line(
        say('Harmful in hay'),
        (p) => p.role === 'toxic' && p.exposure?.forms.hay === 'harmful',
        say('Stock that leave it standing cannot sort it out of hay.'),
      ),
      ...line(
        say('Harmful standing; as hay lessened or not known'),
        (p) => p.role === 'toxic' && p.exposure?.forms.hay !== 'harmful',
        say('That is not the same as harmless.'),
      ),
    ],
    turf: () => [
      ...line(
        say('Repairs wear and creeps into borders'),
        creeps,
        say('By rhizome or runner: a strength in a goal mouth, a fault at an edge.'),
      ),
      ...line(say('Neither sown nor turf'), (p) => !sown.includes(p.id) && p.role !== 'turf' && !MOWN_MM[p.id]),
      ...bare,
    ],
    native: () => [
      ...line(say('Native plants of the book'), (p) => p.role === 'native'),
      ...line(
        say('Others'),
        (p) => p.role !== 'native',
        say('Not all of them are strangers: the book marks as native what is sown as such.'),
      ),
      ...bare,
    ],
  }
  return {
    lines: [...ofSown, ...own[outlook]()],
    sown: sown.map((plant) => {
      const there = all.taxa.includes(plant)
      return {
        plant,
        share: there ? shareOf(all, [plant], design) : undefined,
        couldBe: there ? undefined : noneFoundUpperBound(all.totals.length),
      }
    }),
    mowMm:
      outlook === 'turf'
        ? mowing(met.map((p) => ({ id: p.id, share: shareOf(all, [p.id], design).estimate })))
        : undefined,
  }
}
