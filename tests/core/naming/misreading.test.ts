import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { loadFlora } from '@/server/flora/loadFlora.ts'
import { frequencyWords, type Cell } from '@/core/flora/flora.ts'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { eyeNote } from '@/core/naming/eyeNote.ts'
import { nearShare } from '@/core/naming/observerError.ts'
import { perturbBook, statesNear } from '@/core/naming/perturbBook.ts'
import { slipped } from '@/core/naming/slip.ts'
import { codedStages } from '@/core/naming/simulateCells.ts'
import type { Observation } from '@/core/records/observation.ts'
import { flora, plantsById } from '@/tests/support/book.ts'

// What the simulations do to an answer and to the book before they judge by it: a slip that is none, or a book that is the same,
// would make every figure of docs/simulation-naming.md too good.

const compiled = compileFlora(flora)
const tableOf = (id: string) => compiled.tablesAt('vegetative')[compiled.characterIndex.get(id)!]!
const character = (id: string) => flora.characters.find((c) => c.id === id)!

describe('a slip of the eye', () => {
  const random = randomLcg(0.31)
  const many = <T>(make: () => T): T[] => Array.from({ length: 300 }, make)

  it('is always another state, one that the character has, and mostly one that is taken for it', () => {
    const o: Observation = { character: 'ligule.type', states: ['membrane'] }
    const said = many(() => slipped(o, tableOf('ligule.type'), 'vegetative', random)) as { states: string[] }[]
    const states = said.map((s) => s.states[0]!)
    expect(states.every((s) => s !== 'membrane' && character('ligule.type').states!.includes(s))).toBe(true)
    const near = states.filter((s) => nearShare(character('ligule.type'), 'membrane', s, 'vegetative') > 0)
    expect(near.length).toBeGreaterThan(0.3 * states.length)
    // And now and then a wild one.
    expect(new Set(states).size).toBeGreaterThan(1)
  })

  it('of a size is another size, within what can be measured at all', () => {
    const { range } = character('blade.width')
    const read =
      many(() => slipped({ character: 'blade.width', value: 4 }, tableOf('blade.width'), 'vegetative', random)) // prettier-ignore
        .map((o) => (o as { value: number }).value)
    expect(read.filter((v) => v === 4)).toEqual([])
    expect(Math.min(...read)).toBeGreaterThanOrEqual(range![0])
    expect(Math.max(...read)).toBeLessThanOrEqual(range![1])
    // Half the time it is 1.6 times too much or too little.
    const by = read.filter((v) => Math.abs(v - 6.4) < 1e-9 || Math.abs(v - 2.5) < 1e-9)
    expect(by.length / read.length).toBeGreaterThan(0.35)
    expect(by.length / read.length).toBeLessThan(0.65)
  })

  it('among several plants falls on one of them: as many are told of as before', () => {
    const counts = { membrane: 3, absent: 1 }
    for (const o of many(() =>
      slipped({ character: 'ligule.type', counts }, tableOf('ligule.type'), 'vegetative', random),
    )) {
      // prettier-ignore
      const after = (o as { counts: Record<string, number> }).counts
      expect(Object.values(after).reduce((a, b) => a + b, 0)).toBe(4)
      expect(after).not.toEqual(counts)
      expect(Object.values(after).every((n) => n > 0)).toBe(true)
    }
    const sizes = slipped({ character: 'blade.width', values: [4, 5, 6] }, tableOf('blade.width'), 'vegetative', random)
    expect((sizes as { values: number[] }).values.slice(1)).toEqual([5, 6])
    expect((sizes as { values: number[] }).values[0]).not.toBe(4)
  })

  it('leaves what was not seen as it is: cannot tell is no state to slip from', () => {
    const o: Observation = { character: 'ligule.type', states: ['cant-tell'] }
    expect(slipped(o, tableOf('ligule.type'), 'vegetative', random)).toEqual(o)
  })
})

describe('the book as another hand might have written it', () => {
  const other = perturbBook(flora, randomLcg(0.73))
  const cellsOf = (f: typeof flora): [string, Cell][] =>
    f.plants.flatMap((p) => Object.entries(p.characters).map(([id, c]) => [`${p.id} ${id}`, c] as [string, Cell]))
  const before = new Map(cellsOf(flora))
  const after = new Map(cellsOf(other))

  it('has the same plants, and leaves the book itself as it was', () => {
    expect(other.plants.map((p) => p.id)).toEqual(flora.plants.map((p) => p.id))
    expect(loadFlora()).toEqual(flora)
  })

  it('lacks about one cell in twenty-four, and adds none', () => {
    const gone = [...before.keys()].filter((k) => !after.has(k)).length
    expect(gone / before.size).toBeGreaterThan(0.03)
    expect(gone / before.size).toBeLessThan(0.055)
    expect([...after.keys()].filter((k) => !before.has(k))).toEqual([])
  })

  it('moves words by one step at most, and never to never', () => {
    let moved = 0
    for (const [key, cell] of after) {
      const was = before.get(key)!
      if (cell.kind !== 'states' || was.kind !== 'states') continue
      for (const [state, word] of Object.entries(cell.words)) {
        const old = was.words[state]
        if (old === undefined) continue
        const step = Math.abs(frequencyWords.indexOf(word) - frequencyWords.indexOf(old))
        expect(step, `${key} ${state}`).toBeLessThanOrEqual(1)
        if (old !== 'never') expect(word, `${key} ${state}`).not.toBe('never')
        moved += step
      }
    }
    expect(moved).toBeGreaterThan(before.size / 3)
  })

  it('scales sizes by up to 1.3 either way, in order and within what there is', () => {
    for (const [key, cell] of after) {
      const was = before.get(key)!
      if (cell.kind !== 'range' || was.kind !== 'range') continue
      expect(cell.extreme[0], key).toBeLessThanOrEqual(cell.typical[0])
      expect(cell.typical[0], key).toBeLessThanOrEqual(cell.typical[1])
      expect(cell.typical[1], key).toBeLessThanOrEqual(cell.extreme[1])
      const [low, high] = character(key.split(' ')[1]!).range!
      for (const i of [0, 1] as const) {
        const [mm, old] = [cell.typical[i], was.typical[i]]
        if (mm === low || mm === high || old === 0) continue
        expect(mm / old, key).toBeLessThan(1.31)
        expect(mm / old, key).toBeGreaterThan(1 / 1.31)
      }
    }
  })

  it('is the same for the same seed, and another for another', () => {
    expect(perturbBook(flora, randomLcg(0.73))).toEqual(other)
    expect(perturbBook(flora, randomLcg(0.74))).not.toEqual(other)
  })

  it('a state that is added is the one most like those that are listed', () => {
    const ligule = character('ligule.type')
    const near = statesNear(ligule, ['membrane'])!
    const share = (s: string) => nearShare(ligule, 'membrane', s, 'vegetative')
    for (const s of ligule.states!.filter((x) => x !== 'membrane')) expect(share(near)).toBeGreaterThanOrEqual(share(s))
    expect(statesNear(ligule, ligule.states!)).toBeUndefined()
  })
})

describe('what is said of an answer that does not fit', () => {
  it('a size is read off at another place, a state is taken for one like it, or it was a slip', () => {
    expect(eyeNote(character('blade.width'), [], 'vegetative')).toEqual({ kind: 'size' })
    const every = flora.characters.filter((c) => c.states)
    const notes = every.flatMap((c) => c.states!.map((s) => [c, s, eyeNote(c, [s], 'vegetative')] as const))
    for (const [c, s, note] of notes) {
      if (note.kind !== 'near') continue
      expect(note.said).toBe(s)
      expect(note.is).not.toBe(s)
      expect(nearShare(c, note.is, s, 'vegetative')).toBeGreaterThanOrEqual(0.01)
    }
    // Both happen, or the note says nothing.
    expect(notes.some(([, , n]) => n.kind === 'near')).toBe(true)
    expect(notes.some(([, , n]) => n.kind === 'slip')).toBe(true)
  })

  it('is not a state that was said as well', () => {
    for (const c of flora.characters.filter((x) => x.states)) {
      const note = eyeNote(c, c.states!, 'vegetative')
      expect(note, c.id).toEqual({ kind: 'slip' })
    }
  })
})

describe('stages that are coded apart', () => {
  it('are the grown plant and those of its file, each once', () => {
    for (const plant of flora.plants) {
      const stages = codedStages(plant)
      expect(stages[0]).toBe('vegetative')
      expect(new Set(stages).size).toBe(stages.length)
      for (const s of Object.keys(plant.stages)) expect(stages).toContain(s)
    }
    expect(codedStages(plantsById.get('tansy-ragwort')!)).toContain('seedling')
  })
})
