import { describe, expect, it } from 'vitest'
import { narrowCultivars, oestrogenicGroups } from '@/core/naming/groupKey.ts'
import { loadCultivars } from '@/server/flora/loadFlora.ts'
import { readCultivars } from '@/server/flora/readCultivars.ts'

describe('cultivars of subterranean clover', () => {
  const cultivars = loadCultivars()

  it('hold the five old kinds known for their oestrogens (Register of Australian Herbage Plant Cultivars, from memory)', () =>
    expect(cultivars.filter((c) => c.oestrogenic).map((c) => c.name)).toEqual([
      'Dwalganup',
      'Yarloop',
      'Dinninup',
      'Geraldton',
      'Tallarook',
    ]))

  it('of a hairy runner the bald-runnered yanninicum kinds are set aside, and nothing else', () => {
    const left = narrowCultivars({ runnerHairy: true, calyxRed: null, stipuleRed: null }, cultivars)
    const gone = cultivars.filter((c) => !left.some((l) => l.cultivar === c)).map((c) => c.name)
    expect(gone).toEqual(['Yarloop', 'Trikkala', 'Larisa', 'Gosse', 'Riverina'])
  })

  it('claim no group while the marks of a harmful kind are not all known', () =>
    expect(oestrogenicGroups(cultivars)).toEqual([]))

  it('a mistyped entry is named with its line', () => {
    const { problems } = readCultivars(
      'c.yaml',
      '- {name: A, subspecies: subterraneum, source: x}\n- {name: B, hairy: true}',
    )
    expect(problems.length).toBeGreaterThan(0)
    expect(problems.every((p) => p.line === 2)).toBe(true)
  })
})
