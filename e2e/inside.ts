import { expect, type Page } from '@playwright/test'

/** One step of the router, until another screen stands there. It may lead on to another one still. */
async function step(page: Page, at: string): Promise<void> {
  const content = page.locator('#content')
  const before = await content.getAttribute('data-at')
  await page.evaluate((to) => {
    // As the router writes it: each step has a key of its own.
    const state = { usr: null, key: crypto.randomUUID(), idx: history.length }
    history.pushState(state, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state }))
  }, at)
  await expect(content).not.toHaveAttribute('data-at', before!)
}

/** To another screen as a touched link leads there: the app is loaded once, by the first of them. */
export async function goInside(page: Page, address: string): Promise<void> {
  const { pathname, search } = new URL(address, 'http://here')
  const at = pathname + search
  const content = page.locator('#content')
  const elsewhere = /^https?:/.test(address) && !page.url().startsWith(new URL(address).origin)
  if (elsewhere || page.url() === 'about:blank') {
    await page.goto(address)
    await content.waitFor()
  } else {
    // Where it stands already it is left first, so that it begins anew.
    if ((await content.getAttribute('data-at')) === at) await step(page, '/nowhere')
    await step(page, at)
  }
  await settled(page)
}

/** To the bench, with nothing seen yet. */
export async function freshBench(page: Page): Promise<void> {
  await goInside(page, '/rounds')
  await goInside(page, '/bench')
  const verdict = page.getByTestId('verdict')
  await verdict.waitFor()
  if ((await verdict.textContent()) !== 'Nothing seen yet')
    await page.getByRole('button', { name: 'New plant' }).click()
  await expect(verdict).toHaveText('Nothing seen yet')
}

const QUIET_MS = 120
const MOST_MS = 5000

/** Until nothing on the page changes any more. */
const settled = (page: Page) =>
  page.evaluate(
    ([quiet, most]) =>
      new Promise<void>((done) => {
        let timer = setTimeout(done, quiet)
        const watch = new MutationObserver(() => {
          clearTimeout(timer)
          timer = setTimeout(done, quiet)
        })
        watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true })
        setTimeout(done, most)
      }),
    [QUIET_MS, MOST_MS],
  )
