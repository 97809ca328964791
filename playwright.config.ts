// @ts-expect-error: plain script, shared with those that run before anything is installed
import { chromiumPath } from './scripts/chromium.mjs'
import { defineConfig } from '@playwright/test'
import { rmSync } from 'node:fs'

// Each run begins with an empty data folder; the workers read this file too and must leave it alone.
if (!process.env.TEST_WORKER_INDEX) rmSync('reports/e2e-data', { recursive: true, force: true })

const port = Number(process.env.E2E_PORT ?? 4171)

export default defineConfig({
  testDir: 'e2e',
  // A file is one worker's: what its tests change they change in turn. Files that change the book or stop a server have their own.
  // One more than there are cores: much of a journey is a person's pause.
  workers: 3,
  timeout: 240_000,
  // Three browsers and their servers on two cores, which may be slow ones: a page may take its time, and once, beside a build, half a minute.
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: 'reports/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: chromiumPath() as string,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        // Nothing in three dimensions by software: it is slow; journeys of it have a browser of their own.
        '--disable-software-rasterizer',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-dev-shm-usage',
      ],
    },
  },
  webServer: {
    command: 'node e2e/serve.mjs',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port), DATA_DIR: 'reports/e2e-data' },
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
