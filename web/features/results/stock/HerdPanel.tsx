import { ReadProblem } from '../../../ui/ReadProblem.tsx'
import { aumWords } from '../../../entities/round/aumWords.ts'
import { animalUnitWords } from '@/text/animalUnitWords.ts'
import { animalClassName, needsSourceWords } from '@/text/animalWords.ts'
import { useMemo } from 'react'
import { animalUnits } from '@/core/assess/grazing/sward.ts'
import { grazingSystemWords, swardKindWords } from '@/text/grazingWords.ts'
import { grazingSystems, type GrazingSystem } from '@/core/records/management.ts'
import { walkedFeed } from '@/core/assess/feed/walkedFeed.ts'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { useLab, useManagement } from '../../../entities/round/herd.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { areaWords, forField, massFigure, rateWords, typedIn, unitOf, weightWords } from '../../../parts/units.ts'
import { dayWords } from '../../../language/dates.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { fixed } from '../../../language/numbers.ts'
import { NumberInput } from '../../../parts/NumberInput.tsx'
import type { ChapterProps } from '../chapter.ts'
import { MassBar } from './MassBar.tsx'
import { ConditionAsked, MovesPanel } from './MovesPanel.tsx'
import { days, Needs, OtherWay } from './HerdNeeds.tsx'

/** The stock, how it is moved, and what it leaves standing: what the days are worked out from. */
export function Herd({ round, weighed: { composition: made, feed } }: ChapterProps) {
  const { plan, problem, again, change, measured, mass, leavesPct, usual, kind, system } = useGrazing(
    round,
    made,
    feed?.walked,
  )
  const { change: manage } = useManagement(round.paddockId)
  return (
    <>
      <ReadProblem of={say('The stock of this paddock')} problem={problem} again={again} />
      {/* What is changed is written whole: not over a herd that could not be read. */}
      <fieldset disabled={problem !== undefined} className="mt-2 grid items-end gap-3 @md:grid-cols-3">
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
        <div className="@md:col-span-2">
          <Labelled label={say('Moved')}>
            {(id) => (
              <select
                id={id}
                value={system}
                onChange={(e) => manage({ system: e.target.value as GrazingSystem })}
                className={inputClass}
              >
                {grazingSystems.map((s) => (
                  <option key={s} value={s}>
                    {grazingSystemWords(s)}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
        </div>
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
      <p className="mt-2 text-ink-soft">
        {say(
          'Usual of {{kind}}, {{system}}: {{left}} left standing, {{use}} % eaten of the rest (handbooks, from memory). By its plants at this growth such stock would leave {{refused}} %.',
          {
            kind: swardKindWords(kind),
            system: grazingSystemWords(system),
            left: rateWords(usual.residualKgPerHa!),
            use: usual.usePct,
            refused: leavesPct,
          },
        )}{' '}
        {leavesPct === plan.refusedPct &&
        usual.residualKgPerHa === plan.residualKgPerHa &&
        usual.usePct === plan.usePct ? null : (
          <button
            type="button"
            disabled={problem !== undefined}
            onClick={() =>
              change({ residualKgPerHa: usual.residualKgPerHa!, usePct: usual.usePct!, refusedPct: leavesPct })
            }
            className="min-h-11 px-1 font-semibold text-culm underline"
          >
            {say('Take these figures')}
          </button>
        )}
      </p>
      <MassBar mass={mass} plan={plan} />
      <details className="mt-3">
        <summary className="min-h-11 py-2 font-semibold text-culm">{say('Look at the pasture')}</summary>
        <ConditionAsked paddockId={round.paddockId} />
      </details>
    </>
  )
}

/** How long a herd can stay, and whether the sward gives what it needs. */
export function HerdPanel({ round, weighed: { composition: made, feed } }: ChapterProps) {
  const { plan, change, animal, measured, tooOld, hectares, grazing, eats, year } = useGrazing(
    round,
    made,
    feed?.walked,
  )
  const { data: lab } = useLab(round.id)
  const walked = useMemo(() => walkedFeed(feed?.walked, lab), [feed, lab])
  return (
    <section aria-labelledby="herd">
      <h2 id="herd" className="text-[1.65rem]">
        {say('How long, for how many')}
      </h2>
      {tooOld ? (
        <p className="mt-1 font-semibold">
          {say('"{{title}}" measured what stood on {{day}}: too far from this round to speak for it while it grows.', {
            title: tooOld.title,
            day: dayWords(tooOld.on),
          })}
        </p>
      ) : null}
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
              '{{what}} Each eats {{intakePct}} to {{intakePct2}} % of {{weightWords}} a day of such feed. {{growth}}',
              {
                what: measured
                  ? say(
                      'Standing dry matter {{massFigure}} {{unitOf}} ({{massFigure2}} to {{massFigure3}}), measured in "{{title}}" on {{day}}.',
                      {
                        massFigure: massFigure(grazing.mass.middle),
                        unitOf: unitOf('perArea'),
                        massFigure2: massFigure(grazing.mass.low),
                        massFigure3: massFigure(grazing.mass.high),
                        title: measured.title,
                        day: dayWords(measured.on),
                      },
                    )
                  : say(
                      'The standing mass is a guess, taken to lie within a third of the truth 95 times in 100: measure it with a plate meter or clips.',
                    ),
                intakePct: fixed(eats[0], 1),
                intakePct2: fixed(eats[1], 1),
                growth: year
                  ? say('Growth meanwhile, {{rate}} a day for at most thirty days, is in it: {{how}}.', {
                      rate: rateWords(year.growthKgPerHaDay),
                      how: year.measuredYield
                        ? say('by the yield that was measured')
                        : say('a guess by region and month'),
                    })
                  : say('What grows meanwhile is not in it.'),
                weightWords: weightWords(animal.bodyKg),
              },
            )}
          </p>
          <OtherWay grazing={grazing} plan={plan} hectares={hectares!} change={change} />
          <p className="mt-1">
            {say('The herd is {{units}} animal units of a 454 kg (1,000 lb) cow, by metabolic weight.', {
              units: fixed(animalUnits(animal.bodyKg, plan.count), 1),
            })}{' '}
            {grazing.aum
              .map(({ convention, months }) =>
                say('{{aumWords}} animal unit months at {{says}}', {
                  aumWords: aumWords(months),
                  says: animalUnitWords(convention),
                }),
              )
              .join('; ')}
            .
          </p>
        </>
      ) : (
        <p className="mt-2">{say('The paddock has no boundary, so its area is not known.')}</p>
      )}
      {walked ? <Needs of={walked} plan={plan} stay={grazing?.days.middle} /> : null}
      <p className="mt-2 text-ink-soft">
        {say('{{source}}. Needs are those of the class; cold, worms and a long way to walk add to them.', {
          source: needsSourceWords(animal.source),
        })}
      </p>
      <MovesPanel round={round} made={made} />
    </section>
  )
}
