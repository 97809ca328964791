import { naturalFrequency } from '@/text/certaintyWords.ts'
import { stockedFor } from '@/core/assess/feed/grazingDays.ts'
import { meetsNeeds, shortOver, type Met } from '@/core/assess/feed/meetsNeeds.ts'
import type { WalkedFeed } from '@/core/assess/feed/walkedFeed.ts'
import { feedBasisWords } from '@/text/feedWords.ts'
import { animalClass, type AnimalClass } from '@/core/assess/feed/needs.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import type { useGrazing } from '../../entities/round/useGrazing.ts'
import { areaWords, inUnits, weightWords } from '../../parts/units.ts'
import { say, word } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { atMost, fixed } from '../../language/numbers.ts'

export function NumberInput({
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

export const days = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

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

export function Needs({
  of: { basis, feed },
  plan,
  stay,
}: {
  of: WalkedFeed
  plan: HerdPlan
  stay: number | undefined
}) {
  const animal = animalClass(plan.animal)!
  return (
    <ul className="mt-3" aria-label={say('Needs, by {{basis}}', { basis: feedBasisWords(basis) })}>
      {meetsNeeds(feed, animal).map((m) => (
        <li key={m.what} className="border-b border-rule/60 py-1.5">
          <Say
            text="<b/>needs {{needPct}} % {{what}}; {{basis}} has {{middle}} % ({{low}} to {{high}}): <span/>, enough in {{naturalFrequency}} draws{{lacking}}"
            values={{
              needPct: atMost(m.needPct, 1),
              basis: feedBasisWords(basis),
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
export function OtherWay({
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
