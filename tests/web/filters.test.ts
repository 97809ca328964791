import { describe, expect, it } from 'vitest'
import { filtered, noFilter } from '@/web/features/plant-book/filters.ts'
import { monthNames } from '@/web/parts/words.ts'
import { flora } from '@/tests/support/book.ts'

const ids = (filter: Partial<typeof noFilter>) => filtered(flora.plants, { ...noFilter, ...filter }).map((p) => p.id)

describe('narrowing the plant book', () => {
  it('no filter leaves the whole book', () => expect(ids({})).toHaveLength(flora.plants.length))

  it.each([
    ['cocksfoot', 'orchardgrass'],
    ['DACTYLIS', 'orchardgrass'],
    ['italian rye', 'annual-ryegrass'],
    ['lucerne', 'alfalfa'],
    ['asclepias syr', 'common-milkweed'],
  ])('%s finds %s by one of its names', (text, id) => expect(ids({ text })).toContain(id))

  it('by harm: only those marked harmful', () => {
    const harmful = ids({ role: 'toxic' })
    expect(harmful).toContain('poison-hemlock')
    expect(harmful).not.toContain('wild-carrot')
    expect(harmful).toHaveLength(flora.plants.filter((p) => p.role === 'toxic').length)
  })

  // Plants that bleed milk (Uva, Neal & DiTomaso 1997; Kingsbury 1964; from memory).
  it('by a character: those that show the state, not those that hardly ever do', () => {
    const milky = ids({ character: 'sap', state: 'milky' })
    expect(milky).toEqual(
      expect.arrayContaining(['dandelion', 'chicory', 'cats-ear', 'hemp-dogbane', 'common-milkweed', 'leafy-spurge']),
    )
    expect(milky).not.toContain('tansy-ragwort')
    expect(milky).not.toContain('curly-dock')
  })

  it('the kind of plant is a character too', () =>
    expect(ids({ character: 'life.form', state: 'shrub' })).toEqual(
      flora.plants.filter((p) => p.form === 'shrub').map((p) => p.id),
    ))

  it('a character without a state filters nothing yet', () =>
    expect(ids({ character: 'sap' })).toHaveLength(flora.plants.length))

  it('by what a sward has, together with the others', () => {
    const sward = ['timothy', 'white-clover', 'tansy-ragwort']
    expect(ids({ sward })).toEqual(flora.plants.filter((p) => sward.includes(p.id)).map((p) => p.id))
    expect(ids({ sward, role: 'toxic' })).toEqual(['tansy-ragwort'])
    expect(ids({ sward: [] })).toEqual([])
  })
})

it('the year has twelve months in order', () => {
  expect(monthNames()).toHaveLength(12)
  const english = new Intl.DateTimeFormat('en', { month: 'long' })
  expect(monthNames()).toEqual(monthNames().map((_, i) => english.format(new Date(2026, i, 15))))
})
