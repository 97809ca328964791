import { describe as group, expect, it } from 'vitest'
import { describe } from '@/core/describe/describe.ts'
import { words } from '@/tests/support/words.ts'

const shapes = (text: string, language: 'en' | 'de' = 'en') => {
  const o = describe(words(language), text).observations.find((x) => x.character === 'leaflet.shape')
  return o && 'states' in o ? o.states : undefined
}

// The proportions by which outlines are told in botany, from memory of common glossaries: orbicular 1:1, ovate 3:2, elliptic
// and oblong about 2:1, lanceolate 3:1 to 6:1, linear more than 10:1.
group('a leaflet told by its proportions', () => {
  it.each([
    ['three leaflets, as wide as they are long', 'en', 'round', 'narrow'],
    ['leaflets twice as long as wide', 'en', 'egg', 'narrow'],
    ['leaflets two times as long as broad', 'en', 'egg', 'round'],
    ['leaflets three times as long as wide', 'en', 'oblong-pointed', 'round'],
    ['leaflets ten times as long as wide', 'en', 'narrow', 'egg'],
    ['Blättchen doppelt so lang wie breit', 'de', 'egg', 'narrow'],
    ['Blättchen viermal so lang wie breit', 'de', 'oblong-pointed', 'heart'],
    ['Blättchen so breit wie lang', 'de', 'round', 'narrow'],
  ] as const)('%s', (text, language, could, cannot) => {
    expect(shapes(text, language)).toContain(could)
    expect(shapes(text, language)).not.toContain(cannot)
  })

  it.each(['blade about twice as wide as ryegrass', 'the field is twice as long as wide'])(
    '%s: of another thing, or against another plant, says nothing of the leaflets',
    (text) => expect(describe(words('en'), text).observations).toEqual([]),
  )
})

// Which region a country lies in is the book's own division; countries and states from common knowledge.
group('where a plant grows, said in passing', () => {
  it.each([
    ['Found in Ireland in a ditch, ligule 2 mm', 'en', 'britain-ireland'],
    ['from Tasmania, folded', 'en', 'southern-australasia'],
    ['in Kentucky, bunch grass', 'en', 'transition'],
    ['in Germany by the path', 'en', 'western-europe'],
    ['in der Eifel am Weg, gefaltet', 'de', 'western-europe'],
    ['in Schottland, gerollt', 'de', 'britain-ireland'],
  ] as const)('%s', (text, language, region) => {
    expect(describe(words(language), text).context.region).toBe(region)
  })

  it.each([
    'looks like Kentucky bluegrass',
    'a Virginia wildrye of some kind',
    'not in England',
    'last year I saw one in Florida',
    'the book says it grows in Georgia',
  ])('%s: no place where it grows', (text) => {
    expect(describe(words('en'), text).context.region).toBeUndefined()
  })

  it('a region that is known already stays', () => {
    expect(describe(words('en'), 'in Ireland', { region: 'transition' }).context.region).toBe('transition')
  })
})
