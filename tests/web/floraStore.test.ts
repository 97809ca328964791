import { bookText } from '@/contract/bookColumns.ts'
import i18next from 'i18next'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { speak } from '@/text/say.ts'
import { flora } from '@/tests/support/book.ts'
import { readLanguage, together, word } from '@/web/language/say.ts'
import { spokenPlant, useFlora } from '@/web/stores/floraStore.ts'
import { stateWords } from '@/web/parts/words.ts'
import { usualState, usualWords } from '@/web/entities/plant/usualState.ts'

const hemlock = flora.plants.find((p) => p.id === 'poison-hemlock')!

describe('the book in English', () => {
  it('is the book itself', () => {
    for (const p of flora.plants) expect({ ...spokenPlant(p), alsoCalled: p.alsoCalled }).toEqual(p)
  })

  // Stace; Hubbard; Australian and New Zealand trade names; from memory.
  it.each([
    ['orchardgrass', 'Cock’s-foot', 'Cocksfoot'],
    ['velvetgrass', 'Yorkshire fog', 'Yorkshire fog'],
    ['canada-thistle', 'Creeping thistle', 'Californian thistle'],
    ['alfalfa', 'Lucerne', 'Lucerne'],
    ['common-bent', 'Common bent', 'Browntop'],
    ['patersons-curse', 'Purple viper’s-bugloss', 'Paterson’s curse'],
  ])('%s is called %s and %s elsewhere, and found by every name', (id, british, austral) => {
    const p = flora.plants.find((x) => x.id === id)!
    const [gb, au] = [spokenPlant(p, 'britain-ireland'), spokenPlant(p, 'australasia')]
    expect([gb.commonName, au.commonName]).toEqual([british, austral])
    for (const one of [gb, au, spokenPlant(p)])
      expect([one.commonName, ...one.alsoCalled]).toEqual(expect.arrayContaining([british, austral, p.commonName]))
  })

  it('says how often a state is met, and a size as it is typical', () => {
    expect(usualWords(hemlock, 'stem.hairs', 'vegetative')).toMatch(/^(usually )?none/)
    expect(usualWords(hemlock, 'no.such', 'vegetative')).toBe('not recorded')
    expect(usualState(hemlock, 'life.form', 'vegetative')).toBe('forb')
    const timothy = flora.plants.find((p) => p.id === 'timothy')!
    expect(usualWords(timothy, 'blade.width', 'vegetative')).toMatch(/^\d+(\.\d+)? to \d+(\.\d+)? mm$/)
  })
})

describe('the book in German', () => {
  beforeAll(() => readLanguage('de'))
  afterAll(async () => {
    await i18next.changeLanguage('en')
    speak()
  })

  it('names every plant in German, and still answers to its English name', () => {
    for (const p of flora.plants) {
      const spoken = spokenPlant(p)
      expect(spoken.commonName, p.id).not.toBe(p.commonName)
      expect(spoken.alsoCalled).toContain(p.commonName)
    }
  })

  it('changes words and nothing else: what names, feeds and harms by figures is the same', () => {
    for (const p of flora.plants) {
      const { characters, stages, regions, months, feed, sowing, role, scientificName, sources } = spokenPlant(p)
      expect({ characters, stages, regions, months, feed, sowing, role, scientificName, sources }).toEqual({
        characters: p.characters,
        stages: p.stages,
        regions: p.regions,
        months: p.months,
        feed: p.feed,
        sowing: p.sowing,
        role: p.role,
        scientificName: p.scientificName,
        sources: p.sources,
      })
    }
  })

  it('keeps who is harmed, by what form, and the doses', () => {
    for (const p of flora.plants) {
      const spoken = spokenPlant(p)
      expect(spoken.harm.map((h) => h.who)).toEqual(p.harm.map((h) => h.who))
      expect(spoken.exposure?.forms).toEqual(p.exposure?.forms)
      expect(spoken.exposure?.doses.map((d) => [d.animal, d.percent, d.source])).toEqual(
        p.exposure?.doses.map((d) => [d.animal, d.percent, d.source]),
      )
      expect(spoken.control.map((c) => [c.stage, c.school, c.upToCm, c.tooLate])).toEqual(
        p.control.map((c) => [c.stage, c.school, c.upToCm, c.tooLate]),
      )
    }
  })

  // Every caution that calls for a veterinarian or a poison centre must still do so.
  it('sends to a veterinarian or a poison centre wherever the English does', () => {
    for (const p of flora.plants) {
      const spoken = spokenPlant(p)
      p.harm.forEach((h, i) => {
        const german = spoken.harm[i]!.note
        if (/veterinarian/i.test(h.note)) expect(german, p.id).toMatch(/Tierarzt/)
        if (/poison centre/i.test(h.note)) expect(german, p.id).toMatch(/Giftzentrale/)
        if (/gloves/i.test(h.note)) expect(german, p.id).toMatch(/Handschuhe/)
        if (/only a test/i.test(h.note)) expect(german, p.id).toMatch(/Test/)
      })
      const first = p.exposure?.first ?? ''
      if (/veterinarian/i.test(first)) expect(spoken.exposure!.first, p.id).toMatch(/Tierarzt|tierärztlich/)
    }
  })

  it('says states and lists in German', () => {
    expect(stateWords('short-blunt')).toBe('kurz und stumpf')
    expect(usualWords(hemlock, 'smell', 'vegetative')).toMatch(/Mäusen/)
    expect(together(['Heu', 'Silage'])).toBe('Heu und Silage')
    expect(word('a word that is in no list')).toBe('a word that is in no list')
  })

  it('a book that is read gives out plants, characters and dangers under German words', async () => {
    const real = globalThis.fetch
    globalThis.fetch = (async () => new Response(bookText(flora))) as typeof fetch
    await useFlora.getState().reload()
    globalThis.fetch = real
    const { byId, characters, hazards, groups } = useFlora.getState()
    expect(byId.get('tansy-ragwort')!.commonName).toBe('Jakobs-Greiskraut')
    expect(characters.find((c) => c.id === 'vernation')!.asks).toMatch(/gerollt oder gefaltet/)
    expect(characters.find((c) => c.id === 'vernation')!.states).toEqual(['rolled', 'folded'])
    expect(hazards.find((h) => h.id === 'bloat')!.name).toBe('Schaumige Blähung')
    // Asked for by name, so it stays.
    expect(hazards.find((h) => h.id === 'bloat')!.test).toBe('none')
    expect(groups.find((g) => g.id === 'sedges')!.name).toBe('Seggen')
  })
})
