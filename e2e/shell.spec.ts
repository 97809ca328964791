import { expect, test, type Page, type Request } from '@playwright/test'
import { readFileSync } from 'node:fs'

const roundOf = async (page: Page, title: string) => {
  const list = (await (await page.request.get('/api/rounds')).json()) as { id: string; title: string }[]
  return list.find((r) => r.title === title)!.id
}

/** What the page asked for and has no answer to yet: said where a journey fails, since what it waits for is not seen. */
let unanswered = new Set<Request>()
test.beforeEach(({ page }) => {
  unanswered = new Set()
  page.on('request', (r) => unanswered.add(r))
  page.on('requestfinished', (r) => unanswered.delete(r))
  page.on('requestfailed', (r) => unanswered.delete(r))
})
test.afterEach(({ page: _page }, { status, expectedStatus }) => {
  if (status !== expectedStatus)
    console.log([...unanswered].map((r) => `not answered: ${r.method()} ${r.url()}`).join('\n'))
})

test('each screen has its title, the first tab skips to it, and a new screen has the focus', async ({ page }) => {
  await page.goto('/rounds')
  await expect(page).toHaveTitle('Rounds: Fold Sprig')
  await page.keyboard.press('Tab')
  const skip = page.getByRole('link', { name: 'Skip to the screen' })
  await expect(skip).toBeFocused()
  await expect(skip).toBeInViewport()
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/#content$/)
  await page.getByRole('link', { name: 'Daybook' }).click()
  await expect(page).toHaveTitle('Daybook: Fold Sprig')
  await expect(page.locator('#content')).toBeFocused()
})

test('a page says what it is before any script has come, and a plant is seen', async ({ page }) => {
  let come = () => {}
  const held = new Promise<void>((r) => (come = r))
  await page.route('**/*.js', async (route) => {
    await held
    await route.continue()
  })
  await page.goto('/practice', { waitUntil: 'commit' })
  await expect(page.getByText('What is due comes first')).toBeVisible()
  await page.goto('/plants/tansy-ragwort', { waitUntil: 'commit' })
  await expect(page.getByText('Jacobaea vulgaris')).toBeVisible()
  await expect.poll(() => page.locator('img').evaluate((i: HTMLImageElement) => i.naturalWidth)).toBeGreaterThan(300)
  come()
  await expect(page.getByRole('heading', { name: 'Tansy ragwort', level: 1 })).toBeVisible()
  await page.goto('/practice')
  await expect(page.getByRole('heading', { name: 'Practice', level: 1 })).toBeVisible()
  await expect(page.getByText('What is due comes first')).toHaveCount(0)
})

test('what is ready while the page is still being drawn piece by piece is shown', async ({ page }) => {
  // Small pieces with a rest after each, as on a device that has much else to do.
  await page.addInitScript(() => {
    const counted = Object.assign(window, { pieces: 0 })
    const now = performance.now.bind(performance)
    let more = 0
    performance.now = () => now() + (more += 1.2)
    // eslint-disable-next-line @typescript-eslint/unbound-method
    const { postMessage } = MessagePort.prototype
    MessagePort.prototype.postMessage = function (...message: unknown[]) {
      counted.pieces++
      setTimeout(() => Reflect.apply(postMessage, this, message), 20)
    }
  })
  let come = () => {}
  const held = new Promise<void>((r) => (come = r))
  await page.route('**/api/places', async (route) => {
    await held
    await route.continue()
  })
  // Its coming would have the page drawn once more.
  await page.route('**/api/book-pieces', (route) => route.abort())
  await page.goto('/rounds', { waitUntil: 'commit' })
  await page.waitForFunction(
    () => (window as unknown as { pieces: number }).pieces > 2 || document.body.innerText.includes('Opening …'),
  )
  come()
  await expect(page.getByRole('heading', { name: 'To walk' })).toBeVisible()
})

test('letter keys can be turned off, and buttons still answer', async ({ page }) => {
  await page.goto('/daybook/device')
  await page.getByRole('group', { name: 'Letter keys' }).getByRole('button', { name: 'only buttons' }).click()
  await page.goto('/bench')
  const verdict = page.getByTestId('verdict')
  await expect(verdict).toHaveText('Nothing seen yet')
  await page.keyboard.press('5')
  await page.keyboard.press('n')
  await expect(verdict).toHaveText('Nothing seen yet')
  await page
    .getByRole('button', { name: /broad leaf/i })
    .first()
    .click()
  await expect(verdict).not.toHaveText('Nothing seen yet')
})

test('nothing is deleted at one touch: the way back has the focus', async ({ page }) => {
  await page.goto('/rounds')
  const { paddocks } = (await (await page.request.get('/api/places')).json()) as { paddocks: { id: string; name: string }[] } // prettier-ignore
  await page.goto(`/places/${paddocks[0]!.id}`)
  const history = page.getByRole('region', { name: 'History' })
  await history.getByText('Write something down').click()
  await history.getByLabel('What', { exact: true }).selectOption('grazed')
  await history.getByLabel(/^Note/).fill('Gate post leans')
  await history.getByRole('button', { name: 'Write it down' }).click()
  const entry = history.getByRole('listitem').filter({ hasText: 'Gate post leans' })
  await entry.getByRole('button', { name: /^Take out/ }).click()
  const asked = page.getByRole('alertdialog', { name: 'Take it out of the history?' })
  await expect(asked.getByRole('button', { name: 'Keep it' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(asked).toBeHidden()
  await expect(entry).toBeVisible()
  await entry.getByRole('button', { name: /^Take out/ }).click()
  await asked.getByRole('button', { name: 'Take it out' }).click()
  await expect(entry).toHaveCount(0)
})

test('pages whose plan could not be read say that they are not whole', async ({ page }) => {
  const id = await roundOf(page, 'Harm walk and count')
  await page.route('**/api/plan-items', (r) => r.abort())
  await page.goto(`/rounds/${id}/hand-over`)
  await expect(page.getByRole('alert').filter({ hasText: 'These pages are not whole' })).toBeVisible()
  await page.unroute('**/api/plan-items')
  await page.reload()
  await expect(page.getByLabel('Page for the client').first()).toBeVisible()
  await expect(page.getByText('These pages are not whole')).toHaveCount(0)
})

test('what could not be read says so where it stands, and is read again', async ({ page }) => {
  const id = await roundOf(page, 'Harm walk and count')
  await page.route('**/api/kept', (r) => r.fulfill({ status: 500, body: '{}' }))
  await page.goto(`/rounds/${id}/weigh-up/stock`)
  const said = page.getByRole('alert').filter({ hasText: 'The stock of this paddock: could not be read' })
  await expect(said).toBeVisible()
  // What could not be read is not written over.
  await expect(page.getByRole('combobox', { name: 'Stock' })).toBeDisabled()
  await page.unroute('**/api/kept')
  await said.getByRole('button', { name: 'Read it again' }).click()
  await expect(said).toHaveCount(0)
  await expect(page.getByRole('combobox', { name: 'Stock' })).toBeEnabled()
})

test('what was read before a tick was taken does not stand over it', async ({ page, request }) => {
  const { paddocks } = (await (await request.get('/api/places')).json()) as { paddocks: { id: string }[] }
  const id = crypto.randomUUID()
  const item = { paddockId: paddocks[0]!.id, roundId: null, plant: null, text: 'Mend the trough' }
  const rest = { owner: '', dueOn: '2020-04-10', backOn: null, lookFor: '', doneOn: null, outcome: '' }
  const made = await request.put(`/api/plan-items/${id}`, { data: { ...item, ...rest } })
  expect(await made.json()).toEqual({ id })
  const due = page.getByRole('region', { name: 'To do within two weeks' })
  const box = due.getByRole('checkbox', { name: /Mend the trough/ })
  const now = { asked: false, taken: false }
  await page.goto('/rounds')
  await expect(box).toBeVisible()
  // The page goes before its request has come through; the next one asks for the plan before it sends it again.
  await page.route(`**/api/plan-items/${id}`, async (r) => {
    await expect.poll(() => now.asked).toBe(true)
    await r.continue().catch(() => undefined)
    now.taken = true
  })
  await page.route('**/api/places', async (r) => {
    await expect.poll(() => now.taken).toBe(true)
    await page.waitForTimeout(300)
    await r.continue()
  })
  await box.check()
  const asked = page.waitForResponse('**/api/plan-items')
  await page.reload({ waitUntil: 'commit' })
  await asked
  now.asked = true
  await expect(box).toBeChecked()
  await expect(box).toBeChecked({ timeout: 1000 })
})

test('what the page before was still sending is not missing in a page that was asked for meanwhile', async ({
  page,
  context,
  request,
}) => {
  const { paddocks } = (await (await request.get('/api/places')).json()) as { paddocks: { id: string }[] }
  const id = crypto.randomUUID()
  const item = { paddockId: paddocks[0]!.id, roundId: null, plant: null, text: 'Grease the gate' }
  const rest = { owner: '', dueOn: '2020-04-11', backOn: null, lookFor: '', doneOn: null, outcome: '' }
  expect(await (await request.put(`/api/plan-items/${id}`, { data: { ...item, ...rest } })).json()).toEqual({ id })
  const boxOf = (p: typeof page) => p.getByRole('checkbox', { name: /Grease the gate/ })
  await page.goto('/rounds')
  await expect(boxOf(page)).toBeVisible()
  // The second page is asked for, and its plan with it; it runs only when the first has had its tick taken.
  const second = await context.newPage()
  const now = { asked: false, taken: false }
  const held = async () => {
    await expect.poll(() => now.taken).toBe(true)
    await page.waitForTimeout(500)
  }
  // Nothing of it runs before its texts are there.
  await second.addInitScript(() => localStorage.setItem('fold-sprig-language', 'de'))
  await second.route('**/assets/de-*.js', async (r) => {
    await held()
    await r.continue()
  })
  await second.route('**/api/plan-items', async (r) => {
    if (now.asked) return r.continue()
    const response = await r.fetch()
    now.asked = true
    await held()
    await r.fulfill({ response })
  })
  await second.goto('/rounds', { waitUntil: 'commit' })
  await expect.poll(() => now.asked).toBe(true)
  const saved = page.waitForResponse((r) => r.url().endsWith(id) && r.ok())
  await boxOf(page).check()
  await saved
  now.taken = true
  await expect(boxOf(second)).toBeChecked()
  await expect(boxOf(second)).toBeChecked({ timeout: 1000 })
})

test('an error in one screen leaves the head and the way on', async ({ page }) => {
  await page.goto('/rounds/00000000-0000-4000-8000-000000000000')
  await expect(page.getByRole('heading', { name: /could not be opened|no such page/ })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Bench' })).toBeVisible()
})

test('a file of work that was not sent is shown before any of it is taken in', async ({ page }) => {
  await page.goto('/rounds')
  const holding = { id: crypto.randomUUID(), name: 'Sedge End', client: '' }
  const commands = [{ do: 'add-holding', holding }]
  const file = (list: unknown[]) => ({
    name: 'not-sent.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ kind: 'fold-sprig-not-sent', version: 2, commands: list })),
  })
  const kept = async () => JSON.stringify(await (await page.request.get('/api/places')).json())
  const open = page.getByLabel('Open a round from a file')
  await open.setInputFiles(file(commands))
  const shown = page.getByRole('region', { name: 'This file holds work that another device could not send' })
  await expect(shown.getByRole('listitem')).toHaveText(['add the holding Sedge End'])
  expect(await kept()).not.toContain('Sedge End')
  await shown.getByRole('button', { name: 'Leave it' }).click()
  await expect(shown).toBeHidden()
  await open.setInputFiles(file(commands))
  await shown.getByRole('button', { name: 'Take it in' }).click()
  await expect(page.getByText('1 entries that were not sent from another device were taken in.')).toBeVisible()
  expect(await kept()).toContain('Sedge End')
  // A file that asks for anything else than what a person does here is not one.
  await open.setInputFiles(file([{ do: 'request', method: 'POST', url: '/api/accounts', body: {} }]))
  await expect(page.getByText('This is not a round file')).toBeVisible()
})

test('no screen waits for what draws a plant in the hand before one is taken up', () => {
  const places = JSON.parse(readFileSync('dist/scripts-by-place.json', 'utf8')) as Record<
    string,
    { first: string[]; then: string[] }
  >
  expect(Object.keys(places).length).toBeGreaterThan(25)
  for (const [place, { first, then }] of Object.entries(places))
    for (const file of [...first, ...then])
      expect(readFileSync(`dist${file}`, 'utf8').includes('WebGLRenderer'), `${place} with ${file}`).toBe(false)
})
