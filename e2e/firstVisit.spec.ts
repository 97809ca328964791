import { expect, test, type Page } from '@playwright/test'

// Nothing is kept beforehand, as on a device that never saw the app.
test.use({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } })

/** Some seconds after the page has loaded the browser says what was asked for ahead and not used. */
const UNUSED_MS = 4000

async function visit(page: Page, place: string) {
  const said: string[] = []
  page.on('console', (m) => said.push(m.text()))
  const asked: string[] = []
  const addressOf = (url: string) => `${new URL(url).pathname}${new URL(url).search}`
  page.on('request', (r) => asked.push(addressOf(r.url())))
  await page.goto(place)
  await expect(page.locator('main:not([aria-busy]) h1').filter({ visible: true }).first()).toBeVisible()
  const times = await page.evaluate(() =>
    (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).map((r) => ({
      name: `${new URL(r.name).pathname}${new URL(r.name).search}`,
      from: r.startTime,
      to: r.responseEnd,
    })),
  )
  const named = (...names: string[]) =>
    page.evaluate(
      (all) =>
        all.flatMap((n) =>
          document.querySelector<HTMLMetaElement>(`meta[name="${n}"]`)!.content.split(' ').filter(Boolean),
        ),
      names,
    )
  const front = await named('scripts-ahead')
  const rest = await named('scripts-then', 'records-then')
  const ahead = [...front, ...(await named('records-ahead')), ...rest]
  expect(ahead.length, place).toBeGreaterThan(5)
  const frame = Math.max(...times.filter((t) => /\/start-/.test(t.name)).map((t) => t.to))
  for (const name of ahead) expect(times.find((t) => t.name === name)?.from, name).toBeGreaterThanOrEqual(frame)
  const shown = Math.max(...times.filter((t) => front.includes(t.name)).map((t) => t.to))
  for (const name of rest) expect(times.find((t) => t.name === name)?.from, name).toBeGreaterThanOrEqual(shown)
  // The list of what is due reads itself anew.
  const once = ahead.filter((a) => a.startsWith('/api/') && a !== '/api/plan-items')
  for (const record of once) expect(asked.filter((a) => a === record), `${place} ${record}`).toHaveLength(1) // prettier-ignore
  await page.waitForTimeout(UNUSED_MS)
  expect(said.filter((s) => /preload/i.test(s)), place).toEqual([]) // prettier-ignore
}

test('a first visit asks for the frame first, for each record once, and for nothing in vain', async ({ context }) => {
  const places = ['/rounds', '/bench', '/daybook', '/practice', '/plan', '/plants', '/plants/tansy-ragwort']
  // Two at a time: a page that waits for its turn on a busy machine is warned of what it would have used.
  for (const two of [0, 2, 4, 6].map((i) => places.slice(i, i + 2)))
    await Promise.all(
      two.map(async (place) => {
        const page = await context.newPage()
        await visit(page, place)
        await page.close()
      }),
    )
})

test('the half that a phone folds away is there when it is turned to', async ({ page }) => {
  await page.goto('/rounds')
  await expect(page.getByRole('heading', { level: 1, name: 'Rounds' })).toBeVisible()
  await page.getByRole('button', { name: /This round/ }).click()
  await expect(
    page.getByRole('region', { name: 'This round' }).getByRole('heading', { level: 2 }).first(),
  ).toBeVisible()
})

test('the half that opens is found again where it was left, the other is read from its top, and so is another screen', async ({
  page,
}) => {
  await page.goto('/daybook')
  await expect(page.getByRole('heading', { level: 1, name: 'Daybook' })).toBeVisible()
  // The whole of the place, not its front, which is another screen.
  await expect(page.locator('main:not([aria-busy])')).toBeVisible()
  const scrolled = () => page.evaluate(() => Math.round(window.scrollY))
  const scroll = async (by: number) => {
    await page.mouse.wheel(0, by)
    await expect.poll(scrolled).toBeGreaterThan(by - 40)
  }
  await scroll(90)
  const left = await scrolled()
  await page.getByRole('button', { name: /turn to\s*Year on year/ }).click()
  await expect(page.getByRole('heading', { level: 2, name: /year on year/ })).toBeInViewport()
  expect(await scrolled()).toBe(0)
  await scroll(90)
  await page.getByRole('button', { name: /turn to\s*Daybook/ }).click()
  await expect.poll(scrolled).toBe(left)
  await page.getByRole('button', { name: /turn to\s*Year on year/ }).click()
  await expect.poll(scrolled).toBe(0)
  await scroll(90)
  await page.getByRole('link', { name: /^Next/ }).click()
  await expect(page).not.toHaveURL(/daybook$/)
  await expect.poll(scrolled).toBe(0)
})
