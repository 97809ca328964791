import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { flora } from '@/tests/support/book.ts'

const root = 'core/assess'
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.ts'))
/** String literals of a source, comments left out. */
const literals = (file: string): string[] => {
  const source = readFileSync(join(root, file), 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '')
  return [...source.matchAll(/'([^'\\\n]*)'|"([^"\\\n]*)"|`([^`\\]*)`/g)].map((m) => m[1] ?? m[2] ?? m[3] ?? '')
}

/** What a judgement reads are codes: a rule that knew a plant by its name would be silent about the next one. */
describe('no judgement', () => {
  const ids = new Set(flora.plants.map((p) => p.id))
  const names = flora.plants
    .flatMap((p) => [p.commonName.replace(/ \(.*/, ''), p.scientificName])
    .map((n) => n.toLowerCase())

  it.each(files)('%s knows a plant by its id, or reads a name', (file) => {
    const found = literals(file).filter((s) => ids.has(s) || names.includes(s.toLowerCase()))
    expect(found).toEqual([])
  })

  it('the search finds one where there is one', () => {
    expect(ids.has('tall-fescue')).toBe(true)
    expect(literals('feed/feedStates.ts')).toContain('cured')
    expect(files.length).toBeGreaterThan(40)
  })
})
