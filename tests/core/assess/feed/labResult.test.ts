import { labProblemWords, nitrateWords } from '@/text/labWords.ts'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { LAB_POINTS, labFigures, nitrateStep, offBy, simulatedLab } from '@/core/assess/feed/labResult.ts'
import { readLabRows } from '@/core/assess/feed/readLab.ts'
import { mixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { plantsById } from '@/tests/support/book.ts'
import { hitsOf } from '@/tests/support/rounds.ts'

const stops = [1, 2, 3, 4, 5].map((seq) => ({ seq, hits: hitsOf({ timothy: 6, 'red-clover': 3 + (seq % 2) }) }))
const estimate = mixtureFeed(stops, {}, plantsById, { by: 'state', state: 'leafy' }, randomLcg(0.4))!
const lab = { sample: '1', cpPct: 17, adfPct: 41, ndfPct: 53, simulated: false }

describe('a laboratory result', () => {
  it('full-bloom alfalfa, ADF 41 and NDF 53, is 100 (Rohweder, Barnes & Jorgensen 1978)', () => {
    const { rfv } = labFigures(lab, {})
    expect(rfv.middle).toBeCloseTo(100, 0)
    expect(rfv.low).toBeLessThan(rfv.middle)
    expect(rfv.high).toBeGreaterThan(rfv.middle)
  })

  it('herbs with ADF 37.1 are TDN 60, of which ME 2.17 Mcal/kg (NRC 1996): 88.9 - 0.779 x 37.1', () => {
    expect(labFigures({ ...lab, adfPct: 37.1 }, { forb: 1 }).meMcalPerKg.middle).toBeCloseTo(2.17, 2)
  })

  it('with digested fibre, fat and ash: relative forage quality, by legume or grass (Moore & Undersander 2002, from memory)', () => {
    const whole = { ...lab, cpPct: 20, adfPct: 30, ndfPct: 40, ndfdPct: 45, fatPct: 2.5, ashPct: 9 }
    // By hand: NFC = 100 - (37.2 + 20 + 2.5 + 9) = 31.3; TDN = 30.67 + 18.6 + 3.27 + 16.74 - 7 = 62.3; DMI = 3; RFQ = 152.
    const { quality } = labFigures(whole, { legume: 0.8, 'cool-grass': 0.2 })
    expect(quality!.tdnPct).toBeCloseTo(62.3, 1)
    expect(quality!.rfq).toBeCloseTo(152, 0)
    expect(labFigures(whole, { 'cool-grass': 1 }).quality!.tdnPct).not.toBeCloseTo(62.3, 1)
    expect(labFigures(lab, {}).quality).toBeUndefined()
    const { results } = readLabRows([
      { Sample: 'a', CP: '20', ADF: '30', NDF: '40', 'NDFD, %': '45', 'Fat, %': '2.5', 'Ash, %': '9' },
    ])
    expect(results[0]).toMatchObject({ ndfdPct: 45, fatPct: 2.5, ashPct: 9 })
  })

  it('says how far off the estimate was, and whether it had promised too much', () => {
    const [cp, adf] = offBy(estimate, { ...lab, cpPct: estimate.cpPct.middle - 2, adfPct: estimate.adfPct.high + 1 })
    expect(cp!.points).toBeCloseTo(-2, 10)
    expect(adf!.within).toBe(false)
    expect(offBy(estimate, { ...lab, ndfPct: estimate.ndfPct.middle })[2]).toMatchObject({ points: 0, within: true })
  })

  // Extension tables for cattle, NO3-N in dry matter of the ration, from memory.
  it.each([
    [999, undefined, undefined],
    [1000, undefined, 0.5],
    [1499, undefined, 0.5],
    [1500, 0.5, 0.5],
    [2000, 0.35, 0],
    [3499, 0.35, 0],
    [3500, 0.25, 0],
    [4000, 0, 0],
    [12_500, 0, 0],
  ])('nitrate of %i ppm NO3-N: of the ration at most %s, to pregnant stock %s', (ppm, most, pregnant) => {
    expect(nitrateStep(ppm)).toMatchObject({ mostOfRation: most, mostToPregnant: pregnant })
    expect(nitrateWords(nitrateStep(ppm))).not.toMatch(/safe|without trouble|harmless/i)
    if (pregnant === 0 && most !== 0) expect(nitrateWords(nitrateStep(ppm))).toMatch(/none to pregnant/)
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

// What the outside reading of this part ran, and what was meant: 4,400 ppm NO3-N, but where another is named.
describe('nitrate, as laboratories write it', () => {
  const feed = { CP: '14', ADF: '30', NDF: '50' }
  const read = (header: string, cell: string, more: Record<string, string> = {}) => readLabRows([{ ...feed, ...more, [header]: cell }]) // prettier-ignore

  it.each([
    ['NO3-N', '4,400', 4400],
    ['NO3-N', '12,500', 12_500],
    ['Nitrate (NO3-N), ppm', '4400', 4400],
    ['NO3 %', '1.95', 4400],
    ['NO3 (% DM)', '1,95', 4400],
    ['NO3-N %', '0.44', 4400],
    ['NO3-N', '4400 ppm', 4400],
    ['NO3-N', '0.44 %', 4400],
    ['Nitrate-N, g/kg', '4.4', 4400],
    ['Nitrate nitrogen (mg/kg DM)', '4 400', 4400],
    ['KNO3 %', '3.18', 4400],
    ['Nitrate as NO3, ppm', '19492', 4400],
    ['NO3-N as fed, ppm', '1232', 4400],
  ])('%s = %s is read as about %i ppm', (header, cell, ppm) => {
    const { results, problems } = read(header, cell, header.includes('as fed') ? { DM: '28' } : {})
    expect(problems).toEqual([])
    expect(results[0]!.nitrateNPpm! / ppm).toBeCloseTo(1, 1)
  })

  it.each([
    ['Nitrate (% DM)', '1.95', 'nitrate-salt'],
    ['Nitrate', '4400', 'nitrate-salt'],
    ['NO3-N', '<100', 'nitrate-not-read'],
    ['NO3-N', '< 100 ppm', 'nitrate-not-read'],
    ['NO3-N', '0.44', 'nitrate-not-read'],
    ['NO3-N', '4.4', 'nitrate-not-read'],
    ['NO3-N ppm', '19', 'nitrate-not-read'],
    ['NO3-N', 'high', 'nitrate-not-read'],
    ['NO3-N', '4,4,00', 'nitrate-not-read'],
    ['NO3-N as received', '1232', 'column-as-fed'],
    ['NO3-N %', '44', 'nitrate-not-read'],
  ])('%s = %s could mean two things: it is not read, and that is said', (header, cell, code) => {
    const { results, problems } = read(header, cell)
    expect(results[0]!.nitrateNPpm).toBeUndefined()
    expect(problems.map((p) => p.code)).toEqual([code])
    expect(labProblemWords(problems[0]!)).toMatch(/not read/)
  })

  it('an empty cell was not asked for', () => {
    expect(read('NO3-N', '').problems).toEqual([])
  })
})

describe('as fed against dry matter', () => {
  it('protein of the wet sample is divided by its dry matter, or by what its water leaves', () => {
    const wet = { 'CP (as fed)': '4.2', 'ADF (DM)': '30', 'NDF (DM)': '50' }
    for (const more of [{ DM: '28' }, { 'Moisture %': '72' }])
      expect(readLabRows([{ ...wet, ...more }]).results[0]!.cpPct).toBeCloseTo(15, 6)
    expect(readLabRows([wet]).problems.map((p) => p.code)).toEqual(['column-as-fed', 'columns-missing'])
  })

  it('of two columns that of dry matter is read, in whichever order they come; a second of the same is said', () => {
    const [dry, wet] = [{ 'CP (DM)': '15' }, { 'CP (As Received)': '4.2' }]
    for (const columns of [
      { ...dry, ...wet },
      { ...wet, ...dry },
    ]) {
      const { results, problems } = readLabRows([{ ...columns, ADF: '30', NDF: '50', DM: '28' }])
      expect(results[0]!.cpPct).toBe(15)
      expect(problems.map(labProblemWords)).toEqual(['The column "CP (As Received)" was not used.'])
    }
    const twice = readLabRows([{ CP: '15', Protein: '4.2', ADF: '30', NDF: '50' }])
    expect(twice.results[0]!.cpPct).toBe(15)
    expect(twice.problems.map((p) => p.code)).toEqual(['column-twice'])
  })

  it('grams a kilogram are tenths of a percent', () => {
    const { results } = readLabRows([{ 'CP g/kg': '140', 'ADF g/kg DM': '330', 'NDF g/kg DM': '520' }])
    expect(results[0]).toMatchObject({ cpPct: 14, adfPct: 33, ndfPct: 52 })
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

  it('a sample sent for nitrate or minerals alone is read; feed figures in part are not', () => {
    const { results, problems } = readLabRows([{ Sample: '9', 'NO3-N, ppm': '2,600', 'K (%)': '3.1', 'Ca, g/kg': '4.2', 'Mg (%)': '0,16', 'HCN (ppm)': '640', 'Ergovaline, ug/kg': '310' }]) // prettier-ignore
    expect(problems).toEqual([])
    expect(results).toEqual([
      { sample: '9', nitrateNPpm: 2600, kPct: 3.1, caPct: expect.closeTo(0.42, 10) as number, mgPct: 0.16, hcnPpm: 640, ergovalinePpb: 310, simulated: false }, // prettier-ignore
    ])
    expect(readLabRows([{ CP: '12', 'NO3-N, ppm': '2600' }]).problems[0]).toMatchObject({ code: 'columns-missing' })
  })

  it('a figure without its unit, or of more than forage holds, is refused aloud', () => {
    // No forage is told to hold 160 % of anything; the highest of each stand in labExtras, from memory.
    const of = (row: Record<string, string>) => readLabRows([{ 'NO3-N, ppm': '900', ...row }])
    expect(of({ K: '3.1' }).problems).toMatchObject([{ code: 'figure-not-read' }])
    expect(of({ 'Mg (%)': '160' }).problems).toMatchObject([{ code: 'figure-not-read' }])
    expect(of({ 'Se, ppm': 'n.d.' }).problems).toMatchObject([{ code: 'figure-not-read' }])
    expect(of({ pH: '5.6' }).results[0]).toMatchObject({ ph: 5.6 })
  })

  it('minerals of the wet sample are brought to dry matter', () => {
    const { results } = readLabRows([{ 'NO3-N, ppm': '900', 'K (as received) %': '0.9', 'DM %': '30' }])
    expect(results[0]).toMatchObject({ kPct: expect.closeTo(3, 10) as number, dryPct: 30 })
  })
})
