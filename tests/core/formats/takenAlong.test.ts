import { stopMarkWords } from '@/text/stopMarkWords.ts'
import ICAL from 'ical.js'
import JSZip from 'jszip'
import { describe, expect, it } from 'vitest'
import { create } from 'xmlbuilder2'
import { darwinCore } from '@/core/formats/write/darwinCore.ts'
import { planCalendar } from '@/core/formats/planCalendar.ts'
import { roundGpx } from '@/core/formats/write/roundGpx.ts'
import { roundKml } from '@/core/formats/write/roundKml.ts'
import { planDates, type PlanLine } from '@/core/records/planItem.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'

const line = (patch: Partial<PlanLine>): PlanLine => ({
  id: 'a',
  paddockId: 'p',
  roundId: null,
  plant: null,
  text: 'Dig the thistles',
  owner: 'Joss; with a comma, and more',
  dueOn: '2027-04-09',
  backOn: '2027-05-21',
  lookFor: 'Regrowth',
  doneOn: null,
  outcome: '',
  paddock: 'Pond Paddock',
  holding: 'Candle Lane',
  ...patch,
})

describe('the calendar, read by ical.js', () => {
  const events = (lines: PlanLine[]) =>
    new ICAL.Component(ICAL.parse(planCalendar(lines)) as [string, unknown[], unknown[]])
      .getAllSubcomponents('vevent')
      .map((c) => new ICAL.Event(c))

  it('a thing to do is a whole day with who and where', () => {
    const [e] = events([line({})])
    expect(e!.summary).toBe('Dig the thistles')
    expect(e!.startDate.isDate).toBe(true)
    expect(e!.startDate.toString()).toBe('2027-04-09')
    // RFC 5545: the end of a whole day is the next one, not included.
    expect(e!.endDate.toString()).toBe('2027-04-10')
    expect(e!.location).toBe('Pond Paddock, Candle Lane')
    expect(e!.description).toContain('Joss; with a comma, and more')
  })

  it('done: the day to look again is left; with an outcome nothing is', () => {
    const [e, ...rest] = events([line({ doneOn: '2027-04-08' })])
    expect(e!.startDate.toString()).toBe('2027-05-21')
    expect(e!.summary).toContain('Look again')
    expect(rest).toEqual([])
    expect(events([line({ doneOn: '2027-04-08', outcome: 'gone' })])).toEqual([])
  })

  it('the same item is the same event each time, and a long text comes back whole', () => {
    const text = 'ä, "quoted"; and\\on '.repeat(20).trim()
    expect(events([line({ text })])[0]!.summary).toBe(text)
    expect(events([line({})])[0]!.uid).toBe(events([line({ dueOn: '2028-01-01', backOn: null })])[0]!.uid)
  })

  it('comes in the order of the days', () => {
    const days = planDates([line({ id: 'b', dueOn: '2027-06-01' }), line({ id: 'c', doneOn: '2027-04-01' }), line({})])
    expect(days.map((d) => d.day)).toEqual(['2027-04-09', '2027-05-21', '2027-06-01'])
  })
})

const round = roundOf(
  'step-points',
  [
    countedStop(1, { position: [-29.4, 45.6], hits: hitsOf({ timothy: 3, bare: 1, 'latin:Poa & alia': 1 }) }),
    countedStop(2, { position: [-29.401, 45.6005], hits: hitsOf({ 'unknown:A': 2 }) }),
    countedStop(3, { position: null, doneAt: null, skipped: 'bull <in> it' }),
  ],
  {
    route: { line: [[-29.4, 45.6], [-29.401, 45.6005]], lengthM: 100 }, // prettier-ignore
    unknowns: [{ letter: 'A', namedAs: 'tansy-ragwort' }],
  },
)

describe('GPX', () => {
  interface Gpx {
    gpx: { '@version': string; wpt: { '@lat': string; '@lon': string; name: string }[]; rte: { rtept: object[] } }
  }
  it('has each stop with a place as a waypoint, and the walk as a route', () => {
    const { gpx } = create(roundGpx(round, stopMarkWords())).end({ format: 'object' }) as unknown as Gpx
    expect(gpx['@version']).toBe('1.1')
    expect(gpx.wpt.map((w) => [Number(w['@lon']), Number(w['@lat']), w.name])).toEqual([
      [-29.4, 45.6, 'Stop 1'],
      [-29.401, 45.6005, 'Stop 2'],
    ])
    expect(gpx.rte.rtept).toHaveLength(2)
  })
})

describe('KML', () => {
  interface Mark {
    name: string
    description?: string
    Polygon?: object
    LineString?: { coordinates: string }
    Point?: { coordinates: string }
  }
  // OGC 07-147r2: longitude, then latitude, with a comma between and no blank.
  it('has the boundary, the walk, and each stop with a place', () => {
    const { kml } = create(roundKml(round, stopMarkWords())).end({ format: 'object' }) as unknown as {
      kml: { '@xmlns': string; Document: { Placemark: Mark[] } }
    }
    expect(kml['@xmlns']).toBe('http://www.opengis.net/kml/2.2')
    const marks = kml.Document.Placemark
    const [walk, first] = marks.filter((m) => !m.Polygon)
    expect(marks.filter((m) => m.Polygon)).toHaveLength(round.paddock.boundary ? 1 : 0)
    expect(walk!.LineString!.coordinates.split(' ')).toHaveLength(2)
    expect(first).toEqual({
      name: 'Stop 1',
      description: 'counted',
      Point: { coordinates: '-29.4000000,45.6000000' },
    })
  })
})

describe('Darwin Core', () => {
  const archive = darwinCore(round, plantsById)

  it('has an occurrence for each plant at each stop; bare ground and stops not counted are none', () => {
    expect(archive.occurrences.map((o) => [o.eventID, o.scientificName, o.scientificNameAuthorship])).toEqual([
      ['r:1', 'Phleum pratense', 'L.'],
      ['r:1', 'Poa & alia', ''],
      ['r:2', 'Jacobaea vulgaris', plantsById.get('tansy-ragwort')!.author],
    ])
    expect(archive.occurrences[0]).toMatchObject({ decimalLatitude: '45.600000', basisOfRecord: 'HumanObservation' })
  })

  it('every fact belongs to an occurrence, and every id is there once', () => {
    const ids = archive.occurrences.map((o) => o.occurrenceID)
    expect(new Set(ids).size).toBe(ids.length)
    expect(archive.facts.map((f) => f.coreId)).toEqual(ids)
    expect(archive.facts[0]).toMatchObject({ measurementValue: '3', measurementUnit: 'points' })
  })

  it('meta.xml names the columns in the order in which they are written (TDWG text guide)', () => {
    interface Table {
      '@rowType': string
      files: { location: string }
      field: { '@index': string; '@term': string }[]
    }
    const meta = create(archive.meta).end({ format: 'object' }) as unknown as {
      archive: { core: Table & { id: { '@index': string } }; extension: Table & { coreid: { '@index': string } } }
    }
    const { core, extension } = meta.archive
    const names = (t: Table) => t.field.map((f) => f['@term'].split('/').at(-1))
    expect(core['@rowType']).toBe('http://rs.tdwg.org/dwc/terms/Occurrence')
    expect(names(core)).toEqual(Object.keys(archive.occurrences[0]!))
    expect(core.field.map((f) => Number(f['@index']))).toEqual(core.field.map((_, i) => i))
    expect(['coreId', ...names(extension)]).toEqual(Object.keys(archive.facts[0]!))
    expect(extension.field[0]!['@index']).toBe('1')
    expect(extension.coreid['@index']).toBe('0')
  })

  it('a zip of it opens again', async () => {
    const bytes = await new JSZip().file('meta.xml', archive.meta).generateAsync({ type: 'uint8array' })
    expect(await (await JSZip.loadAsync(bytes)).file('meta.xml')!.async('string')).toBe(archive.meta)
  })
})
