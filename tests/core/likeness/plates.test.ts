import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import type { Stage } from '@/core/flora/flora.ts'
import { fingerprint, plateSeed } from '@/core/likeness/fingerprint.ts'
import { plantSpecimen } from '@/core/likeness/specimenOf.ts'
import { flora } from '@/tests/support/book.ts'

const folder = 'public/plates'
const files = new Map(readdirSync(folder).map((f) => [f, statSync(join(folder, f)).size]))
const all = flora.plants.flatMap((plant) =>
  (['vegetative', ...Object.keys(plant.stages)] as Stage[]).map((stage) => ({ plant, stage })),
)
const KILOBYTE = 1024

describe('pictures of the book', () => {
  it('nearly every plant has some; one that has some has one at each of its stages, and a larger one as it mostly stands', () => {
    // A plant that is new to the book is drawn in ink until its pictures are made: npm run plates -- --all ID.
    const pictured = all.filter(({ plant }) => plant.plates)
    expect(pictured.length / all.length).toBeGreaterThan(0.97)
    const missing = pictured.flatMap(({ plant, stage }) => {
      const name = `${plant.id}-${stage}.${plant.plates?.[stage] ?? 'none'}`
      const wanted = stage === 'vegetative' ? [360, 1200] : [360]
      return wanted.map((side) => `${name}.${side}.webp`).filter((f) => !files.has(f))
    })
    expect(missing).toEqual([])
  })

  it('none is larger than a phone would fetch in a paddock, nor the whole set too large to keep', () => {
    const large = [...files].filter(([f, size]) => size > (f.endsWith('.1200.webp') ? 120 : 16) * KILOBYTE)
    expect(large).toEqual([])
    expect([...files.values()].reduce((a, b) => a + b, 0)).toBeLessThan(60 * KILOBYTE ** 2)
  })

  it('no file is left of a plant as it was', () => {
    const named = new Set(all.map(({ plant, stage }) => `${plant.id}-${stage}.${plant.plates?.[stage]}`))
    const left = [...files.keys()].filter(
      (f) => !f.startsWith('practice-') && !named.has(f.replace(/\.\d+\.webp$/, '')),
    )
    expect(left).toEqual([])
  })

  // All of them takes half a minute: `npm run plates -- --all` looks at each and makes the stale ones anew.
  it('a spread of them shows the plants as they are built now; make the stale ones with npm run plates -- --all', () => {
    const stale = all
      .filter(({ plant }) => plant.plates)
      .filter((_, i) => i % 17 === 3)
      .filter(({ plant, stage }) => {
        const now = fingerprint(plantSpecimen(plant, stage, randomLcg(plateSeed(plant.id))))
        return now !== plant.plates?.[stage]
      })
    expect(stale.map(({ plant, stage }) => `${plant.id} ${stage}`)).toEqual([])
  })
})
