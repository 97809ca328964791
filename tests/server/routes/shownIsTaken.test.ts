import { createHash, randomUUID } from 'node:crypto'
import { beforeAll, describe, expect, it } from 'vitest'
import {
  answersAfter,
  checksAfter,
  eventsAfter,
  keptAfter,
  placesAfter,
  planAfter,
  roundAfter,
  roundsAfter,
  signaturesAfter,
  type Places,
} from '@/contract/applied.ts'
import { requestOf } from '@/contract/commandRequests.ts'
import type { Command, KeptApart } from '@/contract/commands.ts'
import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { Round, RoundSummary } from '@/core/records/round.ts'
import { HASH_PLACE, type Signature } from '@/core/records/signedPage.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

// What a page shows of a change before the server has it must be what the server answers once it has: else a figure moves
// when the signal is back. Each command is done twice, by the page's own functions and by the server, and both are compared.

const api = apiForFile()
let round: Round
beforeAll(async () => {
  await loadDemo(api.db, '2027-04-02')
  const list = await body<RoundSummary[]>('/api/rounds')
  round = await body<Round>(`/api/rounds/${list.find((r) => r.title === 'Before turnout')!.id}`)
})

const body = async <T>(url: string) => (await api.get(url).expect(200)).body as T
async function take(command: Command) {
  const { method, url, body: sent } = requestOf(command)
  const send = api.raw()[method.toLowerCase() as 'put' | 'post' | 'delete']
  const answer = await send(url).send(sent as object)
  expect([method, url, answer.status < 300, answer.status < 300 ? '' : JSON.stringify(answer.body)]).toEqual([method, url, true, '']) // prettier-ignore
}
/** Lists whose order the server may choose are compared by id. */
const byId = <T extends { id: string }>(list: readonly T[]) => [...list].sort((a, b) => (a.id < b.id ? -1 : 1))

/** Do it here and there, and give both. */
async function both<T>(url: string, command: Command, after: (before: T) => T): Promise<{ shown: T; stands: T }> {
  const shown = after(await body<T>(url))
  await take(command)
  return { shown, stands: await body<T>(url) }
}

describe('what is shown before it is sent', () => {
  it('a stop that was counted, and one that was skipped', async () => {
    const [first, second] = round.stops
    const counted: Command = {
      do: 'save-stop',
      roundId: round.id,
      seq: first!.seq,
      stop: { id: first!.id, hits: [{ taxon: 'timothy', amount: 1 }, { taxon: 'bare', amount: 1 }], doneAt: '2027-04-02T08:30:00.000Z', stratum: first!.stratum, measures: { heightCm: 9, near: ['tansy-ragwort'] }, skipped: null }, // prettier-ignore
    }
    const skipped: Command = {
      do: 'save-stop',
      roundId: round.id,
      seq: second!.seq,
      stop: { id: second!.id, hits: [], doneAt: null, stratum: second!.stratum, measures: {}, skipped: 'under water' },
    }
    for (const command of [counted, skipped]) {
      const { shown, stands } = await both<Round>(`/api/rounds/${round.id}`, command, (r) => roundAfter(r, command))
      const seq = (command as Extract<Command, { do: 'save-stop' }>).seq
      const of = (r: Round) => ({ ...r.stops.find((s) => s.seq === seq)!, version: 0 })
      expect(of(shown)).toEqual(of(stands))
      const others = (r: Round) => r.stops.filter((s) => s.seq !== seq)
      expect(others(shown)).toEqual(others(stands))
    }
  })

  it('a stop that was added on the way', async () => {
    const seq = round.stops.length + 1
    const command: Command = {
      do: 'save-stop',
      roundId: round.id,
      seq,
      stop: { id: randomUUID(), hits: [{ taxon: 'dandelion', amount: 1 }], doneAt: '2027-04-02T09:00:00.000Z', stratum: '', measures: {}, skipped: null, added: true, position: [-29.4, 45.6] }, // prettier-ignore
    }
    const { shown, stands } = await both<Round>(`/api/rounds/${round.id}`, command, (r) => roundAfter(r, command))
    expect(shown.stops.length).toBe(seq)
    const last = (r: Round) => ({ ...r.stops.at(-1)!, version: 0 })
    expect(last(shown)).toEqual(last(stands))
  })

  it('a letter that has a name, by the key and by a naming', async () => {
    const letter: Command = { do: 'name-letter', roundId: round.id, letter: 'A', namedAs: 'western-yarrow' }
    const one = await both<Round>(`/api/rounds/${round.id}`, letter, (r) => roundAfter(r, letter))
    expect(one.shown.unknowns).toEqual(one.stands.unknowns)
    const naming: Command = {
      do: 'write-naming',
      naming: { id: randomUUID(), roundId: round.id, letter: 'B', plant: 'dandelion', probability: 0.93, context: {}, observations: [], namedAt: '2027-04-02T09:30:00Z', place: '', specimens: 1, evidence: [] }, // prettier-ignore
    }
    const two = await both<Round>(`/api/rounds/${round.id}`, naming, (r) => roundAfter(r, naming))
    expect(two.shown.unknowns).toEqual(two.stands.unknowns)
    expect(two.stands.unknowns.map((u) => u.letter).sort()).toEqual(['A', 'B'])
  })

  it('a holding, its paddock, a change of either', async () => {
    const holding = { id: randomUUID(), name: 'Otter Reach', client: 'H. Quill' }
    const paddock = { ...round.paddock, id: randomUUID(), holdingId: holding.id, name: 'Brook Piece', sown: ['timothy'], note: 'Soft in spring' } // prettier-ignore
    const commands: Command[] = [
      { do: 'add-holding', holding },
      { do: 'save-holding', holding: { ...holding, client: 'H. and J. Quill' } },
      { do: 'add-paddock', paddock },
      { do: 'save-paddock', paddock: { ...paddock, outlook: 'hay', boundary: null } },
    ]
    for (const command of commands) {
      const { shown, stands } = await both<Places>('/api/places', command, (p) => placesAfter(p, command))
      expect(byId(shown.holdings)).toEqual(byId(stands.holdings))
      expect(byId(shown.paddocks)).toEqual(byId(stands.paddocks))
    }
  })

  it('a round that is planned stands in the list as it will stand there', async () => {
    const places = await body<Places>('/api/places')
    const command: Command = {
      do: 'plan-round',
      round: { id: randomUUID(), paddockId: round.paddockId, title: 'In May', purpose: 'See', plannedOn: '2027-05-09', pointsPerStop: 20, settings: {}, method: 'step-points', laid: [{ id: randomUUID(), seq: 1, stratum: '' }], route: { line: [], lengthM: 0 } }, // prettier-ignore
    }
    const { shown, stands } = await both<RoundSummary[]>('/api/rounds', command, (r) => roundsAfter(r, command, places))
    const of = (list: RoundSummary[]) => list.find((r) => r.title === 'In May')
    expect(of(shown)).toEqual(of(stands))
    expect(shown).toHaveLength(stands.length)
  })

  it('what happened in a paddock, the latest first, and what was taken out of its history', async () => {
    const url = `/api/paddocks/${round.paddockId}`
    const event = (id: string, onDate: string): PaddockEvent => ({ id, paddockId: round.paddockId, kind: 'cut', onDate, note: 'by hand', detail: { amount: '2 t' } }) // prettier-ignore
    const [a, b] = [event(randomUUID(), '2027-03-01'), event(randomUUID(), '2027-04-01')]
    const commands: Command[] = [
      { do: 'save-event', event: b },
      { do: 'save-event', event: a },
      { do: 'save-event', event: { ...a, note: 'by machine' } },
      { do: 'delete-event', paddockId: round.paddockId, eventId: b.id },
    ]
    for (const command of commands) {
      const { shown, stands } = await both<{ events: PaddockEvent[] }>(url, command, (p) => ({
        events: eventsAfter(p.events, round.paddockId, command),
      }))
      expect(shown.events).toEqual(stands.events)
    }
  })

  it('a line of the plan: written, moved, ticked, taken out', async () => {
    const places = await body<Places>('/api/places')
    const item = { id: randomUUID(), paddockId: round.paddockId, roundId: round.id, plant: 'tansy-ragwort', text: 'Pull it', owner: 'J.', dueOn: '2027-05-09', backOn: '2027-06-09', lookFor: 'rosettes', doneOn: null, outcome: '' } // prettier-ignore
    const commands: Command[] = [
      { do: 'save-plan-item', item },
      { do: 'save-plan-item', item: { ...item, dueOn: '2027-05-12' } },
      { do: 'save-plan-item', item: { ...item, doneOn: '2027-05-12', outcome: 'two sacks' } },
      { do: 'delete-plan-item', id: item.id },
    ]
    for (const command of commands) {
      const { shown, stands } = await both<PlanLine[]>('/api/plan-items', command, (l) => planAfter(l, command, places))
      expect(byId(shown)).toEqual(byId(stands))
    }
  })

  it('what is said of a paddock and a round besides counts', async () => {
    const commands: Command[] = [
      { do: 'keep-apart', kind: 'herd', subject: round.paddockId, value: { animal: 'horse-idle', count: 3, residualKgPerHa: 1500, usePct: 60, refusedPct: 25, guessKgPerHa: 2000 } }, // prettier-ignore
      { do: 'keep-apart', kind: 'conditions', subject: round.id, value: { pregnant: true, frost: 'light' } },
      { do: 'keep-apart', kind: 'lab', subject: round.id, value: { sample: '14', cpPct: 12, simulated: true } },
      { do: 'drop-apart', kind: 'lab', subject: round.id },
    ]
    const ordered = (list: KeptApart[]) => [...list].sort((a, b) => (a.kind + a.subject < b.kind + b.subject ? -1 : 1))
    const plain = (k: KeptApart) => ({ kind: k.kind, subject: k.subject, value: k.value })
    for (const command of commands) {
      const { shown, stands } = await both<KeptApart[]>('/api/kept', command, (k) => keptAfter(k, command))
      expect(ordered(shown).map(plain)).toEqual(ordered(stands).map(plain))
    }
  })

  it('a name that was looked at in flower', async () => {
    const namingId = randomUUID()
    await api.post('/api/namings', { id: namingId, plant: 'dandelion', probability: 0.9, context: {}, observations: [], namedAt: '2027-04-01T10:00:00Z' }).expect(201) // prettier-ignore
    const commands: Command[] = [
      { do: 'check-naming', check: { namingId, checkedOn: '2027-05-20', was: 'dandelion', note: 'in flower' } },
      { do: 'check-naming', check: { namingId, checkedOn: '2027-05-21', was: 'cats-ear', note: '' } },
      { do: 'drop-check', namingId },
    ]
    for (const command of commands) {
      const { shown, stands } = await both<Verification[]>('/api/naming-checks', command, (c) =>
        checksAfter(c, command),
      )
      expect(shown).toEqual(stands)
    }
  })

  it('answers of practice, each once', async () => {
    const answer: PracticeAnswer = { id: randomUUID(), kind: 'name', about: 'timothy', answered: 'timothy', right: true, sure: 0.9, seconds: 12, at: '2027-04-02T10:00:00.000Z' } // prettier-ignore
    const command: Command = { do: 'keep-answers', answers: [answer] }
    for (let i = 0; i < 2; i++) {
      const { shown, stands } = await both<PracticeAnswer[]>('/api/practice-answers', command, (a) => answersAfter(a, command)) // prettier-ignore
      expect(byId(shown)).toEqual(byId(stands))
    }
  })

  it('a page that was signed', async () => {
    // The hash is taken of the page with a mark in its place, and then put there.
    const unsigned = `<!doctype html><p>Signed ${HASH_PLACE}</p>`
    const hash = createHash('sha256').update(unsigned).digest('hex')
    const signed = { id: randomUUID(), roundId: round.id, issue: 1, signedBy: 'Odile Marrow', signedAt: '2027-04-02T12:00:00.000Z', factsHash: 'f'.repeat(64), hash, page: unsigned.replace(HASH_PLACE, hash) } // prettier-ignore
    const command: Command = { do: 'sign-page', signed }
    const url = `/api/rounds/${round.id}/signed-pages`
    const { shown, stands } = await both<Signature[]>(url, command, (s) => signaturesAfter(s, round.id, command))
    expect(shown).toEqual(stands)
    expect(stands).toHaveLength(1)
  })
})
