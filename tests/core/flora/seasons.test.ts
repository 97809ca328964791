import { describe, expect, it } from 'vitest'
import { nextSowingDay } from '@/core/assess/sowing/sowingDay.ts'
import { growthYear } from '@/core/assess/season/year.ts'
import { madeNormals, midsummerGap } from '@/core/assess/season/madeNormals.ts'
import { growsIn, monthsOfGrowth, northernMonth } from '@/core/flora/seasons.ts'
import { priorFactors } from '@/core/naming/prior.ts'
import { regions } from '@/core/flora/flora.ts'
import { flora, name, plantsById } from '@/tests/support/book.ts'

const SOUTH = 'southern-australasia'

describe('seasons of the south', () => {
  it('January there is a July, and turning twice gives the month again', () => {
    expect(northernMonth(1, SOUTH)).toBe(7)
    expect(northernMonth(7, SOUTH)).toBe(1)
    for (let m = 1; m <= 12; m++) expect(northernMonth(northernMonth(m, SOUTH), SOUTH)).toBe(m)
    for (let m = 1; m <= 12; m++) expect(northernMonth(m, 'britain-ireland')).toBe(m)
  })

  // Winter growers of southern Australia come up with the autumn rain and are dead by summer: trade facts, from memory.
  it.each(['subterranean-clover', 'capeweed', 'patersons-curse', 'rats-tail-fescue', 'onion-grass'])(
    '%s grows there in the southern spring and not at its midsummer',
    (id) => {
      const plant = plantsById.get(id)!
      expect(growsIn(plant, 9, SOUTH)).toBe(true)
      expect(growsIn(plant, 1, SOUTH)).toBe(false)
      expect(monthsOfGrowth(plant, SOUTH)).toContain(9)
    },
  )

  it('the month weighs by the season: kikuyu in January there is in growth', () => {
    const factor = (region: (typeof regions)[number]) =>
      priorFactors(plantsById.get('kikuyu')!, { region, month: 1 }).find((f) => f.why === 'month')!.times
    expect(factor(SOUTH)).toBe(1)
    expect(factor('semi-arid')).toBeLessThan(1)
  })

  // Sown after the autumn break, April and May; New Zealand sows in its autumn, March and April. Common practice, no source.
  it('autumn sowing falls into its autumn', () => {
    expect(nextSowingDay(['autumn'], '2026-11-29', SOUTH)).toBe('2027-03-15')
    expect(nextSowingDay(['spring'], '2026-07-01', SOUTH)).toBe('2026-09-25')
    expect(nextSowingDay(['autumn'], '2026-04-30', SOUTH)).toBe('2026-04-30')
  })

  it('a sward of winter growers there grows most in its spring, and rests over summer', () => {
    const { mixture } = growthYear(madeNormals[SOUTH], { cool: 1, warm: 0 })
    expect([8, 9, 10]).toContain(mixture.indexOf(Math.max(...mixture)))
    const gap = midsummerGap(mixture, { south: true })
    expect(gap.length).toBeGreaterThan(0)
    for (const month of gap) expect([11, 0, 1, 2, 3]).toContain(month)
  })
})

describe('the three regions of the Old World and the south', () => {
  // Plants that make up the ordinary paddock of each, by its handbooks (Hubbard; Stace; trade lists; from memory).
  const paddocks = {
    'britain-ireland': 'perennial-ryegrass white-clover annual-bluegrass rough-bluegrass velvetgrass common-bent creeping-bentgrass orchardgrass timothy crested-dogstail sweet-vernalgrass red-fescue meadow-foxtail tall-oatgrass soft-brome creeping-buttercup tall-buttercup bulbous-buttercup broadleaf-dock curly-dock common-sorrel canada-thistle bull-thistle stinging-nettle tansy-ragwort dandelion cats-ear daisy buckhorn-plantain broadleaf-plantain mouse-ear-chickweed common-chickweed western-yarrow self-heal red-clover birdsfoot-trefoil lesser-trefoil soft-rush', // prettier-ignore
    'western-europe': 'perennial-ryegrass annual-ryegrass orchardgrass meadow-fescue timothy tall-oatgrass kentucky-bluegrass rough-bluegrass meadow-foxtail quackgrass soft-brome velvetgrass white-clover red-clover alfalfa birdsfoot-trefoil black-medic dandelion broadleaf-dock tall-buttercup creeping-buttercup meadow-saffron common-sorrel cow-parsley western-yarrow buckhorn-plantain daisy tansy-ragwort canada-thistle salad-burnet oxeye-daisy wild-carrot chicory', // prettier-ignore
    [SOUTH]:
      'phalaris orchardgrass tall-fescue perennial-ryegrass annual-ryegrass subterranean-clover white-clover strawberry-clover burr-medic capeweed barley-grass rats-tail-fescue soft-brome ripgut-brome storksbill patersons-curse slender-thistles musk-thistle onion-grass sheep-sorrel cats-ear kikuyu dallisgrass bermudagrass common-bent velvetgrass annual-bluegrass tansy-ragwort canada-thistle broadleaf-dock wild-radish common-mallow heliotrope silverleaf-nightshade', // prettier-ignore
  } as const
  it.each(Object.entries(paddocks))('%s: every plant of its ordinary paddock is at home there', (region, list) => {
    const away = list.split(' ').filter((id) => {
      const word = plantsById.get(id)?.regions[region as keyof typeof paddocks]
      return word !== 'common' && word !== 'frequent'
    })
    expect(away).toEqual([])
  })

  it('each has poisons to walk for, and plants that are not of it at all', () => {
    for (const region of regions) {
      const here = flora.plants.filter((p) => p.regions[region])
      expect(here.filter((p) => p.role === 'toxic').length, region).toBeGreaterThan(20)
      expect(here.length, region).toBeLessThan(flora.plants.length - 20)
    }
  })

  it('the region tips the scale: runners and hairs at the collar mean kikuyu or couch there sooner than a prairie grass', () => {
    const looks = [
      ['life.form', 'grass'],
      ['habit', 'rhizome-and-stolon'],
    ] as never
    const first = (region: (typeof regions)[number]) => name(looks, { region }).candidates[0]!.plant
    expect(['kikuyu', 'bermudagrass']).toContain(first(SOUTH))
  })
})
