import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { goInside } from './inside.ts'

const idOf = async (page: Page, title: string) => {
  const list = (await (await page.request.get('/api/rounds')).json()) as { id: string; title: string }[]
  return list.find((r) => r.title === title)!.id
}

const LATER_PLANTS = 'section > ul > li:nth-child(n + 10):has(> a[href^="/plants/"])'

async function expectAccessible(page: Page, where: string, rules?: string[]) {
  await page.locator('h1').first().waitFor({ state: 'attached' })
  // Only what is wrong is described node by node: describing what is well takes most of the time. No screen has a frame
  // in it, so nothing has to be carried from one to another.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode()
  // Hundreds of plants stand in lines of one make: the first of each group stand for the others.
  if (await page.locator(LATER_PLANTS).count()) axe.exclude(LATER_PLANTS)
  const { violations } = await (rules ? axe.withRules(rules) : axe).analyze()
  expect(violations.map((v) => `${where}: ${v.id} ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([])
}

type Open = (page: Page) => Promise<unknown>

/** A chapter of a round's results, with something in it opened. */
const chapter =
  (name: string, open?: (page: Page) => Promise<unknown>): Open =>
  async (page) => {
    await goInside(page, `/rounds/${await idOf(page, 'Harm walk and count')}/weigh-up/${name}`)
    await page.getByRole('link', { name: /^Made of/ }).waitFor()
    await open?.(page)
  }

/** Screens by what they are called; what is done on them before they are looked at. */
const screens: Record<string, Open> = {
  rounds: (page) => goInside(page, '/rounds'),
  place: (page) => goInside(page, '/places/new'),
  'hand-over': async (page) => goInside(page, `/rounds/${await idOf(page, 'Harm walk and count')}/hand-over`),
  'plant book': (page) => goInside(page, '/plants'),
  bench: async (page) => {
    await goInside(page, '/bench')
    await expect(page.getByTestId('verdict')).toHaveText('Nothing seen yet')
  },
  'bench with answers': async (page) => {
    await screens.bench!(page)
    await page.keyboard.press('5')
    await expect(page.getByRole('region', { name: 'Harmful, and not excluded' })).toBeVisible()
  },
  count: async (page) => goInside(page, `/rounds/${await idOf(page, 'Harm walk and count')}`),
  'made of': chapter('made-of', (page) => page.getByRole('button', { name: /^Tansy ragwort 3.0/ }).click()),
  harm: chapter('harm', (page) => page.getByText(/By animal, standing/).click()),
  unseen: chapter('unseen', (page) => page.getByText(/Endophyte of fescue/).click()),
  'to do': chapter('do', (page) => page.getByText('Bull thistle', { exact: true }).last().click()),
  worth: chapter('worth'),
  stock: chapter('stock', (page) => page.getByText('Look at the pasture').click()),
  says: chapter('says'),
  sow: chapter('sow', (page) => page.getByText('Red clover', { exact: true }).click()),
  ground: chapter('ground'),
  year: chapter('year', (page) => page.getByText('Type the twelve means').click()),
  'bring in': (page) => goInside(page, '/rounds/bring-in'),
  plan: (page) => goInside(page, '/plan'),
  plant: (page) => goInside(page, '/plants/poison-hemlock'),
  glossary: (page) => goInside(page, '/glossary'),
  'how to look': (page) => goInside(page, '/glossary/look'),
  'a long list': async (page) => {
    await goInside(page, '/gallery')
    await page.getByRole('button', { name: 'Long list' }).click()
  },
  'what changed': async (page) => goInside(page, `/rounds/${await idOf(page, 'Harm walk and count')}/beside`),
  compare: (page) => goInside(page, '/compare?plants=tansy-ragwort,dandelion'),
  find: async (page) => {
    await goInside(page, '/rounds')
    await page.getByRole('button', { name: 'Find anything' }).click()
    await page.getByRole('combobox', { name: 'Find anything' }).fill('clover')
  },
  'group key': (page) => goInside(page, '/group-key'),
  practice: async (page) => {
    await goInside(page, '/practice')
    await page.getByRole('button', { name: /^Which check/ }).click()
    await expect(page.getByRole('button', { name: 'Stop here' })).toBeVisible()
    await expect(page.getByText('Drawing …')).toHaveCount(0)
    await page.keyboard.press('1')
  },
  daybook: async (page) => {
    await goInside(page, '/daybook')
    await page
      .getByRole('img', { name: /Shares year on year/ })
      .first()
      .waitFor()
  },
}
const inEveryLight = new Set([
  'rounds',
  'place',
  'bench',
  'bench with answers',
  'count',
  'made of',
  'harm',
  'plan',
  'plant',
])

async function lit(page: Page, mode: string) {
  await page.addInitScript(
    (m) => localStorage.setItem('fold-sprig-mode', JSON.stringify({ state: { mode: m }, version: 0 })),
    mode,
  )
}

async function nextLight(page: Page, mode: string) {
  await page.getByRole('button', { name: /^Light:/ }).click()
  await expect(page.locator('html')).toHaveAttribute('data-mode', mode)
}

/** One page for all screens: what they share is loaded once. */
let page: Page
test.beforeAll(async ({ browser }) => {
  page = await browser.newPage()
  await lit(page, 'day')
})
test.afterAll(() => page.close())

for (const [name, open] of Object.entries(screens))
  test(`axe finds nothing on ${name}`, async () => {
    await open(page)
    await expectAccessible(page, `${name} by day`)
    if (!inEveryLight.has(name)) return
    // The pages are the same in every light; only the colours are not.
    for (const mode of ['sun', 'dusk']) {
      await nextLight(page, mode)
      await expectAccessible(page, `${name} by ${mode}`, ['color-contrast'])
    }
    await nextLight(page, 'day')
  })

test('every script that the page of a place names is there, and no script is refused by our own policy', async ({
  page,
}) => {
  const refused: string[] = []
  page.on('console', (m) => (m.text().includes('Content Security Policy') ? refused.push(m.text()) : undefined))
  const cdp = await page.context().newCDPSession(page)
  await cdp.send('Audits.enable')
  // That a picture waits until it comes into sight is as it should be.
  cdp.on('Audits.issueAdded', ({ issue }) =>
    issue.code === 'LazyLoadImageIssue' ? undefined : refused.push(issue.code),
  )
  for (const place of ['/rounds', '/bench', '/plants', '/plants/tansy-ragwort', '/practice', '/daybook', '/plan']) {
    const html = await (await page.request.get(place)).text()
    const named = [...html.matchAll(/(?:href|src)="(\/assets\/[^"]+)"/g)].map((m) => m[1]!)
    expect(named.length).toBeGreaterThan(4)
    for (const file of named) expect((await page.request.head(file)).status(), `${place} ${file}`).toBe(200)
    await page.goto(place)
    await page.locator('h1').first().waitFor({ state: 'attached' })
  }
  expect(refused).toEqual([])
})
