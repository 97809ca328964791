import { fileWords, refusedFile } from '@/text/fileWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import JSZip from 'jszip'
import Papa from 'papaparse'
import { beforeAll, describe, expect, it } from 'vitest'
import type { ReadFinds } from '@/core/formats/read/finds.ts'
import { readArchive } from '@/core/formats/read/readArchive.ts'
import { readPoints } from '@/core/formats/read/readPoints.ts'
import { guessColumns, readTable } from '@/core/formats/read/readTable.ts'
import { methodMeant, methodsFor, roundOfFinds } from '@/core/formats/read/roundOfFinds.ts'
import { unzipTexts } from '@/core/formats/read/unzipTexts.ts'
import { hitRows } from '@/core/formats/write/roundRows.ts'
import { roundGeoJson } from '@/core/formats/write/roundGeoJson.ts'
import type { Round } from '@/core/records/round.ts'
import { compositionOf } from '@/core/survey/composition.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { addHolding, addPaddock } from '@/server/db/places.ts'
import { addRound } from '@/server/db/rounds.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const api = apiForFile()
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`

const counted: Round = roundOf(
  'step-points',
  [
    countedStop(1, {
      id: uuid(11),
      position: [-29.4, 45.6],
      stratum: 'crest',
      hits: hitsOf({ timothy: 3, bare: 1, 'white-clover': 4, 'latin:Aira praecox': 2 }),
    }),
    countedStop(2, { id: uuid(12), position: [-29.401, 45.6005], hits: hitsOf({ 'unknown:A': 2, timothy: 8 }) }),
  ],
  { id: uuid(1), paddockId: uuid(2), paddock: { ...emptyPaddock, id: uuid(2), holdingId: uuid(3) } },
)

beforeAll(async () => {
  await addHolding(api.db, { id: uuid(3), name: 'Withy Bank', client: '' })
  await addPaddock(api.db, counted.paddock)
  await addRound(api.db, counted)
})

const again = (finds: ReadFinds) => {
  let n = 100
  const chosen = {
    id: uuid(90),
    paddock: counted.paddock,
    holding: '',
    client: '',
    title: 'x',
    purpose: '',
    source: '',
  }
  const method = methodMeant(finds)
  return roundOfFinds(
    finds,
    { ...chosen, method, day: finds.day || '2027-04-02', newId: () => uuid(n++) },
    flora.plants,
  )
}

const sharesOf = (round: Round) =>
  Object.fromEntries(
    compositionOf(abundanceMatrix(countedStops(round), {}), plantsById)!.taxa.map((t) => [t.taxon, t.hits]),
  )

describe('what the app writes, read back', () => {
  it('Darwin Core: the occurrences as they were; ground and letters are no occurrences', async () => {
    const { body } = await api
      .raw()
      .get(`/api/rounds/${uuid(1)}/files/darwin-core.zip`)
      .buffer()
      .parse((res, done) => {
        const parts: Buffer[] = []
        res.on('data', (c: Buffer) => parts.push(c)).on('end', () => done(null, Buffer.concat(parts)))
      })
    const texts = await unzipTexts(new Uint8Array(body as Buffer))
    if (!(texts instanceof Map)) throw refusedFile(texts.problem)
    const finds = readArchive(texts)
    if ('problem' in finds) throw refusedFile(finds.problem)
    const { round, notUnderstood } = again(finds)
    expect(notUnderstood).toEqual([])
    expect(round.method).toBe('step-points')
    expect(round.plannedOn).toBe('2027-04-02')
    expect(sharesOf(round)).toEqual({ timothy: 11, 'white-clover': 4, 'latin:Aira praecox': 2 })
    expect(round.stops.map((s) => s.position)).toEqual(counted.stops.map((s) => s.position))
  })

  it('the table of hits: every hit, its place and its part, and the round as good as the one that was counted', async () => {
    const text = Papa.unparse(hitRows(counted, plantsById, { taxon: taxonName }), { escapeFormulae: true })
    const parsed = Papa.parse<Record<string, string>>(text, { header: true })
    const columns = guessColumns(parsed.meta.fields!)
    expect(columns).toMatchObject({ stop: 'stop', name: 'taxon', amount: 'amount', stratum: 'part_of_paddock' })
    const { round, notUnderstood } = again(readTable(parsed.data, columns))
    expect(notUnderstood).toEqual([])
    expect(sharesOf(round)).toEqual(sharesOf(counted))
    expect(round.stops[0]!.stratum).toBe('crest')
    expect(round.unknowns).toEqual([{ letter: 'A', namedAs: null }])
    // The server takes it in like any round that was handed on.
    const holding = { id: uuid(3), name: 'Withy Bank', client: '' }
    const sent = await api.post('/api/round-files', { kind: 'fold-sprig-round', version: 1, holding, round })
    expect(sent.status, JSON.stringify(sent.body)).toBe(201)
    expect(sent.body).toMatchObject({ isNew: true, stopsTaken: 2 })
  })

  it('GeoJSON: the stops with their counts by name', () => {
    const finds = readPoints(JSON.parse(JSON.stringify(roundGeoJson(counted, (t) => taxonName(t, plantsById)))))
    if ('problem' in finds) throw refusedFile(finds.problem)
    const { round, notUnderstood } = again(finds)
    expect(sharesOf(round)).toEqual(sharesOf(counted))
    expect(notUnderstood).toEqual([])
  })
})

describe('archives and tables that others write', () => {
  // Laid out after the text guidelines of Darwin Core (TDWG 2009): tabs, no quotes, an id column of its own, a default.
  const meta = `<?xml version="1.0"?>
    <archive xmlns="http://rs.tdwg.org/dwc/text/" metadata="eml.xml">
      <core encoding="UTF-8" linesTerminatedBy="\\n" fieldsTerminatedBy="\\t" fieldsEnclosedBy="" ignoreHeaderLines="1"
        rowType="http://rs.tdwg.org/dwc/terms/Occurrence">
        <files><location>finds.txt</location></files>
        <id index="0"/>
        <field index="1" term="http://rs.tdwg.org/dwc/terms/scientificName"/>
        <field index="2" term="http://rs.tdwg.org/dwc/terms/eventID"/>
        <field index="3" term="http://rs.tdwg.org/dwc/terms/organismQuantity"/>
        <field term="http://rs.tdwg.org/dwc/terms/samplingProtocol" default="Pin points"/>
      </core>
      <extension rowType="http://rs.gbif.org/terms/1.0/Multimedia"><files><location>pictures.txt</location></files>
        <coreid index="0"/></extension>
    </archive>`
  const finds = 'id\tname\tevent\tquantity\n1\tTrifolium repens L.\te1\t12,5\n2\tPhleum pratense\te1\t30\n3\t\te2\t1\n'

  it('is read by its own description', async () => {
    const zip = new JSZip().file('a/meta.xml', meta).file('a/finds.txt', finds)
    const texts = await unzipTexts(await zip.generateAsync({ type: 'uint8array' }))
    if (!(texts instanceof Map)) throw refusedFile(texts.problem)
    const read = readArchive(texts)
    if ('problem' in read) throw refusedFile(read.problem)
    expect(read.stops).toMatchObject([
      {
        key: 'e1',
        finds: [
          { name: 'Trifolium repens L.', amount: 12.5 },
          { name: 'Phleum pratense', amount: 30 },
        ],
      },
    ])
    expect(read.notUnderstood.map((n) => fileWords(n.what))).toEqual([
      'The archive names "pictures.txt" but does not hold it.',
      'an occurrence without a name',
    ])
    expect(again(read).names.map((n) => n.found.taxon)).toEqual(['white-clover', 'timothy'])
    expect(again(read).round.method).toBe('cover-classes')
  })

  const rows = (list: [string, string, string][]) => list.map(([plot, species, cover]) => ({ plot, species, cover }))
  it('a table of cover: names with slips are asked back, and given names stand', () => {
    const table = rows([
      ['1', 'Lolium perenne', '40'],
      ['1', 'white clovr', '15.5'],
      ['2', 'Mystery weed', '5'],
      ['2', 'Unknown B', '3'],
      ['2', 'Bare soil', 'lots'],
    ])
    const finds = readTable(table, guessColumns(['plot', 'species', 'cover']))
    const read = again(finds)
    expect(read.strangers).toEqual(['white clovr', 'Mystery weed'])
    expect(read.notUnderstood.map((n) => fileWords(n.what))).toEqual([
      'an amount that is not a number: "lots"',
      'the name "white clovr"',
      'the name "Mystery weed"',
    ])
    const chosen = {
      paddock: emptyPaddock,
      holding: '',
      client: '',
      title: '',
      purpose: '',
      source: '',
      day: '2027-01-01',
    }
    const method = 'cover-classes' as const
    const given = { 'white clovr': 'white-clover' }
    const mended = roundOfFinds(finds, { ...chosen, id: 'r', method, given, newId: () => 's' }, flora.plants)
    expect(mended.strangers).toEqual(['Mystery weed'])
    expect(sharesOf(mended.round)['white-clover']).toBe(15.5)
  })

  it('points that are no whole number are not rounded in silence; pins need a pin for every find', () => {
    const finds = readTable(rows([['1', 'timothy', '2.5']]), { stop: 'plot', name: 'species', amount: 'cover' })
    const chosen = {
      paddock: emptyPaddock,
      holding: '',
      client: '',
      title: '',
      purpose: '',
      source: '',
      day: '2027-01-01',
    }
    const read = roundOfFinds(finds, { ...chosen, id: 'r', method: 'step-points', newId: () => 's' }, flora.plants)
    expect(fileWords(read.notUnderstood[0]!.what)).toContain('2.5')
    expect(read.round.stops[0]!.doneAt).toBeNull()
    expect(methodsFor(finds)).not.toContain('layer-points')
    const pins = readTable([{ plot: '1', species: 'timothy', pin: '3' }], {
      stop: 'plot',
      name: 'species',
      part: 'pin',
    })
    expect(methodsFor(pins)).toContain('layer-points')
  })
})
