import { test as base, type Page } from '@playwright/test'

let kept: Page | undefined

/**
 * Tests that go on in one page from screen to screen (`goInside`), as somebody does who works a day; loading the app
 * anew for each takes longer than most of them. A test that fails ends the page with its worker.
 */
export const test = base.extend({
  page: async ({ browser, viewport }, use) => {
    if (!kept || kept.isClosed()) kept = await (await browser.newContext()).newPage()
    await kept.unrouteAll()
    if (viewport) await kept.setViewportSize(viewport)
    await use(kept)
  },
})
