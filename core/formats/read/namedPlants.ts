import type { Plant } from '../../flora/flora.ts'
import type { Taxon } from '../../records/taxon.ts'
import { nameFinder } from './nameFinder.ts'

export interface NamedPlants {
  /** Plants of the book, and scientific names outside it. */
  taxa: Taxon[]
  /** Words that are no name known here, as they were written. */
  unread: string[]
}

/** Plants of a list that somebody typed: names of any kind with a comma, semicolon or line between them. */
export function namedPlants(list: string, plants: readonly Plant[]): NamedPlants {
  const find = nameFinder(plants)
  const names = list.split(/[\n,;]/).map((n) => n.trim()).filter((n) => n !== '') // prettier-ignore
  const taxa = new Set<Taxon>()
  const unread: string[] = []
  for (const name of names) {
    const found = find(name)
    if (found && found.how !== 'ground' && found.how !== 'letter') taxa.add(found.taxon)
    else unread.push(name)
  }
  return { taxa: [...taxa], unread }
}
