import {
  FEEDS_ITSELF,
  hayOfftake,
  KG_PER_KG_N,
  nitrogenFixedKgPerHa,
  REACHES_GRASS,
} from '@/core/assess/fertility/fertility.ts'
import { stemStand } from '@/core/assess/sowing/renew.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { stemStandWords } from '@/text/groundWords.ts'
import { inSentence } from '@/text/say.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { useManagement } from '../../../entities/round/herd.ts'
import { percent } from '../../../parts/words.ts'
import { rateWords } from '../../../parts/units.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { atMost } from '../../../language/numbers.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { NumberInput } from '../../../parts/NumberInput.tsx'

/** Nitrogen that legumes bring, and what hay carries off. */
export function Nitrogen({
  legume,
  yieldKgPerHa,
  measured,
  hay,
}: {
  legume: number
  yieldKgPerHa: number
  measured: boolean
  hay: boolean
}) {
  const fixed = nitrogenFixedKgPerHa(legume, yieldKgPerHa)
  const off = hayOfftake(yieldKgPerHa / 1000, legume)
  return (
    <ul>
      <li className="border-b border-rule/60 py-1">
        {measured ? (
          <Say
            text="<b>Legumes</b> ({{share}}) bring {{low}} to {{high}} of nitrogen a year (Carlsson & Huss-Danell 2003); {{few}} to {{many}} in 100 of it reaches the grass in the first."
            values={{
              share: percent(legume),
              low: atMost(fixed[0], 0),
              high: rateWords(fixed[1]),
              few: 100 * REACHES_GRASS[0],
              many: 100 * REACHES_GRASS[1],
            }}
            components={{ b: <b /> }}
          />
        ) : (
          say(
            'How much nitrogen the legumes bring goes by the yield of the year: write down what was measured, under Year.',
          )
        )}
      </li>
      <li className="border-b border-rule/60 py-1">
        {legume >= FEEDS_ITSELF
          ? say(
              'From about 30 % legumes on the grass asks for no nitrogen of a bag; it would only push the clover out.',
            )
          : say('A kilogram of nitrogen makes {{low}} to {{high}} kg of dry matter, less the more is given.', {
              low: KG_PER_KG_N[0],
              high: KG_PER_KG_N[1],
            })}
      </li>
      {hay ? (
        <li className="border-b border-rule/60 py-1">
          {say(
            'Cut for hay, {{yield}} carries off about {{p}} of phosphate and {{k}} of potash; a soil test says what is to be given back.',
            {
              yield: rateWords(yieldKgPerHa),
              p: rateWords(off.p2o5),
              k: rateWords(off.k2o),
            },
          )}
        </li>
      ) : null}
    </ul>
  )
}

/** From this share on a stand that is judged by its stems is worth a count. */
const WORTH_COUNTING = 0.05

/** Stems a square metre, for plants whose stand is judged by them. */
export function Stems({ round, made }: { round: Round; made: Composition }) {
  const byId = useFlora((s) => s.byId)
  const { data, change, problem } = useManagement(round.paddockId)
  const of = made.taxa.find((t) => byId.get(t.taxon)?.traits?.includes('autotoxic'))
  if (!of || of.estimate < WORTH_COUNTING) return null
  const stems = data?.stemsPerM2
  return (
    <fieldset disabled={problem !== undefined} className="mt-2 grid items-end gap-3 @md:grid-cols-2">
      <NumberInput
        label={say('Stems of {{name}} on a square metre, counted', { name: inSentence(taxonName(of.taxon, byId)) })}
        value={stems ?? 0}
        max={5000}
        onChange={(stemsPerM2) => change({ stemsPerM2: stemsPerM2 || undefined })}
      />
      {stems ? (
        <p>{say('{{stand}} (Undersander & Cosgrove, from memory).', { stand: stemStandWords(stemStand(stems)) })}</p>
      ) : null}
    </fieldset>
  )
}
