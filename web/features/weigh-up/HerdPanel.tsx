import { aumWords } from '../../entities/round/aumWords.ts'
import { animalUnitWords } from '@/text/animalUnitWords.ts'
import { animalClassName } from '@/text/animalWords.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { nitrogenFixedKgPerHa, stockedFor } from '@/core/assess/feed/grazingDays.ts'
import { meetsNeeds, shortOver, type Met } from '@/core/assess/feed/meetsNeeds.ts'
import type { MixtureFeed } from '@/core/assess/feed/mixtureFeed.ts'
import { animalClass, animalClasses, type AnimalClass } from '@/core/assess/feed/needs.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useGrazing } from '../../entities/round/useGrazing.ts'
import { aHectare, areaWords, forField, inUnits, massFigure, typedIn, unitOf, weightWords } from '../../parts/units.ts'
import { say, word } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

function NumberInput({
  label,
  value,
  min = 0,
  max,
  onChange,
}: {
  label: string
  value: number
  min?: number
  max: number
  onChange: (n: number) => void
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <input
          id={id}
          type="number"
          min={min}
          max={max}
          value={value}
          onChange={(e) => {
            const n = Number(e.target.value)
            if (e.target.value !== '' && Number.isFinite(n) && n >= min && n <= max) onChange(n)
          }}
          className={inputClass}
        />
      )}
    </Labelled>
  )
}

/** From here on a need is called met without more words. */
const SURE = 0.975

const days = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

/** What is lacking over the stay, in kilograms that somebody could bring. */
function lacking(met: Met, animal: AnimalClass, count: number, stay: number | undefined): string {
  if (stay === undefined || met.chance >= SURE) return ''
  const kg = shortOver(met, animal, count, stay)
  if (kg.high < 1) return ''
  const what = met.what === 'energy' ? 'TDN' : 'protein'
  return say(
    '; over {{days}} days {{n}} would lack about {{weightWords}} of {{what}} ({{weightWords2}} to {{weightWords3}})',
    {
      days: days(stay),
      n: count,
      weightWords: weightWords(kg.middle),
      what,
      weightWords2: weightWords(kg.low),
      weightWords3: weightWords(kg.high),
    },
  )
}

function Needs({ feed, plan, stay }: { feed: MixtureFeed; plan: HerdPlan; stay: number | undefined }) {
  const animal = animalClass(plan.animal)!
  return (
    <ul className="mt-3" aria-label={say('Needs')}>
      {meetsNeeds(feed, animal).map((m) => (
        <li key={m.what} className="border-b border-rule/60 py-1.5">
          <Say
            text="<b/>needs {{needPct}} % {{what}}; leafy, the sward has {{middle}} % ({{low}} to {{high}}): <span/>, enough in {{naturalFrequency}} draws{{lacking}}"
            values={{
              needPct: m.needPct,
              what: m.what === 'energy' ? 'TDN' : say('of dry matter'),
              middle: fixed(m.hasPct.middle, 0),
              low: fixed(m.hasPct.low, 0),
              high: fixed(m.hasPct.high, 0),
              naturalFrequency: naturalFrequency(m.chance),
              lacking: lacking(m, animal, plan.count, stay),
            }}
            components={{
              b: <b className="inline-block w-20 first-letter:uppercase">{word(m.what)}</b>,
              span: (
                <span className="font-semibold">
                  {m.shortPct > 0
                    ? say('short by about {{shortPct}} points', {
                        shortPct: fixed(m.shortPct, m.shortPct < 1 ? 1 : 0),
                      })
                    : m.chance >= SURE
                      ? say('met')
                      : say('met in the middle of the range')}
                </span>
              ),
            }}
          />
        </li>
      ))}
    </ul>
  )
}

/** Days that are asked for, turned into animals and into hectares. */
function OtherWay({
  grazing,
  plan,
  hectares,
  change,
}: {
  grazing: NonNullable<ReturnType<typeof useGrazing>['grazing']>
  plan: HerdPlan
  hectares: number
  change: (patch: Partial<HerdPlan>) => void
}) {
  const wanted = plan.wantedDays ?? 7
  const { animals, areaHa } = stockedFor(wanted, { count: plan.count, areaHa: hectares }, grazing.one)
  return (
    <div className="mt-2 grid items-end gap-3 sm:grid-cols-[10rem_1fr]">
      <NumberInput
        label={say('Days wanted')}
        value={wanted}
        min={1}
        max={365}
        onChange={(wantedDays) => change({ wantedDays })}
      />
      <p data-testid="other-way">
        <Say
          text="For {{wanted}} days it feeds <b/> ({{floor}} to {{floor2}}); {{n}} would need"
          values={{ wanted, floor: Math.floor(animals.low), floor2: Math.floor(animals.high), n: plan.count }}
          components={{ b: <b>{Math.floor(animals.middle)}</b> }}
        />{' '}
        {Number.isFinite(areaHa.middle) ? (
          <>
            <Say
              text="<b/> ({{inUnits}} to {{what}})"
              values={{
                inUnits: fixed(inUnits('area', areaHa.low), 2),
                what: Number.isFinite(areaHa.high)
                  ? fixed(inUnits('area', areaHa.high), 2)
                  : say('more than can be said'),
              }}
              components={{ b: <b>{areaWords(areaHa.middle)}</b> }}
            />
          </>
        ) : (
          say('more than can be said: next to nothing stands above what is left')
        )}
        .
      </p>
    </div>
  )
}

/** How long a herd can stay, and whether the sward gives what it needs. */
export function HerdPanel({ round, made, feed }: { round: Round; made: Composition; feed: MixtureFeed | undefined }) {
  const { plan, change, animal, measured, hectares, grazing, legume } = useGrazing(round, made)
  const nitrogen = nitrogenFixedKgPerHa(legume, 8000)
  return (
    <section className="mt-6" aria-labelledby="herd">
      <h2 id="herd" className="text-xl">
        {say('How long, for how many')}
      </h2>
      <div className="mt-2 grid items-end gap-3 sm:grid-cols-3">
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
      </div>
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
      {feed ? <Needs feed={feed} plan={plan} stay={grazing?.days.middle} /> : null}
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
