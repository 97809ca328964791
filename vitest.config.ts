import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: { tsconfigPaths: true },
  test: {
    projects: [
      // The core is pure: its tests share what was loaded, which takes longer than most of them.
      { extends: true, test: { name: 'core', include: ['tests/{core,text,contract}/**/*.test.ts'], isolate: false } },
      { extends: true, test: { name: 'server', include: ['tests/server/**/*.test.ts'], isolate: false } },
      { extends: true, test: { name: 'web', include: ['tests/web/**/*.test.ts'] } },
    ],
    // Some start a database or a process of their own, which a busy machine does slowly; what hangs is still found.
    testTimeout: 120_000,
    hookTimeout: 180_000,
    maxWorkers: 2,
    reporters: ['default', ['json', { outputFile: process.env.TEST_REPORT ?? 'reports/unit.json' }]],
  },
})
