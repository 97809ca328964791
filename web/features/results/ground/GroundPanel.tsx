import { hayValue, usualFeeds } from '@/core/assess/feed/hay.ts'
import { weedCost } from '@/core/assess/fertility/fertility.ts'
import { renewal, renewalMoney } from '@/core/assess/sowing/renew.ts'
import { moneyWords, renewalWords, weedVerdictWords } from '@/text/groundWords.ts'
import { usePrices, type Prices } from '../../../entities/round/prices.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { useContacts } from '../../../entities/round/herd.ts'
import { NoxiousHere } from '../../../entities/round/NoxiousHere.tsx'
import { useWanted } from '../../../entities/round/useWanted.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { percent, percentRange } from '../../../parts/words.ts'
import { forField, inUnits, rateWords, typedIn, unitOf } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { Nitrogen, Stems } from './GroundParts.tsx'
import { Say } from '../../../language/Say.tsx'
import type { ChapterProps } from '../chapter.ts'

interface PriceProps {
  of: keyof Prices
  label: string
  most: number
  /** Where the figure depends on the units that are read. */
  per?: 'costPerArea' | 'costPerWeight' | 'perArea'
}

function Price({ of, label, most, per }: PriceProps) {
  const { prices, set } = usePrices()
  const kept = prices[of]
  return (
    <Labelled label={per ? `${label}, ${unitOf(per)}` : label}>
      {(id) => (
        <input
          id={id}
          type="number"
          min={0}
          max={most}
          step="any"
          value={kept === undefined ? '' : per ? forField(per, kept) : kept}
          onChange={(e) => {
            const n = Number(e.target.value)
            if (e.target.value === '') set({ [of]: undefined })
            else if (Number.isFinite(n) && n >= 0 && n <= most) set({ [of]: per ? typedIn(per, n) : n })
          }}
          className={inputClass}
        />
      )}
    </Labelled>
  )
}

/** The list that law keeps for this place, typed in; it holds for every paddock of the holding. */
function Noxious({ holdingId }: { holdingId: string }) {
  const { data: known, change, problem } = useContacts(holdingId)
  return (
    <fieldset disabled={problem !== undefined} className="mt-2">
      <Labelled label={say('Noxious weeds by law of this place, by any name, a comma between them')}>
        {(id) => (
          <textarea
            id={id}
            rows={2}
            maxLength={4000}
            value={known?.noxious ?? ''}
            onChange={(e) => change({ noxious: e.target.value || undefined })}
            className={`${inputClass} py-2`}
          />
        )}
      </Labelled>
    </fieldset>
  )
}

/** What is typed of law and money. */
export function LawAndPrices({ round }: ChapterProps) {
  return (
    <>
      <Noxious holdingId={round.paddock.holdingId} />
      <section aria-labelledby="prices" className="mt-4">
        <h2 id="prices" className="text-xl">
          {say('At your own prices')}
        </h2>
        <p className="text-ink-soft">{say('In any one money. What is typed stays on this device.')}</p>
        <div className="mt-2 grid items-end gap-3 @md:grid-cols-2">
          <Price of="forage" label={say('Forage that is eaten, dry matter')} per="costPerWeight" most={10_000} />
          <Price of="control" label={say('Weed control')} per="costPerArea" most={100_000} />
          <Price of="killPct" label={say('It kills, %')} most={100} />
          <Price of="controlYears" label={say('It holds, years')} most={20} />
        </div>
        <div className="mt-3 grid items-end gap-3 @md:grid-cols-2">
          <Price of="sowing" label={say('Sowing')} per="costPerArea" most={100_000} />
          <Price of="sowingYears" label={say('It lasts, years')} most={50} />
          <Price of="failsPct" label={say('Chance that it fails, %')} most={99} />
          <Price of="interestPct" label={say('Interest a year, %')} most={50} />
          <Price of="gainKgPerHa" label={say('Dry matter more in a year')} per="perArea" most={20_000} />
        </div>
        <div className="mt-3 grid items-end gap-3 @md:grid-cols-2">
          <Price of="grain" label={say('Grain, dry matter')} per="costPerWeight" most={10_000} />
          <Price of="meal" label={say('Protein meal, dry matter')} per="costPerWeight" most={10_000} />
        </div>
      </section>
    </>
  )
}

/** What the ground gets and gives, whether to renew it, and what weeds and hay are worth at one's own prices. */
export function GroundPanel({ round, weighed: { composition: made, feed } }: ChapterProps) {
  const { data: known } = useContacts(round.paddock.holdingId)
  const { mass, legume, year, animal } = useGrazing(round, made)
  const { prices } = usePrices()
  const { desirable, weeds } = useWanted(round, animal.kind)
  const says = renewal(desirable)
  const standing = mass.middle
  const weed =
    prices.forage && prices.control && prices.killPct
      ? weedCost({
          weedKgPerHa: weeds.estimate * standing,
          price: prices.forage / 1000,
          years: prices.controlYears || 1,
          cost: prices.control,
          kill: prices.killPct / 100,
        })
      : undefined
  const money =
    prices.sowing && prices.gainKgPerHa && prices.forage && (prices.failsPct ?? 0) < 100
      ? renewalMoney({
          cost: prices.sowing,
          years: Math.max(1, prices.sowingYears ?? 5),
          interest: (prices.interestPct ?? 0) / 100,
          fails: (prices.failsPct ?? 0) / 100,
          gainKgPerHa: prices.gainKgPerHa,
          price: prices.forage / 1000,
        })
      : undefined
  const hay =
    prices.grain && prices.meal && feed
      ? hayValue(
          { cpPct: feed.walked.cpPct.middle, tdnPct: feed.walked.tdnPct.middle },
          { ...usualFeeds.grain, price: prices.grain },
          { ...usualFeeds.meal, price: prices.meal },
        )
      : undefined
  return (
    <section aria-labelledby="ground">
      <h2 id="ground" className="text-[1.65rem]">
        {say('Ground, weeds and money')}
      </h2>
      <p>
        <Say
          text="<b>{{likely}}</b>: perennials that this stock eat are {{share}}{{range}}.{{between}}"
          values={{
            likely: renewalWords(says.likely),
            share: percent(desirable.estimate),
            range: desirable.interval ? ` (${percentRange(desirable.interval)})` : '',
            between:
              says.between.length > 1
                ? ` ${say('The range reaches from "{{worst}}" to "{{best}}".', { worst: renewalWords(says.between[0]!), best: renewalWords(says.between[1]!) })}`
                : '',
          }}
          components={{ b: <b /> }}
        />
      </p>
      {year ? (
        <Nitrogen
          legume={legume}
          yieldKgPerHa={year.yieldKgPerHa}
          measured={year.measuredYield}
          hay={round.paddock.outlook === 'hay'}
        />
      ) : null}
      <Stems round={round} made={made} />
      <NoxiousHere list={known?.noxious} made={made} />
      {weed || money || hay !== undefined ? <h3 className="mt-4 text-lg">{say('At your own prices')}</h3> : null}
      {weed ? (
        <p className="mt-2">
          {say(
            'Weeds are {{share}} of the sward and cost {{low}} to {{high}}{{each}} of forage over the years that control holds, against {{needed}} it has to save: {{verdict}}.',
            {
              share: percent(weeds.estimate),
              low: moneyWords(inUnits('costPerArea', weed.loss[0])),
              each: unitOf('costPerArea'),
              high: moneyWords(inUnits('costPerArea', weed.loss[1])),
              needed: moneyWords(inUnits('costPerArea', weed.needed)),
              verdict: weedVerdictWords(weed.verdict),
            },
          )}
        </p>
      ) : null}
      {money ? (
        <p className="mt-2">
          {say(
            'Sowing costs {{cost}}{{each}} and year, failures in it, and brings {{gain}}: {{verdict}}. It pays from {{even}} more in a year.',
            {
              cost: moneyWords(inUnits('costPerArea', money.cost)),
              each: unitOf('costPerArea'),
              gain: moneyWords(inUnits('costPerArea', money.gain)),
              verdict: weedVerdictWords(money.worth),
              even: rateWords(money.evenKgPerHa),
            },
          )}
        </p>
      ) : null}
      {hay !== undefined ? (
        <p className="mt-2">
          {say(
            'By protein and energy at those prices (Petersen 1932) dry matter of this growth is worth about {{value}} as feed, before cutting, waste and haulage.',
            {
              value: `${moneyWords(inUnits('costPerWeight', hay))}${unitOf('costPerWeight')}`,
            },
          )}
        </p>
      ) : null}
      <p className="mt-2 text-ink-soft">
        {say(
          'A kilogram of weed costs one to two of forage (Grekul & Bork 2004, from memory). What law asks of a noxious weed goes before what pays.',
        )}
      </p>
    </section>
  )
}
