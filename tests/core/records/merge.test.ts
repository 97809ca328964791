import { describe, expect, it } from 'vitest'
import { mergeRecord, sameValue } from '@/core/records/merge.ts'

// Three-way merging as version control does it, by field: Mens, "A state-of-the-art survey on software merging", 2002.

describe('whether two values say the same', () => {
  it.each([
    [{ a: 1, b: 2 }, { b: 2, a: 1 }, true],
    [{ a: 1, b: null }, { a: 1 }, true],
    [{ a: 1, b: undefined }, { a: 1 }, true],
    [{ a: [1, 2] }, { a: [2, 1] }, false],
    [{ a: 0 }, { a: null }, false],
    [{ a: '' }, {}, false],
    [null, undefined, true],
    [{ a: { b: null } }, { a: {} }, true],
  ])('%j and %j: %s', (a, b, same) => {
    expect(sameValue(a, b)).toBe(same)
    expect(sameValue(b, a)).toBe(same)
  })
})

describe('two changes to one record', () => {
  const seen = { text: 'spray docks', owner: '', doneOn: null, outcome: '' }

  it('of different fields are both there', () => {
    const mine = { ...seen, owner: 'Ada' }
    const theirs = { ...seen, doneOn: '2027-05-02', outcome: 'all brown' }
    expect(mergeRecord(seen, mine, theirs)).toEqual({ merged: { ...theirs, owner: 'Ada' } })
  })

  it('of one field to the same value are one change', () => {
    const both = { ...seen, owner: 'Ada' }
    expect(mergeRecord(seen, both, both)).toEqual({ merged: both })
  })

  it('of one field to two values clash, and say in which field', () => {
    expect(mergeRecord(seen, { ...seen, owner: 'Ada', outcome: 'x' }, { ...seen, owner: 'Tom' })).toEqual({
      clash: ['owner'],
    })
  })

  it('where neither saw the other, only what differs clashes', () => {
    expect(mergeRecord(null, { a: 1, b: 2, c: 3 }, { a: 1, b: 3 })).toEqual({ clash: ['b'] })
    expect(mergeRecord(null, { a: 1, c: 3 }, { a: 1 })).toEqual({ merged: { a: 1, c: 3 } })
  })

  it('a field that one side emptied stays empty', () => {
    const { merged } = mergeRecord({ a: 1, b: 1 }, { a: 1, b: null }, { a: 2, b: 1 }) as { merged: object }
    expect(sameValue(merged, { a: 2 })).toBe(true)
  })

  it('turned round they come to the same', () => {
    const [a, b] = [
      { ...seen, owner: 'Ada' },
      { ...seen, outcome: 'brown' },
    ]
    expect(mergeRecord(seen, a, b)).toEqual(mergeRecord(seen, b, a))
  })
})

describe('lists whose items stand for themselves', () => {
  const merged = (seen: unknown[], mine: unknown[], theirs: unknown[]) =>
    (mergeRecord({ l: seen }, { l: mine }, { l: theirs }, ['l']) as { merged: { l: unknown[] } }).merged.l

  it.each([
    ['both added', [1], [1, 2], [1, 3], [1, 3, 2]],
    ['both added the same one', [1], [1, 2], [1, 2, 3], [1, 2, 3]],
    ['one took out, one added', [1, 2], [2], [1, 2, 3], [2, 3]],
    ['alike ones are told by how many there are', [7, 7], [7, 7, 7], [7, 7, 8], [7, 7, 8, 7]],
    ['both took out the same one of two alike', [7, 7], [7], [7], [7]],
    ['both changed one item: both versions stay', ['a'], ['b'], ['c'], ['c', 'b']],
    ['neither had any', [], [{ n: 1 }], [{ n: 2 }], [{ n: 2 }, { n: 1 }]],
  ])('%s', (_what, seen, mine, theirs, expected) => {
    expect(merged(seen, mine, theirs)).toEqual(expected)
  })

  it('a list that is not one of them clashes as any other field', () => {
    expect(mergeRecord({ l: [] }, { l: [1] }, { l: [2] })).toEqual({ clash: ['l'] })
  })
})
