import { useMemo } from 'react'
import { thornthwaite } from '@/core/assess/season/climate.ts'
import { feeding, fitFor, mowing, turfCalendar, turfPart, turfSeed, WATER_SHARE } from '@/core/assess/turf/turf.ts'
import { USUAL_TURF } from '@/core/assess/indicators/outlookReading.ts'
import { madeNormals } from '@/core/assess/season/madeNormals.ts'
import type { Round } from '@/core/records/round.ts'
import { BARE } from '@/core/records/taxon.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { shareOf } from '@/core/survey/composition.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { sharesOf } from '@/core/survey/sharesOf.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useHerd, useManagement } from './herd.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'

/** Who eats a sward and what it is played on for, as far as somebody said. */
export function useOutlookFor(round: Round) {
  const { data: herd } = useHerd(round.paddockId)
  const { data: management } = useManagement(round.paddockId)
  const animal = herd && animalClass(herd.animal)?.kind
  return useMemo(() => ({ animal, turfUse: management?.turfUse }), [animal, management?.turfUse])
}

/** What a turf asks for: heights, feeding, seed, the work of its parts and of the year. */
export function useTurf(round: Round) {
  const { plants, byId } = useFlora()
  const { data: management } = useManagement(round.paddockId)
  const use = management?.turfUse ?? USUAL_TURF
  const normals = management?.normals
  return useMemo(() => {
    const named = resolvedUnknowns(round)
    const stops = countedStops(round)
    const { all, share, middle } = sharesOf(round)
    const met = all.taxa.flatMap((t) => byId.get(t) ?? [])
    const shares = met.map((plant) => ({ plant, share: middle([plant.id]) }))
    const wanted = met.filter((p) => fitFor(p, use) || round.paddock.sown.includes(p.id)).map((p) => p.id)
    const whole = turfPart('whole', share([BARE]), share(wanted))
    const names = [...new Set(stops.map((s) => s.stratum ?? ''))]
    const parts = names.length < 2 ? [] : names.map((name) => {
      const here = abundanceMatrix(stops.filter((s) => (s.stratum ?? '') === name), named)
      return turfPart(name, shareOf(here, [BARE], {}), shareOf(here, wanted, {}))
    }) // prettier-ignore
    const fed = feeding(shares, use)
    const worst = [whole, ...parts].some((p) => p.work === 'sow-anew')
      ? 'sow-anew'
      : [whole, ...parts].some((p) => p.work === 'overseed')
        ? 'overseed'
        : 'keep'
    const { sown, region } = round.paddock
    return {
      use,
      said: management?.turfUse !== undefined,
      whole,
      parts,
      mowing: mowing(shares, use),
      feeding: fed,
      work: worst,
      seed: turfSeed(plants, { use, region, sown, met: shares, work: worst }),
      // Of the thirstiest month, mm a week.
      waterMm: (Math.max(...thornthwaite(normals ?? madeNormals[region])) / 4.35) * WATER_SHARE[fed?.season ?? 'cool'],
      calendar: turfCalendar((normals ?? madeNormals[region]).meanC, fed?.season ?? 'cool'),
      simulated: normals === undefined,
    } as const
  }, [round, plants, byId, use, normals, management?.turfUse])
}
