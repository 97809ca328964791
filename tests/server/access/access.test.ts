import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Round, RoundSummary } from '@/core/records/round.ts'
import { makeApp } from '@/server/app.ts'
import type { AuditLine } from '@/server/access/audit.ts'
import { TRIES_PER_NAME } from '@/server/access/limits.ts'
import { Book } from '@/server/flora/book.ts'
import { listRounds } from '@/server/db/rounds.ts'
import { flora } from '@/tests/support/book.ts'
import { everyRoute } from '@/tests/support/everyRoute.ts'
import { ODILE, TAM, teamForFile } from '@/tests/support/team.ts'

const team = teamForFile(2)
type Browser = Awaited<ReturnType<typeof team.signedIn>>
let odile: Browser
let tam: Browser
let rounds: RoundSummary[]
beforeAll(async () => {
  odile = await team.signedIn(ODILE)
  tam = await team.signedIn(TAM)
  rounds = await listRounds(team.db)
})
const anybody = (i = 0) => request(team.app(i))
const cookieOf = (headers: Record<string, unknown>) => (headers['set-cookie'] as string[])[0]!
const audit = async () => (await odile.get('/api/audit').expect(200)).body as AuditLine[]

describe('who is not signed in', () => {
  it('is told so by every route, whatever it does', async () => {
    const open = ['/api/health', '/api/me', '/api/sign-in']
    for (const { method, path } of everyRoute(team.app()).filter((r) => !open.includes(r.path))) {
      const url = path.replace(/:\w+/g, rounds[0]!.id)
      const { body } = await anybody()[method](url).expect(401)
      expect(body.error.code, `${method} ${url}`).toBe('sign-in')
    }
    expect((await anybody().get('/api/me').expect(200)).body).toEqual({ accounts: true, account: null })
  })

  it('gets no session for asking', async () => {
    expect((await anybody().get('/api/me')).headers['set-cookie']).toBeUndefined()
  })

  it('is not told whether it was the name or the password', async () => {
    const from = { 'x-forwarded-for': '192.0.2.40' }
    const wrong = await anybody().post('/api/sign-in').set(from).send({ ...ODILE, password: 'something else' }) // prettier-ignore
    const none = await anybody().post('/api/sign-in').set(from).send({ name: 'Nobody', password: 'something else' })
    expect([wrong.status, none.status]).toEqual([401, 401])
    expect(wrong.body).toEqual(none.body)
  })
})

describe('a session', () => {
  it('rides in a cookie no script reads and no other site sends; over HTTPS only over HTTPS', async () => {
    const plain = await anybody().post('/api/sign-in').set('x-forwarded-for', '192.0.2.50').send(ODILE).expect(200)
    expect(cookieOf(plain.headers)).toMatch(/^fold-sprig=.*; Path=\/; Expires=.*; HttpOnly; SameSite=Strict$/)
    const secure = await anybody()
      .post('/api/sign-in')
      .set({ 'x-forwarded-for': '192.0.2.50', 'x-forwarded-proto': 'https' })
      .send(ODILE)
      .expect(200)
    expect(cookieOf(secure.headers)).toMatch(/; HttpOnly; Secure; SameSite=Strict$/)
    expect(secure.headers['strict-transport-security']).toBe('max-age=31536000')
  })

  it('is known to every server on the database, and what the browser holds stands in no table', async () => {
    const signed = await anybody(0).post('/api/sign-in').set('x-forwarded-for', '192.0.2.51').send(TAM).expect(200)
    const cookie = cookieOf(signed.headers).split(';')[0]!
    const { body } = await anybody(1).get('/api/me').set('cookie', cookie).expect(200)
    expect(body.account).toEqual({ name: TAM.name, role: 'trainee' })
    const sid = decodeURIComponent(cookie).replace('fold-sprig=s:', '').split('.')[0]!
    const { rows } = await team.db.query<object>('select * from session')
    expect(rows.length).toBeGreaterThan(2)
    expect(JSON.stringify(rows)).not.toContain(sid)
  })

  it('a changed or made-up cookie is nobody', async () => {
    for (const cookie of ['fold-sprig=s%3Aabc.def', 'fold-sprig=abc', `fold-sprig=${'x'.repeat(3000)}`])
      expect((await anybody().get('/api/me').set('cookie', cookie).expect(200)).body.account).toBeNull()
  })

  it('is another after signing in than before, and gone after signing out', async () => {
    const browser = await team.signedIn(TAM, '192.0.2.52')
    const first = cookieOf((await browser.get('/api/me')).headers)
    const again = await browser.post('/api/sign-in').set('x-forwarded-for', '192.0.2.52').send(TAM).expect(200)
    expect(cookieOf(again.headers).split(';')[0]).not.toBe(first.split(';')[0])
    expect((await anybody().get('/api/me').set('cookie', first)).body.account).toBeNull()
    await browser.post('/api/sign-out').expect(200)
    await browser.get('/api/rounds').expect(401)
  })

  it('past its day it is nobody', async () => {
    const browser = await team.signedIn(TAM, '192.0.2.53')
    await team.db.query(`update session set expires_at = now() - interval '1 second' where digest in
      (select digest from session order by expires_at desc limit 1)`)
    await browser.get('/api/rounds').expect(401)
  })
})

describe('another site in the same browser', () => {
  const name = { namedAs: null }
  const url = () => `/api/rounds/${rounds[0]!.id}/unknowns/Z`

  it('cannot write: neither by what the browser says of the request nor by its origin', async () => {
    for (const said of [
      { 'sec-fetch-site': 'cross-site' },
      { 'sec-fetch-site': 'same-site' },
      { origin: 'https://elsewhere.example' },
      { origin: 'null' },
      { origin: 'not a url' },
    ]) {
      const { body } = await odile.put(url()).set(said).send(name).expect(403)
      expect(body.error.code).toBe('elsewhere')
    }
    await odile.put(url()).set({ 'sec-fetch-site': 'same-origin', host: 'turf.example', origin: 'https://turf.example' }).send(name).expect(200) // prettier-ignore
  })

  // A proxy asks by the name of the machine behind it and passes on the one that the browser used.
  it('is told from one’s own behind a proxy that gives the server another name', async () => {
    const passedOn = { host: '127.0.0.1:4170', 'x-forwarded-host': 'turf.example', 'x-forwarded-proto': 'https' }
    await odile
      .put(url())
      .set({ ...passedOn, origin: 'https://turf.example' })
      .send(name)
      .expect(200)
    for (const origin of [
      'https://elsewhere.example',
      'https://turf.example.elsewhere.example',
      'https://127.0.0.1:4170',
    ])
      await odile
        .put(url())
        .set({ ...passedOn, origin })
        .send(name)
        .expect(403)
  })

  it('is refused without accounts too, and so is another name for this machine', async () => {
    const alone = request(makeApp({ db: team.db, book: new Book(flora), log: () => undefined }))
    await alone.put(url()).set('origin', 'https://elsewhere.example').send(name).expect(403)
    await alone.get('/api/rounds').set('host', 'elsewhere.example').expect(403)
    await alone.get('/api/rounds').set('host', 'localhost:4170').expect(200)
    expect((await alone.get('/api/me')).body).toEqual({ accounts: false, account: null })
    await alone.get('/api/accounts').expect(404)
  })
})

describe('trying passwords', () => {
  it('ends after some tries for a name, on all servers together; another address and another name still may', async () => {
    const attempt = (server: number, name: string, from: string) =>
      anybody(server).post('/api/sign-in').set('x-forwarded-for', from).send({ name, password: 'guess' })
    for (let i = 0; i < TRIES_PER_NAME; i++) await attempt(i % 2, 'Tam RUSHFORD', '192.0.2.66').expect(401)
    const { body, headers } = await attempt(0, 'tam rushford', '192.0.2.66').expect(429)
    expect(body.error.message).toMatch(/Too many tries/)
    expect(Number(headers['retry-after'])).toBeGreaterThan(800)
    await anybody().post('/api/sign-in').set('x-forwarded-for', '192.0.2.66').send(TAM).expect(429)
    await attempt(1, 'Somebody', '192.0.2.66').expect(401)
    await team.signedIn(TAM, '192.0.2.67')
  })

  it('those that were right are not counted', async () => {
    for (let i = 0; i < TRIES_PER_NAME + 2; i++) await team.signedIn(TAM, '192.0.2.68')
  })
})

describe('a trainee', () => {
  it('counts and names, but plans no round, changes no place and takes no copy', async () => {
    const round = (await tam.get(`/api/rounds/${rounds[0]!.id}`).expect(200)).body as Round
    const stop = round.stops[0]!
    await tam.put(`/api/rounds/${round.id}/stops/1`).send({ id: stop.id, hits: [], doneAt: '2027-05-01T08:00:00.000Z' }).expect(200) // prettier-ignore
    const { body } = await tam.put(`/api/paddocks/${round.paddockId}`).send(round.paddock).expect(403)
    expect(body.error.message).toMatch(/A trainee names, counts and practises/)
    for (const url of ['/api/backup', '/api/copies', '/api/accounts', '/api/audit', '/api/links'])
      await tam.get(url).expect(403)
    await tam.post('/api/rounds').send({}).expect(403)
    await tam.delete(`/api/photos/${randomUUID()}`).expect(403)
  })
})

describe('accounts', () => {
  const wren = { name: 'Wren Ashby', role: 'trainee', password: 'stiles and slippery planks' }

  it('are made, changed and closed by an advisor; a closed one is out at once', async () => {
    const { body: made } = await odile.post('/api/accounts').send(wren).expect(201)
    expect(made).toMatchObject({ name: 'Wren Ashby', role: 'trainee', closedAt: null })
    expect(JSON.stringify(made)).not.toContain('argon2')
    const browser = await team.signedIn(wren)
    await browser.get('/api/accounts').expect(403)
    await odile.put(`/api/accounts/${made.id}`).send({ role: 'advisor', closed: false }).expect(200)
    expect(JSON.stringify((await browser.get('/api/accounts').expect(200)).body)).not.toContain('argon2')
    await odile.put(`/api/accounts/${made.id}`).send({ role: 'advisor', closed: true }).expect(200)
    await browser.get('/api/rounds').expect(401)
    await anybody()
      .post('/api/sign-in')
      .set('x-forwarded-for', '192.0.2.70')
      .send({ name: wren.name, password: wren.password })
      .expect(401)
  })

  it('a name that is taken, a role that is none and a password that is short are said', async () => {
    const refused = async (body: object, status: number) => (await odile.post('/api/accounts').send(body).expect(status)).body.error // prettier-ignore
    expect(await refused({ ...wren, name: 'ODILE marrow' }, 409)).toMatchObject({ field: 'name' })
    expect(await refused({ ...wren, name: 'New', role: 'owner' }, 400)).toMatchObject({ field: 'role' })
    expect(await refused({ ...wren, name: 'New', password: 'short' }, 400)).toMatchObject({ field: 'password' })
    expect(await refused({ ...wren, name: '   ' }, 400)).toMatchObject({ field: 'name' })
  })

  it('the last advisor stays', async () => {
    const { body } = await odile.get('/api/accounts').expect(200)
    const { id } = (body as { id: string; name: string }[]).find((a) => a.name === ODILE.name)!
    for (const to of [
      { role: 'trainee', closed: false },
      { role: 'advisor', closed: true },
    ])
      expect((await odile.put(`/api/accounts/${id}`).send(to).expect(400)).body.error.message).toMatch(/last advisor/)
    await odile.put(`/api/accounts/${randomUUID()}`).send({ role: 'advisor', closed: false }).expect(404)
  })

  it('a new password needs the old one, and signs out every other browser', async () => {
    const lark = { name: 'Lark Denby', role: 'trainee', password: 'three hurdles and a trough' }
    await odile.post('/api/accounts').send(lark).expect(201)
    const here = await team.signedIn(lark, '192.0.2.80')
    const elsewhere = await team.signedIn(lark, '192.0.2.81')
    const password = 'two hurdles and no trough'
    await here.put('/api/me/password').send({ now: 'guessed', password }).expect(400)
    await here.put('/api/me/password').send({ now: lark.password, password }).expect(200)
    await here.get('/api/rounds').expect(200)
    await elsewhere.get('/api/rounds').expect(401)
    await team.signedIn({ ...lark, password }, '192.0.2.82')
  })
})

describe("a client's link", () => {
  const made = async (days: unknown = 30) => {
    const round = rounds.find((r) => r.title === 'Harm walk and count')!
    const answer = await odile.post('/api/links').send({ id: randomUUID(), roundId: round.id, days })
    return { round, ...(answer.body as { token: string; link: { id: string } }), status: answer.status }
  }
  const holding = (token: string) => ({ get: (url: string) => anybody(1).get(url).set('authorization', `Bearer ${token}`) }) // prettier-ignore

  it('opens one round with what was said and planned there, and nothing else', async () => {
    const { token, round } = await made()
    const { body, headers } = await holding(token).get('/api/shared').expect(200)
    expect(headers['cache-control']).toBe('no-store')
    expect(body.round.id).toBe(round.id)
    expect(new Set((body.plan as { paddockId: string }[]).map((p) => p.paddockId))).toEqual(new Set([round.paddockId]))
    await holding(token).get('/api/plants').expect(200)
    for (const url of [
      '/api/rounds',
      `/api/rounds/${round.id}`,
      '/api/places',
      '/api/kept',
      '/api/plan-items',
      '/api/namings',
      '/api/backup',
    ])
      // prettier-ignore
      await holding(token).get(url).expect(403)
    await anybody().put(`/api/rounds/${round.id}/unknowns/A`).set('authorization', `Bearer ${token}`).send({}).expect(403) // prettier-ignore
  })

  it('stands in no table as it was given out, and shows when it was opened', async () => {
    const { token, round, link } = await made()
    const listed = async () => ((await odile.get(`/api/links?round=${round.id}`).expect(200)).body as { id: string; openedAt: string | null }[]).find((l) => l.id === link.id)! // prettier-ignore
    expect((await listed()).openedAt).toBeNull()
    await holding(token).get('/api/shared').expect(200)
    expect((await listed()).openedAt).not.toBeNull()
    expect(JSON.stringify((await team.db.query<object>('select * from client_link')).rows)).not.toContain(token)
  })

  it('ends on its day, when it is taken back, and never works when guessed', async () => {
    const [first, second] = [await made(1), await made(1)]
    await team.db.query(`update client_link set expires_at = now() where id = $1`, [first.link.id])
    await holding(first.token).get('/api/shared').expect(401)
    await odile.delete(`/api/links/${second.link.id}`).expect(200)
    await holding(second.token).get('/api/shared').expect(401)
    await holding('x'.repeat(43)).get('/api/shared').expect(401)
    await holding('').get('/api/shared').expect(401)
    for (const days of [0, 366, 1.5, '7']) expect((await made(days)).status).toBe(400)
  })
})

describe('the trail', () => {
  it('has a line for each change and each refused one, with who it was', async () => {
    const before = (await audit()).length
    const url = `/api/rounds/${rounds[0]!.id}/unknowns/Y`
    await tam.put(url).send({ namedAs: null }).expect(200)
    await tam.delete(`/api/plan-items/${randomUUID()}`).expect(403)
    await odile.put(url).send({ namedAs: 'no-such-plant' }).expect(400)
    const lines = await audit()
    expect(lines.slice(0, 3).map((l) => [l.who, l.role, l.method, l.status])).toEqual([
      [ODILE.name, 'advisor', 'PUT', 400],
      [TAM.name, 'trainee', 'DELETE', 403],
      [TAM.name, 'trainee', 'PUT', 200],
    ])
    expect(lines[2]!.path).toBe(url.replace('/api', ''))
    expect(lines.length).toBeGreaterThanOrEqual(Math.min(200, before + 3))
  })

  it('tells who signed in, holds no password, and reading leaves no line', async () => {
    await tam.get('/api/rounds').expect(200)
    await tam.post('/api/identify').send({ context: {} })
    const { rows } = await team.db.query<AuditLine>('select * from audit')
    expect(rows.some((l) => l.who === TAM.name && l.path === '/sign-in' && l.status === 200)).toBe(true)
    expect(rows.some((l) => l.who === 'nobody' && l.path === '/sign-in' && l.status === 401)).toBe(true)
    expect(rows.some((l) => l.method === 'GET' || l.path === '/identify')).toBe(false)
    expect(JSON.stringify(rows)).not.toMatch(/guess|wet gate|counted thirty/)
  })

  it('a change whose line cannot be written is not answered as done; sent again it changes nothing more and has one', async () => {
    const url = `/api/rounds/${rounds[0]!.id}/unknowns/Y`
    const known = team.logged.length
    await team.db.query('alter table audit rename to audit_away')
    try {
      await tam.put(url).send({ namedAs: 'timothy' }).expect(503)
      await tam.put(url).send({ namedAs: 'no-such-plant' }).expect(400)
    } finally {
      await team.db.query('alter table audit_away rename to audit')
    }
    expect(team.logged.splice(known)).toHaveLength(2)
    await tam.put(url).send({ namedAs: 'timothy' }).expect(200)
    expect((await audit())[0]).toMatchObject({ who: TAM.name, status: 200, path: url.replace('/api', '') })
  })

  it('is read page by page', async () => {
    const first = await audit()
    const { at } = first[10]!
    const next = (await odile.get(`/api/audit?before=${at}`).expect(200)).body as AuditLine[]
    expect(next[0]!.id).toBe(first[11]!.id)
    await odile.get('/api/audit?before=yesterday').expect(400)
  })
})

it('nothing of all this was a fault of the server', () => expect(team.logged).toEqual([]))
