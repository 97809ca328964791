// Retakes the kept screenshots from demo data, in a data folder of its own. Names of shots may be given to take only those.
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build, installPackages, root } from './prepare.mjs'

const wanted = process.argv.slice(2).filter((a) => !a.startsWith('--'))
const out = process.env.SHOTS_DIR ?? join(root, 'docs/screenshots')
const port = 4179
const address = `http://127.0.0.1:${port}`

installPackages()
build()
mkdirSync(out, { recursive: true })
const dataDir = mkdtempSync(join(tmpdir(), 'fold-sprig-shots-'))
const server = spawn(process.execPath, ['dist-server/main.js'], {
  cwd: root,
  env: { ...process.env, PORT: String(port), DATA_DIR: dataDir },
  stdio: ['ignore', 'ignore', 'inherit'],
})

async function ready() {
  for (let i = 0; i < 300; i++) {
    if (
      await fetch(`${address}/api/health`).then(
        (r) => r.ok,
        () => false,
      )
    )
      return
    await new Promise((r) => setTimeout(r, 100))
  }
  throw new Error('the server did not start')
}

/** Answer the bench by its keys' words, as a reader would by touching the drawings. */
async function answers(page, list) {
  for (const [look, answer] of list) {
    await page.keyboard.press('/')
    await page.getByRole('textbox', { name: 'Find a plant or a character' }).fill(look)
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: answer, exact: false }).first().click()
    await page.waitForTimeout(80)
  }
}

async function count(page, stops, keys) {
  for (let s = 0; s < stops; s++) {
    for (let i = 0; i < 20; i++) await page.keyboard.press(keys[(i * 7 + s * 3) % keys.length])
    await page.keyboard.press('Enter')
  }
}

const carrot = [
  ['Kind of plant', 'broad leaf'],
  ['Leaf outline', 'feathery'],
  ['Smell', 'carroty'],
]
const fescue = [
  ['Kind of plant', 'grass'],
  ['Newest leaf', 'rolled'],
  ['Auricles', 'short blunt'],
  ['Ribs', 'deep ribs'],
  ['Midrib', 'none stands out'],
  ['Base colour', 'purple red'],
]

const desktop = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const idOf = async (title) => (await (await fetch(`${address}/api/rounds`)).json()).find((r) => r.title === title).id

const shots = {
  rounds: { size: desktop, go: (p) => p.goto(`${address}/rounds`) },
  'bench-start': { size: desktop, go: (p) => p.goto(`${address}/bench`) },
  bench: {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('heading', { level: 1 }).waitFor()
      await answers(p, fescue)
    },
  },
  'bench-harm': {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('heading', { level: 1 }).waitFor()
      await answers(p, carrot)
    },
  },
  'bench-phone': {
    size: phone,
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('heading', { level: 1 }).waitFor()
      await answers(p, fescue.slice(0, 2))
    },
  },
  'bench-sun-phone': {
    size: phone,
    mode: 'sun',
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('heading', { level: 1 }).waitFor()
      await answers(p, carrot)
      await p.getByRole('button', { name: /turn to/ }).click()
    },
  },
  count: {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/rounds/${await idOf('Before turnout')}`)
      await p.getByTestId('points').waitFor()
      await count(p, 6, [...'aaaadddfffgshjkb', 'u', 'b'])
      for (const k of 'aadffgbuk') await p.keyboard.press(k)
    },
  },
  'count-phone': {
    size: phone,
    go: async (p) => {
      await p.goto(`${address}/rounds/${await idOf('Before turnout')}`)
      await p.getByTestId('points').waitFor()
    },
  },
  'weigh-up': {
    size: desktop,
    full: true,
    go: async (p) => p.goto(`${address}/rounds/${await idOf('Harm walk and count')}/weigh-up`),
  },
  'weigh-up-dusk': {
    size: desktop,
    mode: 'dusk',
    go: async (p) => p.goto(`${address}/rounds/${await idOf('Hay worth')}/weigh-up`),
  },
  'hand-over': {
    size: desktop,
    full: true,
    go: async (p) => p.goto(`${address}/rounds/${await idOf('Harm walk and count')}/hand-over`),
  },
  'plant-book': { size: desktop, go: (p) => p.goto(`${address}/plants`) },
  plant: { size: desktop, full: true, go: (p) => p.goto(`${address}/plants/poison-hemlock`) },
  'bench-dusk': {
    size: desktop,
    mode: 'dusk',
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('heading', { level: 1 }).waitFor()
      await answers(p, carrot.slice(0, 2))
      await p.getByRole('button', { name: 'Look at the leaf' }).focus()
      await p.keyboard.press('Enter')
      await p.locator('#specimen').scrollIntoViewIfNeeded()
    },
  },
  'specimen-sheet': {
    size: desktop,
    full: true,
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('heading', { level: 1 }).waitFor()
      await answers(p, carrot)
      await p.getByRole('link', { name: 'Print the sheet' }).click()
    },
  },
  compare: {
    size: desktop,
    go: (p) => p.goto(`${address}/compare?plants=tall-fescue,meadow-fescue,perennial-ryegrass`),
  },
  map: {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/plants/map`)
      await p.getByRole('button', { name: 'Broad leaves' }).click()
      await p.getByRole('button', { name: 'Wild carrot' }).click()
    },
  },
  drawings: { size: desktop, go: (p) => p.goto(`${address}/drawings?part=plants`) },
}

try {
  await ready()
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  for (const [name, shot] of Object.entries(shots)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue
    const context = await browser.newContext({ viewport: shot.size, serviceWorkers: 'block' })
    const page = await context.newPage()
    page.on('console', (m) => m.type() === 'error' && console.error(`${name}: ${m.text()}`))
    page.on('pageerror', (e) => console.error(`${name}: ${e.message}`))
    if (shot.mode)
      await page.addInitScript(
        (mode) => localStorage.setItem('fold-sprig-mode', JSON.stringify({ state: { mode }, version: 0 })),
        shot.mode,
      )
    await shot.go(page)
    await page.locator('h1').first().waitFor({ state: 'attached' })
    await page.waitForTimeout(700)
    await page.screenshot({ path: join(out, `${name}.png`), fullPage: shot.full ?? false })
    console.log(name)
    await context.close()
  }
  await browser.close()
} finally {
  server.kill('SIGTERM')
  await new Promise((r) => server.once('exit', r))
  rmSync(dataDir, { recursive: true, force: true })
}
