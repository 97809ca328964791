import { useEffect, useState } from 'react'
import { signingState } from '@/core/assess/signing.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Round } from '@/core/records/round.ts'
import type { Signature } from '@/core/records/signedPage.ts'
import { reads, useRead } from '../../data/reads.ts'
import { useConditions, useContacts, useHerd, useLab, useManagement } from '../../entities/round/herd.ts'
import { useHazards } from '../../entities/round/useHazards.ts'
import { useLanguage } from '../../language/languageStore.ts'
import { useUnits } from '../../parts/units.ts'
import { sha256, sign } from './signing.ts'

interface Of {
  round: Round
  weighed: WeighUp | undefined
  plan: PlanLine[]
  whole: boolean
  appendix: boolean
  title: string
}

/** Whether the pages as they are shown are signed, what stands in the way, and the signature. */
export function useSigning({ round, weighed, plan, whole, appendix, title }: Of) {
  const { data: contacts } = useContacts(round.paddock.holdingId)
  const { data: lab } = useLab(round.id)
  const { data: herd } = useHerd(round.paddockId)
  const { data: management } = useManagement(round.paddockId)
  const { data: conditions } = useConditions(round.id)
  const { data: signatures = [] } = useRead(reads.signatures(round.id))
  const readings = useHazards(round)
  const language = useLanguage((s) => s.language)
  const units = useUnits((s) => s.units)
  // Clips of another round change the figures; where there are none, what was signed before stays as it was signed.
  const massBy = weighed?.feed?.walked.massBy
  const clips = massBy?.by === 'clips' ? { massBy } : {}
  const facts = JSON.stringify({ round, plan, herd, lab, conditions, contacts, management, appendix, language, units, ...clips }) // prettier-ignore
  const [factsHash, setFactsHash] = useState('')
  const [shown, setShown] = useState<Signature>()
  useEffect(() => {
    let current = true
    sha256(facts).then(
      (hash) => current && setFactsHash(hash),
      // Without it nothing is called signed, and pressing Sign says why.
      () => undefined,
    )
    return () => {
      current = false
    }
  }, [facts])
  const latest = shown ?? signatures.at(-1)
  return {
    contacts,
    signatures,
    signature: latest?.factsHash === factsHash ? latest : undefined,
    state: weighed && signingState({ round, weighed, contacts, lab, stockSaid: herd !== undefined, readings, whole }),
    sign: () =>
      sign({ roundId: round.id, title, contacts: contacts ?? {}, factsHash, before: signatures, show: setShown }),
  }
}
