import { useMemo, type ReactNode } from 'react'
import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import type { Round } from '@/core/records/round.ts'
import { inSentence } from '@/text/say.ts'
import { saidWords } from '@/text/swardWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { useHazards } from '../../entities/round/useHazards.ts'
import { useGrazing } from '../../entities/round/useGrazing.ts'
import { estimateIn, unitOf } from '../../parts/units.ts'
import { percent } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { fixed } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'
import type { ChapterId } from './chapter.ts'
import { unwanted } from './do/unwanted.ts'
import { days } from './stock/HerdNeeds.tsx'

/** How many dangers of the unseen sort are more likely than usual; nothing where none is. */
function Raised({ round }: { round: Round }) {
  const raised = useHazards(round).filter((h) => h.concerns && h.grade !== 'open').length
  return raised > 0 ? say('{{n}} more likely than usual', { n: raised }) : null
}

/** How long the herd can stay; nothing where nobody said what is kept. */
function Stay({ round, weighed: { composition, feed } }: { round: Round; weighed: WeighUp }) {
  const { grazing, said } = useGrazing(round, composition, feed?.walked)
  return grazing && said ? say('{{days}} days', { days: days(grazing.days.middle) }) : null
}

/**
 * The answer of each chapter in a few words, for whoever only glances. What takes a while is a part of its own: between two of
 * them a touch is heard.
 */
export function useAnswers(round: Round, weighed: WeighUp): Partial<Record<ChapterId, ReactNode>> {
  const { byId, plants } = useFlora()
  return useMemo(() => {
    const { composition: made, harm, feed } = weighed
    const short = (id: string) => inSentence(taxonName(id, byId).replace(/ \(.*\)/, ''))
    const [most] = made.taxa
    const [found] = harm.found
    const [sign] = siteIndicators(round, plants)
    const [first] = unwanted(round, weighed, byId)
    const me = feed && estimateIn('energy', feed.walked.meMcalPerKg)
    return {
      ...(most ? { 'made-of': `${short(most.taxon)} ${percent(most.estimate)}` } : {}),
      ...(sign ? { says: inSentence(saidWords(sign.id).title) } : {}),
      harm: found
        ? say('found: {{name}}', { name: short(found.plant) })
        : harm.unnamed.length > 0
          ? say('unknown plants not named')
          : say('none met, not excluded'),
      unseen: <Raised round={round} />,
      ...(first ? { do: short(first.id) } : {}),
      ...(me
        ? { worth: say('{{me}} {{unit}} ME', { me: fixed(me.middle, me.middle < 5 ? 2 : 1), unit: unitOf('energy') }) }
        : {}),
      stock: <Stay round={round} weighed={weighed} />,
    }
  }, [round, weighed, byId, plants])
}
