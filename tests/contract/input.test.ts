import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { describe, expect, it } from 'vitest'
import { LinkInput, NewAccountInput, SignInInput } from '@/contract/input/access.ts'
import {
  ConditionsInput,
  ContactsInput,
  HerdInput,
  LabInput,
  ManagementInput,
  SowingChecksInput,
} from '@/contract/input/kept.ts'
import { EventInput, PaddockInput } from '@/contract/input/place.ts'
import { PlanItemInput } from '@/contract/input/plan.ts'
import { AnswersInput, NamingCheckInput } from '@/contract/input/practice.ts'
import { HoldingInput, NamingInput, RoundInput, StopInput } from '@/contract/input/round.ts'
import { IdentifyInput } from '@/contract/input/seen.ts'

// Each class with a body that is taken and, field by field, values that no field, scale or laboratory could have given.
// The bounds stand here by hand, so that a check that is loosened or lost shows. Common practice, no source.

const ID = '0f3a2c1e-5b7d-4e8f-9a0b-1c2d3e4f5a6b'
const long = (n: number) => 'x'.repeat(n + 1)
/** What no number field takes. */
const NO_NUMBERS = ['12', null, Number.NaN, Number.POSITIVE_INFINITY, [3], { $gt: 1 }]
const NO_DAYS = ['2027-02-30', '2027-13-01', '02/05/2027', '2027-5-2', '2027-05-02T00:00:00Z', 20270502, null]
const NO_IDS = ['7', '', 7, null, `${ID}0`, "' or 1=1"]
const NO_TEXTS = [7, null, ['a'], { a: 1 }]

type Class = new () => object
interface Case {
  kind: Class
  good: Record<string, unknown>
  /** By path: a dot leads into a record, a number into a list. */
  bad: Record<string, unknown[]>
}

const pathsOf = (errors: ValidationError[], before = ''): string[] =>
  errors.flatMap((e) => {
    const at = before === '' ? e.property : `${before}.${e.property}`
    return [...(e.constraints ? [at] : []), ...pathsOf(e.children ?? [], at)]
  })
const wrongIn = (kind: Class, body: object): string[] =>
  pathsOf(validateSync(plainToInstance(kind, body), { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true })) // prettier-ignore

function changed(body: object, path: string, value: unknown): object {
  const copy = structuredClone(body) as Record<string, unknown>
  const names = path.split('.')
  const last = names.pop()!
  let at = copy
  for (const name of names) at = at[name] as Record<string, unknown>
  at[last] = value
  return copy
}

const cases: Case[] = [
  { kind: SignInInput, good: { name: 'Odile Marrow', password: 'a field full of clover' }, bad: { name: ['', long(100), ...NO_TEXTS], password: ['', long(400), ...NO_TEXTS] } }, // prettier-ignore
  {
    kind: NewAccountInput,
    good: { name: 'Odile Marrow', role: 'advisor', password: 'a field full of clover' },
    bad: { role: ['owner', 'Advisor', '', null, ['advisor']], name: NO_TEXTS, password: [long(400), ...NO_TEXTS] },
  },
  { kind: LinkInput, good: { id: ID, roundId: ID, days: 30 }, bad: { roundId: NO_IDS, days: [0, 366, 1.5, ...NO_NUMBERS] } }, // prettier-ignore
  {
    kind: HerdInput,
    good: { animal: 'cow-dry', count: 40, residualKgPerHa: 1500, usePct: 70, refusedPct: 10, guessKgPerHa: 2000 },
    bad: {
      animal: ['dragon', 'Cow', '', null],
      // No half animals, and none at all is no herd.
      count: [0, -1, 2.5, 100_001, ...NO_NUMBERS],
      usePct: [-0.1, 100.1, ...NO_NUMBERS],
      refusedPct: [-1, 101, ...NO_NUMBERS],
      residualKgPerHa: [-1, 20_001],
      wantedDays: [0, 366],
    },
  },
  {
    kind: LabInput,
    good: { sample: '14', cpPct: 12.5, adfPct: 34, ndfPct: 55, nitrateNPpm: 900, simulated: true },
    bad: {
      cpPct: [-1, 101, ...NO_NUMBERS.filter((x) => x !== null)],
      ndfPct: [-0.5, 100.5],
      nitrateNPpm: [-1, 1_000_001],
      ph: [-1, 15],
      hcnPpm: [-1],
      simulated: ['yes', 1, null],
      sample: [long(200), ...NO_TEXTS],
    },
  },
  {
    kind: ConditionsInput,
    good: {
      pregnant: true,
      heightCm: 18,
      frost: 'light',
      frostOn: '2027-10-02',
      tillersTested: 20,
      tillersInfected: 7,
    },
    bad: {
      frost: ['hard', 'Light', 1],
      frostOn: NO_DAYS.filter((d) => d !== null),
      heightCm: [-1, 501],
      tillersTested: [0, 0.5, -3],
      tillersInfected: [-1, 1.5],
      pregnant: ['yes', 1],
    },
  },
  {
    kind: ContactsInput,
    good: { advisor: 'Odile Marrow', vetPhone: '000 111', noxious: 'Tansy ragwort' },
    bad: { advisor: [long(200), 7], vetPhone: [long(60)], noxious: [long(4000)] },
  },
  {
    kind: ManagementInput,
    good: { turfUse: 'sports', stayDays: 3, ph: 6.1, condition: { compaction: 3 }, normals: { meanC: Array(12).fill(9), rainMm: Array(12).fill(60), latitude: 52 } }, // prettier-ignore
    bad: {
      turfUse: ['golf', 1],
      stayDays: [0, 366],
      ph: [2.9, 10.1],
      'condition.compaction': [0, 6, 2.5],
      'normals.meanC': [Array(11).fill(9), Array(13).fill(9), Array(12).fill(51), Array(12).fill('9'), 'cold'],
      'normals.rainMm': [Array(12).fill(-1)],
      'normals.latitude': [-66, 66, null],
    },
  },
  {
    kind: PaddockInput,
    good: { id: ID, holdingId: ID, name: 'Long Croft', boundary: null, region: 'cool-humid', outlook: 'hay', sown: ['timothy'] }, // prettier-ignore
    bad: {
      id: NO_IDS,
      name: ['', long(200), ...NO_TEXTS],
      boundary: ['Polygon', 7],
      region: ['tropics', '', null],
      outlook: ['golf', null],
      sown: ['timothy', [7], Array(101).fill('timothy')],
      strata: [[null], [{ name: 'a', kind: 'moor', polygon: {}, keptOut: false }], 'crest'],
    },
  },
  {
    kind: EventInput,
    good: { kind: 'sown', onDate: '2026-09-12', note: '', detail: { sown: [{ plant: 'timothy', kgPerHa: 6, pls: 0.85 }] } }, // prettier-ignore
    bad: {
      kind: ['burnt', null],
      onDate: NO_DAYS,
      note: [long(2000), null],
      detail: [null, 'late', []],
      'detail.sown.0.kgPerHa': [0, 1001, '6'],
      'detail.sown.0.pls': [0, 1.01, 85],
    },
  },
  {
    kind: PlanItemInput,
    good: { paddockId: ID, text: 'Pull it', owner: '', dueOn: '2027-05-09', lookFor: '', outcome: '' },
    bad: { paddockId: NO_IDS, text: ['', long(1000), null], dueOn: NO_DAYS, doneOn: NO_DAYS.filter((d) => d !== null), outcome: [long(2000), null] }, // prettier-ignore
  },
  {
    kind: AnswersInput,
    good: { answers: [{ id: ID, kind: 'name', about: 'timothy', answered: 'timothy', right: true, sure: 0.9, seconds: 12, at: '2027-05-02T10:00:00.000Z' }] }, // prettier-ignore
    bad: {
      answers: [[], [null], ['timothy'], null, { length: 1 }],
      'answers.0.sure': [-0.1, 1.1, ...NO_NUMBERS],
      'answers.0.seconds': [-1, 86_401],
      'answers.0.at': ['2027-05-02', '2027-05-02T10:00:00+02:00', 'now'],
      'answers.0.kind': ['guess', null],
      'answers.0.right': ['yes', 1, null],
    },
  },
  { kind: NamingCheckInput, good: { checkedOn: '2027-06-01', was: 'timothy', note: '' }, bad: { checkedOn: NO_DAYS, was: ['', long(100)], note: [long(2000), null] } }, // prettier-ignore
  { kind: HoldingInput, good: { id: ID, name: 'Withy Bank', client: '' }, bad: { id: NO_IDS, name: ['', long(200)], client: [long(200), null] } }, // prettier-ignore
  {
    kind: RoundInput,
    good: { id: ID, paddockId: ID, title: 'Count', purpose: '', plannedOn: '2027-05-02', pointsPerStop: 20, laid: [{ id: ID, seq: 1 }] }, // prettier-ignore
    bad: {
      title: ['', long(200)],
      plannedOn: NO_DAYS,
      pointsPerStop: [0, 501, 1.5, ...NO_NUMBERS],
      method: ['by-guess', 1],
      laid: [[], [null], Array(501).fill({ id: ID, seq: 1 })],
      'laid.0.seq': [0, 1001, 1.2],
      settings: [{ frameM2: 0 }, { halfWidth: 3 }, { routeKind: 'spiral' }, { unheardOf: 1 }, 'wide'],
    },
  },
  {
    kind: StopInput,
    good: { id: ID, hits: [{ taxon: 'timothy', amount: 1 }], doneAt: null, measures: { reading: 12.5, dung: 2 }, position: [9.1, 51.2] }, // prettier-ignore
    bad: {
      hits: [null, 'timothy', [null], ['timothy'], Array(1001).fill({ taxon: 'timothy', amount: 1 })],
      'hits.0.amount': [0, -1, 10_001, ...NO_NUMBERS],
      'hits.0.taxon': [long(200), 7, null],
      'measures.dung': [-1, 0.5],
      'measures.barePercent': [-1, 101],
      'measures.stage': ['old', 3],
      position: [[9.1], [9.1, 51.2, 3], ['9', '51'], 'here'],
      doneAt: ['yesterday', 7],
    },
  },
  {
    kind: NamingInput,
    good: {
      id: ID,
      plant: 'timothy',
      probability: 0.93,
      observations: [],
      context: {},
      namedAt: '2027-05-02T10:00:00Z',
    },
    bad: { probability: [-0.1, 1.2, ...NO_NUMBERS], letter: ['AA', 'a', '1'], namedAt: ['now', null], specimens: [0, 1001] }, // prettier-ignore
  },
  {
    kind: IdentifyInput,
    good: {
      observations: [{ character: 'ligule.type', states: ['absent'] }],
      context: { month: 4, region: 'cool-humid' },
    },
    bad: {
      'context.month': [0, 13, 4.5],
      'context.region': ['moon'],
      'context.ground': [['swampy'], 'wet'],
      'context.lacking': [['patience']],
      'observations.0.states': [[], 'absent', [7]],
      observations: [[null], 'ligule'],
    },
  },
]

/** The good body with a place for what is tried, where it has none. */
function withPlace({ good }: Case, path: string): object {
  const parts = path.split('.')
  return parts.length > 1 && !(parts[0]! in good) ? { ...good, [parts[0]!]: {} } : good
}

describe.each(cases.map((c) => [c.kind.name, c] as const))('%s', (_name, one) => {
  it('takes a body as the screens send it', () => expect(wrongIn(one.kind, one.good)).toEqual([]))

  it.each(Object.entries(one.bad))('refuses of %s what it cannot be, and names it', (path, values) => {
    for (const value of values) {
      const wrong = wrongIn(one.kind, changed(withPlace(one, path), path, value))
      const named = wrong.some((w) => w === path || w.startsWith(`${path}.`))
      expect([JSON.stringify(value) ?? String(value), named, wrong]).toEqual([expect.anything(), true, wrong])
    }
  })

  it('refuses what it does not know', () =>
    expect(wrongIn(one.kind, { ...one.good, role_: 'advisor' })).toEqual(['role_']))
})

describe('checks of a sown paddock', () => {
  const row = { metres: 12, plants: 40, bare: 2 }
  it('are a list of days with what was counted', () => {
    expect(wrongIn(SowingChecksInput, { checks: 'none' })).toContain('checks')
    expect(wrongIn(SowingChecksInput, { checks: [{ on: 'soon', rows: row }] }).length).toBeGreaterThan(0)
  })
})
