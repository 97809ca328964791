import { create } from 'xmlbuilder2'
import type { Plant } from '../../flora/flora.ts'
import type { Round } from '../../records/round.ts'
import { resolvedUnknowns } from '../../survey/figures.ts'
import { countingMethods } from '../../methods/index.ts'
import { amountsAt } from '../../methods/tally.ts'
import { latinOf } from '../../records/taxon.ts'
import { toCsv, type Writer } from './writer.ts'

const DWC = 'http://rs.tdwg.org/dwc/terms/'

const occurrenceTerms = [
  'occurrenceID',
  'basisOfRecord',
  'eventID',
  'eventDate',
  'samplingProtocol',
  'locality',
  'decimalLatitude',
  'decimalLongitude',
  'geodeticDatum',
  'kingdom',
  'family',
  'scientificName',
  'scientificNameAuthorship',
  'vernacularName',
  'occurrenceStatus',
  'identificationRemarks',
] as const
const factTerms = [
  'measurementID',
  'measurementType',
  'measurementValue',
  'measurementUnit',
  'measurementMethod',
] as const

type Row<T extends string> = Record<T, string>
export interface DarwinCore {
  occurrences: Row<(typeof occurrenceTerms)[number]>[]
  /** Linked to an occurrence by `coreId`. */
  facts: (Row<(typeof factTerms)[number]> & { coreId: string })[]
  /** What `meta.xml` says of the two tables. */
  meta: string
}

function metaXml(): string {
  const archive = create({ version: '1.0', encoding: 'UTF-8' }).ele('http://rs.tdwg.org/dwc/text/', 'archive')
  const table = (kind: 'core' | 'extension', rowType: string, file: string, terms: readonly string[]) => {
    const el = archive.ele(kind, {
      encoding: 'UTF-8',
      fieldsTerminatedBy: ',',
      linesTerminatedBy: '\\r\\n',
      fieldsEnclosedBy: '"',
      ignoreHeaderLines: '1',
      rowType: `${DWC}${rowType}`,
    })
    el.ele('files').ele('location').txt(file)
    el.ele(kind === 'core' ? 'id' : 'coreid', { index: '0' })
    terms.forEach((t, i) => el.ele('field', { index: String(kind === 'core' ? i : i + 1), term: `${DWC}${t}` }))
  }
  table('core', 'Occurrence', 'occurrence.csv', occurrenceTerms)
  table('extension', 'MeasurementOrFact', 'measurementorfact.csv', factTerms)
  return archive.end({ prettyPrint: true })
}

/**
 * Finds of a round as a Darwin Core archive (TDWG): one occurrence for each plant at each stop, its amount beside it.
 * Bare ground, litter and letters without a name are no occurrences and are left out.
 */
export function darwinCore(round: Round, plants: Map<string, Plant>): DarwinCore {
  const named = resolvedUnknowns(round)
  const out: DarwinCore = { occurrences: [], facts: [], meta: metaXml() }
  const { protocol, unit } = countingMethods[round.method]
  for (const stop of round.stops) {
    if (!stop.doneAt) continue
    for (const [taxon, amount] of amountsAt(stop, named)) {
      const plant = plants.get(taxon)
      const latin = latinOf(taxon)
      if (!plant && !latin) continue
      const id = `${round.id}:${stop.seq}:${taxon}`
      out.occurrences.push({
        occurrenceID: id,
        basisOfRecord: 'HumanObservation',
        eventID: `${round.id}:${stop.seq}`,
        eventDate: stop.doneAt.slice(0, 10),
        samplingProtocol: protocol,
        locality: `${round.paddock.name}, ${round.holding}`,
        decimalLatitude: stop.position?.[1]?.toFixed(6) ?? '',
        decimalLongitude: stop.position?.[0]?.toFixed(6) ?? '',
        geodeticDatum: stop.position ? 'EPSG:4326' : '',
        kingdom: 'Plantae',
        family: plant?.family ?? '',
        scientificName: plant?.scientificName ?? latin!,
        scientificNameAuthorship: plant?.author ?? '',
        vernacularName: plant?.commonName ?? '',
        occurrenceStatus: 'present',
        identificationRemarks: 'Named from vegetative characters',
      })
      out.facts.push({
        coreId: id,
        measurementID: `${id}:amount`,
        measurementType: `amount at the ${unit}`,
        measurementValue: String(amount),
        measurementUnit: countingMethods[round.method].entry === 'points' ? 'points' : protocol,
        measurementMethod: protocol,
      })
    }
  }
  return out
}

export const darwinCoreFile: Writer = {
  type: 'application/zip',
  write: ({ round, plants }) => {
    const { meta, occurrences, facts } = darwinCore(round, plants)
    return { 'meta.xml': meta, 'occurrence.csv': toCsv(occurrences), 'measurementorfact.csv': toCsv(facts) }
  },
}
