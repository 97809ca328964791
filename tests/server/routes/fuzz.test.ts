import { randomUUID } from 'node:crypto'
import { performance } from 'node:perf_hooks'
import fc from 'fast-check'
import supertest, { type Test } from 'supertest'
import { describe, expect, it } from 'vitest'
import { listAccounts } from '@/server/access/accounts.ts'
import { listPaddocks } from '@/server/db/places.ts'
import { listRounds } from '@/server/db/rounds.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'
import { everyRoute, type RouteOf } from '@/tests/support/everyRoute.ts'
import { ODILE, TAM, teamForFile } from '@/tests/support/team.ts'

/** How many requests; the run that is written of in docs/reliability.md had 20,000. */
const REQUESTS = Number(process.env.FUZZ ?? 400)

const api = apiForFile()
const team = teamForFile()

const nasty = fc.constantFrom(
  '',
  '0',
  '-1',
  '1e309',
  "'; drop table round; --",
  '" or 1=1',
  '../../etc/passwd',
  '..%2f..%2fetc%2fpasswd',
  '%00',
  '\u0000',
  '\ud800',
  '<script>alert(1)</script>',
  '=cmd()',
  '${7*7}',
  '__proto__',
  'constructor',
  'timothy',
  'perennial-ryegrass',
  'A',
  '1',
  'stops.gpx',
  'x'.repeat(5000),
  '2026-13-45',
  '00000000-0000-4000-8000-000000000000',
)
/** Nearly a megabyte of it, in the shapes that cost a reader most: one string, many names, many nests, a path of small steps. */
const LARGE = 900_000
const large = fc.constantFrom(
  { name: 'x'.repeat(LARGE), text: ' '.repeat(LARGE / 100) },
  { hits: Array.from({ length: LARGE / 40 }, (_, i) => ({ taxon: `a${i}`, amount: i })) },
  Object.fromEntries(Array.from({ length: LARGE / 20 }, (_, i) => [`name${i}`, i])),
  { boundary: Array.from({ length: LARGE / 20 }, (_, i) => [i / 1e6, i / 2e6]) },
  { text: '<trkpt lat="1" lon="2"/>'.repeat(LARGE / 25), yaml: '- '.repeat(LARGE / 100) },
  { text: `a;${'"'.repeat(LARGE)}` },
)
const words = fc.constantFrom('id', 'name', 'title', 'holdingId', 'paddockId', 'roundId', 'boundary', 'region', 'outlook', 'sown', 'strata', 'note', 'method', 'purpose', 'plannedOn', 'pointsPerStop', 'settings', 'route', 'laid', 'hits', 'doneAt', 'measures', 'skipped', 'base', 'by', 'taxon', 'amount', 'part', 'position', 'plant', 'probability', 'context', 'observations', 'namedAt', 'checkedOn', 'was', 'answers', 'kind', 'about', 'sure', 'seconds', 'at', 'yaml', 'text', 'dueOn', 'detail', 'onDate', 'password', 'now', 'role', 'closed', 'days', 'round', 'version', 'value', '__proto__') // prettier-ignore
const { value } = fc.letrec<{ value: unknown }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 4, withCrossShrink: true },
    nasty,
    fc.integer(),
    fc.double(),
    fc.boolean(),
    fc.constant(null),
    fc.array(tie('value'), { maxLength: 4 }),
    fc.dictionary(words, tie('value'), { maxKeys: 6 }),
  ),
}))
const request = fc.record({
  route: fc.nat(),
  params: fc.array(fc.oneof(nasty, fc.nat()), { minLength: 4, maxLength: 4 }),
  query: fc.dictionary(fc.constantFrom('subject', 'kind', 'paddock', 'q', '__proto__'), nasty, { maxKeys: 2 }),
  body: fc.oneof(
    { weight: 30, arbitrary: fc.dictionary(words, value, { maxKeys: 10 }) },
    { weight: 30, arbitrary: value },
    { weight: 1, arbitrary: large },
  ),
  type: fc.constantFrom('application/json', 'application/json', 'application/json', 'text/plain', 'image/png'),
})

/** What nobody outside should read: where a file lies, a line of SQL, a stack. */
const INSIDE = /node_modules|\/server\/|\bat \w+ \(|insert into|select .* from|pglite|postgres/i

/** Sends nonsense to every route, and looks that no answer is a fault of the server or tells of its insides. */
async function fuzz(requests: number, routes: RouteOf[], known: string[], asks: (route: RouteOf, url: string) => Test) {
  expect(routes.length).toBeGreaterThan(40)
  const slow: { ms: number; what: string }[] = []
  const ids = (p: string | number) =>
    typeof p === 'number' ? known[p % known.length]! : p.replace(/[\ud800-\udfff]/g, '')
  await fc.assert(
    fc.asyncProperty(request, async ({ route, params, query, body, type }) => {
      const asked = routes[route % routes.length]!
      const { method, path } = asked
      let i = 0
      const url = path.replace(/:\w+/g, () => encodeURIComponent(ids(params[i++ % params.length]!)))
      const sent = asks(asked, url).query(query).timeout(20_000).ok(() => true) // prettier-ignore
      if (method !== 'get') sent.set('content-type', type).send(JSON.stringify(body))
      const begun = performance.now()
      const answer = await sent
      const ms = performance.now() - begun
      if (process.env.FUZZ && ms > 250) slow.push({ ms, what: `${method} ${path} ${answer.status}` })
      expect(answer.status, `${method} ${url}`).toBeLessThan(500)
      if (answer.status >= 400) expect(answer.text, `${method} ${url}`).not.toMatch(INSIDE)
    }),
    { numRuns: requests, seed: Number(process.env.FUZZ_SEED ?? 20260501) },
  )
  for (const { ms, what } of slow) process.stdout.write(`over 250 ms of ${requests}: ${ms.toFixed(0)} ms, ${what}\n`)
}

describe('whatever is sent to whichever route', () => {
  it('is answered without a fault of the server, without its insides, and leaves the data readable', async () => {
    await loadDemo(api.db, '2027-05-01')
    const known = [...(await listRounds(api.db)), ...(await listPaddocks(api.db))].map((x) => x.id)
    await fuzz(REQUESTS, everyRoute(api.app), known, ({ method }, url) => api.raw()[method](url))
    expect(api.logged).toEqual([])
    expect((await api.get('/api/places')).status).toBe(200)
    expect((await api.get('/api/rounds')).status).toBe(200)
  }, 600_000)

  it('nor where there are accounts: nobody, the holder of a link, a trainee, an advisor', async () => {
    const odile = await team.signedIn(ODILE)
    const tam = await team.signedIn(TAM)
    const rounds = await listRounds(team.db)
    const made = await odile.post('/api/links').send({ id: randomUUID(), roundId: rounds[0]!.id, days: 7 })
    const { token } = made.body as { token: string }
    const known = [...rounds, ...(await listAccounts(team.db))].map((x) => x.id)
    const routes = everyRoute(team.app()).filter((r) => r.path !== '/api/sign-out')
    const askers: ((method: RouteOf['method'], url: string) => Test)[] = [
      (method, url) => supertest(team.app())[method](url),
      (method, url) => supertest(team.app())[method](url).set('authorization', `Bearer ${token}`),
      (method, url) => tam[method](url),
      (method, url) => odile[method](url),
    ]
    let n = 0
    await fuzz(REQUESTS, routes, known, ({ method }, url) => askers[n++ % askers.length]!(method, url))
    expect(team.logged).toEqual([])
    expect((await odile.get('/api/rounds')).status).toBe(200)
  }, 600_000)
})
