// How long the whole weigh-up of a 30-stop round takes in the worker of a real browser: first time and after. Start the
// built app with demo data first; ADDRESS says where it answers.
import { chromiumPath } from '../scripts/chromium.mjs'
import { chromium } from '@playwright/test'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { root } from '../scripts/prepare.mjs'

const address = process.env.ADDRESS ?? 'http://127.0.0.1:4170'
const script = readdirSync(join(root, 'dist/assets')).find((f) => /^weighing\.worker-.*\.js$/.test(f))
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-gpu'],
})
const page = await browser.newPage()
await page.goto(`${address}/rounds`)
const times = await page.evaluate(async (script) => {
  const worker = new Worker(`/assets/${script}`, { type: 'module' })
  // The messages of Comlink 4: a call by its path, answered under the same id.
  const call = (path, value) =>
    new Promise((resolve) => {
      const id = crypto.randomUUID()
      worker.addEventListener('message', function heard(e) {
        if (e.data?.id !== id) return
        worker.removeEventListener('message', heard)
        resolve(e.data.value)
      })
      worker.postMessage({ id, type: 'APPLY', path: [path], argumentList: [{ type: 'RAW', value }] })
    })
  const rounds = await (await fetch('/api/rounds')).json()
  const full = rounds.filter((r) => r.stops === 30 && r.stopsDone === 30)[0]
  const round = await (await fetch(`/api/rounds/${full.id}`)).json()
  await call('open', await (await fetch('/api/plants')).json())
  const out = []
  for (let i = 0; i < 8; i++) {
    const from = performance.now()
    const weighed = await call('weigh', round)
    if (!weighed?.composition) throw new Error('nothing was weighed')
    out.push(performance.now() - from)
  }
  return out
}, script)
console.log(
  `first ${times[0].toFixed(0)} ms, then ${times
    .slice(1)
    .map((t) => t.toFixed(0))
    .join(', ')} ms (limit 400)`,
)
await browser.close()
