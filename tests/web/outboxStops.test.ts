import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Command } from '@/contract/commands.ts'
import { openStop } from '@/core/records/round.ts'
import type { Taken } from '@/web/stores/outboxPages.ts'

const small = new Map<string, string>()
interface Sent {
  url: string
  body: { base: number; command: string; after?: string[]; hits: unknown[] }
}
const sent: Sent[] = []
let answerWith: (s: Sent) => Response | Promise<Response>
const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status })
const away = () => Promise.reject<Response>(new TypeError('no network'))
const url = '/api/rounds/r/stops/1'
const stop = (hits: number, seq = 1): Command => ({
  do: 'save-stop',
  roundId: 'r',
  seq,
  stop: {
    ...{ id: `s${seq}`, doneAt: null, stratum: '', measures: {}, skipped: null },
    hits: Array.from({ length: hits }, () => ({ taxon: 'timothy', amount: 1 })),
  },
})
const herd: Command = { do: 'keep-apart', kind: 'herd', subject: 'p', value: {} }

/** A page of one device: its memory is its own, store and channel are the device's. */
async function page() {
  vi.resetModules()
  const { useOutbox, onTaken, onElsewhere } = await import('@/web/stores/outboxStore.ts')
  const { openOutbox } = await import('@/web/stores/openOutbox.ts')
  const heard: Taken[] = []
  const screen: number[] = []
  onTaken((taken) => heard.push(taken))
  onElsewhere(({ stop: s }) => screen.push(s.hits.length))
  await openOutbox()
  const state = useOutbox.getState
  return {
    state,
    heard,
    /** Hits of the stops that it was shown of other pages, one after another. */
    screen,
    post: state().post,
    drain: state().drain,
    set: useOutbox.setState,
    waiting: () => state().pending.length,
  }
}

let device = 0
const Channel = BroadcastChannel
const channels: BroadcastChannel[] = []
beforeEach(() => {
  small.clear()
  sent.length = 0
  answerWith = away
  device++
  vi.stubGlobal('indexedDB', new IDBFactory())
  vi.stubGlobal(
    'BroadcastChannel',
    class extends Channel {
      constructor(name: string) {
        super(`${name} stops ${device}`)
        channels.push(this)
      }
      // What still comes from a page of a test that is over is nobody's.
      override postMessage(news: unknown) {
        if (channels.includes(this)) super.postMessage(news)
      }
    },
  )
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => small.get(k) ?? null,
    setItem: (k: string, v: string) => void small.set(k, v),
    removeItem: (k: string) => void small.delete(k),
  })
  vi.stubGlobal('fetch', async (address: string, init: { body: string }) => {
    const one = { url: address, body: JSON.parse(init.body) as Sent['body'] }
    sent.push(one)
    return answerWith(one)
  })
})
afterEach(() => {
  for (const channel of channels.splice(0)) channel.close()
  vi.unstubAllGlobals()
})

describe('an answer that is not the server\u2019s', () => {
  it.each([
    ['a page to sign in at', () => new Response('<h1>Welcome to the wireless</h1>')],
    ['JSON of somebody else', () => json({ status: 'maintenance' })],
    ['nothing at all', () => new Response('')],
    ['a list', () => json([])],
  ])('%s, with 200: what was typed waits', async (_what, answer) => {
    answerWith = answer
    const here = await page()
    here.post(stop(5))
    await here.drain()
    expect(here.waiting()).toBe(1)
    answerWith = () => json({ version: 1, seq: 1 })
    await here.drain()
    expect(here.waiting()).toBe(0)
    expect(sent.at(-1)!.body.hits).toHaveLength(5)
  })

  it('a write follows no redirect', async () => {
    const asked: RequestInit[] = []
    vi.stubGlobal('fetch', async (_url: string, init: RequestInit) => (asked.push(init), json({ version: 1 })))
    const here = await page()
    here.post(stop(1))
    await here.drain()
    expect(asked[0]!.redirect).toBe('error')
  })
})

describe('a command at which the server fails', () => {
  it('is put aside after some tries, with all that was typed, and the others go on', async () => {
    answerWith = ({ url: at }) => (at === url ? json({ error: { message: 'Something went wrong here.' } }, 500) : json({ subject: 'p', version: 1 })) // prettier-ignore
    const here = await page()
    here.post(stop(3))
    here.post(herd)
    for (let i = 0; i < 4; i++) await here.drain()
    expect(here.waiting()).toBe(0)
    expect(here.state().refused).toMatchObject([{ command: stop(3), message: 'Something went wrong here.' }])
    answerWith = () => json({ version: 1 })
    here.state().retryRefused()
    await vi.waitFor(() => expect(here.waiting()).toBe(0))
    expect(here.state().refused).toEqual([])
  })

  it('a server that is away, full or stopped fails at everything: all of it waits', async () => {
    for (const status of [502, 503, 504, 507]) {
      answerWith = () => json({ error: { message: 'later' } }, status)
      const here = await page()
      here.post(stop(3))
      for (let i = 0; i < 6; i++) await here.drain()
      expect([status, here.waiting(), here.state().refused.length]).toEqual([status, 1, 0])
    }
  })
})

describe('stops of two pages of one device', () => {
  it('each key says what it stands on, and which commands of its own may have arrived', async () => {
    const here = await page()
    here.state().noteVersions({ [url]: 2 })
    here.post(stop(1))
    await here.drain()
    here.post(stop(2))
    await here.drain()
    const [first, second] = [sent[0]!.body, sent.at(-1)!.body]
    expect([first.base, second.base]).toEqual([2, 2])
    expect(second.after).toEqual([first.command])
    answerWith = () => json({ version: 3 })
    await here.drain()
    here.post(stop(3))
    await vi.waitFor(() => expect(here.waiting()).toBe(0))
    expect(sent.at(-1)!.body).toMatchObject({ base: 3 })
    expect(sent.at(-1)!.body.after).toBeUndefined()
  })

  it('what one counts the other shows, before the server has it, and goes on from there', async () => {
    const [one, two] = [await page(), await page()]
    one.post(stop(5))
    await vi.waitFor(() => expect(two.screen).toEqual([5]))
    two.post(stop(6))
    await vi.waitFor(() => expect(one.screen).toEqual([6]))
    one.post(stop(7))
    await vi.waitFor(() => expect(two.screen).toEqual([5, 7]))
    for (const p of [one, two]) expect(p.state().pending.map((w) => w.command)).toEqual([stop(7)])
    answerWith = () => json({ version: 1 })
    await two.drain()
    expect(sent.at(-1)!.body).toMatchObject({ base: 0, hits: { length: 7 }, after: { length: 2 } })
    await vi.waitFor(() => expect(one.waiting()).toBe(0))
    for (const p of [one, two]) expect(p.state().versions[url]).toBe(1)
    one.post(stop(8))
    await vi.waitFor(() => expect(one.waiting()).toBe(0))
    expect(sent.at(-1)!.body.base).toBe(1)
  })

  it('two that count at the same moment, not knowing, are told apart by the server: neither takes the other\u2019s place', async () => {
    const [one, two] = [await page(), await page()]
    one.post(stop(5))
    two.post(stop(1))
    for (const p of [one, two]) await vi.waitFor(() => expect(p.waiting()).toBe(2))
    expect([one.screen, two.screen]).toEqual([[], []])
    let version = 0
    const theirs = { seq: 1, version: 1, hits: [], measures: {}, skipped: null }
    answerWith = ({ body }) => (body.base === version ? json({ version: ++version }) : json({ error: { message: 'both', theirs } }, 409)) // prettier-ignore
    await one.drain()
    for (const p of [one, two])
      await vi.waitFor(() => expect([p.waiting(), p.state().conflicts.length]).toEqual([0, 1]))
    // Which of the two goes first is open; what it was made on is not.
    const [first, second] = sent.slice(-2).map((x) => x.body)
    expect([first!.base, second!.base]).toEqual([0, 0])
    expect([first!.after, second!.after]).toEqual([undefined, undefined])
    expect(first!.hits.length + second!.hits.length).toBe(6)
    expect(two.state().conflicts[0]!.command).toEqual(stop(second!.hits.length))
  })

  it('a count that waited when the page was opened stands on it: what follows takes its place', async () => {
    const one = await page()
    one.post(stop(5))
    await one.drain()
    const later = await page()
    later.post(stop(6))
    expect(later.state().pending.map((w) => w.command)).toEqual([stop(6)])
  })

  it('what another page sends of this one\u2019s is this one\u2019s still', async () => {
    const [one, two] = [await page(), await page()]
    one.post(stop(5))
    await vi.waitFor(() => expect(two.waiting()).toBe(1))
    answerWith = () => json({ version: 7 })
    await two.drain()
    await vi.waitFor(() => expect(one.heard).toHaveLength(1))
    expect(one.heard[0]).toMatchObject({ mine: true, version: 7 })
    for (const p of [one, two]) expect(p.state().versions[url]).toBe(7)
  })
})

describe('a conflict that is not settled at once', () => {
  const theirs = { seq: 1, version: 4, hits: [{ taxon: 'bare', amount: 1 }], measures: {}, skipped: null }

  it('takes up what is counted on: one panel, with the newest count; over a reload too', async () => {
    answerWith = () => json({ error: { message: 'both', theirs } }, 409)
    const here = await page()
    here.post(stop(2))
    await vi.waitFor(() => expect(here.state().conflicts).toHaveLength(1))
    const asked = sent.length
    for (const n of [3, 4, 5]) here.post(stop(n))
    await here.drain()
    expect(sent).toHaveLength(asked)
    await here.state().drain()
    const later = await page()
    for (const p of [here, later]) {
      expect(p.state().conflicts).toHaveLength(1)
      expect(p.state().conflicts[0]!.command).toEqual(stop(5))
    }
    answerWith = () => json({ version: 5 })
    later.state().resolveConflict(later.state().conflicts[0]!, 'mine')
    await vi.waitFor(() => expect(later.waiting()).toBe(0))
    expect(sent.at(-1)!.body).toMatchObject({ base: 4, hits: { length: 5 } })
    expect((await page()).state().conflicts).toEqual([])
  })
})

describe('what one account typed', () => {
  it('goes out under no other name, until somebody says so', async () => {
    const here = await page()
    here.set({ account: 'Ada' })
    here.post(stop(5))
    await here.drain()
    answerWith = () => json({ version: 1, subject: 'p' })
    here.set({ account: 'Tom' })
    here.post(herd)
    await vi.waitFor(() => expect(here.waiting()).toBe(1))
    expect(sent.filter((s) => s.url === url && s.body.hits.length === 5)).toHaveLength(1)
    here.state().takeOver()
    await vi.waitFor(() => expect(here.waiting()).toBe(0))
    expect(sent.at(-1)!.url).toBe(url)
  })

  it('is there when they sign in again; thrown away it is gone', async () => {
    const here = await page()
    here.set({ account: 'Ada' })
    here.post(stop(5))
    await here.drain()
    const later = await page()
    later.set({ account: 'Tom' })
    await later.drain()
    expect(later.waiting()).toBe(1)
    later.state().dropOthers()
    await later.drain()
    expect((await page()).waiting()).toBe(0)
  })
})

describe('a server that was put back to an earlier copy', () => {
  const standing = (version: number, hits: number) => ({ ...openStop('s1', 1, null), version, hits: Array.from({ length: hits }, () => ({ taxon: 'timothy', amount: 1 })) }) // prettier-ignore

  it('is offered what this device had counted, and nothing where it has the same', async () => {
    answerWith = () => json({ version: 4 })
    const here = await page()
    here.post(stop(5))
    await vi.waitFor(() => expect(here.waiting()).toBe(0))
    const { lostStops } = await import('@/web/stores/countedStops.ts')
    expect(await lostStops('r', [standing(4, 1)])).toEqual([])
    expect(await lostStops('r', [standing(2, 5)])).toEqual([])
    expect(await lostStops('elsewhere', [standing(2, 1)])).toEqual([])
    const lost = await lostStops('r', [standing(2, 1)])
    expect(lost).toMatchObject([{ key: url, command: stop(5), theirs: { version: 2 } }])
    here.state().addConflicts(lost)
    answerWith = () => json({ version: 3 })
    here.state().resolveConflict(here.state().conflicts[0]!, 'mine')
    await vi.waitFor(() => expect(here.waiting()).toBe(0))
    expect(sent.at(-1)!.body).toMatchObject({ base: 2, hits: { length: 5 } })
  })
})
