// How quick a key is echoed while counting: a round with 5,000 hits, on a processor four times slower.
import { randomUUID } from 'node:crypto'
import { onServer, quantile, slowPhone } from './onServer.mjs'

const STOPS = 260
const POINTS = 20
await onServer(4176, async (browser, address) => {
  const send = (method, url, body) =>
    fetch(`${address}${url}`, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })
  const { paddocks } = await (await fetch(`${address}/api/places`)).json()
  const id = randomUUID()
  const plants = ['perennial-ryegrass', 'timothy', 'white-clover', 'red-clover', 'dandelion', 'bare', 'litter']
  await send('POST', '/api/rounds', {
    id,
    paddockId: paddocks[0].id,
    title: 'Long round',
    purpose: '',
    plannedOn: '2027-04-02',
    pointsPerStop: POINTS,
    stops: STOPS,
  })
  for (let s = 1; s <= STOPS - 10; s++)
    await send('PUT', `/api/rounds/${id}/stops/${s}`, {
      id: randomUUID(),
      hits: Array.from({ length: POINTS }, (_, i) => ({ taxon: plants[(i * s) % plants.length], amount: 1 })),
      doneAt: '2027-04-02T10:00:00.000Z',
    })
  const { page, slow } = await slowPhone(browser)
  await page.goto(`${address}/rounds/${id}`)
  await page.getByTestId('points').waitFor()
  await slow()
  const times = []
  const began = Date.now()
  for (let stop = 0; stop < 4; stop++) {
    for (let i = 0; i < POINTS; i++) {
      const ms = await page.evaluate(
        (key) =>
          new Promise((done) => {
            const shown = document.querySelector('[data-testid=points]')
            const before = shown.textContent
            const from = performance.now()
            const watch = new MutationObserver(() => {
              if (shown.textContent !== before) {
                watch.disconnect()
                done(performance.now() - from)
              }
            })
            watch.observe(shown, { subtree: true, childList: true, characterData: true })
            document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
            setTimeout(() => done(null), 2000)
          }),
        'asdfgbv'[i % 7],
      )
      if (ms !== null) times.push(ms)
      // About the pace of a person who calls out what the pin touches.
      await page.waitForTimeout(600)
    }
    await page.keyboard.press('Enter')
    await page.waitForTimeout(300)
  }
  const each = (Date.now() - began) / 4000
  console.log(
    `${STOPS - 10} stops of ${POINTS} points, 4x slower processor: a key is echoed in ${quantile(times, 0.5).toFixed(0)} ms (95 %: ${quantile(times, 0.95).toFixed(0)} ms, of ${times.length}); a stop of ${POINTS} points in ${each.toFixed(1)} s at a key each 0.6 s`,
  )
})
