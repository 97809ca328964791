// How long practice and the daybook keep a person waiting, in a real browser: a specimen, a frame of sward of some 4,000
// leaves, and the history of one paddock among many. Start the built app with demo data; ADDRESS says where it answers.
import { chromiumPath } from '../scripts/chromium.mjs'
import { chromium } from '@playwright/test'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { root } from '../scripts/prepare.mjs'

const address = process.env.ADDRESS ?? 'http://127.0.0.1:4170'
const script = readdirSync(join(root, 'dist/assets')).find((f) => /^practice\.worker-.*\.js$/.test(f))
const browser = await chromium.launch({
  executablePath: chromiumPath(),
  args: ['--no-sandbox', '--disable-gpu'],
})
const page = await browser.newPage()
await page.goto(`${address}/practice`)
const worked = await page.evaluate(async (script) => {
  const worker = new Worker(`/assets/${script}`, { type: 'module' })
  // The messages of Comlink 4: a call by its path, answered under the same id.
  const call = (path, ...values) =>
    new Promise((resolve) => {
      const id = crypto.randomUUID()
      worker.addEventListener('message', function heard(e) {
        if (e.data?.id !== id) return
        worker.removeEventListener('message', heard)
        resolve(e.data.value)
      })
      worker.postMessage({
        id,
        type: 'APPLY',
        path: [path],
        argumentList: values.map((value) => ({ type: 'RAW', value })),
      })
    })
  const [characters, plants, groups, hazards] = await Promise.all(
    ['characters', 'plants', 'groups', 'hazards'].map(async (f) => (await fetch(`/api/${f}`)).json()),
  )
  await call('open', { characters, plants, groups, hazards })
  const timed = async (work) => {
    const out = []
    for (let i = 0; i < 5; i++) {
      const from = performance.now()
      const made = await work(i)
      out.push({ ms: performance.now() - from, made })
    }
    return out
  }
  const frame = await timed((i) =>
    call(
      'frame',
      [
        { kind: 'blade', cover: 0.62, clumped: 0.2 },
        { kind: 'trefoil', cover: 0.2, clumped: 0.5 },
        { kind: 'rosette', cover: 0.06, clumped: 0.3 },
      ],
      700,
      (i + 0.5) / 5,
    ),
  )
  const question = await timed((i) =>
    call('ask', 'name', ['timothy', 'dandelion', 'white-clover'][i % 3], 'vegetative', i / 5),
  )
  return {
    frame: frame.map((f) => `${f.ms.toFixed(0)} ms (${f.made.leaves} leaves)`),
    question: question.map((q) => `${q.ms.toFixed(0)} ms`),
  }
}, script)
console.log(`frame of sward: ${worked.frame.join(', ')} (limit 250)`)
console.log(`a question made: ${worked.question.join(', ')}`)

// From the press of Enter to the next specimen on the screen.
await page.getByRole('button', { name: /^Name it/ }).click()
const waits = []
for (let i = 0; i < 6; i++) {
  await page.getByRole('img', { name: 'The specimen' }).waitFor()
  await page.keyboard.press('1')
  await page.keyboard.press('a')
  await page.getByTestId('outcome').waitFor()
  waits.push(
    await page.evaluate(
      () =>
        new Promise((resolve) => {
          const from = performance.now()
          const before = document.querySelector('svg.portrait')
          const look = () => {
            const now = document.querySelector('svg.portrait')
            if (now && now !== before) resolve(performance.now() - from)
            else requestAnimationFrame(look)
          }
          window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
          requestAnimationFrame(look)
        }),
    ),
  )
}
console.log(`next specimen on the screen: ${waits.map((w) => `${w.toFixed(0)} ms`).join(', ')} (limit 100)`)

// The daybook of as many counts as there are in this data folder.
const opens = []
for (let i = 0; i < 5; i++) {
  const from = performance.now()
  await page.goto(`${address}/daybook`)
  await page.getByRole('img', { name: /Shares year on year/ }).waitFor()
  opens.push(performance.now() - from)
}
const counts = (await (await fetch(`${address}/api/rounds`)).json()).length
console.log(`daybook of ${counts} rounds, from a cold page: ${opens.map((w) => `${w.toFixed(0)} ms`).join(', ')}`)
await browser.close()
