// Sheets of plants built in space: `npm run plates -- ID ...` shows those plants with their names, `--blind 24` shows so many
// without, six names under each, the key in a file of its own. `--form grass` takes one form, `--seed 3` other specimens.
import { chromium } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { build } from 'vite'
import { chromiumPath, installChromium } from './chromium.mjs'
import { installPackages, root } from './prepare.mjs'

const { values, positionals } = parseArgs({
  args: process.argv.slice(2),
  allowPositionals: true,
  options: {
    blind: { type: 'string' },
    form: { type: 'string' },
    seed: { type: 'string', default: '1' },
    side: { type: 'string', default: '300' },
  },
})
installPackages()
if (!installChromium()) process.exit(1)
const out = join(root, 'reports/plates')
mkdirSync(out, { recursive: true })
const side = Number(values.side)
let state = Number(values.seed) * 7919 + 17
/** Chance that is the same for the same seed. */
const chance = () => (state = (state * 48271) % 2147483647) / 2147483647
const shuffled = (list) =>
  list
    .map((x) => [chance(), x])
    .sort((a, b) => a[0] - b[0])
    .map(([, x]) => x)

const flora = JSON.parse(
  execFileSync(process.execPath, ['--import', 'tsx', 'scripts/printFlora.ts'], { cwd: root, maxBuffer: 2 ** 28 }),
)
const ofForm = flora.filter((p) => !values.form || p.form === values.form)
const byId = new Map(flora.map((p) => [p.id, p]))
const shown = values.blind
  ? shuffled(ofForm).slice(0, Number(values.blind))
  : positionals.map((id) => byId.get(id)).filter(Boolean)
if (shown.length === 0)
  throw new Error('Which plants? npm run plates -- perennial-ryegrass white-clover, or --blind 24')

/** Five that it is taken for, else others of its form, and itself. */
function names(plant) {
  const kin = plant.lookalikes.map((l) => byId.get(l.plant)).filter(Boolean)
  const others = shuffled(flora.filter((p) => p.form === plant.form && p !== plant && !kin.includes(p)))
  return shuffled([plant, ...[...kin, ...others].slice(0, 5)]).map((p) => p.commonName)
}

await build({ root, configFile: false, logLevel: 'error', resolve: { tsconfigPaths: true, alias: { '@': root } }, build: { outDir: out, emptyOutDir: false, lib: { entry: join(root, 'scripts/platesEntry.ts'), formats: ['iife'], name: 'plates', fileName: () => 'plates.js' } } }) // prettier-ignore
const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'] }) // prettier-ignore
try {
  const page = await browser.newPage()
  await page.addScriptTag({ content: readFileSync(join(out, 'plates.js'), 'utf8') })
  const cells = []
  for (const [i, plant] of shown.entries()) {
    const picture = await page.evaluate(
      ([p, seed, s]) => globalThis.plate(p, 'vegetative', seed, s),
      [plant, chance(), side],
    )
    const under = values.blind ? names(plant).map((n, k) => `${k + 1} ${n}`).join('<br>') : plant.commonName // prettier-ignore
    cells.push(`<div><b>${i + 1}</b><img src="${picture}" width="${side}" height="${side}"><p>${under}</p></div>`)
  }
  const columns = Math.min(6, shown.length)
  const sheet = await browser.newPage({ viewport: { width: columns * (side + 16), height: 200 } })
  await sheet.setContent(`<style>body{margin:8px;display:grid;grid-template-columns:repeat(${columns},${side}px);gap:8px;font:13px sans-serif;background:#f4f4ee}p{margin:2px 8px}</style>${cells.join('')}`) // prettier-ignore
  await sheet.waitForTimeout(300)
  const name = values.blind ? `blind-${values.form ?? 'all'}-${values.seed}` : 'plates'
  await sheet.screenshot({ path: join(out, `${name}.png`), fullPage: true })
  if (values.blind)
    writeFileSync(
      join(out, `${name}.key.json`),
      JSON.stringify(
        shown.map((p) => p.commonName),
        null,
        2,
      ),
    )
  console.log(`reports/plates/${name}.png${values.blind ? `, its key in ${name}.key.json` : ''}`)
} finally {
  await browser.close()
}
