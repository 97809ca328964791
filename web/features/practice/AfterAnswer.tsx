import { cellAt } from '@/core/flora/flora.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import type { PractiseSpecimen } from '@/core/practice/specimen.ts'
import type { Question } from '@/core/practice/question.ts'
import { usualState, usualWords } from '../../entities/plant/usualState.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { characterTitle, stateWords } from '../../parts/words.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'

/** The part that tells two plants apart, as each of them has it. */
function PartOfBoth({ pair, character }: { pair: readonly PractiseSpecimen[]; character: string }) {
  const { byId, characters } = useFlora()
  return (
    <dl className="mt-3 grid max-w-xl grid-cols-2 gap-4">
      {pair.map(({ plant: id, stage }) => {
        const plant = byId.get(id)!
        const state = usualState(plant, character, stage)
        const drawing = state && drawState(character, state)
        return (
          <div key={id} className="rounded-2xl border border-rule p-3">
            <dt className="font-plant font-semibold">{shortName(id)}</dt>
            <dd>
              {drawing ? (
                <DrawingView drawing={drawing} className="mx-auto my-2 size-32" />
              ) : (
                <PlantPicture plant={plant} stage={stage} className="mx-auto my-2 size-32 object-contain" />
              )}
              {cellAt(plant, character, stage) ? (
                <>
                  <span className="text-sm text-ink-soft">{characterTitle(characters, character)}</span>
                  <br />
                  {usualWords(plant, character, stage)}
                </>
              ) : null}
            </dd>
          </div>
        )
      })}
    </dl>
  )
}

/** All answers of a drawn part beside each other, the right one marked. */
function AllAnswers({ character, choices, right }: { character: string; choices: Question['choices']; right: string }) {
  return (
    <ul className="mt-3 grid max-w-xl grid-cols-2 gap-3">
      {choices.map(({ id }) => {
        const drawing = drawState(character, id)
        return (
          <li
            key={id}
            className={`rounded-2xl p-2 text-center ${id === right ? 'border-2 border-culm font-semibold' : 'border border-rule'}`}
          >
            {drawing ? <DrawingView drawing={drawing} className="mx-auto size-28" /> : null}
            {stateWords(id)}
          </li>
        )
      })}
    </ul>
  )
}

/** What is looked at once a question is answered: the plant as it mostly stands, or the part that tells two apart. */
export function AfterAnswer({ question, right }: { question: Question; right: boolean }) {
  const plant = useFlora((s) => s.byId.get(question.about))
  if (question.kind === 'check') return <PartOfBoth pair={question.pair} character={question.right} />
  if (question.kind === 'read')
    return <AllAnswers character={question.character} choices={question.choices} right={question.right} />
  // A wrong name has the two plants beside each other in its place.
  if (!plant || (question.kind === 'name' && !right)) return null
  const stage = question.kind === 'seed' ? 'vegetative' : question.specimen.stage
  return <PlantPicture plant={plant} stage={stage} insets className="mt-3 w-full max-w-96" />
}
