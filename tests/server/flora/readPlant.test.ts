import { atRisk } from '@/core/flora/codes.ts'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { floraFolder, loadFlora, readFlora, sayProblem } from '@/server/flora/loadFlora.ts'
import { nearest } from '@/server/flora/problem.ts'
import { readCharacters } from '@/server/flora/readCharacters.ts'
import { readPlant } from '@/server/flora/readPlant.ts'

const { characters } = readCharacters('characters.yaml', readFileSync(join(floraFolder, 'characters.yaml'), 'utf8'))

const good = `id: made-grass
common_name: Made grass
scientific_name: Factitia prima
author: Nobody
family: Poaceae
form: grass
cycle: perennial
season: cool
role: forage
regions: {transition: common}
months: [4, 5]
ground: [dry]
characters:
  vernation: rolled
  auricles: {absent: usually, short-blunt: rarely}
  blade.width: {typical: [3, 6], extreme: [2, 9]}
sources: [from memory]
`
const read = (text: string) => readPlant('made-grass.yaml', text, characters)
const problemsOf = (from: string, to: string) => read(good.replace(from, to)).problems

describe('one plant file', () => {
  it('is read into a plant', () => {
    const { plant, problems } = read(good)
    expect(problems).toEqual([])
    expect(plant!.characters.vernation).toEqual({ kind: 'states', words: { rolled: 'always' } })
    expect(plant!.characters['blade.width']).toEqual({ kind: 'range', typical: [3, 6], extreme: [2, 9] })
  })

  it.each([
    ['a mistyped state', 'vernation: rolled', 'vernation: roled', 14, /no state "roled".*rolled, folded/],
    ['a mistyped character', 'vernation: rolled', 'vernatoin: rolled', 14, /no character "vernatoin".*vernation/],
    [
      'a word that is no frequency',
      'absent: usually',
      'absent: mostly',
      15,
      /"mostly" is not a frequency word.*always/,
    ],
    ['a range the wrong way round', '[3, 6]', '[6, 3]', 16, /typical range must lie inside/],
    ['a range that is not two numbers', '[3, 6]', '3-6', 16, /measured in mm/],
    ['a size beyond the ruler', '[2, 9]', '[2, 900]', 16, /between 0 and 120 mm/],
    ['a month that is none', '[4, 5]', '[4, 13]', 11, /must not be greater than 12/],
    ['a region that is none', 'transition', 'tranzition', 10, /no region "tranzition".*transition/],
    ['a word of abundance that is none', 'common}', 'plenty}', 10, /"plenty" is not a word of abundance/],
    ['a family that is none', 'Poaceae', 'grasses', 5, /plant family name/],
    ['a life form that is none', 'form: grass', 'form: moss', 6, /form must be one of/],
    ['an id that is not the file’s name', 'id: made-grass', 'id: other', 1, /must be the file's name/],
    ['a key nobody knows', 'season: cool', 'season: cool\ncolour: green', 9, /colour should not exist/],
    ['a role that is none', 'role: forage', 'role: lovely', 9, /role must be one of/],
    ['no sources', 'sources: [from memory]', 'sources: []', 17, /sources must contain at least 1/],
  ])('says file, line and what is allowed for %s', (_what, from, to, line, said) => {
    const [first] = problemsOf(from, to)
    expect(first).toMatchObject({ file: 'made-grass.yaml', line })
    expect(first!.message).toMatch(said)
    expect(sayProblem(first!)).toMatch(/^flora\/made-grass\.yaml:\d+: /)
  })

  it('says where the YAML itself is broken', () => {
    const [first] = problemsOf('months: [4, 5]', 'months: [4, 5')
    expect(first!.line).toBeGreaterThanOrEqual(11)
  })

  it('refuses a file that holds no keys', () => {
    expect(read('just words').problems[0]!.message).toMatch(/keys and values/)
    expect(read('').problems[0]!.message).toMatch(/keys and values/)
  })

  it('finds a stage that is none', () => {
    expect(problemsOf('sources:', 'stages:\n  teenage:\n    vernation: folded\nsources:')[0]!.message).toMatch(
      /no stage "teenage"/,
    )
  })

  it('finds a look-alike decided by nothing', () => {
    const text = 'lookalikes:\n  - {plant: timothy, check: looks, why: Because.}\nsources:'
    expect(problemsOf('sources:', text)[0]!.message).toMatch(/no character "looks"/)
  })
})

describe('the shipped book', () => {
  const { flora, problems } = readFlora(floraFolder)

  it('has nothing to mend', () => expect(problems.map(sayProblem)).toEqual([]))

  it('holds at least the forty plants it must, each in its own file', () => {
    expect(flora.plants.length).toBeGreaterThanOrEqual(40)
    const must =
      'tall-fescue meadow-fescue kentucky-bluegrass annual-bluegrass perennial-ryegrass annual-ryegrass orchardgrass timothy smooth-brome quackgrass velvetgrass creeping-bentgrass white-clover red-clover alsike-clover ladino-clover strawberry-clover subterranean-clover alfalfa black-medic birdsfoot-trefoil yellow-sweetclover poison-hemlock wild-carrot western-yarrow water-hemlock hemp-dogbane ground-cherry buckhorn-plantain dandelion tansy-ragwort bull-thistle'
    const ids = new Set(flora.plants.map((p) => p.id))
    expect(must.split(' ').filter((id) => !ids.has(id))).toEqual([])
  })

  it('codes each grass with at least 25 characters, each other plant with at least 18', () => {
    const least = { grass: 25, legume: 18, forb: 18, sedge: 14, rush: 10, shrub: 15 }
    for (const p of flora.plants) expect(Object.keys(p.characters).length, p.id).toBeGreaterThanOrEqual(least[p.form])
  })

  it('gives every plant a source, a region and months of growth', () => {
    for (const p of flora.plants) {
      expect(p.sources.length, p.id).toBeGreaterThan(0)
      expect(Object.keys(p.regions).length, p.id).toBeGreaterThan(0)
      expect(new Set(p.months).size, p.id).toBe(p.months.length)
    }
  })

  it('uses author names as botanists write them, never in the scientific name', () => {
    for (const p of flora.plants)
      expect(p.scientificName.replace(' x ', ' '), p.id).toMatch(
        /^[A-Z][a-z]+ ([a-z-]+|spp\.|and [A-Z][a-z]+ spp\.)( agg\.| \(syn\. [A-Z]\. [a-z]+\)| and relatives)?$/,
      )
  })

  it('is the same when read again from what was kept', () => expect(loadFlora()).toEqual(flora))
})

describe('a plant written before harm was codes', () => {
  const earlier = `${good}harm:
  - {who: [cattle], kind: prussic acid and nitrate, note: 'Test it.'}
  - {who: [goats], kind: makes them sneeze, note: 'Seen twice.'}
exposure:
  parts: leaf
  forms: {standing: harmful, wilted: harmful, hay: unknown, silage: unknown}
  signs: none seen
  onset: hours
  first: Call a veterinarian
  doses:
    - {animal: cattle, of: 'fresh plant, added up over weeks', percent: [1, 2], source: own}
  sources: [own]
control:
  - {stage: vegetative, school: hands, do: Pull it, wear: 'gloves, long sleeves'}
`
  it('still opens where it is kept: what is no code stands in the note', () => {
    const { plant, problems } = readPlant('made-grass.yaml', earlier, characters, true)
    expect(problems).toEqual([])
    expect(plant!.harm).toEqual([
      { who: ['cattle'], kind: 'prussic-acid', also: ['nitrate'], note: 'Test it.' },
      { who: ['goats'], kind: 'unclassified', note: 'makes them sneeze. Seen twice.' },
    ])
    expect(plant!.exposure!.doses[0]).toMatchObject({ part: 'plant', state: 'fresh', taken: 'added-up-over-weeks' })
    expect(plant!.control[0]!.wear).toEqual(['gloves', 'long-sleeves'])
  })

  it('harm to who is no code is kept as harm to all, people too, never dropped', () => {
    const alpaca = earlier
      .replace('who: [cattle]', 'who: [alpacas, cattle]')
      .replace('animal: cattle', 'animal: alpacas')
    const { plant, problems } = readPlant('made-grass.yaml', alpaca, characters, true)
    expect(problems).toEqual([])
    expect(plant!.harm[0]!.who).toEqual([...atRisk])
    expect(plant!.harm[0]!.note).toBe('alpacas: Test it.')
    expect(plant!.exposure!.doses).toEqual([])
    expect(plant!.exposure!.signs).toBe('none seen (alpacas: 1 to 2 %)')
  })

  it('a slip of the pen in who is harmed is refused in a new file, with its line', () => {
    const { problems } = read(earlier.replace('who: [goats], kind: makes them sneeze', 'who: [gaots], kind: saponins'))
    expect(problems.some((p) => p.line === 20 && /each value in who must be one of/.test(p.message))).toBe(true)
  })

  it('a new one must name a kind that there is', () => {
    const { problems } = read(earlier)
    expect(problems).toHaveLength(1)
    expect(problems[0]).toMatchObject({ line: 20 })
    expect(problems[0]!.message).toMatch(/kind must be one of/)
  })
})

describe('nearest ids', () => {
  it('puts the likely meaning first', () => {
    expect(nearest('tal-fescu', ['timothy', 'tall-fescue', 'red-fescue'])[0]).toBe('tall-fescue')
  })
})
