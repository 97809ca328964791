import { afterEach, describe, expect, it } from 'vitest'
import type { HazardReading } from '@/core/assess/harm/hazards/hazard.ts'
import { holdsUntil, signingState } from '@/core/assess/signing.ts'
import type { Region } from '@/core/flora/flora.ts'
import { openStop, type Outlook, type Round } from '@/core/records/round.ts'
import { signingNeedsWords, signingOpenWords } from '@/text/signingWords.ts'
import { speak, translatorFrom } from '@/text/say.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import german from '../../../web/language/texts/de.json'

// What stands between an advisor and a signature. Nothing here may be forgotten by a page that somebody signs, so each
// line is looked at alone: what is missing is said, and nothing else is.

type Known = Parameters<typeof signingState>[0]
const counted = countedStop(1, { hits: hitsOf({ timothy: 8, bare: 2 }), measures: { stage: 'leafy' } })
const inFull: Known = {
  round: roundOf('step-points', [counted]),
  weighed: { harm: { unnamed: [], notJudged: [] } } as unknown as Known['weighed'],
  contacts: { advisor: 'Odile Marrow', advisorPhone: '000 111', vet: 'H. Quill' },
  lab: undefined,
  stockSaid: true,
  readings: [],
  whole: true,
}
const codes = (known: Partial<Known>) => {
  const { needs, open } = signingState({ ...inFull, ...known })
  return { needs: needs.map((n) => n.code), open: open.map((o) => o.code) }
}
const harm = (patch: object) => ({ harm: { unnamed: [], notJudged: [], ...patch } }) as unknown as Known['weighed']
const reading = (patch: object) =>
  ({ concerns: true, grade: 'act', hazard: { name: 'Bloat' }, ...patch }) as unknown as HazardReading

describe('before pages can be signed', () => {
  it('a round that was counted in full, with all that is asked, has nothing open', () =>
    expect(codes({})).toEqual({ needs: [], open: [] }))

  it.each([
    ['no contacts at all', undefined],
    ['an empty name and number', { advisor: '', advisorPhone: '' }],
    ['blanks for a name and a number', { advisor: '   ', advisorPhone: '\t', vet: 'H. Quill' }],
  ])('name and telephone of the advisor are needed: %s', (_what, contacts) =>
    expect(codes({ contacts }).needs).toEqual(['advisor-name', 'advisor-phone']),
  )

  it('pages of which a part could not be read cannot be signed, whatever else is known', () =>
    expect(codes({ whole: false }).needs).toEqual(['pages-not-whole']))
})

describe('what is open and stands on the pages as open', () => {
  it('a letter without a name could be a poison, and each of them is named', () => {
    const { open } = signingState({ ...inFull, weighed: harm({ unnamed: ['A', 'C'] }) })
    expect(open).toHaveLength(1)
    expect(signingOpenWords(open[0]!)).toBe('Unknown A, C has no name: it could be a poison')
  })

  it('kinds that the book does not describe are counted', () => {
    const { open } = signingState({ ...inFull, weighed: harm({ notJudged: ['other:Aster', 'other:Iris'] }) })
    expect(signingOpenWords(open[0]!)).toMatch(/^2 kinds/)
  })

  // Turf and native strips are not fed: what they are worth as feed, and to whom, is not asked.
  it.each([
    ['grazing', ['stock-not-given', 'stage-not-noted']],
    ['hay', ['stock-not-given', 'stage-not-noted']],
    ['turf', []],
    ['native', []],
  ] as [Outlook, string[]][])('of %s, stock and growth that nobody noted', (outlook, open) => {
    const round = roundOf('step-points', [{ ...counted, measures: {} }], { paddock: { ...emptyPaddock, outlook } })
    expect(codes({ round, stockSaid: false }).open).toEqual(open)
  })

  it('growth that was noted at a stop that was skipped is not growth that was walked', () => {
    const skipped = { ...counted, id: 's2', seq: 2, skipped: 'under water' }
    const round = roundOf('step-points', [{ ...counted, measures: {} }, skipped])
    expect(codes({ round }).open).toEqual(['stage-not-noted'])
  })

  it('a stop that was not counted is open; one that was skipped for a reason was seen to', () => {
    const stops = (patch: object) => roundOf('step-points', [counted, { ...openStop('s2', 2, null), ...patch }])
    expect(codes({ round: stops({}) }).open).toEqual(['stops-not-counted'])
    expect(codes({ round: stops({ skipped: 'stock on it' }) }).open).toEqual([])
  })

  it('a simulated result is never on the pages, and they say so', () => {
    const lab = { sample: '14', cpPct: 12, simulated: true }
    expect(codes({ lab }).open).toEqual(['result-simulated'])
    expect(codes({ lab: { ...lab, simulated: false } }).open).toEqual([])
  })

  it('a danger to act on is open where it strikes the stock that is kept, and not one that is merely raised', () => {
    expect(codes({ readings: [reading({})] }).open).toEqual(['danger-to-settle'])
    expect(codes({ readings: [reading({ grade: 'raised' }), reading({ grade: 'open' })] }).open).toEqual([])
    expect(codes({ readings: [reading({ concerns: false })] }).open).toEqual([])
    const two = signingState({ ...inFull, readings: [reading({}), reading({ hazard: { name: 'Nitrate' } })] })
    expect(two.open.map(signingOpenWords)).toEqual(['To settle first: Bloat', 'To settle first: Nitrate'])
  })

  it('a page without a veterinarian leaves a line for one', () =>
    expect(codes({ contacts: { advisor: 'Odile Marrow', advisorPhone: '000 111' } }).open).toEqual(['vet-not-given']))

  it('all of it at once, in one order: poison first, the veterinarian last', () => {
    const all = codes({
      round: roundOf('step-points', [{ ...openStop('s1', 1, null) }]),
      weighed: harm({ unnamed: ['A'], notJudged: ['other:Aster'] }),
      contacts: undefined,
      lab: { sample: '14', simulated: true } as Known['lab'],
      stockSaid: false,
      readings: [reading({})],
      whole: false,
    })
    expect(all.needs).toHaveLength(3)
    expect(all.open).toHaveLength(8)
    expect(all.open[0]).toBe('unknown-could-be-poison')
    expect(all.open.at(-1)).toBe('vet-not-given')
  })
})

describe('its words', () => {
  afterEach(() => speak())
  const everything = signingState({
    ...inFull,
    weighed: harm({ unnamed: ['A'], notJudged: ['other:Aster'] }),
    contacts: undefined,
    whole: false,
  })

  it('say in German too what is missing, and never that anything is well', () => {
    const said = () => [...everything.needs.map(signingNeedsWords), ...everything.open.map(signingOpenWords)]
    const english = said()
    speak(translatorFrom(german as Record<string, string>), true)
    const there = said()
    there.forEach((t, i) => expect(t).not.toBe(english[i]))
    for (const t of [...english, ...there]) expect(t).not.toMatch(/\bsafe|unbedenklich|harmlos|no danger/i)
  })
})

// A sward in growth is another within a fortnight; at rest a count speaks for a month. Growth from a monthly mean of 8 °C
// on. Common practice, no source.
describe('until when pages speak', () => {
  const until = (plannedOn: string, region: Region = 'cool-humid') =>
    holdsUntil({ plannedOn, paddock: { ...emptyPaddock, region } } as Pick<Round, 'plannedOn' | 'paddock'>)

  it.each([
    ['2027-05-10', '2027-05-24'],
    ['2027-01-10', '2027-02-09'],
    ['2027-12-20', '2028-01-19'],
    // Over the end of a February of a leap year.
    ['2028-02-20', '2028-03-21'],
  ])('of %s until %s', (plannedOn, last) => expect(until(plannedOn)).toBe(last))

  it('goes by the seasons of the region: January grows in the south', () => {
    expect(until('2027-01-10', 'southern-australasia')).toBe('2027-01-24')
    expect(until('2027-01-10', 'britain-ireland')).toBe('2027-02-09')
  })
})
