import AxeBuilder from '@axe-core/playwright'
import { expect, test, type Page } from '@playwright/test'
import { readdirSync } from 'node:fs'

async function expectAccessible(page: Page) {
  const { violations } = await new AxeBuilder({ page }).analyze()
  expect(violations.map((v) => `${v.id} ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)).toEqual([])
}

test('the gallery shows every state of every character and every plant', async ({ page }) => {
  await page.goto('/drawings')
  const characters = (await (await page.request.get('/api/characters')).json()) as {
    part: string
    states?: string[]
    asks: string
  }[]
  for (const name of ['Stance and spread', 'Collar and sheath', 'Clover and kin']) {
    await page.getByRole('button', { name, exact: true }).click()
    await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-current', 'true')
    const part = new URL(page.url()).searchParams.get('part')
    const here = characters.filter((c) => c.part === part)
    await expect(page.locator('main h2')).toHaveCount(here.length)
    const drawings = here.reduce((n, c) => n + (c.states?.length ?? 3), 0)
    await expect(page.locator('main li svg')).toHaveCount(drawings)
  }
  await page.getByRole('button', { name: '72 px' }).click()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Whole plants' }).click()
  await expect(page.locator('main li a')).toHaveCount(
    ((await (await page.request.get('/api/plants')).json()) as unknown[]).length,
  )
})

test('two plants are compared: what tells them apart comes first, what does not is a line below', async ({ page }) => {
  await page.goto('/plants/tall-fescue')
  await page.getByRole('link', { name: 'Taken for it' }).click()
  await page.getByRole('link', { name: 'Compare the two' }).first().click()
  await expect(page.getByRole('heading', { name: 'Compare', level: 1 })).toBeVisible()
  // The auricle edge is the check the manuals give for tall against meadow fescue (Hubbard, Grasses, from memory).
  await expect(page.getByRole('rowheader').first()).toContainText('Auricle edge')
  await expect(page.getByText(/^Hardly tells them apart: /)).toContainText('newest leaf')
  await page.getByLabel('Add a plant').selectOption('Perennial ryegrass')
  await expect(page.getByRole('rowheader').filter({ hasText: 'Newest leaf' })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Take Meadow fescue away' }).click()
  await expect(page).toHaveURL(/plants=tall-fescue%2Cperennial-ryegrass/)
})

test('the map of look-alikes says what a plant is taken for', async ({ page }) => {
  await page.goto('/plants/map')
  await page.getByRole('button', { name: 'Broad leaves' }).click()
  await page.getByRole('button', { name: 'Palmer amaranth, harmful' }).click()
  // Amaranths are taken for one another (Uva, Neal & DiTomaso 1997, from memory).
  await expect(page.getByRole('complementary')).toContainText(/Redroot pigweed|Waterhemp/)
  await expectAccessible(page)
})

test('the book is narrowed by harm, by a character, and by what one sward has', async ({ page }) => {
  await page.goto('/plants')
  await page.getByLabel('Use or harm').selectOption('harmful')
  await page.getByLabel('Character').selectOption('Stem marks')
  await page.getByLabel('State', { exact: true }).selectOption('purple blotched')
  await expect(page.getByRole('link', { name: /^Poison hemlock Conium/ })).toBeVisible()
  await expect(page.getByRole('link', { name: /Wild carrot/ })).toHaveCount(0)
  await page.getByLabel('Use or harm').selectOption('any use')
  await page.getByLabel('Character').selectOption('any character')
  await page.getByLabel('Found or sown in').selectOption({ index: 1 })
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    new RegExp(`^Plant book: \\d+ of ${readdirSync('flora/plants').length} plants`),
  )
})

/**
 * Sum of the layout shifts that no touch or key explains (Web Vitals), where the hand is: on a desk in the left half, for
 * what follows on the right is the answer to the touch itself, however late a slow machine brings it.
 */
const watchShifts = (page: Page) =>
  page.addInitScript(() => {
    type Shift = PerformanceEntry & { value: number; hadRecentInput: boolean; sources: { currentRect: DOMRect }[] }
    const w = window as unknown as { moved: number }
    w.moved = 0
    const nearHand = ({ x, width }: DOMRect) => innerWidth < 600 || x + width / 2 < 0.43 * innerWidth
    new PerformanceObserver((list) => {
      for (const e of list.getEntries() as Shift[])
        if (!e.hadRecentInput && e.sources.some((s) => nearHand(s.currentRect))) w.moved += e.value
    }).observe({ type: 'layout-shift', buffered: true })
  })
const shifted = (page: Page) => page.evaluate(() => (window as unknown as { moved: number }).moved)
// The bound at which a shift is felt (Web Vitals, "good").
const FELT = 0.1

for (const [name, size] of [
  ['a desk', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 844 }],
] as const)
  test(`the bench does not move under the hand on ${name}: neither while it opens nor from answer to answer`, async ({
    page,
  }) => {
    await page.setViewportSize(size)
    await watchShifts(page)
    await page.goto('/bench')
    await expect(page.getByTestId('verdict')).toHaveText('Nothing seen yet')
    await page.waitForTimeout(500)
    const question = page.getByRole('heading', { level: 1 })
    const top = async () => (await question.boundingBox())!.y
    const before = await top()
    for (let i = 0; i < 7; i++) {
      const asked = await question.textContent()
      await page.getByRole('region', { name: asked! }).locator('ul button').first().click()
      await expect(question).not.toHaveText(asked!)
      // Longer than the half second in which a shift counts as wanted.
      await page.waitForTimeout(700)
      expect(await top(), `the question after "${asked}"`).toBeCloseTo(before, 0)
    }
    expect(await shifted(page)).toBeLessThan(FELT)
  })
