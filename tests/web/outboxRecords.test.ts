import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import type { Command } from '@/contract/commands.ts'

interface Sent {
  method: string
  url: string
  body: { seen?: (object | null)[]; text?: string }
}
const sent: Sent[] = []
let answerWith: () => Response | Promise<Response>
const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status })
const away = () => Promise.reject<Response>(new TypeError('no network'))
const taken = () => json({ id: 'i' })
const item = (text: string): Command => ({
  do: 'save-plan-item',
  item: { id: 'i', paddockId: 'p', roundId: null, plant: null, text, owner: '', dueOn: '2027-04-10', backOn: null, lookFor: '', doneOn: null, outcome: '' }, // prettier-ignore
})
const drop: Command = { do: 'delete-plan-item', id: 'i' }
const valueOf = (c: Command) => (c as { item: object }).item

async function page(shown?: object | null) {
  vi.resetModules()
  const { useOutbox, lookUpShown } = await import('@/web/stores/outboxStore.ts')
  const { openOutbox } = await import('@/web/stores/openOutbox.ts')
  lookUpShown(() => shown)
  await openOutbox()
  const state = useOutbox.getState
  return { state, post: state().post, drain: state().drain, waiting: () => state().pending.length }
}
type Page = Awaited<ReturnType<typeof page>>
const done = (p: Page) => vi.waitFor(() => expect(p.waiting()).toBe(0))

beforeEach(() => {
  sent.length = 0
  answerWith = away
  vi.stubGlobal('indexedDB', new IDBFactory())
  vi.stubGlobal('BroadcastChannel', class { postMessage() {} }) // prettier-ignore
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined, removeItem: () => undefined })
  vi.stubGlobal('fetch', async (url: string, init: { method: string; body: string }) => {
    sent.push({ method: init.method, url, body: JSON.parse(init.body) as Sent['body'] })
    return answerWith()
  })
})
afterEach(() => vi.unstubAllGlobals())

it('a change says what stood on the page', async () => {
  answerWith = taken
  const [before, there] = [await page({ id: 'i', text: 'Old' }), await page(null)]
  before.post(item('New'))
  await done(before)
  there.post(item('First'))
  await done(there)
  expect(sent.map((s) => s.body.seen)).toEqual([[{ id: 'i', text: 'Old' }], [null]])
  expect(sent[0]!.body.text).toBe('New')
})

it('one that takes the place of another still says what the first stood on, and what was sent since', async () => {
  const here = await page({ id: 'i', text: 'Old' })
  here.post(item('New'))
  await here.drain()
  here.post(item('Newer'))
  await here.drain()
  answerWith = taken
  here.post(drop)
  await done(here)
  expect(sent.at(-1)!).toMatchObject({ method: 'DELETE', url: '/api/plan-items/i' })
  expect(sent.at(-1)!.body.seen).toEqual([{ id: 'i', text: 'Old' }, valueOf(item('New')), valueOf(item('Newer'))])
})

it('what a form was opened with goes before what was read since', async () => {
  answerWith = taken
  const here = await page({ id: 'i', text: 'A colleague\u2019s' })
  here.post(item('New'), { seen: [{ id: 'i', text: 'Old' }] })
  await done(here)
  expect(sent[0]!.body.seen).toEqual([{ id: 'i', text: 'Old' }])
})

it('where the record was never read, nothing of it was seen', async () => {
  answerWith = taken
  const here = await page(undefined)
  here.post(item('New'))
  await done(here)
  expect(sent[0]!.body.seen).toEqual([])
})

it.each([
  ['changed', { ...valueOf(item('Theirs')) }],
  ['taken out', null],
])(
  '%s elsewhere meanwhile: both are kept over a reload, and the one chosen is written over what was shown',
  async (_what, theirs) => {
    // prettier-ignore
    answerWith = () => json({ error: { message: 'both', theirs } }, 409)
    const here = await page({ id: 'i', text: 'Old' })
    here.post(item('Mine'))
    await done(here)
    here.post(item('Mine, later'))
    await done(here)
    expect(here.state().refused).toEqual([])
    const later = await page()
    for (const p of [here, later])
      expect(p.state().conflicts.map((c) => [c.command, c.theirs])).toEqual([
        [item('Mine'), theirs],
        [item('Mine, later'), theirs],
      ])
    answerWith = taken
    later.state().resolveConflict(later.state().conflicts[1]!, 'mine')
    await done(later)
    expect(sent.at(-1)!.body).toMatchObject({ text: 'Mine, later', seen: [theirs] })
    const asked = sent.length
    later.state().resolveConflict(later.state().conflicts[0]!, 'theirs')
    await later.drain()
    expect(sent).toHaveLength(asked)
    expect((await page()).state().conflicts).toEqual([])
  },
)

it('the one chosen changes only what it had changed: what else they wrote stands', async () => {
  const now = valueOf(item('Theirs')) as { owner: string }
  answerWith = () => json({ error: { message: 'both', theirs: { ...now, owner: 'Joss' } } }, 409)
  const here = await page(valueOf(item('Old')))
  here.post(item('Mine'))
  await done(here)
  answerWith = taken
  here.state().resolveConflict(here.state().conflicts[0]!, 'mine')
  await done(here)
  expect(sent.at(-1)!.body).toMatchObject({ text: 'Mine', owner: 'Joss' })
})

it('a list that grows with each key while the server is away does not outgrow a request', async () => {
  const here = await page(null)
  const runner = { runnerHairy: true, calyxRed: false, stipuleRed: null }
  const runners: object[] = []
  for (let i = 0; i < 600; i++) {
    runners.push({ ...runner, id: crypto.randomUUID() })
    here.post({ do: 'keep-apart', kind: 'runners', subject: 'p', value: { runners: [...runners], suspect: [] } })
  }
  answerWith = () => json({ subject: 'p' })
  await here.drain()
  await done(here)
  const { body } = sent.at(-1)!
  expect((body as { runners: object[] }).runners).toHaveLength(600)
  expect(body.seen![0]).toBeNull()
  expect(body.seen!.length).toBeGreaterThan(1)
  // The server takes a megabyte.
  expect(JSON.stringify(body).length).toBeLessThan(300_000)
})
