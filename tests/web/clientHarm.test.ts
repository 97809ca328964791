import { createElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { MemoryRouter } from 'react-router'
import { beforeAll, describe, expect, it } from 'vitest'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { keptAnimals } from '@/core/assess/harm/exposures.ts'
import { harmFindings } from '@/core/assess/harm/harmFindings.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { compositionOf } from '@/core/survey/composition.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'
import type { Plant } from '@/core/flora/flora.ts'
import type { Outlook, Round } from '@/core/records/round.ts'
import { flora, plantsById } from '@/tests/support/book.ts'
import { countedStop, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { inSentence } from '@/text/say.ts'
import { reads, serverReads } from '@/web/data/reads.ts'
import { Answer } from '@/web/features/report/Answer.tsx'
import { ClientHarm } from '@/web/features/report/ClientHarm.tsx'
import { useFlora } from '@/web/stores/floraStore.ts'

type Animal = (typeof keptAnimals)[number]

// A page that is made without a browser reads the stores as they began.
beforeAll(() => void Object.assign(useFlora.getInitialState(), { ...flora, neighbours: [], byId: plantsById }))

/** A sward of little of a plant in much timothy, in a month in which it grows. */
function swardWith(taxon: string, outlook: Outlook, month: number): Round {
  const hits = Array.from({ length: 4 }, (_, i) => countedStop(i + 1, { hits: hitsOf({ timothy: 19, [taxon]: 1 }) }))
  const round = roundOf('step-points', hits, { plannedOn: `2027-${String(month).padStart(2, '0')}-10` })
  return { ...round, purpose: 'May they have it?', paddock: { ...round.paddock, outlook } }
}

/** What a client would read of harm on the first page, as text. */
function page(round: Round, animal: Animal): string {
  const herd = { animal: animalClasses.find((a) => a.kind === animal)!.id }
  serverReads.setQueryData(reads.kept.queryKey, [{ subject: round.paddockId, kind: 'herd', value: herd }])
  const composition = compositionOf(abundanceMatrix(countedStops(round), resolvedUnknowns(round)), plantsById)!
  const harm = harmFindings(composition, plantsById, 'points', round.paddock.region)
  const weighed: WeighUp = { composition, harm, parts: [], feed: undefined }
  const sheet = createElement(
    MemoryRouter,
    null,
    createElement(Answer, { round, weighed, animal }),
    createElement(ClientHarm, { round, weighed, animal, lab: undefined, contacts: undefined }),
  )
  return renderToStaticMarkup(sheet).replace(/<[^>]+>/g, ' ').replaceAll('&#x27;', "'").replace(/\s+/g, ' ') // prettier-ignore
}

const harms = flora.plants.flatMap((plant) => keptAnimals.filter((a) => plant.harm.some((h) => h.who.includes(a))).map((a) => [plant, a] as const)) // prettier-ignore
const short = (p: Plant) => p.commonName.replace(/ \(.*\)/, '')
const VERDICT = /not for them until|not before this is settled|test first|reported lessened/

describe('every harm of the book reaches the client whose stock it strikes', () => {
  it('there are as many as the outside reading found, and more', () => {
    // 36 poisons and 49 further plants with harm on file were counted by an outside reading of the book.
    expect(new Set(harms.map(([p]) => p.id)).size).toBeGreaterThan(70)
  })

  it.each(keptAnimals)('for %s: its name and its verdict stand on the page, grazed and as hay', (animal) => {
    for (const [plant] of harms.filter(([, a]) => a === animal))
      for (const outlook of ['grazing', 'hay'] as const) {
        const text = page(swardWith(plant.id, outlook, plant.months[0]!), animal)
        const answer = text.slice(0, text.indexOf('What could harm'))
        expect(answer, `${plant.id} ${animal} ${outlook}: ${answer}`).toMatch(VERDICT)
        const named = new RegExp(inSentence(short(plant)).replace(/[()]/g, '.'), 'i')
        expect(text, `${plant.id} ${animal} ${outlook}`).toMatch(named)
        expect(text, plant.id).not.toMatch(/\bsafe|harmless|no plant that harms/i)
      }
  })

  it.each([
    ['an unnamed letter', 'unknown:A', /Not named yet: unknown A/],
    ['a name that came in by file', 'latin:Taxus baccata', /Not judged here.*Taxus baccata.*poisonous kinds/],
    ['a kind of no known genus', 'latin:Zoysia minima', /Not judged here.*Zoysia minima/],
  ])('%s is said to be not judged, to every kind of stock', (_what, taxon, says) => {
    for (const animal of keptAnimals) {
      const text = page(swardWith(taxon, 'grazing', 5), animal)
      expect(text).toMatch(says)
      expect(text).toMatch(/not judged: part of it has no name or no file|test first/)
    }
  })
})
