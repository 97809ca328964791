import 'fake-indexeddb/auto'
import { IDBFactory, IDBObjectStore } from 'fake-indexeddb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { requestOf } from '@/contract/commandRequests.ts'
import type { Command } from '@/contract/commands.ts'
import { readUnsent, unsentFile } from '@/web/stores/unsentFile.ts'

/** The browser's small store: a page's keys are its own properties, as in browsers. */
class SmallStore {
  [key: string]: unknown
  getItem = (key: string) => (this[key] as string | undefined) ?? null
  setItem = (key: string, value: string) => void (this[key] = value)
  removeItem = (key: string) => void delete this[key]
}
const shown = (store: SmallStore) => Object.keys(store).filter((k) => k.startsWith('fold-sprig-letter/'))

/** Pages of another test must not hear these. */
let device = 0
const RealChannel = BroadcastChannel
class DeviceChannel extends RealChannel {
  constructor(name: string) {
    super(`${name} ${device}`)
    open.push(this)
  }
}
const open: BroadcastChannel[] = []

const sent: { url: string; body: unknown }[] = []
let small: SmallStore
let answerWith: (url: string) => Response | Promise<Response>
const ok = () => new Response('{}', { status: 200 })
const away = () => Promise.reject<Response>(new TypeError('no network'))
const refusing = (status: number, message = 'no') => () => new Response(JSON.stringify({ error: { message } }), { status }) // prettier-ignore
/** As an earlier version kept it: a request that no command is known for, so that each may be called as is wanted here. */
const request = (key: string, body: unknown = key) => ({
  key: `/api/${key}`,
  method: 'PUT' as const,
  url: `/api/${key}`,
  body,
})
const command = (key: string, body: unknown = key): Command => ({
  do: 'request',
  method: 'PUT',
  url: `/api/${key}`,
  body,
})

/** A page of the app, not yet opened: what it holds in memory is its own, what it stores is the device's. */
async function closedPage() {
  vi.resetModules()
  const { useOutbox } = await import('@/web/stores/outboxStore.ts')
  const { openOutbox } = await import('@/web/stores/openOutbox.ts')
  const { deviceId } = await import('@/web/stores/device.ts')
  const state = () => useOutbox.getState()
  const waiting = () => state().pending.map((l) => l.key.replace('/api/', ''))
  return { open: openOutbox, state, waiting, post: state().post, drain: state().drain, device: deviceId }
}
async function page() {
  const made = await closedPage()
  await made.open()
  return made
}
/** Until what was posted lies where it outlives the page. */
const stored = () => vi.waitFor(() => expect(shown(small)).toEqual([]), { timeout: 30_000 })

beforeEach(() => {
  sent.length = 0
  small = new SmallStore()
  answerWith = away
  device++
  vi.stubGlobal('BroadcastChannel', DeviceChannel)
  vi.stubGlobal('localStorage', small)
  vi.stubGlobal('indexedDB', new IDBFactory())
  vi.stubGlobal('fetch', async (url: string, init: { body: string }) => {
    const answer = await answerWith(url)
    sent.push({ url, body: JSON.parse(init.body) as unknown })
    return answer
  })
})
afterEach(() => {
  for (const channel of open.splice(0)) channel.close()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

describe('what waits to be sent', () => {
  it('is there when the page is opened again, in its order, and goes out once', async () => {
    const first = await page()
    for (const key of ['round', 'stop/1', 'stop/2']) first.post(command(key))
    first.post(command('stop/1', 'again'))
    await stored()
    const second = await page()
    expect(second.waiting()).toEqual(['round', 'stop/2', 'stop/1'])
    answerWith = ok
    await second.drain()
    expect(sent.map((s) => s.body)).toEqual(['round', 'stop/2', 'again'])
    expect((await page()).waiting()).toEqual([])
  })

  it('after a week of a thousand stops: each goes out once, none twice, the round first', async () => {
    const week = await page()
    week.post(command('round'))
    for (let i = 1; i <= 1000; i++) week.post(command(`stop/${i}`, i))
    await stored()
    answerWith = ok
    const back = await page()
    await back.drain()
    expect(sent.map((s) => s.body)).toEqual(['round', ...Array.from({ length: 1000 }, (_, i) => i + 1)])
  })

  it('is drawn anew only where something of it changed, though it is read again every few seconds', async () => {
    const first = await page()
    for (const key of ['round', 'stop/1']) first.post(command(key))
    await stored()
    await first.drain()
    const { pending, refused, conflicts } = first.state()
    await first.drain()
    expect(first.state().pending).toBe(pending)
    expect(first.state().refused).toBe(refused)
    expect(first.state().conflicts).toBe(conflicts)
    const other = await page()
    other.post(command('stop/2'))
    await stored()
    await first.drain()
    expect(first.waiting()).toEqual(['round', 'stop/1', 'stop/2'])
  })

  it('is there when the page was closed before the store had it', async () => {
    // As the journal looks when nothing came after it.
    small.setItem('fold-sprig-letter/x1', JSON.stringify({ ...request('stop/9'), id: 'x1', n: 7, state: 'waiting' }))
    const next = await page()
    expect(next.waiting()).toEqual(['stop/9'])
    expect(shown(small)).toEqual([])
  })

  it('does not come back out of the journal once it was sent: an old count would stand over a newer one', async () => {
    const first = await page()
    first.post(command('stop/1', 'old'))
    const line = shown(small)[0]!
    const kept = small.getItem(line)!
    first.post(command('stop/1', 'new'))
    await stored()
    answerWith = ok
    await first.drain()
    await vi.waitFor(async () => expect((await page()).waiting()).toEqual([]))
    // The browser was killed, and its small store is as it was some seconds ago.
    small.setItem(line, kept)
    const next = await page()
    await next.drain()
    expect(next.waiting()).toEqual([])
    expect(sent.map((s) => s.body)).toEqual(['new'])
  })

  it('moves over from the one line in which earlier versions kept it', async () => {
    const theirs = { seq: 2, version: 3, hits: [] }
    const conflicts = [{ url: '/api/rounds/r/stops/2', mine: { hits: [] }, theirs }]
    const state = { letters: [request('stop/1'), request('stop/3')], conflicts, device: 'd', versions: { a: 1 } }
    small.setItem('fold-sprig-outbox', JSON.stringify({ state, version: 0 }))
    const now = await page()
    await stored()
    const later = await page()
    for (const p of [now, later]) {
      expect(p.waiting()).toEqual(['stop/1', 'stop/3'])
      expect(p.state().conflicts).toMatchObject([
        {
          key: '/api/rounds/r/stops/2',
          command: { do: 'save-stop', roundId: 'r', seq: 2, stop: { hits: [] } },
          theirs,
        },
      ])
      expect(p.state().versions).toEqual({ a: 1 })
      expect(await p.device()).toBe('d')
    }
    expect(small.getItem('fold-sprig-outbox')).toBeNull()
  })

  it('has one device id, and every version seen, in two pages opened at the same moment', async () => {
    const [one, two] = [await closedPage(), await closedPage()]
    await Promise.all([one.open(), two.open()])
    expect(await one.device()).toBe(await two.device())
    one.state().noteVersions({ '/api/rounds/r/stops/1': 4 })
    two.state().noteVersions({ '/api/rounds/r/stops/2': 2 })
    await vi.waitFor(async () =>
      expect((await page()).state().versions).toEqual({ '/api/rounds/r/stops/1': 4, '/api/rounds/r/stops/2': 2 }),
    )
    expect(await (await page()).device()).toBe(await one.device())
  })
})

describe('two pages of one device', () => {
  it('do not write over what the other one holds', async () => {
    const [one, two] = [await page(), await page()]
    one.post(command('stop/1'))
    two.post(command('stop/2'))
    await stored()
    one.post(command('stop/3'))
    await stored()
    await vi.waitFor(() => expect(two.waiting().sort()).toEqual(['stop/1', 'stop/2', 'stop/3']))
    expect((await page()).waiting().sort()).toEqual(['stop/1', 'stop/2', 'stop/3'])
  })

  it('one sends what both have, and the other knows it', async () => {
    const [one, two] = [await page(), await page()]
    one.post(command('stop/1'))
    two.post(command('stop/2'))
    await stored()
    answerWith = ok
    await one.drain()
    await vi.waitFor(() => expect(two.waiting()).toEqual([]))
    await two.drain()
    expect(sent.map((s) => s.body).sort()).toEqual(['stop/1', 'stop/2'])
  })

  it('what was typed on one while the other read the store stays', async () => {
    const [one, two] = [await page(), await page()]
    for (let i = 0; i < 20; i++) {
      one.post(command(`one/${i}`))
      two.post(command(`two/${i}`))
      await Promise.resolve()
    }
    await stored()
    for (const p of [one, two]) await vi.waitFor(() => expect(p.waiting()).toHaveLength(40))
  })
})

describe('a store that is full', () => {
  const full = () => {
    throw new DOMException('full', 'QuotaExceededError')
  }

  it('the small store is enough to come through a reload', async () => {
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(full)
    const first = await page()
    first.post(command('stop/1'))
    await first.drain()
    expect(first.state().unkept).toEqual([])
    expect((await page()).waiting()).toEqual(['stop/1'])
  })

  it('where none takes it, it is said, it is sent all the same, and then no longer said', async () => {
    vi.stubGlobal('indexedDB', undefined)
    const first = await page()
    small.setItem = full
    first.post(command('stop/1'))
    first.post(command('stop/2'))
    await vi.waitFor(() => expect(first.state().unkept).toHaveLength(2))
    expect(first.waiting()).toEqual(['stop/1', 'stop/2'])
    answerWith = ok
    await first.drain()
    expect(sent.map((s) => s.body)).toEqual(['stop/1', 'stop/2'])
    await vi.waitFor(() => expect(first.state().unkept).toEqual([]))
  })
})

describe('a server that will not take it', () => {
  it.each([401, 408, 425, 429, 500, 503])('status %i: it waits, in its place', async (status) => {
    answerWith = refusing(status)
    const here = await page()
    here.post(command('stop/1'))
    here.post(command('stop/2'))
    await here.drain()
    expect(here.waiting()).toEqual(['stop/1', 'stop/2'])
    expect(here.state().refused).toEqual([])
    expect(here.state().signIn).toBe(status === 401)
    answerWith = ok
    await here.drain()
    expect(here.waiting()).toEqual([])
    expect(here.state().signIn).toBe(false)
  })

  it('refused, it stays with all that was typed, through a reload too, and can be sent once more', async () => {
    answerWith = refusing(400, 'There is no plant "moss".')
    const here = await page()
    here.post(command('bad', { hits: ['moss'] }))
    await vi.waitFor(() => expect(here.state().refused).toHaveLength(1))
    await stored()
    const later = await page()
    expect(later.state().refused).toMatchObject([{ command: { url: '/api/bad', body: { hits: ['moss'] } }, message: 'There is no plant "moss".' }]) // prettier-ignore
    answerWith = ok
    later.state().retryRefused()
    await vi.waitFor(() => expect(later.waiting()).toEqual([]))
    expect(sent.at(-1)!.body).toEqual({ hits: ['moss'] })
    expect(later.state().refused).toEqual([])
    expect((await page()).state().refused).toEqual([])
  })

  it('thrown away, it is gone for good', async () => {
    answerWith = refusing(404)
    const here = await page()
    here.post(command('bad'))
    await vi.waitFor(() => expect(here.state().refused).toHaveLength(1))
    here.state().dropRefused()
    await stored()
    expect((await page()).state().refused).toEqual([])
  })
})

describe('a file of what was not sent', () => {
  const stop: Command = { do: 'save-stop', roundId: 'r', seq: 1, stop: { id: 's', hits: [], doneAt: null, stratum: '', measures: {}, skipped: null } } // prettier-ignore
  const drop: Command = { do: 'delete-plan-item', id: 'x' }

  it('comes back as it was', () => {
    const unsent = [
      { command: stop, base: 4, seen: [] },
      { command: drop, base: -1, seen: [null, { text: 'Dig docks' }] },
    ]
    expect(readUnsent(JSON.stringify(unsentFile(unsent)))).toEqual(unsent)
  })

  it('written by an earlier version, as requests, it is read as commands', () => {
    const letters = [{ key: 'k', ...requestOf(stop), stop: true }]
    expect(readUnsent(JSON.stringify({ kind: 'fold-sprig-not-sent', letters }))).toEqual([
      { command: stop, base: -1, seen: [] },
    ])
  })

  const earlier = { method: 'PUT', url: '/api/rounds/r/stops/1', body: {} }
  it.each([
    ['another address', { letters: [{ ...earlier, url: 'https://elsewhere.example/api/rounds' }] }],
    ['a way up', { letters: [{ ...earlier, url: '/api/rounds/../accounts' }] }],
    ['accounts', { letters: [{ ...earlier, method: 'POST', url: '/api/accounts' }] }],
    ['passwords', { letters: [{ ...earlier, url: '/api/me/password' }] }],
    ['another verb', { letters: [{ ...earlier, method: 'PATCH' }] }],
    ['a bare request', { commands: [stop, { do: 'request', method: 'POST', url: '/api/accounts', body: {} }] }],
    ['a command that is none', { commands: [stop, { do: 'make-account', name: 'x' }] }],
    ['nothing of a command', { commands: [null] }],
  ])('with %s in it it is not taken', (_says, file) => {
    expect(readUnsent(JSON.stringify({ kind: 'fold-sprig-not-sent', ...file }))).toBeUndefined()
  })

  it('an id that is an address stays an id', () => {
    const [read] = readUnsent(JSON.stringify(unsentFile([{ command: { do: 'delete-plan-item', id: '../accounts' } }])))!
    expect(requestOf(read!.command).url).toBe('/api/plan-items/..%2Faccounts')
  })

  it('another file is not one', () => {
    for (const text of ['', '[]', '{"kind":"round"}', 'null']) expect(readUnsent(text)).toBeUndefined()
  })
})
