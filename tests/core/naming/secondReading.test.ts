import { describe, expect, it } from 'vitest'
import { cellAt, type Cell, type Character, type Plant } from '@/core/flora/flora.ts'
import { stateShares } from '@/core/flora/frequency.ts'
import { loadFlora } from '@/server/flora/loadFlora.ts'
import { keptDoubts, secondReading } from '../../reference/secondReading.ts'
import { keptDoubtsOfThird, leftOut, thirdReading } from '../../reference/thirdReading.ts'

// The files against two codings of the same plants made from the manuals without sight of the files (each line names its book).
const flora = loadFlora()
const characters = new Map(flora.characters.map((c) => [c.id, c]))

/** Least share of plants that the file gives to the states the manual has, or of the size range that is common to both. */
const LEAST_SHARE = 0.6

function readLine(line: string): { facts: [id: string, said: string][]; source: string } {
  const parts = line.split(';').map((p) => p.trim())
  return { facts: parts.slice(0, -1).map((p) => p.split(/\s+/) as [string, string]), source: parts.at(-1)! }
}

/** How far the file agrees: share of plants with one of the states, or share of the shorter size range that is common to both. */
function agreement(cell: Cell, character: Character, said: string): number {
  if (cell.kind === 'states') {
    const shares = stateShares(cell, character.states!)
    return said.split('|').reduce((sum, state) => sum + shares[character.states!.indexOf(state)]!, 0)
  }
  const [low, high] = said.split('-').map(Number) as [number, number]
  const [from, to] = cell.typical
  return (Math.min(high, to) - Math.max(low, from)) / Math.min(high - low, to - from)
}

const readings = [
  { name: 'second reading', lines: secondReading, known: keptDoubts },
  { name: 'third reading', lines: thirdReading, known: [...keptDoubtsOfThird, ...leftOut] },
]

function disagreements(plant: Plant, lines: Record<string, string>): string[] {
  return readLine(lines[plant.id]!).facts.flatMap(([id, said]) => {
    const cell = cellAt(plant, id, 'vegetative')
    return cell && agreement(cell, characters.get(id)!, said) >= LEAST_SHARE ? [] : [`${plant.id} ${id}`]
  })
}

describe.each(readings)('$name of the flora', ({ lines, known }) => {
  it('covers nearly every plant, no other, and says from which book', () => {
    // A plant that is new to the book waits for its readings: they are made by another hand than the file.
    const ids = new Set(flora.plants.map((p) => p.id))
    expect(Object.keys(lines).filter((id) => !ids.has(id))).toEqual([])
    expect(Object.keys(lines).length / ids.size).toBeGreaterThan(0.97)
    for (const line of Object.values(lines)) expect(readLine(line).source).toMatch(/^(H|HB|S|U|F|B|K|L|P)$/)
  })

  it('uses only characters and states of the book, of plants that have them', () => {
    for (const [plant, line] of Object.entries(lines))
      for (const [id, said] of readLine(line).facts) {
        const character = characters.get(id)
        expect(character?.forms, `${plant} ${id}`).toContain(flora.plants.find((p) => p.id === plant)!.form)
        if (character?.states) expect(character.states).toEqual(expect.arrayContaining(said.split('|')))
        else expect(said).toMatch(/^[\d.]+-[\d.]+$/)
      }
  })

  it.each(flora.plants.filter((p) => lines[p.id]).map((p) => [p.id, p] as const))(
    '%s is coded as the manuals have it, but for the doubts kept',
    (id, plant) => {
      expect(disagreements(plant, lines)).toEqual(known.filter((d) => d.startsWith(`${id} `)))
    },
  )

  it('asks each thing of a plant once', () => {
    for (const line of Object.values(lines)) {
      const ids = readLine(line).facts.map(([id]) => id)
      expect(new Set(ids).size).toBe(ids.length)
    }
  })
})

it('the readings look at different cells', () => {
  const cells = (lines: Record<string, string>) =>
    Object.entries(lines).flatMap(([plant, line]) => readLine(line).facts.map(([id]) => `${plant} ${id}`))
  const before = new Set(cells(secondReading))
  expect(cells(thirdReading).filter((c) => before.has(c)).length).toBeLessThan(40)
  expect(before.size + cells(thirdReading).length).toBeGreaterThan(1350)
})
