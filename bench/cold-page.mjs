// How long a page that was never opened takes to its heading, and until the whole of it stands, and how much it loads: on a phone's screen, a processor slowed down four times, a network of 1.6 Mbit/s
// with 150 ms. Needs a built app; starts a server on a folder of its own. PAGES=/rounds,/bench node bench/cold-page.mjs
import { chromiumPath } from '../scripts/chromium.mjs'
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const PORT = Number(process.env.PORT ?? 4178)
const TIMES = Number(process.env.TIMES ?? 3)
const address = `http://127.0.0.1:${PORT}`
const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-cold-'))
const server = spawn(process.execPath, ['dist-server/main.js'], {
  env: { ...process.env, PORT: String(PORT), DATA_DIR: folder },
  stdio: ['ignore', 'ignore', 'inherit'],
})
const answers = () => fetch(`${address}/api/health`).then((r) => r.ok, () => false) // prettier-ignore
while (!(await answers())) await new Promise((r) => setTimeout(r, 200))

const rounds = await (await fetch(`${address}/api/rounds`)).json()
const round = rounds.find((r) => r.title === 'Harm walk and count').id
const pages = (
  process.env.PAGES ??
  `/rounds,/bench,/plants,/plants/tansy-ragwort,/practice,/daybook,/plan,/rounds/${round},/rounds/${round}/weigh-up,/rounds/${round}/hand-over`
).split(',')

const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox'] })
for (const path of pages) {
  const took = []
  const whole = []
  let bytes = 0
  let first = ''
  for (let i = 0; i < TIMES; i++) {
    const context = await browser.newContext({
      locale: process.env.LOCALE ?? 'en-GB',
      serviceWorkers: 'block',
      viewport: { width: 390, height: 844 },
    })
    const page = await context.newPage()
    const cdp = await context.newCDPSession(page)
    await cdp.send('Network.enable')
    await cdp.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: 150,
      downloadThroughput: 1_600_000 / 8,
      uploadThroughput: 750_000 / 8,
    })
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 })
    bytes = 0
    cdp.on('Network.loadingFinished', (e) => (bytes += e.encodedDataLength))
    // The page itself notes when its heading is there: asking from outside takes the slowed processor half a second more.
    await page.addInitScript(() => {
      const markOnce = (selector, name) =>
        new MutationObserver((_, watch) => {
          if (!document.querySelector(selector)) return
          requestAnimationFrame(() => performance.mark(name))
          watch.disconnect()
        }).observe(document, { childList: true, subtree: true, attributes: true, attributeFilter: ['aria-busy'] })
      markOnce('h1', 'heading')
      markOnce('main:not([aria-busy]) h1', 'whole')
    })
    await page.goto(address + path, { waitUntil: 'commit' })
    await page.locator('h1').first().waitFor({ state: 'visible', timeout: 30_000 })
    await page.locator('main:not([aria-busy]) h1').first().waitFor({ state: 'visible', timeout: 30_000 })
    const marked = (name) => page.evaluate((n) => performance.getEntriesByName(n)[0].startTime, name)
    took.push(await marked('heading'))
    whole.push(await marked('whole'))
    first = await page.locator('h1').first().innerText()
    await context.close()
  }
  const range = (list) => `${Math.round(Math.min(...list))} to ${Math.round(Math.max(...list))} ms`
  console.log(
    `${path.replace(round, ':id')}: heading ${range(took)}, whole ${range(whole)}, ${Math.round(bytes / 1000)} kB ("${first}")`,
  )
}
await browser.close()
server.kill()
rmSync(folder, { recursive: true, force: true })
