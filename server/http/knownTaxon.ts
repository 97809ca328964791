import type { Flora } from '@/core/flora/flora.ts'
import { BARE, LETTER, letterOf, LITTER, type Taxon } from '@/core/records/taxon.ts'
import { nearest } from '../flora/problem.ts'
import { badRequest } from './httpError.ts'

/**
 * A taxon as a hit may carry it.
 *
 * @throws HttpError 400 with the nearest plant ids
 */
export function knownTaxon(taxon: string, flora: Flora, field: string): Taxon {
  const other =
    taxon === BARE || taxon === LITTER || LETTER.test(letterOf(taxon) ?? '') || /^latin:\S.{0,180}$/u.test(taxon)
  if (other || flora.plants.some((p) => p.id === taxon)) return taxon
  const ids = flora.plants.map((p) => p.id)
  throw badRequest(
    `"${taxon}" is neither a plant of the book, bare, litter nor an unknown. Nearest: ${nearest(taxon, ids).join(', ')}.`,
    field,
  )
}

/** A plant of the book. */
export function knownPlant(id: string, flora: Flora, field: string): string {
  const ids = flora.plants.map((p) => p.id)
  if (ids.includes(id)) return id
  throw badRequest(`There is no plant "${id}" in the book. Nearest: ${nearest(id, ids).join(', ')}.`, field)
}
