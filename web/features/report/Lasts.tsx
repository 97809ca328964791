import { useMemo } from 'react'
import { animalClassName } from '@/text/animalWords.ts'
import { feedBasisWords, feedNoteWords, needUnitWords } from '@/text/feedWords.ts'
import { walkedFeed } from '@/core/assess/feed/walkedFeed.ts'
import { meetsNeeds } from '@/core/assess/feed/meetsNeeds.ts'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { aumWords } from '../../entities/round/aumWords.ts'
import { useLab } from '../../entities/round/herd.ts'
import { useGrazing } from '../../entities/round/useGrazing.ts'
import { areaWords, massFigure, rateWords, unitOf } from '../../parts/units.ts'
import { say } from '../../language/say.ts'
import { atMost, fixed } from '../../language/numbers.ts'

const days = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

/** How long the feed lasts: only where somebody said what is kept, or measured what stands. */
export function Lasts({ round, weighed }: { round: Round; weighed: WeighUp }) {
  const { data: lab } = useLab(round.id)
  const { plan, said, animal, measured, hectares, grazing } = useGrazing(
    round,
    weighed.composition,
    weighed.feed?.walked,
  )
  const feed = weighed.feed?.walked
  const needs = useMemo(() => {
    const walked = walkedFeed(feed, lab)
    return walked && { basis: walked.basis, ...meetsNeeds(walked.feed, animal) }
  }, [feed, lab, animal])
  if (round.paddock.outlook === 'turf' || (round.paddock.outlook === 'native' && !said && !measured)) return null
  if (!grazing || (!said && !measured))
    return (
      <section className="mt-3 print:mt-2 break-inside-avoid">
        <h3 className="text-lg">{say('How long, for how many')}</h3>
        <p>{say('Not worked out: neither the stock nor the standing mass was given.')}</p>
      </section>
    )
  return (
    <section className="mt-3 print:mt-2 break-inside-avoid">
      <h3 className="text-lg">{say('How long, for how many')}</h3>
      <p>
        {say(
          '{{n}} of "{{name}}" on {{areaWords}}: about {{days}} days ({{days2}} to {{days3}}), leaving {{rateWords}}. Standing: {{massFigure}} {{unitOf}} ({{massFigure2}} to {{massFigure3}}), {{what}}. {{aumWords}} animal unit months at 12 kg a day.',
          {
            n: plan.count,
            name: animalClassName(animal.id),
            areaWords: areaWords(hectares!),
            days: days(grazing.days.middle),
            days2: days(grazing.days.low),
            days3: days(grazing.days.high),
            rateWords: rateWords(plan.residualKgPerHa),
            massFigure: massFigure(grazing.mass.middle),
            unitOf: unitOf('perArea'),
            massFigure2: massFigure(grazing.mass.low),
            massFigure3: massFigure(grazing.mass.high),
            what: measured ? say('measured') : say('a guess'),
            aumWords: aumWords(grazing.aum[0]!.months),
          },
        )}
      </p>
      {needs ? (
        <p>
          {say('One animal a day, {{basis}}:', { basis: feedBasisWords(needs.basis) })}{' '}
          {needs.met
            .map((m) =>
              say('{{what}} needed {{need}} {{unit}}, taken in {{middle}} ({{low}} to {{high}}){{what2}}', {
                what: m.what === 'energy' ? say('energy') : say('protein'),
                need: atMost(m.need, 2),
                unit: needUnitWords(m.unit),
                middle: atMost(m.has.middle, 2),
                low: atMost(m.has.low, 2),
                high: atMost(m.has.high, 2),
                what2: m.short > 0 ? say(', short in the middle of the range') : '',
              }),
            )
            .join('; ')}
          .
        </p>
      ) : null}
      {needs?.notes.map((note) => (
        <p key={note}>{feedNoteWords(note)}</p>
      ))}
    </section>
  )
}
