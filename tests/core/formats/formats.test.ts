import { fileWords } from '@/text/fileWords.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { readBoundary } from '@/core/formats/readBoundary.ts'
import { roundGeoJson } from '@/core/formats/write/roundGeoJson.ts'
import { compositionRows, hitRows, stopRows } from '@/core/formats/write/roundRows.ts'
import { openStop, type Round } from '@/core/records/round.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import { plantsById } from '@/tests/support/book.ts'

const ring = [
  [0, 0],
  [0.002, 0],
  [0.002, 0.001],
  [0, 0],
]
const polygon = { type: 'Polygon', coordinates: [ring] }

const round: Round = {
  id: 'r',
  paddockId: 'p',
  holding: 'Withy Bank',
  client: 'Ansa Merrowfield',
  title: 'Count',
  method: 'step-points',
  purpose: '',
  plannedOn: '2027-04-02',
  pointsPerStop: 3,
  source: '',
  settings: {},
  paddock: {
    id: 'p',
    holdingId: 'h',
    name: 'Croft',
    boundary: { type: 'Polygon', coordinates: [ring] },
    region: 'cool-humid',
    outlook: 'grazing',
    sown: [],
    strata: [],
    note: '',
  },
  route: {
    line: [
      [0, 0],
      [0.001, 0.0005],
    ],
    lengthM: 123.4,
  },
  stops: [
    {
      ...openStop('s1', 1, [0.0005, 0.0002]),
      doneAt: '2027-04-02T09:00:00.000Z',
      hits: ['timothy', 'unknown:A', 'bare'].map((taxon) => ({ taxon, amount: 1 })),
    },
    {
      ...openStop('s2', 2, [0.001, 0.0004]),
      hits: ['timothy', 'timothy'].map((taxon) => ({ taxon, amount: 1 })),
    },
  ],
  unknowns: [{ letter: 'A', namedAs: 'velvetgrass' }],
}
const names = { taxon: taxonName, group: groupName }
const weighed = weighUp(round, plantsById, () => randomLcg(1))!

describe('rows for a spreadsheet', () => {
  it('one row a species, the shares adding to 100', () => {
    const rows = compositionRows(weighed.composition, plantsById, names)
    expect(rows.map((r) => r.taxon).sort()).toEqual(['bare', 'timothy', 'velvetgrass'])
    expect(rows.reduce((s, r) => s + Number(r.share_percent), 0)).toBeCloseTo(100, 1)
    expect(rows[0]).toMatchObject({
      name: 'Timothy',
      scientific_name: 'Phleum pratense',
      group: 'Cool-season grass',
      hits: 3,
      stops_with: 2,
    })
  })

  it('one row a hit, with what was recorded and what it counts as now', () => {
    const rows = hitRows(round, plantsById, names)
    expect(rows).toHaveLength(5)
    expect(rows[1]).toMatchObject({
      stop: 1,
      number: 2,
      recorded_as: 'Unknown A',
      taxon: 'velvetgrass',
      name: 'Velvetgrass',
    })
  })

  it('a row for each stop, with what was measured and why one was skipped', () => {
    const stops = [
      { ...round.stops[0]!, stratum: 'hollow', measures: { heightCm: 7, reading: 4.5, grazed: 'hard' as const } },
      { ...round.stops[1]!, skipped: 'under water' },
    ]
    const rows = stopRows({ ...round, stops })
    expect(rows[0]).toMatchObject({ stop: 1, part_of_paddock: 'hollow', height_cm: 7, reading: 4.5, grazed: 'hard' })
    expect(rows[1]).toMatchObject({ skipped: 'under water', counted_at: '', height_cm: '' })
  })
})

describe('GeoJSON (RFC 7946)', () => {
  const made = roundGeoJson(round, (t) => taxonName(t, plantsById))

  it('holds the boundary, the route and a point for each stop', () => {
    expect(made.type).toBe('FeatureCollection')
    expect(made.features.map((f) => f.geometry.type)).toEqual(['Polygon', 'LineString', 'Point', 'Point'])
  })

  it('gives longitude first, and the counts by name', () => {
    const stop = made.features[2]!
    expect(stop.geometry).toEqual({ type: 'Point', coordinates: [0.0005, 0.0002] })
    expect(stop.properties!.counts).toEqual({ Timothy: 1, Velvetgrass: 1, 'Bare ground': 1 })
  })

  it('rings are closed, as the standard asks', () => {
    const g = made.features[0]!.geometry
    if (g.type !== 'Polygon') throw new Error('not a polygon')
    expect(g.coordinates[0]![0]).toEqual(g.coordinates[0]!.at(-1))
  })

  it('its own boundary can be read back', () => {
    expect(readBoundary(JSON.parse(JSON.stringify(made)))).toEqual({ boundary: round.paddock.boundary })
  })
})

describe('reading a boundary', () => {
  it.each([
    ['a polygon', polygon],
    ['a feature', { type: 'Feature', properties: {}, geometry: polygon }],
    [
      'a collection',
      {
        type: 'FeatureCollection',
        features: [
          { type: 'Feature', geometry: { type: 'Point', coordinates: [0, 0] } },
          { type: 'Feature', geometry: polygon },
        ],
      },
    ],
  ])('from %s', (_what, value) => expect(readBoundary(value)).toMatchObject({ boundary: { type: 'Polygon' } }))

  it('closes an open ring and drops heights', () => {
    const read = readBoundary({
      type: 'Polygon',
      coordinates: [
        [
          [0, 0, 12],
          [1, 0, 12],
          [1, 1, 12],
        ],
      ],
    })
    expect(read).toEqual({
      boundary: {
        type: 'Polygon',
        coordinates: [
          [
            [0, 0],
            [1, 0],
            [1, 1],
            [0, 0],
          ],
        ],
      },
    })
  })

  it.each([
    ['nothing', null, /not GeoJSON/],
    ['a number', 5, /not GeoJSON/],
    ['a point', { type: 'Point', coordinates: [0, 0] }, /must be a Polygon/],
    [
      'two corners',
      {
        type: 'Polygon',
        coordinates: [
          [
            [0, 0],
            [1, 1],
          ],
        ],
      },
      /three corners/,
    ],
    [
      'degrees out of range',
      {
        type: 'Polygon',
        coordinates: [
          [
            [0, 0],
            [500, 1],
            [1, 1],
          ],
        ],
      },
      /degrees/,
    ],
    ['words for corners', { type: 'Polygon', coordinates: [['a', 'b', 'c']] }, /degrees/],
    ['an empty collection', { type: 'FeatureCollection', features: [] }, /No polygon/],
    ['no coordinates', { type: 'Polygon' }, /three corners/],
  ])('says what is wrong with %s', (_what, value, said) => {
    const read = readBoundary(value)
    expect('problem' in read && fileWords(read.problem)).toMatch(said)
  })

  it('refuses a ring of more corners than a paddock has', () => {
    const many = Array.from({ length: 6000 }, (_, i) => [i / 1e5, (i % 7) / 1e5])
    expect(readBoundary({ type: 'Polygon', coordinates: [many] })).toHaveProperty('problem')
  })
})
