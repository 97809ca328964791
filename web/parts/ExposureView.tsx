import type { DoseHere } from '@/core/harm/exposures.ts'
import { feedForms, formWords, type FeedForm, type FormWord, type Plant } from '@/core/naming/flora.ts'
import { areaWords, inUnits, weightWords } from './units.ts'

const formSays: Record<Exclude<FormWord, 'harmful'>, string> = {
  lessened: 'less so, but still',
  unknown: 'not known',
}

/** Forms put together by what is said of them: "standing, wilted, hay; not known: silage". */
const asForms = (forms: Record<FeedForm, FormWord>) =>
  formWords
    .map((w) => [w, feedForms.filter((f) => forms[f] === w)] as const)
    .filter(([, of]) => of.length > 0)
    .map(([w, of]) => `${w === 'harmful' ? '' : `${formSays[w]}: `}${of.join(', ')}`)
    .join('; ')

/** Less than a pound or a kilogram is weighed in grams. */
const kg = (n: number) => (inUnits('weight', n) < 1 ? `${Math.round(n * 1000)} g` : weightWords(n))
const area = (n: number) =>
  !Number.isFinite(n)
    ? 'any area'
    : n < 10
      ? `${n.toFixed(1)} m²`
      : n < 10_000
        ? `${Math.round(n)} m²`
        : areaWords(n / 10_000)

/** Reported doses beside what stands here, in plain words. */
export function Doses({ doses, animal }: { doses: DoseHere[]; animal: string }) {
  if (doses.length === 0) return null
  return (
    <>
      {doses.map(({ dose, bodyKg, kg: [low, high], squareMetres }) => (
        <p key={dose.animal + dose.of} className="mt-1">
          <b>Reported to have harmed:</b> one animal of {weightWords(bodyKg)} ({animal}) that ate {kg(low)} to{' '}
          {kg(high)} of {dose.of}, {dose.percent[0]} to {dose.percent[1]} % of its weight ({dose.source}).
          {squareMetres
            ? ` As the sward stands that much grows on ${area(squareMetres[0])} to ${area(squareMetres[1])}.`
            : ''}{' '}
          Less has never been shown to be harmless.
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
    ['Parts', e.parts],
    ['Harmful', asForms(e.forms)],
    ['Signs', e.signs],
    ['How soon', e.onset],
    ['First', e.first],
    ...(e.test ? [['What tells', e.test] as [string, string]] : []),
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
      <p className="mt-0.5 text-sm">Sources: {e.sources.join('; ')}.</p>
    </>
  )
}
