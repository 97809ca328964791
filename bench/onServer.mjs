// A server on an empty folder with demo data, and a browser in front of it, for as long as something is measured.
import { chromiumPath } from '../scripts/chromium.mjs'
import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export const quantile = (list, q) => [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))] // prettier-ignore

/** Measure with a browser and the address of a server of its own; both end with it. */
export async function onServer(port, measure) {
  const dataDir = mkdtempSync(join(tmpdir(), 'fold-sprig-bench-'))
  const server = spawn(process.execPath, ['dist-server/main.js'], {
    env: { ...process.env, PORT: String(port), DATA_DIR: dataDir },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const address = `http://127.0.0.1:${port}`
  const answers = () => fetch(`${address}/api/health`).then((r) => r.ok, () => false) // prettier-ignore
  for (let i = 0; i < 300 && !(await answers()); i++) await new Promise((r) => setTimeout(r, 100))
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: ['--no-sandbox', '--disable-gpu'] })
  try {
    await measure(browser, address)
  } finally {
    await browser.close()
    server.kill('SIGTERM')
    await new Promise((r) => server.once('exit', r))
    rmSync(dataDir, { recursive: true, force: true })
  }
}

/** A page of a phone's size whose processor is four times slower from when it is asked for. */
export async function slowPhone(browser) {
  const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  const cdp = await page.context().newCDPSession(page)
  return { page, cdp, slow: () => cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 }) }
}
