import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import type { AddressInfo } from 'node:net'
import { createServer, type Server } from 'node:http'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { keyOf } from '@/contract/commandKeys.ts'
import type { Command, SentStop } from '@/contract/commands.ts'
import { planAfter } from '@/contract/applied.ts'
import { standingOf } from '@/contract/standingOf.ts'
import { without } from '@/core/records/merge.ts'
import type { PlanItem, PlanLine } from '@/core/records/planItem.ts'
import { openStop, type Round, type Stop } from '@/core/records/round.ts'
import { randomLcg } from 'd3-random'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'
import type * as OutboxModule from '@/web/stores/outboxStore.ts'

// Two devices with two pages each, the real outbox and the real server: counting, editing, taking out, with and without a
// signal, in random order. Whatever was typed stands on the server, or is shown in two versions, or was replaced by somebody
// who saw it. What is drawn at random is only the order of what people do; no figure comes of it.

const api = apiForFile()
let server: Server
let address: string
beforeAll(async () => {
  await loadDemo(api.db, '2027-04-02')
  server = createServer(api.app)
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => new Promise((done) => server.close(done)))

const fetched = globalThis.fetch
const Channel = BroadcastChannel
const open: BroadcastChannel[] = []
let channel = 0

interface Device {
  online: boolean
  stores: IDBFactory
  small: Map<string, string>
  name: string
  /** Who holds a lock of its pages, by name: one after another, as the browser's own locks. */
  held: Map<string, Promise<unknown>>
}
const deviceOf = (): Device => ({
  online: true,
  stores: new IDBFactory(),
  small: new Map([['fold-sprig-device', crypto.randomUUID()]]),
  name: `device ${channel++}`,
  held: new Map(),
})

/** What a page reaches is its device's: it is looked up when it is asked for, whichever page is under way. */
function become(d: Device): void {
  vi.stubGlobal('indexedDB', d.stores)
  const request = (name: string, work: () => Promise<unknown>) => {
    const turn = (d.held.get(name) ?? Promise.resolve()).then(work, work)
    d.held.set(name, turn)
    return turn
  }
  vi.stubGlobal('navigator', { locks: { request } })
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => d.small.get(k) ?? null,
    setItem: (k: string, v: string) => void d.small.set(k, v),
    removeItem: (k: string) => void d.small.delete(k),
  })
}

type Outbox = Pick<typeof OutboxModule, 'useOutbox'>
class Page {
  /** Stops as they stand on the screen. */
  stops = new Map<number, Stop>()
  plan: PlanLine[] = []
  constructor(
    readonly device: Device,
    readonly outbox: Outbox,
    readonly roundId: string,
  ) {}
  get state() {
    return this.outbox.useOutbox.getState()
  }
  post(command: Command) {
    become(this.device)
    this.state.post(command)
  }
  async drain() {
    become(this.device)
    await this.state.drain()
  }
  /** The plan with what waits here. */
  shownPlan = () =>
    this.state.pending.reduce<PlanLine[]>((l, p) => planAfter(l, p.command, { holdings: [], paddocks: [] }), this.plan)
  async readPlan() {
    if (this.device.online) this.plan = (await (await fetched(`${address}/api/plan-items`)).json()) as PlanLine[]
  }
}

async function openPage(device: Device, round: Round): Promise<Page> {
  become(device)
  vi.resetModules()
  vi.stubGlobal('fetch', (url: string, init: RequestInit) => device.online ? fetched(address + url, init) : Promise.reject(new TypeError('no network'))) // prettier-ignore
  vi.stubGlobal(
    'BroadcastChannel',
    class extends Channel {
      constructor(name: string) {
        super(`${name} ${device.name}`)
        open.push(this)
      }
      override postMessage(news: unknown) {
        if (open.includes(this)) super.postMessage(news)
      }
    },
  )
  const outbox = await import('@/web/stores/outboxStore.ts')
  const page = new Page(device, outbox, round.id)
  for (const s of round.stops) page.stops.set(s.seq, s)
  outbox.onElsewhere(({ roundId, seq, stop }, version) => {
    if (roundId === round.id) page.stops.set(seq, { ...page.stops.get(seq)!, ...stop, ...(version === undefined ? {} : { version }) } as Stop) // prettier-ignore
  })
  outbox.lookUpShown((command) => standingOf(command, { kept: () => undefined, plan: page.shownPlan, places: () => undefined, unknowns: () => undefined, events: () => undefined, checks: () => undefined })) // prettier-ignore
  await (await import('@/web/stores/openOutbox.ts')).openOutbox()
  await page.readPlan()
  return page
}

const text = (of: unknown) => JSON.stringify(of)
const hitsIn = (stop: Pick<SentStop, 'hits'>) => stop.hits.map((h) => h.amount)

async function oneRun(seed: number): Promise<void> {
  const random = randomLcg(seed / 1000)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const roundId = crypto.randomUUID()
  const paddockId = ((await (await fetched(`${address}/api/places`)).json()) as { paddocks: { id: string }[] }).paddocks[0]!.id // prettier-ignore
  await api.post('/api/rounds', { id: roundId, paddockId, title: `Run ${seed}`, purpose: '', plannedOn: '2027-05-01', pointsPerStop: 20, stops: 2 }) // prettier-ignore
  const round = (await api.get(`/api/rounds/${roundId}`)).body as Round
  const lineId = crypto.randomUUID()
  const line: PlanItem = { id: lineId, paddockId, roundId: null, plant: null, text: 'Dig docks', owner: '', dueOn: '2027-04-10', backOn: null, lookFor: '', doneOn: null, outcome: '' } // prettier-ignore
  await api.put(`/api/plan-items/${lineId}`, line)

  const devices = [deviceOf(), deviceOf()]
  const pages: Page[] = []
  for (const d of devices) for (let i = 0; i < 2; i++) pages.push(await openPage(d, round))

  /** What was counted, each hit by an amount of its own; what was written into a field, and whether somebody saw it and wrote anew. */
  const counted: number[] = []
  const written = new Map<string, { replaced: boolean }>()
  const sees = (shown: PlanItem | undefined, field: 'owner' | 'outcome') => {
    const value = shown?.[field]
    if (value && written.has(value)) written.get(value)!.replaced = true
  }
  const acts: Record<string, (p: Page) => unknown> = {
    count(p) {
      const seq = pick([1, 2])
      const stop = p.stops.get(seq) ?? openStop(crypto.randomUUID(), seq, null)
      const amount = counted.length + 1
      counted.push(amount)
      const { id, doneAt, stratum, measures, skipped } = stop
      const hits = [...stop.hits, { taxon: 'timothy', amount }]
      p.stops.set(seq, { ...stop, hits })
      p.post({ do: 'save-stop', roundId, seq, stop: { id, doneAt, stratum, measures, skipped, hits } })
    },
    edit(p) {
      const shown = p.shownPlan().find((l) => l.id === lineId)
      if (!shown) return
      const field = pick(['owner', 'outcome'] as const)
      sees(shown, field)
      const value = `${field} ${written.size}`
      written.set(value, { replaced: false })
      const item = without(shown, 'paddock', 'holding')
      p.post({ do: 'save-plan-item', item: { ...item, [field]: value } })
    },
    remove(p) {
      const shown = p.shownPlan().find((l) => l.id === lineId)
      if (!shown || random() > 0.2) return
      for (const field of ['owner', 'outcome'] as const) sees(shown, field)
      p.post({ do: 'delete-plan-item', id: lineId })
    },
    signal: (p) => void (p.device.online = !p.device.online),
    drain: (p) => p.drain(),
    look: (p) => p.readPlan(),
    wait: () => new Promise((r) => setTimeout(r, random() * 8)),
  }
  const often = [
    'count',
    'count',
    'count',
    'edit',
    'edit',
    'remove',
    'signal',
    'drain',
    'drain',
    'look',
    'wait',
    'wait',
  ]
  for (let i = 0; i < 24; i++) await acts[pick(often)]!(pick(pages))

  for (const d of devices) d.online = true
  for (let i = 0; i < 3; i++) for (const p of pages) await p.drain()
  await vi.waitFor(() => expect(pages.map((p) => p.state.pending.length)).toEqual([0, 0, 0, 0]))
  for (const p of pages) expect(p.state.refused, `run ${seed}`).toEqual([])

  const now = (await api.get(`/api/rounds/${roundId}`)).body as Round
  const standing = (await api.get('/api/plan-items')).body as PlanLine[]
  // Shown: on the server, or in one of the two versions of a conflict of a device that is opened again.
  const shown: string[] = [text(standing.find((l) => l.id === lineId) ?? null)]
  const hits = new Set(now.stops.flatMap(hitsIn))
  for (const d of devices) {
    const later = await openPage(d, now)
    for (const c of later.state.conflicts) {
      if (c.command.do === 'save-stop') for (const n of hitsIn(c.command.stop)) hits.add(n)
      else shown.push(text(c.command), text(c.theirs))
      expect(keyOf(c.command)).toBe(c.key)
    }
  }
  expect(
    counted.filter((n) => !hits.has(n)),
    `run ${seed}: hits that are nowhere`,
  ).toEqual([])
  const lost = [...written].filter(([value, { replaced }]) => !replaced && !shown.some((s) => s.includes(`"${value}"`)))
  expect(lost, `run ${seed}: what was written and is nowhere`).toEqual([])
  for (const c of open.splice(0)) c.close()
}

/** RUNS=1000 npx vitest run tests/web/interleavings tries more of them, from another start where FROM says so. */
const RUNS = Number(process.env.RUNS ?? 40)
const FROM = Number(process.env.FROM ?? 1)

it(`${RUNS} random orders: nothing vanishes without being shown`, async () => {
  for (let seed = FROM; seed < FROM + RUNS; seed++) await oneRun(seed)
  vi.unstubAllGlobals()
}, 1_200_000)
