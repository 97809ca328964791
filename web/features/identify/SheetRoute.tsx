import { codeWords } from '@/text/codeWords.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { randomLcg } from 'd3-random'
import { useSearchParams } from 'react-router'
import { portraitOf } from '@/core/drawing/portrait/portraitOf.ts'
import { answeredTraits } from '@/core/drawing/portrait/traits.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import { specimensIn } from '@/core/records/specimen.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { seedOf } from '../../parts/PlantDrawing.tsx'
import { PortraitView } from '../../parts/PortraitView.tsx'
import { PrintSheet } from '../../parts/PrintSheet.tsx'
import { answerWords, characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useSheet } from './benchStore.ts'
import { useIdentification } from './useIdentification.ts'
import { say } from '../../language/say.ts'
import { dayWords, today } from '../../language/dates.ts'

/** The description on one sheet of paper, with room for a colleague's answer. */
export function Component() {
  const [query] = useSearchParams()
  const subject = query.get('subject') ?? 'loose'
  const sheet = useSheet(subject)
  const { characters, byId } = useFlora()
  const { result } = useIdentification(sheet)
  const traits = answeredTraits(sheet.answers, sheet.context.stage)
  const form = result && sheet.answers.length > 0 ? byId.get(result.candidates[0]!.plant)?.form : undefined
  const pulled = specimensIn(sheet.answers)
  return (
    <PrintSheet name={say('Specimen sheet')} back="/bench" backLabel={say('Back to the bench')}>
      <h1 className="text-[1.65rem]">{say('What is this plant?')}</h1>
      <p>
        {say('{{place}}; {{day}}; {{stage}}; {{count}} plants looked at.', {
          place: sheet.place || say('Place not given'),
          day: dayWords(today()),
          stage: codeWords(sheet.context.stage ?? 'vegetative'),
          count: pulled,
        })}
      </p>
      {sheet.note ? <p>{sheet.note}</p> : null}
      {form ? (
        <PortraitView
          portrait={{ ...portraitOf(form, traits, randomLcg(seedOf(sheet.id))), insets: [] }}
          insets={false}
          traits={traits}
          label={say('The plant as far as it was seen; dotted parts were not looked at')}
          className="mx-auto w-full max-w-64"
        />
      ) : null}
      <h2 className="mt-2 text-lg">{say('Seen')}</h2>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {sheet.answers.map((a) => {
          const state = traits.states[a.character]
          const drawing = state ? drawState(a.character, state) : undefined
          return (
            <li key={a.character} className="flex min-h-14 items-center gap-3 border-b border-rule/60">
              {drawing ? (
                <DrawingView drawing={drawing} className="size-12 shrink-0" />
              ) : (
                <span className="size-12 shrink-0" />
              )}
              <span className="leading-tight">
                {characterTitle(characters, a.character)}
                <b className="block">
                  {answerWords(a)}
                  {a.sureness && a.sureness !== 'sure' ? `, ${codeWords(a.sureness)}` : ''}
                </b>
              </span>
            </li>
          )
        })}
      </ul>
      {sheet.answers.length === 0 ? <p>{say('Nothing was written on this sheet yet.')}</p> : null}
      {result && sheet.answers.length > 0 ? (
        <p className="mt-3">
          {say("The book's first three: {{candidates}}.", {
            candidates: result.candidates
              .slice(0, 3)
              .map((c) => `${byId.get(c.plant)?.commonName} (${naturalFrequency(c.probability)})`)
              .join('; '),
          })}
        </p>
      ) : null}
      <dl className="mt-5 grid grid-cols-[max-content_1fr] gap-x-4 gap-y-5">
        {[say('Your name for it'), say('How sure'), say('By what'), say('Signed, date')].map((line) => (
          <div key={line} className="col-span-2 grid grid-cols-subgrid">
            <dt>{line}</dt>
            <dd className="border-b border-ink" />
          </div>
        ))}
      </dl>
    </PrintSheet>
  )
}
