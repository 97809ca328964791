import { beforeAll, describe, expect, it } from 'vitest'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { addHolding, addPaddock, putEvent } from '@/server/db/places.ts'
import { addRound } from '@/server/db/rounds.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { emptyPaddock, roundOf } from '@/tests/support/rounds.ts'

const api = apiForFile()
const [HOLDING, PADDOCK, ROUND, NOBODY] = [1, 2, 3, 4].map((n) => `00000000-0000-4000-8000-00000000000${n}`) as [
  string,
  string,
  string,
  string,
]
const herd = {
  animal: 'goat-milking',
  count: 40,
  residualKgPerHa: 1400,
  usePct: 55.5,
  refusedPct: 10,
  guessKgPerHa: 2200,
}
const lab = { sample: 'Sward 3', cpPct: 17.2, adfPct: 28, ndfPct: 44.1, nitrateNPpm: 820, simulated: true }

beforeAll(async () => {
  await addHolding(api.db, { id: HOLDING, name: 'Withy Bank', client: '' })
  await addPaddock(api.db, { ...emptyPaddock, id: PADDOCK, holdingId: HOLDING })
  await addRound(api.db, roundOf('step-points', [], { id: ROUND, paddockId: PADDOCK }))
})

const kept = async () => (await api.get('/api/kept')).body as { subject: string; kind: string; value: object }[]

describe('what is said of a paddock or a round besides its counts', () => {
  it('comes back as it was sent, sending twice leaves it once, and the later word stands', async () => {
    expect((await api.put(`/api/kept/herd/${PADDOCK}`, herd)).status).toBe(200)
    expect((await api.put(`/api/kept/herd/${PADDOCK}`, herd)).status).toBe(200)
    expect((await api.put(`/api/kept/lab/${ROUND}`, lab)).status).toBe(200)
    expect(await kept()).toEqual([
      { subject: PADDOCK, kind: 'herd', value: herd },
      { subject: ROUND, kind: 'lab', value: lab },
    ])
    await api.put(`/api/kept/herd/${PADDOCK}`, { ...herd, count: 12, wantedDays: 9 })
    expect((await kept()).find((k) => k.kind === 'herd')!.value).toEqual({ ...herd, count: 12, wantedDays: 9 })
  })

  it('can be taken away again, more than once', async () => {
    await api.raw().delete(`/api/kept/lab/${ROUND}`)
    expect((await api.raw().delete(`/api/kept/lab/${ROUND}`)).status).toBe(200)
    expect((await kept()).map((k) => k.kind)).toEqual(['herd'])
  })

  it('every class of stock may be kept', async () => {
    for (const { id } of animalClasses)
      expect((await api.put(`/api/kept/herd/${PADDOCK}`, { ...herd, animal: id })).status, id).toBe(200)
  })

  it.each([
    ['no such animal', 'herd', PADDOCK, { ...herd, animal: 'unicorn' }, 'animal'],
    ['no animals', 'herd', PADDOCK, { ...herd, count: 0 }, 'count'],
    ['more than all of it eaten', 'herd', PADDOCK, { ...herd, usePct: 101 }, 'usePct'],
    ['a field of its own', 'herd', PADDOCK, { ...herd, more: 1 }, 'more'],
    ['no such paddock', 'herd', NOBODY, herd, 'subject'],
    ['no such round', 'lab', NOBODY, lab, 'subject'],
    ['not an id', 'lab', 'x', lab, 'subject'],
    ['fibre above all', 'lab', ROUND, { ...lab, ndfPct: 140 }, 'ndfPct'],
    ['not said whether simulated', 'lab', ROUND, { ...lab, simulated: undefined }, 'simulated'],
  ])('%s is refused with the field', async (_what, kind, subject, body, field) => {
    const before = await kept()
    const { status, body: answer } = await api.put(`/api/kept/${kind}/${subject}`, body)
    expect(status).toBe(400)
    expect((answer as { error: { field: string } }).error.field).toBe(field)
    expect(await kept()).toEqual(before)
  })

  it('runners and checks of a sowing are kept with what they look at', async () => {
    const EVENT = '00000000-0000-4000-8000-000000000009'
    await putEvent(api.db, { id: EVENT, paddockId: PADDOCK, kind: 'sown', onDate: '2027-03-20', note: '', detail: { sown: [{ plant: 'timothy', kgPerHa: 6, pls: 0.8 }] } }) // prettier-ignore
    const runners = { runners: [{ runnerHairy: true, calyxRed: null, stipuleRed: false }], suspect: ['red-hairy'] }
    expect((await api.put(`/api/kept/runners/${PADDOCK}`, runners)).status).toBe(200)
    const checks = { checks: [{ on: '2027-05-20', frameM2: 0.1, frames: [{ timothy: 7 }, {}], note: 'rows seen' }] }
    expect((await api.put(`/api/kept/sowing/${EVENT}`, checks)).status).toBe(200)
    expect((await kept()).filter((k) => k.kind === 'runners' || k.kind === 'sowing').map((k) => k.value)).toEqual([runners, checks]) // prettier-ignore
    for (const bad of [{ triffid: 1 }, { timothy: 1.5 }, { timothy: -1 }, { timothy: 'many' }]) {
      const sent = await api.put(`/api/kept/sowing/${EVENT}`, { checks: [{ ...checks.checks[0], frames: [bad] }] })
      expect(sent.status, JSON.stringify(bad)).toBe(400)
    }
    const grid = { on: '2027-05-21', frameM2: 0.0225, cells: 25, frames: [{ 'any-sown': 14, timothy: 12 }], others: ['lambsquarters'], flags: ['rows-show'], rows: { metres: 40, bare: 6 }, note: '' } // prettier-ignore
    expect((await api.put(`/api/kept/sowing/${EVENT}`, { checks: [grid] })).status).toBe(200)
    expect((await kept()).find((k) => k.kind === 'sowing')!.value).toEqual({ checks: [grid] })
    for (const [field, bad] of [
      ['checks[0].frames[0].timothy', { frames: [{ timothy: 26 }] }],
      ['checks[0].frames[0].any-sown', { cells: undefined }],
      ['checks[0].others[0]', { others: ['triffid'] }],
      ['checks[0].rows.bare', { rows: { metres: 4, bare: 6 } }],
      ['checks[0].flags', { flags: ['sunny'] }],
      ['checks[0].cells', { cells: 1 }],
    ] as const) {
      const { status, body } = await api.put(`/api/kept/sowing/${EVENT}`, { checks: [{ ...grid, ...bad }] })
      expect([status, (body as { error: { field: string } }).error.field]).toEqual([400, field])
    }
    expect((await api.put(`/api/kept/sowing/${PADDOCK}`, checks)).status).toBe(400)
    expect((await api.put(`/api/kept/runners/${PADDOCK}`, { ...runners, suspect: ['blue'] })).status).toBe(400)
  })

  it('another kind is no address', async () => {
    expect((await api.put(`/api/kept/secret/${PADDOCK}`, herd)).status).toBe(404)
    expect(api.logged).toEqual([])
  })
})
