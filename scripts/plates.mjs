// Pictures of plants built in space. `npm run plates -- ID ...` shows those plants with their names in one sheet, `--blind 24`
// so many without, six names under each, the key in a file of its own (`--form grass` takes one form, `--insets` adds the close
// looks, `--seed 3` other specimens, `--gesture head` what a gesture shows). `--all` makes the pictures of the book anew whose plant has changed (`--all ID ...` of those
// alone), `--all --again` every one.
import { chromium } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
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
    stage: { type: 'string', default: 'vegetative' },
    insets: { type: 'boolean' },
    gesture: { type: 'string' },
    all: { type: 'boolean' },
    again: { type: 'boolean' },
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
if (shown.length === 0 && !values.all)
  throw new Error('Which plants? npm run plates -- perennial-ryegrass white-clover, or --blind 24')

/** Five that it is taken for, else others of its form, and itself. */
function names(plant) {
  const kin = plant.lookalikes.map((l) => byId.get(l.plant)).filter(Boolean)
  const others = shuffled(flora.filter((p) => p.form === plant.form && p !== plant && !kin.includes(p)))
  return shuffled([plant, ...[...kin, ...others].slice(0, 5)]).map((p) => p.commonName)
}

await build({ root, configFile: false, logLevel: 'error', resolve: { tsconfigPaths: true, alias: { '@': root } }, publicDir: false, build: { outDir: out, emptyOutDir: false, lib: { entry: join(root, 'scripts/platesEntry.ts'), formats: ['iife'], name: 'plates', fileName: () => 'plates.js' } } }) // prettier-ignore
const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader', '--ignore-gpu-blocklist'] }) // prettier-ignore
const newPage = async () => {
  const page = await browser.newPage()
  await page.addScriptTag({ content: readFileSync(join(out, 'plates.js'), 'utf8') })
  return page
}

/** One sheet of the plants that were asked for. */
async function sheet() {
  const page = await newPage()
  const cells = []
  for (const [i, plant] of shown.entries()) {
    const [picture] = await page.evaluate(
      ([p, stage, seed, s, gesture]) =>
        gesture ? [globalThis.closeUp(p, stage, gesture, seed, s)] : globalThis.plates(p, stage, seed, [[s, 200]]),
      [plant, values.stage, chance(), side, values.gesture],
    )
    const close = values.insets ? await page.evaluate(([p, stage, s]) => globalThis.insets(p, stage, s), [plant, values.stage, side / 3.2]) : '' // prettier-ignore
    const under = values.blind ? names(plant).map((n, k) => `${k + 1} ${n}`).join('<br>') : plant.commonName // prettier-ignore
    cells.push(`<div><b>${i + 1}</b><img src="${picture}" width="${side}" height="${side}">${close ? `<p>${close}</p>` : ''}<p>${under}</p></div>`) // prettier-ignore
  }
  const columns = Math.min(6, shown.length)
  const whole = await browser.newPage({ viewport: { width: columns * (side + 16), height: 200 } })
  await whole.setContent(`<style>body{margin:8px;display:grid;grid-template-columns:repeat(${columns},${side}px);gap:8px;font:13px sans-serif;background:#f4f4ee}p{margin:2px 8px}</style>${cells.join('')}`) // prettier-ignore
  await whole.waitForTimeout(300)
  const name = values.blind ? `blind-${values.form ?? 'all'}-${values.seed}` : 'plates'
  await whole.screenshot({ path: join(out, `${name}.png`), fullPage: true })
  if (values.blind) writeFileSync(join(out, `${name}.key.json`), JSON.stringify(shown.map((p) => p.commonName), null, 2)) // prettier-ignore
  console.log(`reports/plates/${name}.png${values.blind ? `, its key in ${name}.key.json` : ''}`)
}

/** The pictures of the book: those whose plant is not as it was when they were made. */
async function book() {
  const folder = join(root, 'public/plates')
  mkdirSync(folder, { recursive: true })
  const list = join(root, 'flora/plates.json')
  const before = !values.again && existsSync(list) ? JSON.parse(readFileSync(list, 'utf8')) : {}
  const now = positionals.length > 0 ? structuredClone(before) : {}
  // Named plants alone, or all of them.
  const asked = positionals.length > 0 ? positionals.map((id) => byId.get(id)).filter(Boolean) : flora
  const work = asked.flatMap((plant) => ['vegetative', ...Object.keys(plant.stages)].map((stage) => ({ plant, stage })))
  const total = work.length
  let made = 0
  const one = async () => {
    const page = await newPage()
    for (let next = work.pop(); next; next = work.pop()) {
      const { plant, stage } = next
      const print = await page.evaluate(([p, s]) => globalThis.printOf(p, s), [plant, stage])
      const name = `${plant.id}-${stage}.${print}`
      ;(now[plant.id] ??= {})[stage] = print
      if (before[plant.id]?.[stage] === print) continue
      const large = stage === 'vegetative'
      const sides = large ? [[1200, 120], [360, 16]] : [[360, 16]] // prettier-ignore
      const pictures = await page.evaluate(
        ([p, s, of]) => globalThis.plates(p, s, globalThis.plateSeed(p.id), of),
        [plant, stage, sides],
      )
      for (const [i, [pixels]] of sides.entries())
        writeFileSync(join(folder, `${name}.${pixels}.webp`), Buffer.from(pictures[i].split(',')[1], 'base64'))
      if (++made % 25 === 0) console.log(`${made} made, ${work.length} of ${total} to go`)
    }
  }
  await Promise.all([one(), one()])
  const ordered = Object.fromEntries(Object.keys(now).sort().map((id) => [id, Object.fromEntries(Object.keys(now[id]).sort().map((s) => [s, now[id][s]]))])) // prettier-ignore
  writeFileSync(list, `${JSON.stringify(ordered, null, 2)}\n`)
  const page = await newPage()
  const kinds = { name: ['orchardgrass'], poison: ['tansy-ragwort'], check: ['perennial-ryegrass', 'annual-ryegrass'], read: ['white-clover'], seed: ['red-clover'], key: ['stinging-nettle'], cover: [], rank: [] } // prettier-ignore
  for (const [kind, ids] of Object.entries(kinds)) {
    const picture = await page.evaluate(([k, p, s]) => globalThis.kindPicture(k, p, s), [kind, ids.map((id) => byId.get(id)), 200]) // prettier-ignore
    writeFileSync(join(folder, `practice-${kind}.webp`), Buffer.from(picture.split(',')[1], 'base64'))
  }
  const wanted = new Set(
    Object.entries(ordered).flatMap(([id, stages]) =>
      Object.entries(stages).map(([stage, print]) => `${id}-${stage}.${print}`),
    ),
  )
  for (const file of readdirSync(folder))
    if (!file.startsWith('practice-') && !wanted.has(file.replace(/\.\d+\.webp$/, ''))) rmSync(join(folder, file))
  console.log(`${made} pictures made, ${total - made} as they were`)
}

try {
  await (values.all ? book() : sheet())
} finally {
  await browser.close()
}
