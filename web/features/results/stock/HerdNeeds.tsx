import { codeWords } from '@/text/codeWords.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { useMemo } from 'react'
import { stockedFor } from '@/core/assess/feed/grazingDays.ts'
import { meetsNeeds, shortOver, type Met } from '@/core/assess/feed/meetsNeeds.ts'
import type { WalkedFeed } from '@/core/assess/feed/walkedFeed.ts'
import { feedBasisWords, feedNoteWords, needUnitWords } from '@/text/feedWords.ts'
import { animalClass } from '@/core/assess/feed/needs.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'
import { NumberInput } from '../../../parts/NumberInput.tsx'
import type { useGrazing } from '../../../entities/round/useGrazing.ts'
import { areaWords, inUnits, weightWords } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { atMost, fixed } from '../../../language/numbers.ts'

/** From here on a need is called met without more words. */
const SURE = 0.975

export const days = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

const figure = (n: number) => fixed(n, n < 10 ? 2 : 1)

/** What is lacking over the stay, in something that somebody could bring. */
function lacking(met: Met, count: number, stay: number | undefined): string {
  if (stay === undefined || met.chance >= SURE) return ''
  const lack = shortOver(met, count, stay)
  if (lack.high < 1) return ''
  return say('; over {{days}} days {{n}} would lack about {{middle}} {{unit}} of {{what}} ({{low}} to {{high}})', {
    days: days(stay),
    n: count,
    middle: atMost(lack.middle, 0),
    unit: needUnitWords(met.unit),
    what: codeWords(met.what),
    low: atMost(lack.low, 0),
    high: atMost(lack.high, 0),
  })
}

/** What one animal takes in of a day's feed, against what it needs. */
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
  const { met, eatsKg, notes } = useMemo(() => meetsNeeds(feed, animal), [feed, animal])
  return (
    <>
      <p className="mt-3">
        {say('One eats about {{eats}} of dry matter a day of {{basis}} ({{low}} to {{high}}).', {
          eats: weightWords(eatsKg.middle),
          basis: feedBasisWords(basis),
          low: weightWords(eatsKg.low),
          high: weightWords(eatsKg.high),
        })}
      </p>
      <ul aria-label={say('Needs, by {{basis}}', { basis: feedBasisWords(basis) })}>
        {met.map((m) => (
          <li key={m.what} className="border-b border-rule/60 py-1.5">
            <Say
              text="<b/> needs {{need}} {{unit}} a day, takes in {{middle}} ({{low}} to {{high}}): <span/>, enough in {{naturalFrequency}} draws{{lacking}}"
              values={{
                need: figure(m.need),
                unit: needUnitWords(m.unit),
                middle: figure(m.has.middle),
                low: figure(m.has.low),
                high: figure(m.has.high),
                naturalFrequency: naturalFrequency(m.chance),
                lacking: lacking(m, plan.count, stay),
              }}
              components={{
                b: <b className="inline-block w-20 first-letter:uppercase">{codeWords(m.what)}</b>,
                span: (
                  <span className="font-semibold">
                    {m.short > 0
                      ? say('short by about {{share}} in 100', { share: Math.round((100 * m.short) / m.need) })
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
      {notes.map((note) => (
        <p key={note} className="mt-1 font-semibold">
          {feedNoteWords(note)}
        </p>
      ))}
    </>
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
    <div className="mt-2 grid items-end gap-3 @md:grid-cols-[10rem_1fr]">
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
