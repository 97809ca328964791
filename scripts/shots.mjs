// Retakes the kept screenshots from demo data, in a data folder of its own. Names of shots may be given to take only those.
import { chromiumPath } from './chromium.mjs'
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build, installPackages, root } from './prepare.mjs'
import { answers, carrot, count, fescue } from './shotSteps.mjs'

const wanted = process.argv.slice(2).filter((a) => !a.startsWith('--'))
const out = process.env.SHOTS_DIR ?? join(root, 'docs/screenshots')
const port = 4179
const address = `http://127.0.0.1:${port}`

installPackages()
build()
mkdirSync(out, { recursive: true })
const folders = []
const newFolder = () => {
  folders.push(mkdtempSync(join(tmpdir(), 'fold-sprig-shots-')))
  return folders.at(-1)
}
const servers = []

/** A server on a folder of its own, when it answers. */
async function start(at, env) {
  const server = spawn(process.execPath, ['dist-server/main.js'], {
    cwd: root,
    env: { ...process.env, PORT: String(at), ...env },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  servers.push(server)
  for (let i = 0; i < 300; i++) {
    const answers = await fetch(`http://127.0.0.1:${at}/api/health`).then(
      (r) => r.ok,
      () => false,
    )
    if (answers) return
    await new Promise((r) => setTimeout(r, 100))
  }
  throw new Error('the server did not start')
}

const desktop = { width: 1280, height: 800 }
const phone = { width: 390, height: 844 }
const idOf = async (title) => (await (await fetch(`${address}/api/rounds`)).json()).find((r) => r.title === title).id

async function planIn(page, paddock, method) {
  await page.goto(`${address}/plan`)
  const places = page.getByLabel('Paddock', { exact: true })
  await places.selectOption({ label: await places.locator('option', { hasText: paddock }).textContent() })
  await page.getByLabel('Method').selectOption({ label: method })
}

/** A chapter of a counted round. */
async function chapter(page, name) {
  await page.goto(`${address}/rounds/${await idOf('Harm walk and count')}/weigh-up/${name}`)
  await page.getByRole('link', { name: /^Made of/ }).waitFor()
  await page.waitForTimeout(800)
}

const shots = {
  rounds: { size: desktop, go: (p) => p.goto(`${address}/rounds`) },
  place: {
    size: desktop,
    full: true,
    go: async (p) => {
      await p.goto(`${address}/rounds`)
      await p.getByText('Places', { exact: true }).last().click()
      await p.getByRole('link', { name: /Pond Paddock/ }).click()
      await p.getByTestId('area').waitFor()
    },
  },
  plan: {
    size: desktop,
    full: true,
    go: async (p) => {
      await planIn(p, 'Pond Paddock', 'Step points, first hit')
      await p.getByLabel('Route').selectOption('random')
      await p.getByText('The arithmetic').click()
    },
  },
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
  'say-it-phone': {
    size: phone,
    go: async (p) => {
      await p.goto(`${address}/bench`)
      await p.getByRole('button', { name: /^Say it/ }).click()
      await p.getByRole('textbox', { name: /^Say it/ }).fill('Flat stems, folded, blue-green, ligule maybe a quarter inch and ragged, no claws.') // prettier-ignore
      await p.getByRole('list', { name: 'Understood' }).waitFor()
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
    go: (p) => chapter(p, 'made-of'),
  },
  harm: { size: desktop, full: true, go: (p) => chapter(p, 'harm') },
  worth: { size: desktop, go: (p) => chapter(p, 'worth') },
  do: { size: desktop, go: (p) => chapter(p, 'do') },
  compare: {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/compare?plants=tansy-ragwort,common-groundsel,dandelion`)
      await p.getByRole('rowheader').first().waitFor()
    },
  },
  'hand-over': {
    size: desktop,
    full: true,
    go: async (p) => {
      await p.goto(`${address}/rounds/${await idOf('Harm walk and count')}/hand-over`)
      await p.getByTestId('opening').waitFor()
    },
  },
  'plant-book': { size: desktop, go: (p) => p.goto(`${address}/plants`) },
  plant: { size: desktop, full: true, go: (p) => p.goto(`${address}/plants/poison-hemlock`) },
  practice: {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/practice`)
      await p.getByRole('button', { name: /^Name it/ }).click()
      await p.getByRole('application', { name: /^The specimen/ }).waitFor()
      await p.getByText('Stands in the light').waitFor()
      await p.waitForTimeout(1500)
    },
  },
  daybook: {
    size: desktop,
    go: async (p) => {
      await p.goto(`${address}/daybook`)
      await p.getByRole('img', { name: /Shares year on year/ }).waitFor()
    },
  },
}

try {
  await start(port, { DATA_DIR: newFolder() })
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  })
  for (const [name, shot] of Object.entries(shots)) {
    if (wanted.length > 0 && !wanted.includes(name)) continue
    // A phone has fingers alone: it names no keys.
    const touch = shot.size === phone ? { hasTouch: true, isMobile: true } : {}
    const context = await browser.newContext({
      viewport: shot.size,
      locale: 'en-GB',
      serviceWorkers: 'block',
      ...touch,
    })
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
  for (const server of servers) {
    server.kill('SIGTERM')
    await new Promise((r) => server.once('exit', r))
  }
  for (const folder of folders) rmSync(folder, { recursive: true, force: true })
}
