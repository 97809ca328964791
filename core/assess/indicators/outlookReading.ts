import { walkedStates } from '../feed/walkedStates.ts'
import { leftShare } from '../grazing/eaten.ts'
import { fitFor, mowing } from '../turf/turf.ts'
import { harmAs, harmsByItself } from '../harm/kinds.ts'
import { cellAt, grazers, type Grazer, type Plant, type TurfUse } from '../../flora/flora.ts'
import type { Outlook, Round } from '../../records/round.ts'
import type { Share } from '../../survey/composition.ts'
import { sharesOf } from '../../survey/sharesOf.ts'
import { noneFoundUpperBound } from '../../stats/proportionIntervals.ts'
import { BARE, LITTER, type Taxon } from '../../records/taxon.ts'

/** What a line of an outlook counts. */
export type OutlookLineId =
  | 'sown'
  | 'came-by-itself'
  | 'bare'
  | 'mostly-eaten'
  | 'eaten-and-can-harm'
  | 'mostly-refused'
  | 'harms-in-hay'
  | 'may-harm-in-hay'
  | 'harms-standing'
  | 'creeps'
  | 'neither-sown-nor-turf'
  | 'native'
  | 'not-native'

/** A figure of the composition as one outlook reads it. */
export interface OutlookLine {
  id: OutlookLineId
  share: Share
  /** Plants it is made of. */
  of: Taxon[]
}

/** A sown plant, as it was found again. */
export interface SownFound {
  plant: string
  /** Undefined where it was not met. */
  share: Share | undefined
  /** Not met: the highest share of stops, 0 to 1, that could still hold it. */
  couldBe: number | undefined
}

export interface OutlookReading {
  lines: OutlookLine[]
  /** Sown list against what was found; empty where nothing is known to be sown. */
  sown: SownFound[]
  /** Turf only: heights that suit the grasses that are wanted. */
  mowing: ReturnType<typeof mowing>
}

/** Who eats it, and what it is played on for, where somebody said. */
export interface OutlookFor {
  animal?: Grazer | undefined
  turfUse?: TurfUse | undefined
}

/** A turf of which nobody said what it is for. */
export const USUAL_TURF: TurfUse = 'lawn'
/** A plant of which stock leave so much counts as refused. */
const REFUSED = 0.5

const creeps = (p: Plant) => {
  const cell = cellAt(p, 'habit', 'vegetative')
  return (
    cell?.kind === 'states' &&
    ['rhizome', 'stolon', 'rhizome-and-stolon'].some((s) =>
      ['always', 'usually', 'often'].includes(cell.words[s] ?? ''),
    )
  )
}

/**
 * The composition as an outlook reads it: the same counts, other questions.
 *
 * Grazing: eaten against refused. Hay: what harms in it. Turf: sown, bare, what
 * repairs wear and creeps. Native: native plants against others. Sown against unsown in all of them. What is refused goes
 * by the animal and the growth that was walked; where nobody said which animal, what all of them would leave.
 *
 * @returns undefined while nothing is counted
 */
export function outlookReading(
  round: Round,
  plants: Map<string, Plant>,
  outlook: Outlook,
  { animal, turfUse = USUAL_TURF }: OutlookFor = {},
): OutlookReading | undefined {
  const { all, share, middle } = sharesOf(round)
  if (all.taxa.length === 0) return undefined
  const met = all.taxa.flatMap((t) => plants.get(t) ?? [])
  const { sown } = round.paddock
  const line = (id: OutlookLineId, test: (p: Plant) => boolean): OutlookLine[] => {
    const of = met.filter(test).map((p) => p.id)
    return of.length > 0 ? [{ id, of, share: share(of) }] : []
  }
  const notLiving = [BARE, LITTER].filter((t) => all.taxa.includes(t))
  const bare: OutlookLine[] = notLiving.length > 0 ? [{ id: 'bare', of: notLiving, share: share(notLiving) }] : []
  const at = walkedStates(round)
  const who = animal ? [animal] : grazers
  const refused = (p: Plant) => who.every((a) => leftShare(p, a, at) >= REFUSED)
  const wanted = (p: Plant) => sown.includes(p.id) || fitFor(p, turfUse)
  const asHay = (p: Plant) => harmAs(p, 'hay')
  const ofSown =
    sown.length > 0
      ? [...line('sown', (p) => sown.includes(p.id)), ...line('came-by-itself', (p) => !sown.includes(p.id))]
      : []
  const own: Record<Outlook, () => OutlookLine[]> = {
    grazing: () => [
      ...line('mostly-eaten', (p) => !refused(p) && !harmsByItself(p)),
      ...line('eaten-and-can-harm', (p) => !refused(p) && harmsByItself(p)),
      ...line('mostly-refused', refused),
    ],
    hay: () => [
      ...line('harms-in-hay', (p) => harmsByItself(p) && asHay(p) === 'harmful'),
      ...line('may-harm-in-hay', (p) => !harmsByItself(p) && asHay(p) === 'harmful'),
      ...line('harms-standing', (p) => harmsByItself(p) && asHay(p) !== 'harmful'),
    ],
    turf: () => [
      ...line('creeps', (p) => wanted(p) && creeps(p)),
      ...line('neither-sown-nor-turf', (p) => !wanted(p)),
      ...bare,
    ],
    native: () => [
      ...line('native', (p) => p.role === 'native'),
      ...line('not-native', (p) => p.role !== 'native'),
      ...bare,
    ],
  }
  return {
    lines: [...ofSown, ...own[outlook]()],
    sown: sown.map((plant) => {
      const there = all.taxa.includes(plant)
      return {
        plant,
        share: there ? share([plant]) : undefined,
        couldBe: there ? undefined : noneFoundUpperBound(all.totals.length),
      }
    }),
    mowing:
      outlook === 'turf'
        ? mowing(
            met.map((plant) => ({ plant, share: middle([plant.id]) })),
            turfUse,
          )
        : undefined,
  }
}
