import { codesListed } from '@/text/codeWords.ts'
import { doseOfWords } from '@/text/harmWords.ts'
import type { DoseHere } from '@/core/assess/harm/exposures.ts'
import { feedForms, formWords, type FeedForm, type FormWord, type Plant } from '@/core/flora/flora.ts'
import { areaWords, inUnits, weightWords } from './units.ts'
import { say } from '../language/say.ts'
import { Say } from '../language/Say.tsx'
import { fixed } from '../language/numbers.ts'

const formSays: Record<Exclude<FormWord, 'harmful'>, string> = {
  get lessened() {
    return say('less so, but still')
  },
  get unknown() {
    return say('not known')
  },
}

/** Forms put together by what is said of them: "standing, wilted, hay; not known: silage". */
const asForms = (forms: Record<FeedForm, FormWord>) =>
  formWords
    .map((w) => [w, feedForms.filter((f) => forms[f] === w)] as const)
    .filter(([, of]) => of.length > 0)
    .map(([w, of]) => `${w === 'harmful' ? '' : `${formSays[w]}: `}${codesListed(of)}`)
    .join('; ')

/** Less than a pound or a kilogram is weighed in grams. */
const kg = (n: number) => (inUnits('weight', n) < 1 ? `${Math.round(n * 1000)} g` : weightWords(n))
const area = (n: number) =>
  !Number.isFinite(n)
    ? say('any area')
    : n < 10
      ? `${fixed(n, 1)} m²`
      : n < 10_000
        ? `${Math.round(n)} m²`
        : areaWords(n / 10_000)

/** Reported doses beside what stands here, in plain words. */
export function Doses({ doses, animal }: { doses: DoseHere[]; animal: string }) {
  if (doses.length === 0) return null
  return (
    <>
      {doses.map(({ dose, bodyKg, kg: [low, high], squareMetres }) => (
        <p key={dose.animal + doseOfWords(dose)} className="mt-1">
          <Say
            text="<b>Reported to have harmed:</b> one animal of {{weightWords}} ({{animal}}) that ate {{kg}} to {{kg2}} of {{it}}, {{percent}} to {{percent2}} % of its weight ({{source}}).{{what}} Less has never been shown to be harmless."
            values={{
              weightWords: weightWords(bodyKg),
              animal,
              kg: kg(low),
              kg2: kg(high),
              it: doseOfWords(dose),
              percent: dose.percent[0],
              percent2: dose.percent[1],
              source: dose.source,
              what: squareMetres
                ? say(' As the sward stands that much grows on {{area}} to {{area2}}.', {
                    area: area(squareMetres[0]),
                    area2: area(squareMetres[1]),
                  })
                : '',
            }}
            components={{ b: <b /> }}
          />
        </p>
      ))}
    </>
  )
}

/** How a plant harms: what of it, as what, what shows, what is done first. */
export function ExposureView({ plant }: { plant: Plant }) {
  const e = plant.exposure
  if (!e) return null
  const rows: [string, string][] = [
    [say('Parts'), e.parts],
    [say('Harmful'), asForms(e.forms)],
    [say('Signs'), e.signs],
    [say('How soon'), e.onset],
    [say('First'), e.first],
    ...(e.test ? [[say('What tells'), e.test] as [string, string]] : []),
  ]
  return (
    <>
      <dl className="mt-1 grid grid-cols-[6.5rem_1fr] gap-x-3 gap-y-0.5">
        {rows.map(([what, says]) => (
          <div key={what} className="col-span-2 grid grid-cols-subgrid">
            <dt className="font-semibold">{what}</dt>
            <dd>{/[.!?]$/.test(says) ? says : `${says}.`}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-0.5 text-sm">{say('Sources: {{sources}}.', { sources: e.sources.join('; ') })}</p>
    </>
  )
}
