import { describe, expect, it } from 'vitest'
import type { Flora, Plant } from '@/core/flora/flora.ts'
import { flora } from '@/tests/support/book.ts'
import { inPieces } from '@/web/parts/inPieces.ts'
import { bookTaker } from '@/web/workers/bookTaker.ts'
import { openBook } from '@/web/workers/openBook.ts'

/** A worker as the page has it: each message is copied, and answered later. */
function worker() {
  const opened: Flora[] = []
  const sizes: number[] = []
  const taker = bookTaker((book) => opened.push(book))
  const later = async (act: () => void) => {
    await new Promise((done) => setTimeout(done, 3))
    act()
  }
  return {
    opened,
    sizes,
    take: (some: Plant[]) => {
      sizes.push(some.length)
      const copy = structuredClone(some)
      return later(() => taker.take(copy))
    },
    open: (rest: Omit<Flora, 'plants'>) => later(() => taker.open(structuredClone(rest))),
  }
}

describe('the book in a worker', () => {
  it('is there whole and in order, though it came in pieces', async () => {
    const there = worker()
    await openBook(there, flora)
    expect(there.opened).toEqual([flora])
    expect(there.sizes.length).toBeGreaterThan(3)
    expect(Math.max(...there.sizes)).toBeLessThan(flora.plants.length / 3)
  })

  it('opened again holds the plants of the new one only', async () => {
    const there = worker()
    await openBook(there, flora)
    await openBook(there, { ...flora, plants: flora.plants.slice(0, 5) })
    expect(there.opened[1]!.plants).toEqual(flora.plants.slice(0, 5))
    await openBook(there, { ...flora, plants: [] })
    expect(there.opened[2]!.plants).toEqual([])
  })
})

describe('work in pieces', () => {
  it('is done in order, and others come between where it takes long', async () => {
    const done: string[] = []
    const slow = (name: string) => () => {
      const until = performance.now() + 10
      while (performance.now() < until);
      done.push(name)
    }
    setTimeout(() => done.push('a touch'))
    await inPieces(['1', '2', '3', '4'].map(slow))
    expect(done.filter((d) => d !== 'a touch')).toEqual(['1', '2', '3', '4'])
    expect(done.indexOf('a touch')).toBeLessThan(3)
  })
})
