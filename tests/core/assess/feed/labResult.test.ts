import { labProblemWords, nitrateWords } from '@/text/labWords.ts'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { LAB_POINTS, labFigures, nitrateBand, offBy, readLabRows, simulatedLab } from '@/core/assess/feed/labResult.ts'
import { mixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { plantsById } from '@/tests/support/book.ts'
import { hitsOf } from '@/tests/support/rounds.ts'

const stops = [1, 2, 3, 4, 5].map((seq) => ({ seq, hits: hitsOf({ timothy: 6, 'red-clover': 3 + (seq % 2) }) }))
const estimate = mixtureFeed(stops, {}, plantsById, 'leafy', randomLcg(0.4))!
const lab = { sample: '1', cpPct: 17, adfPct: 41, ndfPct: 53, simulated: false }

describe('a laboratory result', () => {
  it('full-bloom alfalfa, ADF 41 and NDF 53, is 100 (Rohweder, Barnes & Jorgensen 1978)', () => {
    const { rfv } = labFigures(lab)
    expect(rfv.middle).toBeCloseTo(100, 0)
    expect(rfv.low).toBeLessThan(rfv.middle)
    expect(rfv.high).toBeGreaterThan(rfv.middle)
  })

  it('ADF of 37.1 is TDN 60, of which ME 2.17 Mcal/kg (NRC 1996): 88.9 - 0.779 x 37.1', () => {
    expect(labFigures({ ...lab, adfPct: 37.1 }).meMcalPerKg.middle).toBeCloseTo(2.17, 2)
  })

  it('says how far off the estimate was, and whether it had promised too much', () => {
    const [cp, adf] = offBy(estimate, { ...lab, cpPct: estimate.cpPct.middle - 2, adfPct: estimate.adfPct.high + 1 })
    expect(cp!.points).toBeCloseTo(-2, 10)
    expect(adf!.within).toBe(false)
    expect(offBy(estimate, { ...lab, ndfPct: estimate.ndfPct.middle })[2]).toMatchObject({ points: 0, within: true })
  })

  // Extension tables, from memory: under 1,000 mostly without trouble, 1,000 to 2,000 limited, over 4,000 not fed.
  it.each([
    [999, 'mostly-no-trouble', /without trouble/],
    [1000, 'limit', /limit/],
    [2000, 'limit', /limit/],
    [3000, 'small-part', /small part/],
    [4001, 'do-not-feed', /do not feed/],
  ] as const)('nitrate of %i ppm NO3-N', (ppm, band, says) => {
    expect(nitrateBand(ppm)).toBe(band)
    expect(nitrateWords(band)).toMatch(says)
    expect(nitrateWords(band)).not.toMatch(/safe/i)
  })
})

describe('results from a spreadsheet', () => {
  it('knows the names laboratories use, commas for points, and nitrate either way (factor 4.43)', () => {
    const { results, problems } = readLabRows([
      { Sample: 'A', 'Crude Protein (% DM)': '14,2', 'ADF %': '33.1', 'aNDF, % of DM': '52.0 %', 'NO3 (ppm)': '4430' },
    ])
    expect(problems).toEqual([])
    expect(results).toEqual([
      {
        sample: 'A',
        cpPct: 14.2,
        adfPct: 33.1,
        ndfPct: 52,
        nitrateNPpm: expect.closeTo(1000, 6) as number,
        simulated: false,
      },
    ])
  })

  it('says which column is missing and which was not used', () => {
    const { results, problems } = readLabRows([{ CP: '14', ADF: '33', Lignin: '5' }])
    expect(results).toEqual([])
    expect(problems.map(labProblemWords)).toEqual(['The column "Lignin" was not used.', 'There is no column for NDF.'])
  })

  it.each([
    ['ADF above NDF', { CP: '14', ADF: '60', NDF: '50' }],
    ['words for numbers', { CP: 'good', ADF: '30', NDF: '50' }],
    ['nothing', { CP: '', ADF: '', NDF: '' }],
    ['a formula', { CP: '=1+1', ADF: '30', NDF: '50' }],
    ['grams a kilogram', { CP: '140', ADF: '330', NDF: '520' }],
  ])('%s leaves the row out and says so, the others are read', (_, row) => {
    const { results, problems } = readLabRows([row, { CP: '14', ADF: '30', NDF: '50' }])
    expect(results).toHaveLength(1)
    expect(labProblemWords(problems[0]!)).toMatch(/Row 1 was left out/)
  })

  it('an empty file is no result and no breakdown', () => {
    expect(readLabRows([]).results).toEqual([])
  })
})

describe('the stand-in', () => {
  it('says that it is simulated, and stays by what the plants promise and the error of laboratories', () => {
    const random = randomLcg(0.2)
    for (let i = 0; i < 200; i++) {
      const made = simulatedLab(estimate, random)
      expect(made.simulated).toBe(true)
      for (const what of ['cpPct', 'adfPct'] as const) {
        expect(made[what]).toBeGreaterThanOrEqual(estimate[what].low - LAB_POINTS[what] - 0.05)
        expect(made[what]).toBeLessThanOrEqual(estimate[what].high + LAB_POINTS[what] + 0.05)
      }
      expect(made.adfPct).toBeLessThan(made.ndfPct)
    }
  })
})
