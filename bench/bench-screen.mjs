// How quick the bench is in a browser on a slow phone: script loaded, time from an answer to the next question, shifts.
import { onServer, quantile, slowPhone } from './onServer.mjs'

// Between two answers a person reads the question, looks at the plant and finds the place to touch; the shorter pace is
// that of somebody who knows beforehand what will be asked. Before the first answer a plant is lifted.
const PACES_MS = [1000, 500]
const OPENING_MS = 2000
await onServer(4176, async (browser, address) => {
  const { page, cdp, slow } = await slowPhone(browser)
  await cdp.send('Network.enable')
  const scripts = new Map()
  cdp.on(
    'Network.responseReceived',
    ({ requestId, response }) =>
      /javascript/.test(response.mimeType) && scripts.set(requestId, { url: response.url, bytes: 0 }),
  )
  cdp.on(
    'Network.loadingFinished',
    ({ requestId, encodedDataLength }) => scripts.has(requestId) && (scripts.get(requestId).bytes = encodedDataLength),
  )
  await slow()
  await page.goto(`${address}/bench`)
  await page.getByRole('button', { name: 'grass' }).first().waitFor()
  await page.waitForTimeout(OPENING_MS)
  const total = [...scripts.values()].reduce((n, s) => n + s.bytes, 0)
  console.log(`script on first load of the bench: ${(total / 1024).toFixed(0)} kB as sent, ${scripts.size} files`)
  for (const s of scripts.values()) console.log(`  ${s.url.split('/').pop()} ${(s.bytes / 1024).toFixed(1)} kB`)

  for (const pace of PACES_MS) {
    const times = []
    for (let run = 0; run < 12; run++) {
      for (let k = 0; k < 5; k++) {
        // From the click to the frame in which another question stands, measured inside the page. Each plant is answered otherwise.
        const ms = await page.evaluate(
          (nth) =>
            new Promise((done) => {
              const shown = () => [...document.querySelectorAll('[data-question]')].find((q) => q.checkVisibility())
              const before = shown().querySelector('h1').textContent
              const buttons = [...shown().querySelectorAll('ul button')]
              const button = buttons[nth % buttons.length]
              const from = performance.now()
              const watch = new MutationObserver(() => {
                const now = shown()?.querySelector('h1').textContent
                if (now && now !== before) {
                  watch.disconnect()
                  done(performance.now() - from)
                }
              })
              watch.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true })
              button.click()
              setTimeout(() => (watch.disconnect(), done(null)), 3000)
            }),
          run + 2 * k,
        )
        if (ms !== null) times.push(ms)
        await page.waitForTimeout(pace)
      }
      await page.getByRole('button', { name: 'New plant' }).click()
      await page.waitForTimeout(pace)
    }
    console.log(
      `next question after an answer, 4x slower processor: an answer each ${pace / 1000} s: median ${quantile(times, 0.5).toFixed(0)} ms, 95 % ${quantile(times, 0.95).toFixed(0)} ms, of ${times.length}`,
    )
  }
})
