// How soon after the last letter of a description its words are marked and the verdict under them moves, on a processor
// four times slower.
import { onServer, quantile, slowPhone } from './onServer.mjs'

const PHRASES = [
  'Tufted grass, flat shoot',
  'folded in the bud',
  'no auricles',
  'red at the base',
  'shiny underneath',
  'ridged blade',
  'boat tip',
  'ligule 1 mm',
  'hairy sheath',
  'no, not hairy',
  'in a mown lawn',
  'creeping above ground',
]
const WAIT_MS = 1500

await onServer(4176, async (browser, address) => {
  const { page, slow } = await slowPhone(browser)
  await page.goto(`${address}/bench`)
  await page.getByRole('button', { name: /^Say it/ }).click()
  await page.getByRole('textbox', { name: 'Say it in your own words' }).waitFor()
  await page.waitForTimeout(2000)
  await slow()
  const marked = []
  const led = []
  for (let time = 0; time < 4; time++) {
    let text = ''
    for (const phrase of PHRASES) {
      text += `${text && ', '}${phrase}`
      const took = await page.evaluate(
        async ({ text, wait }) => {
          const line = document.querySelector('#say-it')
          const first = {}
          const shown = (id) => document.querySelector(`[data-testid=${id}]`)?.textContent
          const before = { said: shown('said'), 'said-verdict': shown('said-verdict') }
          const from = performance.now()
          const watch = new MutationObserver(() => {
            for (const id of Object.keys(before)) if (shown(id) !== before[id]) first[id] ??= performance.now() - from
          })
          watch.observe(document.body, { subtree: true, childList: true, characterData: true })
          Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value').set.call(line, text)
          line.dispatchEvent(new Event('input', { bubbles: true }))
          await new Promise((r) => setTimeout(r, wait))
          watch.disconnect()
          return first
        },
        { text, wait: WAIT_MS },
      )
      // The first of a plant opens what later ones find open.
      if (text === PHRASES[0]) continue
      if (took.said) marked.push(took.said)
      if (took['said-verdict']) led.push(took['said-verdict'])
    }
    await page.getByRole('textbox', { name: 'Say it in your own words' }).fill('')
    await page.waitForTimeout(WAIT_MS)
  }
  const words = (list) =>
    `median ${quantile(list, 0.5).toFixed(0)} ms, 90 % ${quantile(list, 0.9).toFixed(0)} ms, of ${list.length}`
  console.log(`4x slower, after the last letter: words marked ${words(marked)}; verdict moved ${words(led)}`)
})
