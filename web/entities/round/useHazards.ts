import { useMemo } from 'react'
import { animalClass } from '@/core/assess/feed/needs.ts'
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

/** How figures, days and plants are written in the sentences of a danger. */
export function useTell(): Tell {
  const byId = useFlora((s) => s.byId)
  return {
    day: dayWords,
    figure: (n) => atMost(n, 2),
    plant: (id) => inSentence(byId.get(id)?.commonName ?? id),
  }
}
