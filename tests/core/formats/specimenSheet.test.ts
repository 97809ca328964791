import { fileWords } from '@/text/fileWords.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readSheet, writeSheet, type SpecimenSheet } from '@/core/formats/specimenSheet.ts'
import { letterAt, specimensIn } from '@/core/records/specimen.ts'

const sheet: SpecimenSheet = {
  id: '5b0c6f0e-9a8b-4a52-8d3a-0d9f2c8b1a11',
  place: 'Mill Bank',
  note: 'by the stile',
  context: { month: 4, stage: 'vegetative' },
  observations: [
    { character: 'sap', states: ['milky'], sureness: 'likely' },
    { character: 'base.colour', counts: { 'purple-red': 2, 'green-or-white': 1 } },
    { character: 'leaf.length', value: 84, unit: 'mm' },
    { character: 'blade.width', values: [3, 4], unit: 'mm' },
  ],
  verdict: 'Still open.',
  askedAt: '2026-04-02T10:00:00.000Z',
}
const opinion = { by: 'R. Hale', plant: 'dandelion', probability: 0.9, note: '', at: '2026-04-03T08:00:00.000Z' }

describe('sheet for a second opinion', () => {
  it('comes back as it was sent, with and without an opinion', () => {
    expect(readSheet(writeSheet(sheet))).toEqual({ sheet })
    expect(readSheet(writeSheet({ ...sheet, opinion }))).toEqual({ sheet: { ...sheet, opinion } })
  })

  it.each([
    ['not json', 'cannot be read as JSON'],
    ['[]', 'not a specimen sheet'],
    ['{"kind":"something else"}', 'not a specimen sheet'],
    [JSON.stringify({ ...JSON.parse(writeSheet(sheet)), version: 99 }), 'later version'],
    [JSON.stringify({ ...JSON.parse(writeSheet(sheet)), place: 7 }), 'what, where or when is missing'],
    [
      JSON.stringify({ ...JSON.parse(writeSheet(sheet)), observations: [{ character: 'sap' }] }),
      'an observation in it',
    ],
    [
      JSON.stringify({
        ...JSON.parse(writeSheet(sheet)),
        observations: [{ character: 'sap', states: ['x'], sureness: 'very' }],
      }),
      'an observation in it',
    ],
    [JSON.stringify({ ...JSON.parse(writeSheet(sheet)), opinion: { by: 1 } }), 'opinion'],
  ])('says in words what is wrong with %.40s', (text, problem) => {
    const read = readSheet(text)
    expect('problem' in read && fileWords(read.problem)).toContain(problem)
  })

  it('no text makes it throw', () =>
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        const read = readSheet(text)
        expect('sheet' in read || 'problem' in read).toBe(true)
      }),
    ))
})

describe('letters of unknowns', () => {
  it('go from A to Z, then AA', () =>
    expect([0, 1, 25, 26, 27, 51, 52].map(letterAt)).toEqual(['A', 'B', 'Z', 'AA', 'AB', 'AZ', 'BA']))

  it('are all different', () => expect(new Set(Array.from({ length: 2000 }, (_, i) => letterAt(i))).size).toBe(2000))
})

describe('plants looked at', () => {
  it('are the most that one answer counted, and one at least', () => {
    expect(specimensIn([])).toBe(1)
    expect(specimensIn(sheet.observations)).toBe(3)
    expect(specimensIn([{ character: 'blade.width', values: [1, 2, 3, 4, 5] }])).toBe(5)
  })
})
