import { test as base, type Page } from '@playwright/test'

let kept: { page: Page; file: string } | undefined

/**
 * Tests of a file that go on in one page from screen to screen (`goInside`), as somebody does who works a day; loading the
 * app anew for each takes longer than most of them. A test that fails ends the page with its worker.
 */
export const test = base.extend({
  page: async ({ browser, viewport }, use, { file }) => {
    // Another file may have a server of its own, which has ended.
    if (kept && kept.file !== file) await kept.page.context().close()
    if (kept?.file !== file || kept.page.isClosed()) kept = { page: await (await browser.newContext()).newPage(), file }
    await kept.page.unrouteAll()
    if (viewport) await kept.page.setViewportSize(viewport)
    await use(kept.page)
  },
})
