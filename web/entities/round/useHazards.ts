import { useMemo } from 'react'
import { animalClass, animalClasses } from '@/core/assess/feed/needs.ts'
import { keptAnimals } from '@/core/assess/harm/exposures.ts'
import { hazardFacts } from '@/core/assess/harm/hazards/factsOf.ts'
import type { HazardReading } from '@/core/assess/harm/hazards/hazard.ts'
import { readHazards } from '@/core/assess/harm/hazards/index.ts'
import type { Round } from '@/core/records/round.ts'
import { inSentence } from '@/text/say.ts'
import type { Tell } from '@/text/hazardWords.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { dayWords } from '../../language/dates.ts'
import { atMost } from '../../language/numbers.ts'
import { useConditions, useHerd, useLab } from './herd.ts'

/** Dangers of a round as they are worked out from its plants, stock, laboratory result and what is known of the day. */
export function useHazards(round: Round): HazardReading[] {
  const { byId, hazards } = useFlora()
  const { data: herd } = useHerd(round.paddockId)
  const { data: lab } = useLab(round.id)
  const { data: conditions } = useConditions(round.id)
  return useMemo(() => {
    const animal = herd && animalClass(herd.animal)
    return readHazards(hazardFacts(round, byId, { animal, conditions, lab }), hazards)
  }, [round, byId, hazards, herd, lab, conditions])
}

/** The same for each kind of stock by its own marks: the class that is kept, else the first of the kind. */
export function useHazardsOfKinds(round: Round): (kind: string) => HazardReading[] {
  const { byId, hazards } = useFlora()
  const { data: herd } = useHerd(round.paddockId)
  const { data: lab } = useLab(round.id)
  const { data: conditions } = useConditions(round.id)
  return useMemo(() => {
    const kept = herd && animalClass(herd.animal)
    const readings = new Map(
      keptAnimals.map((kind) => {
        const animal = kept?.kind === kind ? kept : animalClasses.find((a) => a.kind === kind)
        return [kind as string, readHazards(hazardFacts(round, byId, { animal, conditions, lab }), hazards)] as const
      }),
    )
    return (kind) => readings.get(kind) ?? []
  }, [round, byId, hazards, herd, lab, conditions])
}

/** How figures, days and plants are written in the sentences of a danger. */
export function useTell(): Tell {
  const byId = useFlora((s) => s.byId)
  return {
    day: dayWords,
    figure: (n) => atMost(n, 2),
    plant: (id) => inSentence(byId.get(id)?.commonName ?? id),
  }
}
