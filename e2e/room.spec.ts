import { expect, test, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { ownServer } from './ownServer.ts'

/**
 * No half of a working screen stands empty at a desk, and no screen is three pictures long: the list of the book and the
 * client's pages alone may be longer. Sizes are ours; that a screen should show what it has is common practice, no source.
 */
// The demo valley as it comes, without what other journeys write.
const { address, start, end } = ownServer(4191)
test.beforeAll(start)
test.afterAll(end)

const HIGH = 800
const LONGEST = 3 * HIGH
/** So much of a half, from its top to the bottom of the window, is in use at least. */
const USED = 1 / 3

const used = (page: Page, half: string) =>
  page.evaluate((selector) => {
    const element = document.querySelector(selector)
    if (!element) return 1
    const top = element.getBoundingClientRect().top
    let lowest = top
    for (const e of element.querySelectorAll('h1, h2, p, li, td, dd, label, svg, img, canvas, input, select, button')) {
      const box = e.getBoundingClientRect()
      if (box.height > 0) lowest = Math.max(lowest, Math.min(box.bottom, innerHeight))
    }
    return (lowest - top) / (innerHeight - top)
  }, half)

const CHAPTERS = ['made-of', 'says', 'harm', 'unseen', 'do', 'worth', 'stock', 'sow', 'ground', 'year']

test('both halves of every screen are in use at a desk, and none is longer than three of them', async ({ page }) => {
  test.slow()
  await page.setViewportSize({ width: 1280, height: HIGH })
  const list = (await (await page.request.get(`${address}/api/rounds`)).json()) as { id: string; title: string }[]
  const { paddocks } = (await (await page.request.get(`${address}/api/places`)).json()) as {
    paddocks: { id: string }[]
  }
  const round = (title: string) => `/rounds/${list.find((r) => r.title === title)!.id}`
  const counted = round('Harm walk and count')
  const mayBeLong = ['/plants', `${counted}/hand-over`]
  const paths = [
    ...['/rounds', '/plan', '/bench', '/plants', '/practice', '/first-round', '/rounds/bring-in', '/count-here'],
    ...['/plants/timothy', '/plants/white-clover/taken-for', '/plants/tansy-ragwort/harm', '/plants/timothy/seen'],
    ...[
      '/daybook',
      '/daybook/look-again',
      '/daybook/device',
      '/glossary',
      '/glossary/look',
      `/places/${paddocks[0]!.id}`,
    ],
    ...['', '/hand-over', '/beside', ...CHAPTERS.map((c) => `/weigh-up/${c}`)].map((s) => `${counted}${s}`),
    ...['', '/weigh-up', '/hand-over'].map((s) => `${round('First spring after sowing')}${s}`),
    `${round('Wear before the season')}/weigh-up/kept`,
  ]
  for (const path of paths)
    await test.step(path, async () => {
      await goInside(page, `${address}${path}`)
      await expect(page.locator('.leaf:not([aria-busy])')).toBeVisible()
      for (const half of ['.leaf-left', '.leaf-right'])
        await expect.poll(() => used(page, half), { message: `${path} ${half}` }).toBeGreaterThan(USED)
      const { height, width } = await page.evaluate(() => ({
        height: document.documentElement.scrollHeight,
        width: document.documentElement.scrollWidth,
      }))
      if (!mayBeLong.includes(path)) expect(height, path).toBeLessThanOrEqual(LONGEST)
      expect(width, path).toBe(1280)
    })
})
