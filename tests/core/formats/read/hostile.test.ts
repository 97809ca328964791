import { fileWords, refusedFile } from '@/text/fileWords.ts'
import fc from 'fast-check'
import JSZip from 'jszip'
import { describe, expect, it } from 'vitest'
import { decodeText } from '@/core/formats/read/decodeText.ts'
import { MOST_READ_ROWS, MOST_READ_STOPS } from '@/core/formats/read/finds.ts'
import { nameFinder, nearestPlant } from '@/core/formats/read/nameFinder.ts'
import { readArchive } from '@/core/formats/read/readArchive.ts'
import { readPoints } from '@/core/formats/read/readPoints.ts'
import { guessColumns, readTable } from '@/core/formats/read/readTable.ts'
import { roundOfFinds } from '@/core/formats/read/roundOfFinds.ts'
import { unzipTexts } from '@/core/formats/read/unzipTexts.ts'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import { flora } from '@/tests/support/book.ts'
import { emptyPaddock } from '@/tests/support/rounds.ts'

const bytes = (text: string) => new TextEncoder().encode(text)

describe('archives that mean harm', () => {
  it('a zip bomb is given up long before it is unpacked', async () => {
    const zip = new JSZip().file('meta.xml', new Uint8Array(60_000_000))
    const bomb = await zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' })
    expect(bomb.length).toBeLessThan(100_000)
    expect(await unzipTexts(bomb)).toEqual({
      problem: { code: 'zip-swells' },
    })
  })

  it('too many files, or no zip at all, is said', async () => {
    const zip = new JSZip()
    for (let i = 0; i < 51; i++) zip.file(`${i}.csv`, 'a')
    const said = await unzipTexts(await zip.generateAsync({ type: 'uint8array' }))
    expect(said).toEqual({ problem: { code: 'zip-too-many-files', values: { n: 51, MOSTFILES: 50 } } })
    expect(await unzipTexts(bytes('PK but no more'))).toEqual({ problem: { code: 'zip-unreadable' } })
  })

  it('a damaged file inside is said by its name', async () => {
    const zip = new JSZip().file('meta.xml', 'some text that is long enough to be packed, packed, packed')
    const whole = await zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' })
    whole.fill(0xff, 45, 60)
    expect(await unzipTexts(whole)).toEqual({ problem: { code: 'zip-file-damaged', values: { name: 'meta.xml' } } })
  })

  it('entities that swell are not read, and neither is what is no archive', () => {
    const swell = '<!DOCTYPE a [<!ENTITY x "xxxxxxxx"><!ENTITY y "&x;&x;&x;">]><archive>&y;</archive>'
    for (const meta of [swell, '<archive/>', '<archive', 'name,amount', ''])
      expect(readArchive(new Map([['meta.xml', meta]])), meta).toHaveProperty('problem')
    expect(readArchive(new Map())).toEqual({ problem: { code: 'archive-without-meta' } })
  })
})

describe('tables that mean harm', () => {
  const columns = { stop: 'stop', name: 'name', amount: 'amount' }

  it('a formula is a name that nobody knows, and is never a plant', () => {
    const cells = ['=HYPERLINK("http://x","timothy")', '+timothy', "'=cmd|' /C calc'!A0", '@timothy', '-2+3']
    const finds = readTable(
      cells.map((name) => ({ stop: '1', name, amount: '1' })),
      columns,
    )
    const read = roundOfFinds(
      finds,
      { id: 'r', paddock: emptyPaddock, holding: '', client: '', title: '', purpose: '', method: 'step-points', day: '2027-01-01', source: '', newId: () => 's' }, // prettier-ignore
      flora.plants,
    )
    // A sign before a name does not make a formula of it once it is only text: those two are the plant.
    expect(read.names.map((n) => n.name)).toEqual(['+timothy', '@timothy'])
    expect(read.strangers).toHaveLength(3)
  })

  it('more rows and stops than a round holds are counted, not dropped in silence', () => {
    const many = Array.from({ length: MOST_READ_ROWS + 7 }, () => ({ stop: '1', name: 'timothy', amount: '1' }))
    expect(readTable(many, columns).notUnderstood).toContainEqual({
      what: { code: 'too-many-rows', values: { MOSTREADROWS: MOST_READ_ROWS } },
      times: 7,
      first: { code: 'at-row', values: { i: MOST_READ_ROWS + 1 } },
    })
    const wide = Array.from({ length: MOST_READ_STOPS + 2 }, (_, i) => ({
      stop: `s${i}`,
      name: 'timothy',
      amount: '1',
    }))
    const read = readTable(wide, columns)
    expect(read.stops).toHaveLength(MOST_READ_STOPS)
    expect(read.notUnderstood[0]!.times).toBe(2)
  })

  it('names that are traps for a program are only names', () => {
    const find = nameFinder(flora.plants, {})
    for (const trap of ['__proto__', 'constructor', 'toString', '<img src=x onerror=alert(1)>', '../../etc', '\u0000'])
      expect(find(trap), trap).toBeUndefined()
    expect(nearestPlant('qqqqqq', flora.plants)).toBeUndefined()
    expect(nearestPlant('timoty', flora.plants)?.id).toBe('timothy')
  })

  it('whatever is in a table, what comes out is a round of whole hits or a reason', () => {
    const cell = fc.oneof(fc.string(), fc.constantFrom('timothy', '1', '2', '-1', '1e9', 'NaN', '0.5', '1,5', 'bare'))
    const row = fc.record({ stop: cell, name: cell, amount: cell })
    fc.assert(
      fc.property(fc.array(row, { maxLength: 30 }), (rows) => {
        const { round, names, notUnderstood } = roundOfFinds(
          readTable(rows, columns),
          { id: 'r', paddock: emptyPaddock, holding: '', client: '', title: '', purpose: '', method: 'step-points', day: '2027-01-01', source: '', newId: () => 's' }, // prettier-ignore
          flora.plants,
        )
        const hits = round.stops.flatMap((s) => s.hits)
        expect(hits.every((h) => h.amount === 1 && h.taxon !== '')).toBe(true)
        // Every row is in the round or among the reasons, once.
        const said = notUnderstood.reduce((n, u) => n + u.times, 0)
        const taken = names.reduce((n, x) => n + x.times, 0)
        expect(said + taken).toBe(rows.length)
      }),
      { numRuns: 300 },
    )
  })
})

describe('maps that mean harm', () => {
  it('nested without end is refused, not a breakdown', () => {
    let deep: unknown = { type: 'Polygon', coordinates: [] }
    for (let i = 0; i < 20_000; i++) deep = { type: 'FeatureCollection', features: [deep] }
    expect(readBoundary(deep)).toHaveProperty('problem')
    let features: unknown = null
    for (let i = 0; i < 20_000; i++) features = { type: 'Feature', geometry: features }
    expect(readBoundary(features)).toEqual({ problem: { code: 'geojson-too-deep' } })
    expect(readPoints(deep)).toHaveProperty('problem')
  })

  it('points out of this world, and things that are no stops, are said', () => {
    const point = (coordinates: unknown, properties: unknown = null) => ({
      type: 'Feature',
      properties,
      geometry: { type: 'Point', coordinates },
    })
    const read = readPoints({
      type: 'FeatureCollection',
      features: [point([1, 2], { counts: { timothy: 'x', bare: 2 } }), point([200, 0]), point('here'), null, { type: 'Feature', geometry: { type: 'Polygon' } }], // prettier-ignore
    })
    if ('problem' in read) throw refusedFile(read.problem)
    expect(read.stops).toHaveLength(1)
    expect(read.notUnderstood.map((n) => fileWords(n.what))).toEqual([
      'a count that is not a number',
      'a point that is not in degrees',
      'a point without coordinates',
      'a feature without a geometry',
      'a Polygon: not a stop',
    ])
  })
})

describe('letters of other times', () => {
  // The bytes of "Flätterbinse" in each encoding, by hand from the code charts.
  const tail = [0x74, 0x74, 0x65, 0x72]
  it.each([
    ['UTF-8', [0x46, 0x6c, 0xc3, 0xa4, ...tail]],
    ['Windows-1252', [0x46, 0x6c, 0xe4, ...tail]],
    ['UTF-16', [0xff, 0xfe, ...[0x46, 0x6c, 0xe4, ...tail].flatMap((b) => [b, 0])]],
  ])('%s', (encoding, list) => {
    expect(decodeText(new Uint8Array(list))).toEqual({ text: 'Flätter', encoding })
  })

  it('headings are known in the words of several tables', () => {
    expect(
      guessColumns(['eventID', 'scientificName', 'individualCount', 'decimalLatitude', 'decimalLongitude']),
    ).toEqual({
      stop: 'eventID',
      name: 'scientificName',
      amount: 'individualCount',
      latitude: 'decimalLatitude',
      longitude: 'decimalLongitude',
    })
    expect(guessColumns(['a', 'b'])).toEqual({})
  })
})
