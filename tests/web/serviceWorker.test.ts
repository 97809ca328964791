import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { runInNewContext } from 'node:vm'
import { beforeEach, describe, expect, it } from 'vitest'
import { projectRoot } from '@/server/projectRoot.ts'

const HERE = 'http://127.0.0.1:4170'
const source = readFileSync(join(projectRoot, 'web/serviceWorker.js'), 'utf8')
  .replace('__VERSION__', 'v2')
  .replace('__FILES__', '["/assets/main.js"]')

/** A browser's store of answers, in memory: by address, whole texts. */
class Caches {
  full = false
  readonly stores = new Map<string, Map<string, string>>()
  private store = (name: string) => {
    const store = this.stores.get(name) ?? new Map<string, string>()
    this.stores.set(name, store)
    return store
  }
  private address = (r: string | { url: string }) => new URL(typeof r === 'string' ? r : r.url, HERE).pathname
  open = async (name: string) => {
    const store = this.store(name)
    const match = async (r: string | { url: string }) => {
      const text = store.get(this.address(r))
      return text === undefined ? undefined : new Response(text)
    }
    const put = async (r: string | { url: string }, answer: Response) => {
      if (this.full) throw new DOMException('full', 'QuotaExceededError')
      store.set(this.address(r), await answer.text())
    }
    const add = async (url: string) => put(url, await fetchNow(url))
    return { match, put, add, addAll: (urls: string[]) => Promise.all(urls.map(add)) }
  }
  match = async (r: string | { url: string }, { cacheName }: { cacheName: string }) =>
    (await this.open(cacheName)).match(r)
  keys = async () => [...this.stores.keys()]
  delete = async (name: string) => this.stores.delete(name)
}

let caches: Caches
let tookOver = false
let handlers: Record<string, (event: object) => void>
/** What the server answers now; nothing: it does not answer. */
let server: Record<string, () => Response | Promise<Response>>
const fetchNow = async (r: string | { url: string }): Promise<Response> => {
  const answer = server[new URL(typeof r === 'string' ? r : r.url, HERE).pathname]
  if (!answer) throw new TypeError('no network')
  return answer()
}
const JSON_TYPE = { headers: { 'content-type': 'application/json; charset=utf-8' } }
const json = (value: unknown) => () => new Response(JSON.stringify(value), JSON_TYPE)

/** Ask as a page would. @returns undefined where the browser is left to do it itself */
async function ask(path: string, { method = 'GET', mode = 'cors', origin = HERE } = {}) {
  let answer: Promise<Response> | undefined
  const request = { url: origin + path, method, mode }
  handlers.fetch!({ request, respondWith: (r: Promise<Response>) => (answer = r) })
  return answer && (await answer).text().catch(() => 'error')
}
const event = async (name: 'install' | 'activate' | 'message', data?: string) => {
  let work: Promise<unknown> = Promise.resolve()
  handlers[name]!({ data, waitUntil: (w: Promise<unknown>) => (work = w) })
  await work
}
const keptRound = () => JSON.parse(caches.stores.get('fold-sprig-data')!.get('/api/rounds/r')!) as { title?: string; stops: object[] } // prettier-ignore

beforeEach(() => {
  caches = new Caches()
  handlers = {}
  tookOver = false
  server = { '/': () => new Response('<shell>'), '/assets/main.js': () => new Response('script') }
  let last: Promise<unknown> = Promise.resolve()
  const locks = { request: (_: string, work: () => Promise<unknown>) => (last = last.then(work, work)) }
  const self = {
    addEventListener: (name: string, handler: (event: object) => void) => (handlers[name] = handler),
    skipWaiting: async () => void (tookOver = true),
    clients: { claim: async () => undefined },
    location: { origin: HERE },
  }
  runInNewContext(source, { self, caches, fetch: fetchNow, navigator: { locks }, URL, Response, Map, Promise, JSON })
})

describe('the app without a signal', () => {
  it('keeps the shell when it is installed, whatever of the data could not be had', async () => {
    server['/api/book-pieces'] = json([])
    await event('install')
    server = {}
    expect(await ask('/rounds', { mode: 'navigate' })).toBe('<shell>')
    expect(await ask('/assets/main.js')).toBe('script')
    expect(await ask('/api/book-pieces')).toBe('[]')
    await expect(ask('/api/places')).rejects.toThrow('no network')
  })

  it('a newer version waits until the page says so', async () => {
    await event('install')
    expect(tookOver).toBe(false)
    await event('message', 'take-over')
    expect(tookOver).toBe(true)
  })

  it('takes the shells of earlier versions away but the last, and leaves the data', async () => {
    for (const name of ['shell-v0', 'fold-sprig-data', 'shell-v1']) await caches.open(name)
    await event('install')
    await event('activate')
    expect([...caches.stores.keys()].sort()).toEqual(['fold-sprig-data', 'shell-v1', 'shell-v2'])
  })

  it('a page of the version before, still open, gets its own parts without the server', async () => {
    await (await caches.open('shell-v1')).put('/assets/bench-old.js', new Response('old script'))
    await event('install')
    await event('activate')
    server = {}
    expect(await ask('/assets/bench-old.js')).toBe('old script')
    expect(await ask('/assets/main.js')).toBe('script')
  })

  it('asks the server first; what it said last is shown when it is away', async () => {
    server['/api/rounds'] = json(['old'])
    expect(await ask('/api/rounds')).toBe('["old"]')
    server['/api/rounds'] = json(['new'])
    expect(await ask('/api/rounds')).toBe('["new"]')
    server = {}
    expect(await ask('/api/rounds')).toBe('["new"]')
  })

  it('an answer that says no is handed on and not kept', async () => {
    server['/api/rounds'] = json(['good'])
    await ask('/api/rounds')
    server['/api/rounds'] = () => new Response('{"error":1}', { ...JSON_TYPE, status: 500 })
    expect(await ask('/api/rounds')).toBe('{"error":1}')
    server = {}
    expect(await ask('/api/rounds')).toBe('["good"]')
  })

  it('a page to sign in at, of the network in between, is not kept as records; what the server said last is shown', async () => {
    server['/api/rounds'] = json(['good'])
    await ask('/api/rounds')
    server['/api/rounds'] = () => new Response('<h1>Sign in to the wireless</h1>', { headers: { 'content-type': 'text/html' } }) // prettier-ignore
    expect(await ask('/api/rounds')).toBe('["good"]')
    server['/api/places'] = server['/api/rounds']
    expect(await ask('/api/places')).toContain('wireless')
    server = {}
    expect(await ask('/api/rounds')).toBe('["good"]')
    await expect(ask('/api/places')).rejects.toThrow('no network')
  })

  it('once nobody is signed in, nothing of the records is shown any more', async () => {
    server['/api/rounds'] = json(['mine'])
    await ask('/api/rounds')
    server['/api/plan-items'] = () => new Response('{}', { ...JSON_TYPE, status: 401 })
    await ask('/api/plan-items')
    server = {}
    await expect(ask('/api/rounds')).rejects.toThrow('no network')
  })

  it('an answer that was on its way when somebody signed out is not kept', async () => {
    let come: (answer: Response) => void = () => undefined
    server['/api/rounds'] = () => new Promise<Response>((r) => (come = r))
    const asked = ask('/api/rounds')
    await new Promise((r) => setTimeout(r))
    await event('message', 'forget')
    come(json(['mine'])())
    expect(await asked).toBe('["mine"]')
    expect(caches.stores.get('fold-sprig-data')?.size ?? 0).toBe(0)
  })

  it('a store that is full does not stand between the server and the page', async () => {
    server['/api/rounds'] = json(['old'])
    await ask('/api/rounds')
    caches.full = true
    server['/api/rounds'] = json(['new'])
    expect(await ask('/api/rounds')).toBe('["new"]')
  })

  it.each([
    ['accounts', '/api/accounts', {}],
    ['the trail', '/api/audit', {}],
    ['links', '/api/links', {}],
    ['copies', '/api/copies', {}],
    ['a write', '/api/rounds', { method: 'POST' }],
    ['another site', '/x', { origin: 'http://elsewhere.example' }],
    ['pictures', '/api/photos/1', {}],
    ['files to take along', '/api/rounds/r/files/hits.csv', {}],
    ['what a client reads with a link', '/api/shared', {}],
  ])('leaves %s alone', async (_says, path, how) => {
    server[path] = json('secret')
    expect(await ask(path, how)).toBeUndefined()
    expect(caches.stores.get('fold-sprig-data')?.size ?? 0).toBe(0)
  })
})

describe('a round that is kept', () => {
  const stop = (seq: number, version: number) => ({ seq, version, hits: [] })

  it('does not go back behind what this device has sent meanwhile', async () => {
    server['/api/rounds/r'] = json({ title: 'A', stops: [stop(1, 3), stop(2, 0)] })
    await ask('/api/rounds/r')
    // An answer that was asked for earlier comes later.
    server['/api/rounds/r'] = json({ title: 'B', stops: [stop(1, 1), stop(2, 1)] })
    expect(JSON.parse((await ask('/api/rounds/r'))!)).toMatchObject({ stops: [{ version: 1 }, { version: 1 }] })
    expect(keptRound()).toEqual({ title: 'B', stops: [stop(1, 3), stop(2, 1)] })
  })

  it('takes over stops that are new, and forgets those that are gone', async () => {
    server['/api/rounds/r'] = json({ stops: [stop(1, 1), stop(9, 5)] })
    await ask('/api/rounds/r')
    server['/api/rounds/r'] = json({ stops: [stop(1, 2), stop(2, 0)] })
    await ask('/api/rounds/r')
    expect(keptRound().stops).toEqual([stop(1, 2), stop(2, 0)])
  })

  it('of answers that come at once each is written whole', async () => {
    let n = 0
    server['/api/rounds/r'] = () => {
      const version = ++n
      return new Promise((r) => setTimeout(() => r(json({ stops: [stop(1, version)] })()), version % 2 ? 15 : 1))
    }
    await Promise.all(Array.from({ length: 10 }, () => ask('/api/rounds/r')))
    expect(keptRound().stops).toEqual([stop(1, 10)])
  })
})
