import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
const port = 4175, address = `http://127.0.0.1:${port}`
const server = spawn(process.execPath, ['dist-server/main.js'], { env: { ...process.env, PORT: String(port), DATA_DIR: mkdtempSync('/tmp/fs-') }, stdio: 'ignore' })
for (let i = 0; i < 100 && !(await fetch(`${address}/api/health`).then((r) => r.ok, () => false)); i++) await new Promise((r) => setTimeout(r, 100))
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  const rounds = await (await fetch(`${address}/api/rounds`)).json()
  for (const r of rounds) {
    await page.goto(`${address}/rounds/${r.id}/hand-over`)
    await page.waitForTimeout(1500)
    const t = Date.now()
    await page.pdf({ path: `/tmp/pdf-${r.paddock.replace(/ /g, '-')}.pdf`, preferCSSPageSize: true, format: process.env.FORMAT ?? 'A4' })
    console.log(r.paddock, r.title, Date.now() - t, 'ms')
  }
  const harm = rounds.find((r) => r.title === 'Harm walk and count')
  await page.goto(`${address}/rounds/${harm.id}/weigh-up`)
  await page.waitForTimeout(1500)
  for (const d of await page.locator('details').all()) await d.evaluate((e) => (e.open = true))
  await page.waitForTimeout(500)
  const h = await page.locator('.leaf-right').evaluate((e) => e.scrollHeight)
  await page.setViewportSize({ width: 1280, height: Math.min(6000, h + 100) })
  await page.waitForTimeout(500)
  await page.locator('section[aria-labelledby=harm]').screenshot({ path: '/tmp/wu-harm.png' }); await page.locator('section[aria-labelledby=act]').screenshot({ path: '/tmp/wu-act.png' })
} finally { await browser.close(); server.kill() }
