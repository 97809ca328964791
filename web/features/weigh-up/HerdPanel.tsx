import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { aumWords } from '../../entities/round/aumWords.ts'
import { animalUnitWords } from '@/text/animalUnitWords.ts'
import { animalClassName } from '@/text/animalWords.ts'
import { nitrogenFixedKgPerHa } from '@/core/assess/feed/grazingDays.ts'
import { walkedFeed } from '@/core/assess/feed/walkedFeed.ts'
import { stageWalked } from '@/core/assess/harm/hazards/factsOf.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useLab } from '../../entities/round/herd.ts'
import { useGrazing } from '../../entities/round/useGrazing.ts'
import { aHectare, areaWords, forField, inUnits, massFigure, typedIn, unitOf, weightWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'
import { NumberInput, days, Needs, OtherWay } from './HerdNeeds.tsx'

/** How long a herd can stay, and whether the sward gives what it needs. */
export function HerdPanel({ round, made, feed }: { round: Round; made: Composition; feed: WeighUp['feed'] }) {
  const { plan, problem, again, change, animal, measured, hectares, grazing, legume } = useGrazing(round, made)
  const { data: lab } = useLab(round.id)
  const nitrogen = nitrogenFixedKgPerHa(legume, 8000)
  return (
    <section className="mt-6" aria-labelledby="herd">
      <h2 id="herd" className="text-xl">
        {say('How long, for how many')}
      </h2>
      <ReadProblem of={say('The stock of this paddock')} problem={problem} again={again} />
      {/* What is changed is written whole: not over a herd that could not be read. */}
      <fieldset disabled={problem !== undefined} className="mt-2 grid items-end gap-3 sm:grid-cols-3">
        <Labelled label={say('Stock')}>
          {(id) => (
            <select
              id={id}
              value={plan.animal}
              onChange={(e) => change({ animal: e.target.value })}
              className={inputClass}
            >
              {animalClasses.map((a) => (
                <option key={a.id} value={a.id}>
                  {animalClassName(a.id)}
                </option>
              ))}
            </select>
          )}
        </Labelled>
        <NumberInput
          label={say('How many')}
          value={plan.count}
          min={1}
          max={100_000}
          onChange={(count) => change({ count })}
        />
        {measured ? null : (
          <NumberInput
            label={say('Standing, {{unitOf}} (a guess)', { unitOf: unitOf('perArea') })}
            value={forField('perArea', plan.guessKgPerHa)}
            max={20_000}
            onChange={(guess) => change({ guessKgPerHa: typedIn('perArea', guess) })}
          />
        )}
        <NumberInput
          label={say('Left standing, {{unitOf}}', { unitOf: unitOf('perArea') })}
          value={forField('perArea', plan.residualKgPerHa)}
          max={20_000}
          onChange={(left) => change({ residualKgPerHa: typedIn('perArea', left) })}
        />
        <NumberInput
          label={say('Eaten of the rest, %')}
          value={plan.usePct}
          max={100}
          onChange={(usePct) => change({ usePct })}
        />
        <NumberInput
          label={say('Refused, %')}
          value={plan.refusedPct}
          max={100}
          onChange={(refusedPct) => change({ refusedPct })}
        />
      </fieldset>
      {grazing ? (
        <>
          <p className="mt-3 text-xl" data-testid="days">
            <Say
              text="<b>{{days}} days</b>, {{days2}} to {{days3}}, for {{n}} on {{areaWords}}"
              values={{
                days: days(grazing.days.middle),
                days2: days(grazing.days.low),
                days3: days(grazing.days.high),
                n: plan.count,
                areaWords: areaWords(hectares!),
              }}
              components={{ b: <b /> }}
            />
          </p>
          <p className="text-ink-soft">
            {say(
              '{{what}} Each eats {{intakePct}} to {{intakePct2}} % of {{weightWords}} a day. What grows meanwhile is not in it.',
              {
                what: measured
                  ? say(
                      'Standing dry matter {{massFigure}} {{unitOf}} ({{massFigure2}} to {{massFigure3}}), measured in "{{title}}".',
                      {
                        massFigure: massFigure(grazing.mass.middle),
                        unitOf: unitOf('perArea'),
                        massFigure2: massFigure(grazing.mass.low),
                        massFigure3: massFigure(grazing.mass.high),
                        title: measured.title,
                      },
                    )
                  : say(
                      'The standing mass is a guess, taken to lie within a third of the truth 95 times in 100: measure it with a plate meter or clips.',
                    ),
                intakePct: animal.intakePct[0],
                intakePct2: animal.intakePct[1],
                weightWords: weightWords(animal.bodyKg),
              },
            )}
          </p>
          <OtherWay grazing={grazing} plan={plan} hectares={hectares!} change={change} />
          <p className="mt-1">
            {say('{{aumWords}} animal unit months at {{says}}; {{aumWords2}} at {{says2}}.', {
              aumWords: aumWords(grazing.aum[0]!),
              says: animalUnitWords('srm'),
              aumWords2: aumWords(grazing.aum[1]!),
              says2: animalUnitWords('older'),
            })}
          </p>
        </>
      ) : (
        <p className="mt-2">{say('The paddock has no boundary, so its area is not known.')}</p>
      )}
      {walkedFeed(feed, stageWalked(round), lab).map((of) => (
        <Needs key={of.basis} of={of} plan={plan} stay={grazing?.days.middle} />
      ))}
      <p className="mt-2 text-ink-soft">
        {say('{{source}}. Needs are those of the class; yields, pregnancy and cold add to them.{{what}}', {
          source: animal.source,
          what:
            legume > 0.02
              ? say(
                  ' Legumes: in a sward that yields 8 t a hectare a year a share like this brings about {{inUnits}} to {{inUnits2}} {{unitOf}} of nitrogen {{aHectare}} (Carlsson and Huss-Danell 2003, from memory).',
                  {
                    inUnits: fixed(inUnits('perArea', nitrogen[0]), 0),
                    inUnits2: fixed(inUnits('perArea', nitrogen[1]), 0),
                    unitOf: unitOf('weight'),
                    aHectare: aHectare(),
                  },
                )
              : '',
        })}
      </p>
    </section>
  )
}
