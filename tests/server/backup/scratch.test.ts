import { spawnSync } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { clearScratch, scratchFolder } from '@/server/backup/scratch.ts'

it('what a killed process left half made goes; what a living one has stays', () => {
  const { pid: dead } = spawnSync(process.execPath, ['-e', ''])
  const left = mkdtempSync(join(tmpdir(), `fold-sprig-scratch-${dead}-`))
  writeFileSync(join(left, 'photo.ndjson'), '{}')
  const ours = scratchFolder()
  const others = mkdtempSync(join(tmpdir(), `fold-sprig-scratch-${process.ppid}-`))
  clearScratch()
  expect([left, ours, others].map((f) => existsSync(f))).toEqual([false, true, true])
  for (const folder of [ours, others]) rmSync(folder, { recursive: true })
})
