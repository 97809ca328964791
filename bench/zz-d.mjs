import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
const port = 4176, address = `http://127.0.0.1:${port}`
const server = spawn(process.execPath, ['dist-server/main.js'], { env: { ...process.env, PORT: String(port), DATA_DIR: '/tmp/d-data' + Date.now() }, stdio: 'inherit' })
for (let i = 0; i < 200 && !(await fetch(`${address}/api/health`).then((r) => r.ok, () => false)); i++) await new Promise((r) => setTimeout(r, 100))
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
mkdirSync('/tmp/d', { recursive: true })
const places = await (await fetch(`${address}/api/places`)).json()
const long = places.paddocks.find((p) => p.name === 'Long Croft')
const [w, s] = long.boundary.coordinates[0][0]
// a hollow and a gateway
const sq = (e, n, a) => ({ type: 'Polygon', coordinates: [[[0,0],[a,0],[a,a],[0,a],[0,0]].map(([x, y]) => [w + (e + x) / 78000, s + (n + y) / 111320])] })
await fetch(`${address}/api/paddocks/${long.id}`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ ...long, strata: [{ name: 'Alder hollow', kind: 'wet hollow', polygon: sq(60, 30, 50), keptOut: false }, { name: 'Gateway', kind: 'gateway', polygon: sq(0, 0, 25), keptOut: true }] }) })
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
const page = await context.newPage()
page.setDefaultTimeout(8000)
page.on('pageerror', (e) => console.log('PAGEERROR', e.message))
page.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text()))
const shot = async (n, full = false) => { await page.waitForTimeout(600); await page.screenshot({ path: `/tmp/d/${n}.png`, fullPage: full }); console.log(n) }
const want = process.argv.slice(2)
const step = async (n, f, full) => { if (want.length && !want.includes(n)) return; try { await f(); } catch (e) { console.log(n, String(e).slice(0, 400)) } await shot(n, full) }
const plan = async (method, n, route) => { await page.goto(`${address}/plan?paddock=${long.id}`); await page.getByLabel('Method').selectOption({ label: method }); await page.locator('input[type=number]').last().fill(String(n)); if (route) await page.getByLabel('Route').selectOption({ label: route }); }
const lay = async () => { await page.getByRole('button', { name: 'Lay the route' }).first().click(); await page.getByTestId('points').waitFor() }
await step('rounds', () => page.goto(`${address}/rounds`))
await step('plan', () => plan('Step points, first hit', 24, 'random places, spread over the parts'), true)
await step('place', () => page.goto(`${address}/places/${long.id}`))
await step('cover', async () => { await plan('Cover classes in frames', 6); await lay(); for (let i = 0; i < 4; i++) { for (const [k, v] of [['a', 3 + (i % 2)], ['s', 2], ['d', 1 + i % 3]]) { await page.keyboard.press(k); await page.keyboard.press(String(v)) } await page.keyboard.press('Enter') } await page.keyboard.press('a') })
await step('dwr', async () => { await plan('Dry-weight rank', 6); await lay(); for (let i = 0; i < 3; i++) { for (const [k, v] of [['a', 1], ['s', 2], ['d', 3]]) { await page.keyboard.press(k); await page.keyboard.press(String(v)) } await page.keyboard.press('Enter') } })
await step('grid', async () => { await plan('Frequency in a 5 by 5 grid', 6); await lay(); await page.keyboard.press('a'); for (const c of [1, 2, 7, 13, 14]) await page.getByRole('button', { name: `Cell ${c}:` }).click(); await page.keyboard.press('s'); for (const c of [2, 9, 20]) await page.getByRole('button', { name: `Cell ${c}:` }).click(); })
await step('plate', async () => { await plan('Plate meter', 8); await lay(); for (let i = 0; i < 8; i++) { await page.getByLabel('Compressed height', { exact: true }).fill(String(5 + i * 1.5)); if (i % 2 === 0) { await page.getByRole('button', { name: 'Clip this one too' }).click(); await page.getByRole('button', { name: 'Read the scale' }).click(); await page.waitForTimeout(100) } if (i < 7) await page.keyboard.press('Enter'); if (i < 7) await page.getByRole('button', { name: /^Next reading/ }).count() } })
await step('search', async () => { await plan('Search walk for a harmful plant', 6); await lay(); await page.keyboard.press('Enter') })
await browser.close(); server.kill('SIGTERM')
