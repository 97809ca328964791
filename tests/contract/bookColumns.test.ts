import { gzipSync } from 'node:zlib'
import { expect, it } from 'vitest'
import { bookColumns, bookOf, bookText, piecesOf } from '@/contract/bookColumns.ts'
import { flora } from '@/tests/support/book.ts'

const pause = () => new Promise((done) => setTimeout(done))

it('the book comes out of its columns as it went in, cell for cell', async () => {
  expect(await bookOf(piecesOf(bookText(flora)), pause)).toEqual(flora)
})

it('states, their words and their order, and ranges with fractions, are kept', async () => {
  const cells = {
    'base.form': { kind: 'states', words: { plain: 'always' } },
    habit: { kind: 'states', words: { stolon: 'rarely', bunch: 'usually', rhizome: 'never' } },
    'ligule.height': { kind: 'range', typical: [0.4, 1.5], extreme: [0.2, 30] },
  } as const
  const plant = { ...flora.plants[0]!, characters: cells as never, stages: { mown: { habit: cells.habit } } as never }
  const { plants } = await bookOf(piecesOf(bookText({ ...flora, plants: [plant] })), pause)
  const back = plants[0]!
  expect(back).toEqual(plant)
  expect(Object.keys((back.characters.habit as { words: object }).words)).toEqual(['stolon', 'bunch', 'rhizome'])
})

it('packs to clearly less than the plants one after the other, and in pieces to no more', () => {
  const packed = (what: unknown) => gzipSync(JSON.stringify(what)).length
  expect(packed(bookColumns(flora))).toBeLessThan(0.75 * packed(flora))
  expect(gzipSync(bookText(flora)).length).toBeLessThan(1.05 * packed(bookColumns(flora)))
})

it('its lines are a list of JSON, and nothing else is taken for them', () => {
  const text = bookText({ ...flora, plants: [{ ...flora.plants[0]!, worth: 'two\nlines, and a "quote",' }] })
  expect(piecesOf(text).map((p) => JSON.parse(p) as unknown)).toEqual(JSON.parse(text))
  for (const other of ['', '[]', '{"plants":[]}', '<!doctype html>\n<p>Sign in</p>\n', text.slice(0, -1), `${text}\n`])
    expect(() => piecesOf(other)).toThrow(SyntaxError)
})
