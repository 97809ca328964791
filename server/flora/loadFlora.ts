import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import Papa from 'papaparse'
import type { Cultivar } from '@/core/naming/groupKey.ts'
import type { Flora, Plant } from '@/core/flora/flora.ts'
import type { FloraProblem } from './problem.ts'
import { projectRoot } from '../projectRoot.ts'
import { contentHash, kept } from './keepRead.ts'
import { nearest } from './problem.ts'
import { readCharacters } from './readCharacters.ts'
import { readCultivars } from './readCultivars.ts'
import { readGroups } from './readGroups.ts'
import { readHazards } from './readHazards.ts'
import { readNeighbours } from './readNeighbours.ts'
import { readPlant } from './readPlant.ts'

interface TaxonRow {
  id: string
  common_name: string
  scientific_name: string
  form: string
  cycle: string
  season: string
  role: string
}

/** What the list of taxa fixes must be the same in the plant's own file; a plant that is not on it stands after those that are. */
function checkAgainstList(plant: Plant, file: string, list: Map<string, TaxonRow>): FloraProblem[] {
  const row = list.get(plant.id)
  if (!row) return []
  const pairs: [string, string, string][] = [
    ['common_name', plant.commonName, row.common_name],
    ['scientific_name', plant.scientificName, row.scientific_name],
    ['form', plant.form, row.form],
    ['cycle', plant.cycle, row.cycle],
    ['season', plant.season, row.season],
    ['role', plant.role, row.role],
  ]
  return pairs
    .filter(([, here, there]) => here !== there)
    .map(([key, here, there]) => ({
      file,
      line: 1,
      message: `${key} is "${here}" here and "${there}" in taxa.csv`,
    }))
}

/** Names of the pictures that were made of the plants, by plant and stage; a book without any is whole. */
function readPlates(folder: string): Record<string, NonNullable<Plant['plates']>> {
  const file = join(folder, 'plates.json')
  return existsSync(file)
    ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, NonNullable<Plant['plates']>>)
    : {}
}

const CULTIVARS = 'subterranean-cultivars.yaml'

/** Cultivars of subterranean clover for the group key. */
export const loadCultivars = (folder = floraFolder): Cultivar[] =>
  readCultivars(CULTIVARS, readFileSync(join(folder, CULTIVARS), 'utf8')).cultivars

/** Read and check the whole book. Plants are in the order of taxa.csv, those that are not on it after them by their ids. */
export function readFlora(folder: string): { flora: Flora; problems: FloraProblem[] } {
  const { characters, problems } = readCharacters(
    'characters.yaml',
    readFileSync(join(folder, 'characters.yaml'), 'utf8'),
  )
  const rows = Papa.parse<TaxonRow>(readFileSync(join(folder, 'taxa.csv'), 'utf8').trim(), {
    header: true,
  }).data
  const plates = readPlates(folder)
  const list = new Map(rows.map((r) => [r.id, r]))
  const order = new Map(rows.map((r, i) => [r.id, i]))
  const plants: Plant[] = []
  for (const file of readdirSync(join(folder, 'plants'))
    .filter((f) => f.endsWith('.yaml'))
    .sort()) {
    const read = readPlant(file, readFileSync(join(folder, 'plants', file), 'utf8'), characters)
    problems.push(...read.problems.map((p) => ({ ...p, file: `plants/${p.file}` })))
    if (!read.plant) continue
    problems.push(...checkAgainstList(read.plant, `plants/${file}`, list))
    const pictures = plates[read.plant.id]
    plants.push(pictures ? { ...read.plant, plates: pictures } : read.plant)
  }
  const ids = new Set(plants.map((p) => p.id))
  // A file that was lost or misnamed must not take its plant out of the book in silence.
  const files = new Set(readdirSync(join(folder, 'plants')))
  rows.forEach((row, i) => {
    if (!files.has(`${row.id}.yaml`))
      problems.push({ file: 'taxa.csv', line: i + 2, message: `"${row.id}" has no file plants/${row.id}.yaml` })
  })
  for (const plant of plants)
    for (const l of plant.lookalikes)
      if (!ids.has(l.plant))
        problems.push({
          file: `plants/${plant.id}.yaml`,
          line: 1,
          message: `look-alike "${l.plant}" has no file; nearest: ${nearest(l.plant, [...ids]).join(', ')}`,
        })
  const read = readGroups('groups.yaml', readFileSync(join(folder, 'groups.yaml'), 'utf8'), plants)
  problems.push(...read.problems, ...readCultivars(CULTIVARS, readFileSync(join(folder, CULTIVARS), 'utf8')).problems)
  const dangers = readHazards('hazards.yaml', readFileSync(join(folder, 'hazards.yaml'), 'utf8'), plants)
  problems.push(...dangers.problems)
  const outside = readNeighbours('neighbours.yaml', readFileSync(join(folder, 'neighbours.yaml'), 'utf8'), characters, [
    ...ids,
  ])
  problems.push(...outside.problems)
  plants.sort((a, b) => (order.get(a.id) ?? 1e9) - (order.get(b.id) ?? 1e9))
  const { neighbours } = outside
  return { flora: { characters, plants, neighbours, groups: read.groups, hazards: dangers.hazards }, problems }
}

export const floraFolder = join(projectRoot, 'flora')

/**
 * The shipped book, or a stop with the first things wrong in it.
 *
 * @throws Error naming file, line and what is allowed
 */
export function loadFlora(folder = floraFolder): Flora {
  return kept(contentHash(folder), () => {
    const { flora, problems } = readFlora(folder)
    if (problems.length > 0) throw new Error(problems.slice(0, 10).map(sayProblem).join('\n'))
    return flora
  })
}

export const sayProblem = (p: FloraProblem) => `flora/${p.file}:${p.line}: ${p.message}`
