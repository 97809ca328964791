import { expect, test, type Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ownServer } from './ownServer.ts'

const { address, start, stop, end } = ownServer(4173)
test.use({ serviceWorkers: 'allow' })
test.beforeAll(async () => {
  await start()
  const { paddocks } = (await (await fetch(`${address}/api/places`)).json()) as { paddocks: { id: string; name: string }[] } // prettier-ignore
  for (const title of ['Killed one', 'Killed two', 'Two tabs', 'Wall'])
    await fetch(`${address}/api/rounds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: randomUUID(), paddockId: paddocks.find((p) => p.name === 'Sports Ground')!.id, title, purpose: '', plannedOn: '2027-05-01', pointsPerStop: 20, stops: 5 }), // prettier-ignore
    })
})
test.afterAll(end)

interface Saved {
  stops: { seq: number; hits: { taxon: string }[]; doneAt: string | null }[]
}
const points = (page: Page) => page.getByTestId('points')
const saved = async (id: string) => (await (await fetch(`${address}/api/rounds/${id}`)).json()) as Saved
const idOf = async (title: string) =>
  ((await (await fetch(`${address}/api/rounds`)).json()) as { id: string; title: string }[]).find(
    (r) => r.title === title,
  )!.id

async function installed(page: Page) {
  await page.goto(address)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  // The first page was opened before the worker was there; the next one is served by it.
  await page.reload()
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
}

async function countStops(page: Page, from: number, to: number) {
  for (let s = from; s <= to; s++) {
    await expect(page.getByRole('heading', { name: `Stop ${s} of 30` })).toBeVisible()
    for (const key of ['1', '2', 'a', '7', 'd', 'b', 'Enter']) await page.keyboard.press(key)
  }
}

test('the server goes off in the middle of a round of 30 stops, the page is reloaded, and every hit is there once', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const id = await idOf('Before turnout')
  await installed(page)
  await page.goto(`${address}/rounds/${id}`)
  await expect(points(page)).toHaveText('0 of 20 points')
  await countStops(page, 1, 11)
  await expect(page.getByText('to send')).toHaveCount(0)
  await countStops(page, 12, 12)
  await stop()
  await countStops(page, 13, 18)
  await page.keyboard.press('a')
  await expect(page.getByText(/\d to send/)).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Stop 19 of 30' })).toBeVisible()
  await expect(points(page)).toHaveText('1 of 20 points')
  await expect(page.getByRole('button', { name: 'Go back to stop 12, 20 points' })).toBeVisible()
  await page.keyboard.press('z')
  await countStops(page, 19, 24)
  // Another plant is named and looked up while nothing answers.
  await page.getByRole('link', { name: 'Plant book' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`${readdirSync('flora/plants').length} plants`)
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Bench' }).click()
  await page.getByRole('button', { name: 'grass' }).first().click()
  await expect(page.getByTestId('verdict')).not.toHaveText('Nothing seen yet')
  await page.goto(`${address}/rounds/${id}`)
  await countStops(page, 25, 30)
  await start()
  await expect(page.getByText('to send')).toHaveCount(0, { timeout: 30_000 })
  const { stops } = await saved(id)
  expect(stops).toHaveLength(30)
  for (const s of stops) {
    expect(s.doneAt, `stop ${s.seq}`).not.toBeNull()
    expect(s.hits.map((h) => h.taxon)).toEqual([
      ...Array(12).fill('perennial-ryegrass'),
      ...Array(7).fill('white-clover'),
      'bare',
    ])
  }
})

test('a round is planned, opened and counted without a signal', async ({ page }) => {
  test.setTimeout(240_000)
  await installed(page)
  await page.goto(`${address}/plan`)
  await expect(page.getByRole('heading', { name: 'Plan a round' })).toBeVisible()
  await stop()
  await page.getByLabel('Title').fill('Without a signal')
  await page.getByLabel('Stops', { exact: true }).fill('5')
  await page.getByRole('button', { name: 'Lay the route' }).first().click()
  await expect(page.getByRole('heading', { name: 'Stop 1 of 5' })).toBeVisible()
  await page.keyboard.press('a')
  await page.reload()
  await expect(points(page)).toHaveText('1 of 20 points')
  await page.getByRole('link', { name: 'Rounds' }).click()
  await expect(page.getByText(/without a signal/)).toBeVisible()
  await start()
  await expect(page.getByText('to send')).toHaveCount(0, { timeout: 30_000 })
  const round = await saved(await idOf('Without a signal'))
  expect(round.stops.map((s) => s.hits.length)).toEqual([1, 0, 0, 0, 0])
})

test('two devices on one round merge by stop, and a stop counted on both is shown in both versions', async ({
  browser,
}) => {
  const id = await idOf('First spring after sowing')
  const [one, two] = [await (await browser.newContext()).newPage(), await (await browser.newContext()).newPage()]
  for (const page of [one, two]) {
    await page.goto(`${address}/rounds/${id}`)
    await expect(points(page)).toHaveText('0 of 10 points')
  }
  for (const key of ['1', '0', 'b', 'Enter']) await one.keyboard.press(key)
  await expect(one.getByText('to send')).toHaveCount(0)
  // The second device counts stop 2, which the first has not touched: both stay.
  await two.keyboard.press(']')
  await expect(two.getByRole('heading', { name: 'Stop 2 of 20' })).toBeVisible()
  for (const key of ['9', 'a', 'v']) await two.keyboard.press(key)
  await expect(two.getByText('to send')).toHaveCount(0)
  expect((await saved(id)).stops.slice(0, 2).map((s) => s.hits.length)).toEqual([10, 10])
  // Then it counts stop 1 too, not knowing: nothing is overwritten, and both versions are shown.
  await two.keyboard.press('[')
  for (const key of ['1', '0', 'a']) await two.keyboard.press(key)
  const conflict = two.getByRole('region', { name: 'Counted on two devices' })
  await expect(conflict).toContainText('On this device')
  await expect(conflict).toContainText('Switchgrass 10')
  await expect(conflict).toContainText('Bare ground 10')
  expect((await saved(id)).stops[0]!.hits[0]!.taxon).toBe('bare')
  await two.reload()
  await conflict.getByRole('button', { name: 'Keep this one' }).first().click()
  await expect(conflict).toHaveCount(0)
  await expect.poll(async () => (await saved(id)).stops[0]!.hits[0]!.taxon).toBe('switchgrass')
  await one.close()
  await two.close()
})

test('two tabs of one device on one stop: the second shows what the first counted, and goes on from there', async ({
  context,
}) => {
  const id = await idOf('Two tabs')
  const [one, two] = [await context.newPage(), await context.newPage()]
  for (const page of [one, two]) {
    await page.goto(`${address}/rounds/${id}`)
    await expect(points(page)).toHaveText('0 of 20 points')
  }
  for (const key of ['5', 'b']) await one.keyboard.press(key)
  await expect(points(two)).toHaveText('5 of 20 points')
  await two.keyboard.press('b')
  await expect(points(one)).toHaveText('6 of 20 points')
  for (const page of [one, two]) {
    await expect(page.getByText('to send')).toHaveCount(0)
    await expect(page.getByText('Counted on two devices')).toHaveCount(0)
  }
  expect((await saved(id)).stops[0]!.hits).toHaveLength(6)
  for (const key of ['z', 'z', 'z', 'z']) await one.keyboard.press(key)
  await expect.poll(async () => (await saved(id)).stops[0]!.hits.length).toBeLessThan(6)
})

test('a page to sign in at answers for the server: what was counted waits, and nothing else is shown for it', async ({
  page,
}) => {
  const id = await idOf('Wall')
  await installed(page)
  await page.goto(`${address}/rounds/${id}`)
  await expect(points(page)).toHaveText(/of 20 points/)
  await page.context().route('**/api/**', (r) => r.fulfill({ contentType: 'text/html', body: '<h1>Welcome to the wireless</h1>' })) // prettier-ignore
  await page.keyboard.press('b')
  await expect(page.getByText('1 to send')).toBeVisible()
  await page.reload()
  await expect(page.getByText('1 to send')).toBeVisible()
  await page.context().unroute('**/api/**')
  await expect(page.getByText('to send')).toHaveCount(0)
  expect((await saved(id)).stops.some((s) => s.hits.length > 0)).toBe(true)
})

/** The browser's own process, with all its pages: gone as when the power goes. */
function kill(profile: string) {
  for (const pid of readdirSync('/proc').filter((p) => /^\d+$/.test(p))) {
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8')
      if (command.includes(profile) && !command.includes('--type=')) process.kill(Number(pid), 'SIGKILL')
    } catch {
      // It has ended meanwhile.
    }
  }
}

test('the browser is killed while the server is away: what two pages of it had counted is there, once', async ({
  playwright,
}, info) => {
  test.setTimeout(240_000)
  const profile = mkdtempSync(join(tmpdir(), 'fold-sprig-profile-'))
  const open = () =>
    playwright.chromium.launchPersistentContext(profile, { ...info.project.use.launchOptions, serviceWorkers: 'block' })
  const count = async (page: Page, round: string, keys: string[]) => {
    await page.goto(`${address}/rounds/${await idOf(round)}`)
    await expect(points(page)).toHaveText(/^0 of/)
    return async () => {
      for (const key of keys) await page.keyboard.press(key)
    }
  }
  const before = await open()
  const [one, two] = [await before.newPage(), await before.newPage()]
  const countOne = await count(one, 'Killed one', ['5', 'a'])
  const countTwo = await count(two, 'Killed two', ['7', 'b'])
  await stop()
  await countOne()
  await countTwo()
  for (const page of [one, two]) await expect(page.getByText(/\d to send/)).toBeVisible()
  const closed = new Promise((r) => before.once('close', r))
  kill(profile)
  await closed
  await start()
  const after = await open()
  const page = await after.newPage()
  await page.goto(address)
  await expect.poll(async () => (await saved(await idOf('Killed one'))).stops[0]!.hits.length).toBe(5)
  await expect.poll(async () => (await saved(await idOf('Killed two'))).stops[0]!.hits.length).toBe(7)
  await expect(page.getByText('to send')).toHaveCount(0)
  await after.close()
  rmSync(profile, { recursive: true, force: true })
})

test('a round is handed on as a file, opened where it is unknown, and merged where it is known', async ({ page }) => {
  await page.goto(address)
  await page.getByRole('button', { name: 'River Meadow Lower Ham' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Hand on as a file' }).click()
  const file = await download
  expect(file.suggestedFilename()).toBe('round-river-meadow-hay-worth.json')
  await page.getByLabel('Open a round from a file').setInputFiles(await file.path())
  await expect(page.getByText('24 stops were taken in.', { exact: true })).toBeVisible()
  await page
    .getByLabel('Open a round from a file')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{"kind":"else"}') })
  await expect(page.getByText('This is not a round file')).toBeVisible()
})

test('of many rounds the first are shown, the others when asked for, and one is found by words', async ({ page }) => {
  const { paddocks } = (await (await fetch(`${address}/api/places`)).json()) as { paddocks: { id: string; name: string }[] } // prettier-ignore
  for (let n = 1; n <= 40; n++)
    await fetch(`${address}/api/rounds`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ id: randomUUID(), paddockId: paddocks[0]!.id, title: `Many ${n}`, purpose: '', plannedOn: '2027-06-01', pointsPerStop: 20, stops: 3 }), // prettier-ignore
    })
  await page.goto(`${address}/rounds`)
  const many = page.getByRole('button', { name: /many \d/ })
  await expect(many.first()).toBeVisible()
  const before = await many.count()
  expect(before).toBeLessThanOrEqual(20)
  await page.getByRole('button', { name: /^Show more, \d+ are left/ }).first().click() // prettier-ignore
  await expect(many).toHaveCount(40)
  await page.getByLabel(/^Find a round/).fill(`many 17 ${paddocks[0]!.name.split(' ')[0]!}`)
  await expect(many).toHaveCount(1)
  await expect(many).toContainText('many 17')
  await page.getByLabel(/^Find a round/).fill('nowhere at all')
  await expect(page.getByText('No round is found by that.')).toBeVisible()
})
