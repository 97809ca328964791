import { cpSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, expect, it } from 'vitest'
import { floraFolder, readFlora } from '@/server/flora/loadFlora.ts'

const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-flora-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

it('a poison whose file was lost or misnamed does not leave the book in silence; a plant that is on no list may come in', () => {
  cpSync(floraFolder, folder, { recursive: true })
  expect(readFlora(folder).flora.plants.map((p) => p.id)).toContain('silverweed')
  renameSync(join(folder, 'plants/halogeton.yaml'), join(folder, 'plants/halogeton.yml'))
  const { problems } = readFlora(folder)
  expect(problems).toContainEqual(
    expect.objectContaining({ file: 'taxa.csv', message: '"halogeton" has no file plants/halogeton.yaml' }),
  )
})
