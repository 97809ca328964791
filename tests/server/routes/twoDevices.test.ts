import { beforeAll, describe, expect, it } from 'vitest'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { Places } from '@/contract/applied.ts'
import { standingOf } from '@/contract/standingOf.ts'
import { requestOf } from '@/contract/commandRequests.ts'
import type { Command } from '@/contract/commands.ts'
import { valueOf } from '@/contract/recordOf.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

// Each kind of record that two people may change, by the commands that the screens send: what one did is never written
// over by the other unseen (finding 6 of the outside test of the running product).

const api = apiForFile()
let paddockId: string
let roundId: string
const namingId = crypto.randomUUID()
beforeAll(async () => {
  await loadDemo(api.db, '2027-04-02')
  const rounds = (await api.get('/api/rounds')).body as { id: string; paddockId: string; title: string }[]
  const round = rounds.find((r) => r.title === 'First spring after sowing')!
  paddockId = round.paddockId
  roundId = round.id
  await api.post('/api/namings', { id: namingId, plant: 'dandelion', probability: 0.9, context: {}, observations: [], namedAt: '2027-04-01T10:00:00Z' }).expect(201) // prettier-ignore
})

const body = async <T>(url: string) => (await api.get(url).expect(200)).body as T
/** What stands on the server of the record of a command, read as the screens read it. */
async function stands(command: Command): Promise<object | null> {
  const [kept, plan, places, unknowns, checks, events] = await Promise.all([
    ...['/api/kept', '/api/plan-items', '/api/places', '/api/unknowns', '/api/naming-checks'].map((u) => body(u)),
    body<{ events: PaddockEvent[] }>(`/api/paddocks/${paddockId}`).then((p) => p.events),
  ])
  const read = { kept, plan, places: places as Places, unknowns, checks, events }
  return standingOf(command, {
    ...Object.fromEntries(Object.entries(read).map(([k, v]) => [k, () => v])),
  } as never) as object | null
}
const send = (command: Command, seen?: (object | null)[]) => {
  const { method, url, body: sent } = requestOf(command)
  const whole = { ...(sent as object | undefined), ...(seen ? { seen } : {}) }
  return api.raw()[method.toLowerCase() as 'put' | 'delete'](url).send(whole)
}

interface Case {
  what: string
  /** Write the record with some fields changed. */
  write: (patch: object) => Command
  drop?: () => Command
  /** Two fields that two people change. */
  one: object
  other: object
}
const ids = Array.from({ length: 4 }, () => crypto.randomUUID())
const cases: Case[] = [
  {
    what: 'a line of the plan',
    write: (patch) => ({
      do: 'save-plan-item',
      item: { id: ids[0]!, paddockId, roundId: null, plant: null, text: 'Dig docks', owner: '', dueOn: '2027-04-10', backOn: null, lookFor: '', doneOn: null, outcome: '', ...patch }, // prettier-ignore
    }),
    drop: () => ({ do: 'delete-plan-item', id: ids[0]! }),
    one: { doneOn: '2027-04-09', outcome: 'all out' },
    other: { owner: 'Joss' },
  },
  {
    what: 'an event',
    write: (patch) => ({ do: 'save-event', event: { id: ids[1]!, paddockId, kind: 'cut', onDate: '2027-03-01', note: '', detail: {}, ...patch } }), // prettier-ignore
    drop: () => ({ do: 'delete-event', paddockId, eventId: ids[1]! }),
    one: { note: 'late' },
    other: { onDate: '2027-03-02' },
  },
  {
    what: 'an unknown plant: its note, and a colleague\u2019s opinion',
    write: (patch) => ({ do: 'keep-unknown', unknown: { id: ids[2]!, place: 'Bank', note: '', context: { month: 4 }, observations: [], madeAt: '2027-04-01T10:00:00.000Z', opinion: null, namedAs: null, ...patch } }), // prettier-ignore
    one: { note: 'grows in the gateway' },
    other: { opinion: { by: 'R. Hale', plant: 'dandelion', probability: 0.9, note: '', at: '2027-04-02T08:00:00Z' } },
  },
  {
    what: 'the stock of a paddock',
    write: (patch) => ({ do: 'keep-apart', kind: 'herd', subject: paddockId, value: { animal: 'goat-milking', count: 40, residualKgPerHa: 1400, usePct: 55, refusedPct: 10, guessKgPerHa: 2200, ...patch } }), // prettier-ignore
    drop: () => ({ do: 'drop-apart', kind: 'herd', subject: paddockId }),
    one: { count: 41 },
    other: { wantedDays: 9 },
  },
  {
    what: 'a laboratory\u2019s result',
    write: (patch) => ({ do: 'keep-apart', kind: 'lab', subject: roundId, value: { sample: 'L-77', cpPct: 17.2, adfPct: 28, ndfPct: 44, simulated: true, ...patch } }), // prettier-ignore
    drop: () => ({ do: 'drop-apart', kind: 'lab', subject: roundId }),
    one: { nitrateNPpm: 9000 },
    other: { cpPct: 17.5 },
  },
  {
    what: 'a name looked at in flower',
    write: (patch) => ({ do: 'check-naming', check: { namingId, checkedOn: '2027-06-01', was: 'other', note: '', ...patch } }), // prettier-ignore
    drop: () => ({ do: 'drop-check', namingId }),
    one: { note: 'a stork\u2019s-bill' },
    other: { checkedOn: '2027-06-02' },
  },
]

describe.each(cases)('$what', ({ write, one, other, drop }) => {
  const first = () => valueOf(write({}))!
  it('two that change different fields are both kept, whoever comes first', async () => {
    await send(write({}), [null]).expect(200)
    await send(write(one), [first()]).expect(200)
    await send(write(other), [first()]).expect(200)
    expect(await stands(write({}))).toMatchObject(valueOf(write({ ...one, ...other }))!)
  })

  it('sent again after its answer was lost it changes nothing, nor does what took its place', async () => {
    const now = await stands(write({}))
    await send(write({ ...one, ...other }), [first(), valueOf(write(one))!]).expect(200)
    expect(await stands(write({}))).toEqual(now)
  })

  it('two that change the same field: the later one is shown what stands, and nothing is written', async () => {
    const now = await stands(write({}))
    const clash = Object.fromEntries(Object.entries(one).map(([k, v]) => [k, typeof v === 'number' ? v + 1 : k === 'doneOn' ? v : `${String(v)}, or so`])) // prettier-ignore
    const res = await send(write(clash), [first()]).expect(409)
    expect((res.body as { error: { theirs: object } }).error.theirs).toEqual(now)
    expect(await stands(write({}))).toEqual(now)
    // Chosen over what was shown, it is written.
    await send(write({ ...one, ...other, ...clash }), [now]).expect(200)
    expect(await stands(write({}))).toMatchObject(clash)
  })

  it('a version of this app that does not say what it saw writes as it always did', async () => {
    await send(write({})).expect(200)
    expect(await stands(write({}))).toMatchObject(first())
  })

  if (drop)
    it('what was changed is not taken out, and what was taken out is not brought back, without a word', async () => {
      await send(write(one), [first()]).expect(200)
      const now = (await stands(write({})))!
      await send(drop(), [first()]).expect(409)
      expect(await stands(write({}))).toEqual(now)
      await send(drop(), [now]).expect(200)
      await send(drop(), [now]).expect(200)
      const res = await send(write(other), [now]).expect(409)
      expect((res.body as { error: { theirs: unknown } }).error.theirs).toBeNull()
      // One that changed nothing brings nothing back.
      await send(write(one), [now]).expect(200)
      expect(await stands(write({}))).toBeNull()
      await send(write(other), [null]).expect(200)
      expect(await stands(write({}))).toMatchObject(other)
    })
})

describe('lists that two people add to', () => {
  const check = (on: string) => ({ on, frameM2: 0.1, frames: [{ 'perennial-ryegrass': 4 }], note: '' })

  it('checks of one sowing, made offline by two: both are there', async () => {
    const sowing = crypto.randomUUID()
    await send({ do: 'save-event', event: { id: sowing, paddockId, kind: 'sown', onDate: '2027-03-01', note: '', detail: {} } }) // prettier-ignore
    const kept = (checks: object[]): Command => ({
      do: 'keep-apart',
      kind: 'sowing',
      subject: sowing,
      value: { checks },
    })
    await send(kept([check('2027-04-01')]), [null]).expect(200)
    await send(kept([check('2027-04-02')]), [null]).expect(200)
    await send(kept([check('2027-04-02'), check('2027-04-20')]), [{ checks: [check('2027-04-02')] }]).expect(200)
    expect(await stands(kept([]))).toEqual({ checks: ['2027-04-01', '2027-04-02', '2027-04-20'].map(check) })
  })

  it('runners pulled by two, though they look alike', async () => {
    const runner = () => ({ id: crypto.randomUUID(), runnerHairy: true, calyxRed: false, stipuleRed: null })
    const five = Array.from({ length: 5 }, runner)
    const kept = (runners: object[]): Command => ({ do: 'keep-apart', kind: 'runners', subject: paddockId, value: { runners, suspect: [] } }) // prettier-ignore
    const pulled = (n: number) => [...five, ...Array.from({ length: n }, runner)]
    const [mine, theirs] = [pulled(2), pulled(3)]
    await send(kept(five), [null]).expect(200)
    await send(kept(mine), [valueOf(kept(five))!]).expect(200)
    await send(kept(theirs), [valueOf(kept(five))!]).expect(200)
    expect(((await stands(kept([]))) as { runners: object[] }).runners).toHaveLength(10)
    // The answer to the first was lost, and one more was pulled.
    await send(kept([...mine, runner()]), [valueOf(kept(five))!, valueOf(kept(mine))!]).expect(200)
    expect(((await stands(kept([]))) as { runners: object[] }).runners).toHaveLength(11)
  })
})

describe('a paddock and its holding', () => {
  it('the note of one and the outlook of another are both kept; a part that each drew as well', async () => {
    const { paddocks, holdings } = await body<Places>('/api/places')
    const before = paddocks.find((p) => p.id === paddockId)!
    const part = (name: string) => ({ name, kind: 'crest' as const, keptOut: false, polygon: before.boundary! })
    const write = (patch: object): Command => ({ do: 'save-paddock', paddock: { ...before, ...patch } })
    await send(write({ note: 'wet in March', strata: [...before.strata, part('top')] }), [before]).expect(200)
    await send(write({ outlook: 'hay', strata: [...before.strata, part('lip')] }), [before]).expect(200)
    const now = (await stands(write({}))) as typeof before
    expect(now).toMatchObject({ note: 'wet in March', outlook: 'hay' })
    expect(now.strata.map((s) => s.name)).toEqual([...before.strata.map((s) => s.name), 'top', 'lip'])
    const holding = holdings.find((h) => h.id === before.holdingId)!
    const rename = (name: string): Command => ({ do: 'save-holding', holding: { ...holding, name } })
    await send(rename('Upper'), [holding]).expect(200)
    await send(rename('Lower'), [holding]).expect(409)
  })
})

describe('what is said to have been seen', () => {
  it.each([
    ['no list', 'all', /list of records/],
    ['a list of texts', ['all'], /list of records/],
    ['too many', Array.from({ length: 121 }, () => null), /list of records/],
    ['a text that cannot be stored', [{ a: 'x\0' }], /cannot be stored/],
  ])('%s is refused', async (_what, seen, says) => {
    const res = await send(cases[0]!.write({}), seen as never).expect(400)
    expect((res.body as { error: { message: string } }).error.message).toMatch(says)
  })
})
