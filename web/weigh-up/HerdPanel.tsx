import { naturalFrequency } from '@/core/naming/certainty.ts'
import { animalUnitMonths, nitrogenFixedKgPerHa, stockedFor } from '@/core/feed/grazingDays.ts'
import { meetsNeeds, shortOver, type Met } from '@/core/feed/meetsNeeds.ts'
import type { Estimate, MixtureFeed } from '@/core/feed/mixtureFeed.ts'
import { animalClass, animalClasses, type AnimalClass } from '@/core/feed/needs.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { inputClass, Labelled } from '../parts/Labelled.tsx'
import { useGrazing } from './useGrazing.ts'
import { aHectare, areaWords, forField, inUnits, massFigure, typedIn, unitOf, weightWords } from '../parts/units.ts'

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

/** Animal unit months with the range of the standing mass. */
export const aumWords = (a: Estimate) => `${a.middle.toFixed(1)} (${a.low.toFixed(1)} to ${a.high.toFixed(1)})`

/** From here on a need is called met without more words. */
const SURE = 0.975

const days = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)))

/** What is lacking over the stay, in kilograms that somebody could bring. */
function lacking(met: Met, animal: AnimalClass, count: number, stay: number | undefined): string {
  if (stay === undefined || met.chance >= SURE) return ''
  const kg = shortOver(met, animal, count, stay)
  if (kg.high < 1) return ''
  const what = met.what === 'energy' ? 'TDN' : 'protein'
  return `; over ${days(stay)} days ${count} would lack about ${weightWords(kg.middle)} of ${what} (${weightWords(kg.low)} to ${weightWords(kg.high)})`
}

function Needs({ feed, plan, stay }: { feed: MixtureFeed; plan: HerdPlan; stay: number | undefined }) {
  const animal = animalClass(plan.animal)!
  return (
    <ul className="mt-3" aria-label="Needs">
      {meetsNeeds(feed, animal).map((m) => (
        <li key={m.what} className="border-b border-rule/60 py-1.5">
          <b className="inline-block w-20 first-letter:uppercase">{m.what}</b>
          needs {m.needPct} % {m.what === 'energy' ? 'TDN' : 'of dry matter'}; leafy, the sward has{' '}
          {m.hasPct.middle.toFixed(0)} % ({m.hasPct.low.toFixed(0)} to {m.hasPct.high.toFixed(0)}):{' '}
          <span className="font-semibold">
            {m.shortPct > 0
              ? `short by about ${m.shortPct.toFixed(m.shortPct < 1 ? 1 : 0)} points`
              : m.chance >= SURE
                ? 'met'
                : 'met in the middle of the range'}
          </span>
          , enough in {naturalFrequency(m.chance)} draws{lacking(m, animal, plan.count, stay)}
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
        label="Days wanted"
        value={wanted}
        min={1}
        max={365}
        onChange={(wantedDays) => change({ wantedDays })}
      />
      <p data-testid="other-way">
        For {wanted} days it feeds <b>{Math.floor(animals.middle)}</b> ({Math.floor(animals.low)} to{' '}
        {Math.floor(animals.high)}); {plan.count} would need{' '}
        {Number.isFinite(areaHa.middle) ? (
          <>
            <b>{areaWords(areaHa.middle)}</b> ({inUnits('area', areaHa.low).toFixed(2)} to{' '}
            {Number.isFinite(areaHa.high) ? inUnits('area', areaHa.high).toFixed(2) : 'more than can be said'})
          </>
        ) : (
          'more than can be said: next to nothing stands above what is left'
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
        How long, for how many
      </h2>
      <div className="mt-2 grid items-end gap-3 sm:grid-cols-3">
        <Labelled label="Stock">
          {(id) => (
            <select
              id={id}
              value={plan.animal}
              onChange={(e) => change({ animal: e.target.value })}
              className={inputClass}
            >
              {animalClasses.map((a) => (
                <option key={a.id} value={a.id}>
                  {a.name}
                </option>
              ))}
            </select>
          )}
        </Labelled>
        <NumberInput
          label="How many"
          value={plan.count}
          min={1}
          max={100_000}
          onChange={(count) => change({ count })}
        />
        {measured ? null : (
          <NumberInput
            label={`Standing, ${unitOf('perArea')} (a guess)`}
            value={forField('perArea', plan.guessKgPerHa)}
            max={20_000}
            onChange={(guess) => change({ guessKgPerHa: typedIn('perArea', guess) })}
          />
        )}
        <NumberInput
          label={`Left standing, ${unitOf('perArea')}`}
          value={forField('perArea', plan.residualKgPerHa)}
          max={20_000}
          onChange={(left) => change({ residualKgPerHa: typedIn('perArea', left) })}
        />
        <NumberInput
          label="Eaten of the rest, %"
          value={plan.usePct}
          max={100}
          onChange={(usePct) => change({ usePct })}
        />
        <NumberInput
          label="Refused, %"
          value={plan.refusedPct}
          max={100}
          onChange={(refusedPct) => change({ refusedPct })}
        />
      </div>
      {grazing ? (
        <>
          <p className="mt-3 text-xl" data-testid="days">
            <b>{days(grazing.days.middle)} days</b>, {days(grazing.days.low)} to {days(grazing.days.high)}, for{' '}
            {plan.count} on {areaWords(hectares!)}
          </p>
          <p className="text-ink-soft">
            {measured
              ? `Standing dry matter ${massFigure(grazing.mass.middle)} ${unitOf('perArea')} (${massFigure(grazing.mass.low)} to ${massFigure(grazing.mass.high)}), measured in "${measured.title}".`
              : 'The standing mass is a guess, taken to lie within a third of the truth 95 times in 100: measure it with a plate meter or clips.'}{' '}
            Each eats {animal.intakePct[0]} to {animal.intakePct[1]} % of {weightWords(animal.bodyKg)} a day. What grows
            meanwhile is not in it.
          </p>
          <OtherWay grazing={grazing} plan={plan} hectares={hectares!} change={change} />
          <p className="mt-1">
            {aumWords(grazing.aum[0]!)} animal unit months at {animalUnitMonths.srm.says}; {aumWords(grazing.aum[1]!)}{' '}
            at {animalUnitMonths.older.says}.
          </p>
        </>
      ) : (
        <p className="mt-2">The paddock has no boundary, so its area is not known.</p>
      )}
      {feed ? <Needs feed={feed} plan={plan} stay={grazing?.days.middle} /> : null}
      <p className="mt-2 text-ink-soft">
        {animal.source}. Needs are those of the class; yields, pregnancy and cold add to them.
        {legume > 0.02
          ? ` Legumes: in a sward that yields 8 t a hectare a year a share like this brings about ${inUnits('perArea', nitrogen[0]).toFixed(0)} to ${inUnits('perArea', nitrogen[1]).toFixed(0)} ${unitOf('weight')} of nitrogen ${aHectare()} (Carlsson and Huss-Danell 2003, from memory).`
          : ''}
      </p>
    </section>
  )
}
