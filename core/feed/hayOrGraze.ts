import type { Plant } from '../naming/flora.ts'
import type { Round } from '../records/round.ts'
import { shareOf, type Share } from '../survey/composition.ts'
import { countedStops, designOf } from '../survey/counted.ts'
import { namedLetters } from '../survey/figures.ts'
import { tallied } from '../survey/tally.ts'
import type { Taxon } from '../survey/taxon.ts'
import { say } from '../say.ts'

/** Something in the sward that speaks for one use, or against it. */
export interface Reason {
  use: 'hay' | 'grazing'
  speaks: 'for' | 'against'
  title: string
  of: Taxon[]
  share: Share
  says: string
}

interface Rule extends Pick<Reason, 'use' | 'speaks' | 'title' | 'says'> {
  test: (plant: Plant) => boolean
  /** Least share of the sward, 0 to 1, at which it is worth a word. */
  from: number
}

const among =
  (...ids: string[]) =>
  (p: Plant) =>
    ids.includes(p.id)

const bloats = (p: Plant) => p.harm.some((h) => h.kind === 'bloat')
const slow = among('chicory', 'buckhorn-plantain', 'dandelion', 'broadleaf-dock', 'curly-dock', 'comfrey')

/** Common practice, no source, but for the share of bloating legumes (a third: Majak et al. 2003, from memory). */
const rules: Rule[] = [
  {
    use: 'grazing',
    speaks: 'for',
    title: say('Stands close grazing'),
    test: among('kentucky-bluegrass', 'white-clover', 'perennial-ryegrass', 'annual-bluegrass', 'strawberry-clover'),
    from: 0.3,
    says: say('Low growers that a mower mostly passes over.'),
  },
  {
    use: 'grazing',
    speaks: 'against',
    title: say('Goes out when grazed close'),
    test: among(
      'timothy',
      'alfalfa',
      'smooth-brome',
      'common-vetch',
      'hairy-vetch',
      'crown-vetch',
      'sericea-lespedeza',
    ),
    from: 0.1,
    says: say('Needs rest after each use, and a stubble of a hand.'),
  },
  {
    use: 'grazing',
    speaks: 'against',
    title: say('Legumes that bloat'),
    test: bloats,
    from: 1 / 3,
    says: say('From about a third of the sward: turn in full stock, late in the morning, a strip at a time.'),
  },
  {
    use: 'hay',
    speaks: 'for',
    title: say('Tall plants that a mower takes whole'),
    test: among(
      'orchardgrass',
      'timothy',
      'meadow-fescue',
      'tall-fescue',
      'smooth-brome',
      'tall-oatgrass',
      'red-clover',
      'alfalfa',
      'reed-canarygrass',
    ),
    from: 0.3,
    says: say('Cut grasses when heads show, clovers in bud.'),
  },
  {
    use: 'hay',
    speaks: 'against',
    title: say('Harms in hay, and cannot be sorted out'),
    test: (p) => p.role === 'toxic' && p.exposure?.forms.hay === 'harmful',
    from: 0,
    says: say('Take it out before the mower comes.'),
  },
  {
    use: 'hay',
    speaks: 'against',
    title: say('Harmful standing; as hay lessened or not known'),
    test: (p) => p.role === 'toxic' && p.exposure?.forms.hay !== 'harmful',
    from: 0,
    says: say('That is not the same as harmless.'),
  },
  {
    use: 'hay',
    speaks: 'against',
    title: say('Dries slowly'),
    test: slow,
    from: 0.1,
    says: say('A day or more longer than the grass: bales go mouldy round it.'),
  },
  {
    use: 'hay',
    speaks: 'against',
    title: say('Leaf that shatters'),
    test: (p) => p.form === 'legume',
    from: 0.2,
    says: say('Turn while dew is on it; the leaf is where the protein is.'),
  },
  {
    use: 'hay',
    speaks: 'against',
    title: say('Sweetclover, which thins the blood when it moulds'),
    test: among('white-sweetclover', 'yellow-sweetclover', 'sweet-vernalgrass'),
    from: 0,
    says: say('Only bone dry, and never from a mouldy bale.'),
  },
]

/**
 * What in the sward speaks for hay and what for grazing. It does not choose: weather, stock and stores do.
 *
 * @returns reasons in the order of the rules, each with the share it stands on; empty while nothing is counted
 */
export function hayOrGraze(round: Round, plants: Map<string, Plant>): Reason[] {
  const all = tallied(countedStops(round), namedLetters(round))
  const met = all.taxa.flatMap((t) => plants.get(t) ?? [])
  return rules.flatMap(({ test, from, ...rule }) => {
    const of = met.filter(test).map((p) => p.id)
    if (of.length === 0) return []
    const share = shareOf(all, of, designOf(round))
    return share.estimate >= from ? [{ ...rule, of, share }] : []
  })
}
