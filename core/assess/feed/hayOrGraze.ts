import type { HarmKind, Trait } from '../../flora/codes.ts'
import { harmAs, harmsByItself } from '../harm/kinds.ts'
import { kindsOf, type Plant } from '../../flora/flora.ts'
import type { Round } from '../../records/round.ts'
import { shareOf, type Share } from '../../survey/composition.ts'
import { countedStops, designOf } from '../../survey/counted.ts'
import { resolvedUnknowns } from '../../survey/figures.ts'
import { abundanceMatrix } from '../../methods/tally.ts'
import type { Taxon } from '../../records/taxon.ts'

export type ReasonId =
  | 'stands-close-grazing'
  | 'needs-rest'
  | 'bloats'
  | 'mown-whole'
  | 'harms-in-hay'
  | 'harms-standing'
  | 'dries-slowly'
  | 'leaf-shatters'
  | 'moulds-to-bleeding'

/** Something in the sward that speaks for one use, or against it. */
export interface Reason {
  id: ReasonId
  use: 'hay' | 'grazing'
  speaks: 'for' | 'against'
  of: Taxon[]
  share: Share
}

interface Rule extends Pick<Reason, 'id' | 'use' | 'speaks'> {
  test: (plant: Plant) => boolean
  /** Least share of the sward, 0 to 1, at which it is worth a word. */
  from: number
}

const has = (trait: Trait) => (p: Plant) => p.traits?.includes(trait) === true
const harmsBy =
  (...kinds: HarmKind[]) =>
  (p: Plant) =>
    p.harm.some((h) => kindsOf(h).some((k) => kinds.includes(k)))
const harmsAsHay = (p: Plant) => harmsByItself(p) && harmAs(p, 'hay') === 'harmful'

/** Common practice, no source, but for the share of bloating legumes (a third: Majak et al. 2003, from memory). */
const rules: Rule[] = [
  { id: 'stands-close-grazing', use: 'grazing', speaks: 'for', test: has('stands-close-grazing'), from: 0.3 },
  { id: 'needs-rest', use: 'grazing', speaks: 'against', test: has('needs-rest'), from: 0.1 },
  { id: 'bloats', use: 'grazing', speaks: 'against', test: harmsBy('bloat'), from: 1 / 3 },
  { id: 'mown-whole', use: 'hay', speaks: 'for', test: has('mown-whole'), from: 0.3 },
  { id: 'harms-in-hay', use: 'hay', speaks: 'against', test: harmsAsHay, from: 0 },
  { id: 'harms-standing', use: 'hay', speaks: 'against', test: (p) => harmsByItself(p) && !harmsAsHay(p), from: 0 },
  { id: 'dries-slowly', use: 'hay', speaks: 'against', test: has('dries-slowly'), from: 0.1 },
  { id: 'leaf-shatters', use: 'hay', speaks: 'against', test: (p) => p.form === 'legume', from: 0.2 },
  { id: 'moulds-to-bleeding', use: 'hay', speaks: 'against', test: harmsBy('dicoumarol', 'coumarin'), from: 0 },
]

/**
 * What in the sward speaks for hay and what for grazing. It does not choose: weather, stock and stores do.
 *
 * @returns reasons in the order of the rules, each with the share it stands on; empty while nothing is counted
 */
export function hayOrGraze(round: Round, plants: Map<string, Plant>): Reason[] {
  const all = abundanceMatrix(countedStops(round), resolvedUnknowns(round))
  const met = all.taxa.flatMap((t) => plants.get(t) ?? [])
  return rules.flatMap(({ test, from, ...rule }) => {
    const of = met.filter(test).map((p) => p.id)
    if (of.length === 0) return []
    const share = shareOf(all, of, designOf(round))
    return share.estimate >= from ? [{ ...rule, of, share }] : []
  })
}
