import { randomLcg } from 'd3-random'
import i18next from 'i18next'
import { afterAll, describe, expect, it } from 'vitest'
import { hayOrGraze } from '@/core/assess/feed/hayOrGraze.ts'
import { sowingAdvice } from '@/core/assess/sowing/sowingAdvice.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'
import { hazardFacts } from '@/core/assess/harm/hazards/factsOf.ts'
import { readHazards } from '@/core/assess/harm/hazards/index.ts'
import { verdictFor } from '@/core/assess/harm/verdict.ts'
import { dosesHere, keptAnimals } from '@/core/assess/harm/exposures.ts'
import { harmFindings } from '@/core/assess/harm/harmFindings.ts'
import { actionsFor } from '@/core/assess/harm/actions.ts'
import { feedForms, stages, type Plant } from '@/core/flora/flora.ts'
import { outlooks } from '@/core/records/round.ts'
import { kitFor } from '@/core/survey/planStops.ts'
import { outlookReading } from '@/core/assess/indicators/outlookReading.ts'
import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import { flora } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { speak } from '@/text/say.ts'
import { readLanguage } from '@/web/language/say.ts'
import { spokenPlant } from '@/web/stores/floraStore.ts'

// A rule that reads words falls silent in another language: an outside reading of the code found five that did.

const everything = Object.fromEntries(flora.plants.map((p) => [p.id, 1]))
const sward = (counts: Record<string, number>) =>
  roundOf(
    'step-points',
    [1, 2, 3].map((n) => countedStop(n, { hits: hitsOf(counts) })),
  )
const swards = [
  sward({ ...everything, bare: 20 }),
  sward({ 'white-clover': 8, 'kentucky-bluegrass': 12 }),
  sward({ 'perennial-ryegrass': 14, 'giant-hogweed': 2, 'alsike-clover': 4, bare: 5 }),
]

const methodsOf = ['step-points', 'clips'] as const

/** What the rules say of all swards; a plant is its id, a note of harm its codes. */
function said(plants: Plant[]): unknown {
  const byId = new Map(plants.map((p) => [p.id, p]))
  const rules = swards.map((round) => {
    const weighed = weighUp(round, byId, () => randomLcg(0.5))!
    const { found, cautions, ...harm } = harmFindings(weighed.composition, byId, 'points', 'cool-humid')
    const dangers = (['horse-idle', 'cow-suckling'] as const).map((id) =>
      readHazards(hazardFacts(round, byId, { animal: animalClass(id) }), flora.hazards),
    )
    const verdicts = keptAnimals.flatMap((a) =>
      feedForms.map((form) => verdictFor({ found, cautions, ...harm }, byId, a, form, dangers[1])),
    )
    return {
      hayOrGraze: hayOrGraze(round, byId),
      says: siteIndicators(round, plants),
      outlooks: outlooks.map((o) => outlookReading(round, byId, o)),
      sow: (['cattle', 'horses'] as const).map((animal) =>
        sowingAdvice(plants, {
          made: weighed.composition,
          region: 'cool-humid',
          outlook: 'grazing',
          sown: [],
          curve: undefined,
          animal,
        }).fits.map((f) => [f.plant.id, f.reason, f.share, f.conditions, f.cautions.map((h) => h.kind)]),
      ),
      harm,
      verdicts,
      dangers: dangers.map((list) => list.map(({ hazard, ...rest }) => [hazard.id, rest])),
      found: [...found, ...cautions].map((f) => [f.plant, f.notes.map((n) => [n.who, n.kind, n.also])]),
    }
  })
  const doses = plants.map((p) =>
    dosesHere(p, 'cattle', 500, [0.1, 0.2], [1000, 2000]).map((d) => [d.kg, d.squareMetres]),
  )
  const kits = plants.map((p) => methodsOf.map((m) => kitFor(m, [p])))
  const acts = plants.map((p) => stages.map((s) => actionsFor(p, s).now.map((a) => [a.stage, a.school, a.wear])))
  return { rules, doses, kits, acts }
}

describe('every rule gives the same codes whatever the language', () => {
  afterAll(async () => {
    await i18next.changeLanguage('en')
    speak()
  })

  it('with the book in English and in German', async () => {
    const english = said(flora.plants) as { rules: { hayOrGraze: object[] }[]; kits: string[][][] }
    expect(english.rules.flatMap((r) => r.hayOrGraze).length).toBeGreaterThan(5)
    expect(english.kits.flat(2)).toContain('gloves-and-sleeves')
    await readLanguage('de')
    const german = flora.plants.map((p) => spokenPlant(p))
    expect(german[0]!.commonName).not.toBe(flora.plants[0]!.commonName)
    expect(said(german)).toEqual(english)
  })
})
