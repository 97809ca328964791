import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { beforeAll, describe, expect, it } from 'vitest'
import { addAccount, changeAccount, listAccounts, openAdvisors } from '@/server/access/accounts.ts'
import { TRIES_PER_NAME } from '@/server/access/limits.ts'
import { listRounds } from '@/server/db/rounds.ts'
import { ODILE, TAM, teamForFile } from '@/tests/support/team.ts'

const team = teamForFile()
const BEA = { name: 'Bea Hollin', password: 'rushes by the river gate' }
type Browser = Awaited<ReturnType<typeof team.signedIn>>
let odile: Browser
let roundId: string
beforeAll(async () => {
  odile = await team.signedIn(ODILE)
  await addAccount(team.db, { ...BEA, role: 'advisor' })
  roundId = (await listRounds(team.db)).find((r) => r.title === 'Before turnout')!.id
})
const idOf = async (name: string) => (await listAccounts(team.db)).find((a) => a.name === name)!.id
const lines = async () => (await team.db.query<{ n: number }>('select count(*)::int as n from audit')).rows[0]!.n

describe('open to others', () => {
  it('two advisors who make each other trainees at the same moment: one is refused, one is left', async () => {
    const to = { role: 'trainee' as const, closed: false }
    const ids = [await idOf(ODILE.name), await idOf(BEA.name)]
    const done = await Promise.allSettled(ids.map((id) => changeAccount(team.db, id, to)))
    expect(done.map((d) => d.status).sort()).toEqual(['fulfilled', 'rejected'])
    expect(await openAdvisors(team.db)).toBe(1)
    for (const id of ids) await changeAccount(team.db, id, { role: 'advisor', closed: false })
  })

  it('a flood without a name leaves one line an hour in the trail, and those who sign in come in', async () => {
    const before = await lines()
    const from = { 'x-forwarded-for': '192.0.2.90' }
    for (let i = 0; i < 60; i++)
      await request(team.app()).put(`/api/rounds/x/stops/${i}`).set(from).send({}).expect(401)
    expect((await lines()) - before).toBeLessThanOrEqual(1)
    await request(team.app()).post('/api/sign-in').set(from).send(TAM).expect(200)
  })

  it('wrong tries at one’s own password are counted for oneself, not for all at that address', async () => {
    const tam = await team.signedIn(TAM, '192.0.2.91')
    const from = { 'x-forwarded-for': '192.0.2.91' }
    const guess = { now: 'not it at all', password: 'another one that is long' }
    for (let i = 0; i < TRIES_PER_NAME; i++) await tam.put('/api/me/password').set(from).send(guess).expect(400)
    await tam.put('/api/me/password').set(from).send(guess).expect(429)
    const bea = await team.signedIn(BEA, '192.0.2.91')
    await bea
      .put('/api/me/password')
      .set(from)
      .send({ now: BEA.password, password: 'rushes by the upper gate' })
      .expect(200)
  })

  it('a client’s link gives what stands on the pages: no note of the paddock, no observer, no plan of another round', async () => {
    const round = (await odile.get(`/api/rounds/${roundId}`)).body as { paddockId: string; paddock: object }
    const line = {
      paddockId: round.paddockId,
      text: 'of this round',
      dueOn: '2027-05-09',
      plant: null,
      owner: '',
      lookFor: '',
    }
    const other = (await listRounds(team.db)).find((r) => r.id !== roundId)!.id
    for (const [roundOf, text] of [
      [roundId, 'of this round'],
      [other, 'of another round'],
    ] as const)
      await odile
        .put(`/api/plan-items/${randomUUID()}`)
        .send({ ...line, roundId: roundOf, text, outcome: 'told in confidence' })
        .expect(200)
    await odile
      .put(`/api/paddocks/${round.paddockId}`)
      .send({ ...round.paddock, note: 'owes for last year' })
      .expect(200)
    const { body } = await odile.post('/api/links').send({ id: randomUUID(), roundId, days: 7 }).expect(201)
    const { token } = body as { token: string }
    const shared = () => request(team.app()).get('/api/shared').set('authorization', `Bearer ${token}`)
    const text = JSON.stringify((await shared().expect(200)).body)
    expect(text).toContain('of this round')
    expect(text).not.toMatch(/owes for last year|of another round|told in confidence|"observer"/)
  })

  it('a link ends with the account that made it', async () => {
    const bea = await team.signedIn({ ...BEA, password: 'rushes by the upper gate' }, '192.0.2.92')
    const { body } = await bea.post('/api/links').send({ id: randomUUID(), roundId, days: 7 }).expect(201)
    const { token } = body as { token: string }
    const shared = () => request(team.app()).get('/api/shared').set('authorization', `Bearer ${token}`)
    await shared().expect(200)
    await changeAccount(team.db, await idOf(BEA.name), { role: 'advisor', closed: true })
    await shared().expect(401)
  })

  it('every name of a round is read, however many newer ones there are', async () => {
    const naming = (id: string, round: string | null, at: string) => ({
      ...{ id, roundId: round, letter: null, plant: 'timothy', probability: 0.9, namedAt: at, observations: [] },
      ...{ context: { stage: 'vegetative', region: 'cool-humid', month: 5 }, place: '', specimens: 1, evidence: [] },
    })
    await odile
      .post('/api/namings')
      .send(naming(randomUUID(), roundId, '2020-05-01T08:00:00.000Z'))
      .expect(201)
    await team.db.query(
      `insert into naming (id, round_id, letter, plant, probability, context, observations, named_at, place, specimens, evidence)
       select gen_random_uuid(), null, null, 'timothy', 0.9, '{}', '[]', now(), '', 1, '[]' from generate_series(1, 600)`,
    )
    const all = (await odile.get('/api/namings')).body as unknown[]
    const ofRound = (await odile.get(`/api/namings?round=${roundId}`)).body as { roundId: string }[]
    expect(all).toHaveLength(500)
    expect(ofRound.filter((n) => n.roundId === roundId).length).toBeGreaterThan(0)
    await odile.get('/api/namings?round=7').expect(400)
  })

  it('nothing of this was an error inside', () => expect(team.logged).toEqual([]))
})
