import { verdictText } from '@/text/verdictText.ts'
import { describe, expect, it } from 'vitest'
import { specimens } from '@/tests/reference/specimens.ts'
import { book, flora, name } from '@/tests/support/book.ts'

describe('specimens as manuals and the trade describe them', () => {
  it.each(specimens.map((s) => [s.is, s.what, s] as const))('%s: %s', (_is, _what, s) => {
    const result = name(s.looks, s.context)
    const order = result.candidates.map((c) => c.plant)
    if (s.is === 'not-in-book') {
      expect(result.notInBook, `${order[0]} ${result.candidates[0]!.probability}`).toBeGreaterThan(
        result.candidates[0]!.probability,
      )
      return
    }
    // Plants that no vegetative eye can split count as one name.
    const together = (id: string) => book.groupOf.get(id)?.id ?? id
    if (s.by === 'three') expect(order.slice(0, 3).map(together)).toContain(together(s.is))
    else expect(together(order[0]!), verdictText(result.verdict, flora)).toBe(together(s.is))
    if (s.by === 'named')
      expect(result.verdict, result.harmfulOpen.map((h) => h.plant).join()).toMatchObject({ kind: 'named' })
  })

  it('nearly every plant of the book is described at least once', () => {
    // One that is new to the book waits for a description by another hand than its file.
    const described = new Set(specimens.map((s) => s.is))
    const without = flora.plants.filter((p) => !described.has(p.id))
    expect(without.length / flora.plants.length, without.map((p) => p.id).join()).toBeLessThan(0.03)
  })
})
