import { useState } from 'react'
import { codeWords } from '@/text/codeWords.ts'
import { keptAnimals } from '@/core/assess/harm/exposures.ts'
import { acutenessFor } from '@/core/assess/harm/acuteness.ts'
import { verdictFor, type Verdict, type VerdictCode } from '@/core/assess/harm/verdict.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { acutenesses } from '@/core/flora/codes.ts'
import { feedForms, type FeedForm } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import { inSentence } from '@/text/say.ts'
import { acutenessWords, harmVerdictWords } from '@/text/verdictWords.ts'
import { useHazardsOfKinds } from '../../../entities/round/useHazards.ts'
import { AnimalDrawing } from '../../../parts/AnimalDrawing.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { dayWords } from '../../../language/dates.ts'
import { say } from '../../../language/say.ts'
import { FormDrawing, VerdictMark } from './HarmMarks.tsx'

type Animal = (typeof keptAnimals)[number]
interface Cell {
  animal: Animal
  form: FeedForm
}

const codes: readonly VerdictCode[] = [
  'not-for-them',
  'act-first',
  'test-first',
  'lessened',
  'not-judged',
  'not-excluded',
]
/** So many names stand in a cell. */
const NAMED = 2

/** What a verdict stands on, in names. */
function useReasons() {
  const byId = useFlora((s) => s.byId)
  const hazards = useFlora((s) => s.hazards)
  const hazardName = (id: string) => inSentence(hazards.find((h) => h.id === id)?.name ?? id)
  const plantName = (id: string) => inSentence((byId.get(id)?.commonName ?? id).replace(/ \(.*\)/, ''))
  return (v: Verdict) => [...v.plants.map(plantName), ...v.hazards.map(hazardName)]
}

/** The cell that was touched, in a sentence: the verdict, how soon it harms, what it stands on, and until when. */
function Told({ verdict, reasons }: { verdict: Verdict; reasons: string[] }) {
  const byId = useFlora((s) => s.byId)
  const goes = verdict.plants.flatMap((id) => acutenessFor(byId.get(id)!, verdict.animal) ?? [])
  const worst = acutenesses.find((a) => goes.includes(a))
  return (
    <p aria-live="polite" className="mt-2 flex items-start gap-3 rounded-xl bg-sheet px-3 py-2 text-lg">
      <VerdictMark code={verdict.code} className="mt-1 size-9" />
      <span>
        <b>
          {codeWords(verdict.animal)}, {codeWords(verdict.form)}:
        </b>{' '}
        {harmVerdictWords(verdict.code)}
        {reasons.length > 0 ? ` (${reasons.join(', ')})` : ''}
        {worst ? `. ${acutenessWords(worst)}` : ''}
        {verdict.from ? `, ${say('earliest {{day}}', { day: dayWords(verdict.from) })}` : ''}.
      </span>
    </p>
  )
}

interface Props {
  round: Round
  harm: WeighUp['harm']
  /** Kind of stock that is kept; undefined where nobody has said. */
  kept: Animal | undefined
}

/** Which animal is in danger from what, as what: each pair is one mark, the stock that is kept first. */
export function HarmGlance({ round, harm, kept }: Props) {
  const byId = useFlora((s) => s.byId)
  const dangersOf = useHazardsOfKinds(round)
  const reasonsOf = useReasons()
  const [chosen, choose] = useState<Cell>({
    animal: kept ?? keptAnimals[0],
    form: round.paddock.outlook === 'hay' ? 'hay' : 'standing',
  })
  const animals = kept ? [kept, ...keptAnimals.filter((a) => a !== kept)] : keptAnimals
  const verdict = ({ animal, form }: Cell) => verdictFor(harm, byId, animal, form, dangersOf(animal))
  const now = verdict(chosen)
  const isChosen = (c: Cell) => c.animal === chosen.animal && c.form === chosen.form
  return (
    <section aria-label={say('At a glance')} className="mt-2">
      <table className="w-full table-fixed border-separate border-spacing-1">
        <thead>
          <tr>
            <td className="w-16 @md:w-24" />
            {feedForms.map((form) => (
              <th key={form} scope="col" className="pb-1 text-center font-normal">
                <FormDrawing form={form} className="mx-auto size-8" />
                {codeWords(form)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {animals.map((animal) => (
            <tr key={animal}>
              <th scope="row" className={`text-left font-normal ${animal === kept ? 'font-semibold' : ''}`}>
                <AnimalDrawing kind={animal} className={animal === kept ? 'h-12 w-16' : 'h-9 w-12 text-ink-soft'} />
                <span className="block leading-tight">{codeWords(animal)}</span>
              </th>
              {feedForms.map((form) => {
                const v = verdict({ animal, form })
                const reasons = reasonsOf(v)
                return (
                  <td key={form} className="align-top">
                    <button
                      type="button"
                      aria-pressed={isChosen({ animal, form })}
                      onClick={() => choose({ animal, form })}
                      className={`flex min-h-16 w-full flex-col items-center gap-0.5 rounded-xl p-1 ${
                        isChosen({ animal, form }) ? 'bg-sheet outline-2 outline-harm' : 'hover:bg-sheet'
                      }`}
                    >
                      <VerdictMark code={v.code} />
                      <span className="sr-only">
                        {codeWords(animal)}, {codeWords(form)}: {harmVerdictWords(v.code)}
                      </span>
                      <span className="hidden text-center text-sm leading-tight @md:block">
                        {reasons.slice(0, NAMED).join(', ')}
                        {reasons.length > NAMED ? ` +${reasons.length - NAMED}` : ''}
                      </span>
                    </button>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <Told verdict={now} reasons={reasonsOf(now)} />
      <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm" aria-label={say('The marks')}>
        {codes.map((code) => (
          <li key={code} className="flex items-center gap-1.5">
            <VerdictMark code={code} className="size-5" />
            {harmVerdictWords(code)}
          </li>
        ))}
      </ul>
    </section>
  )
}
