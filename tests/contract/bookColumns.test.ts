import { gzipSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { bookColumns, bookOf, bookPieces } from '@/contract/bookColumns.ts'
import { flora } from '@/tests/support/book.ts'

const sent = (pieces: string[]) => JSON.parse(JSON.stringify(pieces)) as string[]
const pause = () => new Promise((done) => setTimeout(done))

it('the book comes out of its columns as it went in, cell for cell', async () => {
  expect(await bookOf(sent(bookPieces(flora)), pause)).toEqual(flora)
})

it('states, their words and their order, and ranges with fractions, are kept', async () => {
  const cells = {
    'base.form': { kind: 'states', words: { plain: 'always' } },
    habit: { kind: 'states', words: { stolon: 'rarely', bunch: 'usually', rhizome: 'never' } },
    'ligule.height': { kind: 'range', typical: [0.4, 1.5], extreme: [0.2, 30] },
  } as const
  const plant = { ...flora.plants[0]!, characters: cells as never, stages: { mown: { habit: cells.habit } } as never }
  const { plants } = await bookOf(sent(bookPieces({ ...flora, plants: [plant] })), pause)
  const back = plants[0]!
  expect(back).toEqual(plant)
  expect(Object.keys((back.characters.habit as { words: object }).words)).toEqual(['stolon', 'bunch', 'rhizome'])
})

it('packs to clearly less than the plants one after the other, and in pieces to no more', () => {
  const packed = (what: unknown) => gzipSync(JSON.stringify(what)).length
  expect(packed(bookColumns(flora))).toBeLessThan(0.75 * packed(flora))
  expect(packed(bookPieces(flora))).toBeLessThan(1.05 * packed(bookColumns(flora)))
})
