import { expect, test } from '@playwright/test'

// Nothing is kept beforehand, as on a device that never saw the app.
test.use({ serviceWorkers: 'block', viewport: { width: 390, height: 844 } })

const PLACES = ['/rounds', '/bench', '/daybook', '/practice'] as const

for (const place of PLACES)
  test(`a first visit of ${place} asks for the frame first, for each record once, and for nothing in vain`, async ({
    page,
  }) => {
    const said: string[] = []
    page.on('console', (m) => said.push(m.text()))
    const asked: string[] = []
    page.on('request', (r) => {
      const { pathname } = new URL(r.url())
      if (pathname.startsWith('/api/')) asked.push(pathname)
    })
    await page.goto(place)
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    const times = await page.evaluate(() =>
      (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).map((r) => ({
        name: new URL(r.name).pathname,
        from: r.startTime,
        to: r.responseEnd,
      })),
    )
    const ahead = await page.evaluate(() =>
      ['scripts-ahead', 'records-ahead'].flatMap((n) => document.querySelector<HTMLMetaElement>(`meta[name="${n}"]`)!.content.split(' ').filter(Boolean)),
    ) // prettier-ignore
    expect(ahead.length).toBeGreaterThan(5)
    const frame = Math.max(...times.filter((t) => /\/start-/.test(t.name)).map((t) => t.to))
    for (const name of ahead) expect(times.find((t) => t.name === name)?.from, name).toBeGreaterThanOrEqual(frame)
    for (const record of ahead.filter((a) => a.startsWith('/api/'))) {
      // What the rounds of today need is read once more for the list of what is due.
      if (record !== '/api/plan-items') expect(asked.filter((a) => a === record), record).toHaveLength(1) // prettier-ignore
    }
    // The browser says so of what was asked for ahead and not used, some seconds after the page has loaded.
    await page.waitForTimeout(4000)
    expect(said.filter((s) => /preload/i.test(s))).toEqual([])
  })

test('the half that a phone folds away is there when it is turned to', async ({ page }) => {
  await page.goto('/rounds')
  await expect(page.getByRole('heading', { level: 1, name: 'Rounds' })).toBeVisible()
  await page.getByRole('button', { name: /This round/ }).click()
  await expect(
    page.getByRole('region', { name: 'This round' }).getByRole('heading', { level: 2 }).first(),
  ).toBeVisible()
})
