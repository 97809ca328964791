import { describe, expect, it } from 'vitest'
import { cellAt, type Cell, type Character, type Plant } from '@/core/naming/flora.ts'
import { stateShares } from '@/core/naming/frequency.ts'
import { loadFlora } from '@/server/flora/loadFlora.ts'
import { keptDoubts, secondReading } from '../../reference/secondReading.ts'

// The files against a coding of the same plants made from the manuals without sight of the files (each line names its book).
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

function disagreements(plant: Plant): string[] {
  return readLine(secondReading[plant.id]!).facts.flatMap(([id, said]) => {
    const cell = cellAt(plant, id, 'vegetative')
    return cell && agreement(cell, characters.get(id)!, said) >= LEAST_SHARE ? [] : [`${plant.id} ${id}`]
  })
}

describe('second reading of the flora', () => {
  it('covers every plant and says from which book', () => {
    expect(Object.keys(secondReading).sort()).toEqual(flora.plants.map((p) => p.id).sort())
    for (const line of Object.values(secondReading)) expect(readLine(line).source).toMatch(/^(H|HB|S|U|F|B|K|L|P)$/)
  })

  it('uses only characters and states of the book', () => {
    for (const line of Object.values(secondReading))
      for (const [id, said] of readLine(line).facts) {
        const states = characters.get(id)?.states
        if (states) expect(states).toEqual(expect.arrayContaining(said.split('|')))
        else expect(said).toMatch(/^[\d.]+-[\d.]+$/)
      }
  })

  it.each(flora.plants.map((p) => [p.id, p] as const))(
    '%s is coded as the manuals have it, but for the doubts kept',
    (id, plant) => {
      expect(disagreements(plant)).toEqual(keptDoubts.filter((d) => d.startsWith(`${id} `)))
    },
  )
})
