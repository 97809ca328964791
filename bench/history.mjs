// Twenty years of fifty paddocks: how long the daybook takes to open. Start the built app with demo data on an empty folder;
// ADDRESS says where it answers. Rounds are sent first, which takes about two minutes.
import { chromiumPath } from '../scripts/chromium.mjs'
import { chromium } from '@playwright/test'
import { randomUUID } from 'node:crypto'

const address = process.env.ADDRESS ?? 'http://127.0.0.1:4170'
const [PADDOCKS, YEARS, STOPS] = [50, 20, 30]
const sward = ['perennial-ryegrass', 'white-clover', 'timothy', 'velvetgrass', 'dandelion', 'bare']

const post = async (url, body) => {
  const answer = await fetch(`${address}${url}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  if (!answer.ok) throw new Error(`${url}: ${await answer.text()}`)
}

const holding = { id: randomUUID(), name: 'Bench holding', client: '' }
let last
for (let p = 0; p < PADDOCKS; p++) {
  const paddock = { id: randomUUID(), holdingId: holding.id, name: `Field ${p + 1}`, boundary: null, region: 'cool-humid', outlook: 'grazing', sown: [], strata: [], note: '' } // prettier-ignore
  last = paddock.id
  for (let y = 0; y < YEARS; y++) {
    const day = `${2006 + y}-05-0${1 + (p % 9)}`
    const stops = Array.from({ length: STOPS }, (_, i) => ({
      id: randomUUID(),
      seq: i + 1,
      hits: sward.map((taxon, k) => ({ taxon, amount: 5 + ((i * 7 + k * 11 + y * 3 + p) % 40) })),
      doneAt: `${day}T10:00:00.000Z`,
      stratum: '',
      measures: {},
    }))
    const round = { id: randomUUID(), paddockId: paddock.id, holding: holding.name, client: '', title: `Count ${2006 + y}`, method: 'cover-classes', purpose: '', plannedOn: day, pointsPerStop: 1, settings: {}, source: '', route: null, paddock, stops, unknowns: [] } // prettier-ignore
    await post('/api/round-files', { kind: 'fold-sprig-round', version: 1, holding, round })
  }
}
const timed = async (url) => {
  const out = []
  for (let i = 0; i < 8; i++) {
    const from = performance.now()
    await (await fetch(`${address}${url}`)).json()
    out.push(`${(performance.now() - from).toFixed(0)} ms`)
  }
  console.log(`${url.replace(last, '<one paddock>')}: ${out.join(', ')}`)
}
await timed('/api/rounds')
await timed(`/api/paddocks/${last}/counts`)

const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-gpu'],
})
const page = await browser.newPage()
await page.goto(`${address}/plants`)
const opens = []
for (let i = 0; i < 8; i++) {
  await page.getByRole('link', { name: 'Plant book' }).click()
  // The other screen must stand and be at rest before the clock starts.
  await page.waitForFunction(() => !document.querySelector('svg[aria-label^="Shares year on year"]'))
  await page.waitForTimeout(800)
  opens.push(
    await page.evaluate(
      () =>
        new Promise((resolve) => {
          const from = performance.now()
          const look = () =>
            document.querySelector('svg[aria-label^="Shares year on year"]')
              ? resolve(performance.now() - from)
              : requestAnimationFrame(look)
          document.querySelector('a[href="/daybook"]').click()
          look()
        }),
    ),
  )
}
console.log(
  `daybook from another screen to its chart: ${opens.map((o) => `${o.toFixed(0)} ms`).join(', ')} (limit 300)`,
)
await browser.close()
