import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Flora } from '@/core/flora/flora.ts'
import { openStop } from '@/core/records/round.ts'
import { latinTaxon } from '@/core/records/taxon.ts'
import type { Db } from '../db/db.ts'
import { addHolding, addPaddock } from '../db/places.ts'
import { projectRoot } from '../projectRoot.ts'
import { addRound } from '../db/rounds.ts'
import { fixedId } from './fixedId.ts'

interface CoverTable {
  source: string
  licence: string
  note: string
  plots: string[]
  species: string[]
  cover: number[][]
}

/** The plant a scientific name means, where several plants of the book share a species the general one. */
function plantOfName(flora: Flora, scientificName: string): string | undefined {
  const same = flora.plants.filter((p) => p.scientificName === scientificName)
  return (same.find((p) => p.speciesDefault) ?? same[0])?.id
}

/**
 * Load the open dune-meadow table as a round of cover-class plots; a second time changes nothing.
 *
 * @returns id of the round and how many of its species the book knows
 */
export async function importDune(db: Db, flora: Flora): Promise<{ roundId: string; species: number; linked: number }> {
  const table = JSON.parse(readFileSync(join(projectRoot, 'server/demo/dune.json'), 'utf8')) as CoverTable
  const taxa = table.species.map((name) => plantOfName(flora, name) ?? latinTaxon(name))
  const holdingId = fixedId('open-data')
  const paddockId = fixedId('open-data/dune')
  const roundId = fixedId('open-data/dune/round')
  await addHolding(db, { id: holdingId, name: 'Open data', client: '' })
  await addPaddock(db, {
    id: paddockId,
    holdingId,
    name: 'Dune meadow',
    boundary: null,
    region: 'cool-humid',
    outlook: 'native',
    sown: [],
    strata: [],
    note: '',
  })
  await addRound(db, {
    id: roundId,
    paddockId,
    title: 'Dune meadow, 20 plots',
    method: 'cover-classes',
    purpose: 'An open table to check the arithmetic with',
    plannedOn: '1987-01-01',
    pointsPerStop: 1,
    route: null,
    settings: {},
    source: `${table.source}. Licence: ${table.licence}. Note: ${table.note}.`,
    stops: table.plots.map((plot, i) => ({
      ...openStop(fixedId(`open-data/dune/plot/${plot}`), i + 1, null),
      hits: taxa.map((taxon, j) => ({ taxon, amount: table.cover[i]![j]! })).filter((h) => h.amount > 0),
      doneAt: '1987-01-01T12:00:00.000Z',
    })),
  })
  return { roundId, species: taxa.length, linked: taxa.filter((t) => !t.startsWith('latin:')).length }
}
