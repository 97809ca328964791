import { lazy, Suspense, useMemo } from 'react'
import { fieldPoints } from '@/core/practice/effort.ts'
import { lookalikeOf } from '@/core/naming/lookalikes.ts'
import { canDraw } from '../../likeness/canDraw.ts'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { AfterAnswer } from './AfterAnswer.tsx'
import { SaidAndCounted } from './CoverScale.tsx'
import { gestureFor, heldOf, usualHeld } from './heldOf.ts'
import { choiceWords, onPageOf, rightChoice, whyWords } from './questionWords.ts'
import { Link } from 'react-router'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { inSentence } from '@/text/say.ts'
import { usualWords } from '../../entities/plant/usualState.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { characterTitle } from '../../parts/words.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import type { Shown } from './usePractice.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

/** What tells the plant from the one it was taken for. */
function useTold(shown: Shown, answered: string): string | undefined {
  const { byId, characters } = useFlora()
  if (shown.is !== 'question' || shown.question.kind !== 'name') return undefined
  const { about, against, specimen } = shown.question
  const { why, of, check } = against[answered] ?? {}
  const [plant, other] = [byId.get(about), byId.get(answered)]
  if (why) return onPageOf(why, of, about)
  if (!check || !plant || !other) return undefined
  return say('{{title}}: {{mine}} in {{plant}}; {{theirs}} in {{other}}.', {
    title: characterTitle(characters, check),
    mine: usualWords(plant, check, specimen.stage),
    plant: inSentence(shortName(plant.id)),
    theirs: usualWords(other, check, specimen.stage),
    other: inSentence(shortName(other.id)),
  })
}

const HandPair = lazy(() => import('../../entities/plant/hand/HandPair.tsx').then((m) => ({ default: m.HandPair })))

/** The specimen beside the plant that it was taken for, both showing the look that tells them apart. */
function Beside({ shown, answered }: { shown: Shown; answered: string }) {
  const byId = useFlora((s) => s.byId)
  const question = shown.is === 'question' && shown.question.kind === 'name' ? shown.question : undefined
  const plant = question && byId.get(question.about)
  const other = question && answered !== question.about ? byId.get(answered) : undefined
  const pair = useMemo(
    () => question && plant && other && { left: { held: heldOf(plant, question.specimen), name: shortName(plant.id) }, right: { held: usualHeld(other, question.specimen.stage), name: shortName(other.id) } }, // prettier-ignore
    [question, plant, other],
  )
  if (!pair || !canDraw()) return null
  const check = question?.against[answered]?.check ?? (other && plant ? lookalikeOf(plant, other)?.check : undefined)
  return (
    <PanelBoundary name={say('Side by side')}>
      <Suspense fallback={<p className="mt-2 text-ink-soft">{say('It is being taken up …')}</p>}>
        <HandPair {...pair} gesture={gestureFor(check)} />
      </Suspense>
    </PanelBoundary>
  )
}

/** What an answer was worth: right or not, why, and where to read on. */
export function Outcome({ shown, given }: { shown: Shown; given: PracticeAnswer }) {
  const byId = useFlora((s) => s.byId)
  const told = useTold(shown, given.answered)
  const plant = byId.get(given.about.split('|')[0]!)
  const missed = given.kind === 'poison' && !given.right && given.answered === 'other'
  // Whether it is harmful was asked; what it is, is the answer.
  const named = given.kind === 'poison' && plant ? shortName(plant.id) : undefined
  const right = named ?? (shown.is === 'question' ? choiceWords(rightChoice(shown.question)) : undefined)
  return (
    <section aria-live="polite" data-testid="outcome">
      <h2 className={`text-[1.65rem] ${missed ? 'text-harm' : ''}`}>
        {given.right ? say('Right') : missed ? say('A poison was let pass') : say('Not so')}
      </h2>
      {shown.is === 'question' ? (
        <>
          {given.right ? null : (
            <p className="mt-1 text-lg">
              <Say text="It is <b/>." components={{ b: <b>{right}</b> }} />
            </p>
          )}
          <p className="mt-1 max-w-prose">{told ?? whyWords(shown.question.why, given.right ? '' : given.about)}</p>
          {given.measured && (given.kind === 'name' || given.kind === 'poison') ? (
            <p className="mt-1">
              {say('{{points}} of 100 points: sureness and {{effort}} of effort reckoned in.', {
                points: fieldPoints({ right: given.right, sure: given.sure, effort: given.measured.said }),
                effort: given.measured.said,
              })}
            </p>
          ) : null}
          <Beside shown={shown} answered={given.answered} />
          <AfterAnswer question={shown.question} right={given.right} />
        </>
      ) : null}
      {shown.is === 'cover' && given.measured ? (
        <SaidAndCounted said={given.measured.said} counted={given.measured.truth} />
      ) : null}
      {shown.is === 'key' && plant ? (
        <>
          {given.right ? null : (
            <p className="mt-1 text-lg">
              <Say text="It is <b/>." components={{ b: <b>{shortName(plant.id)}</b> }} />
            </p>
          )}
          <PlantPicture plant={plant} stage={shown.specimen.stage} insets className="mt-3 w-full max-w-96" />
        </>
      ) : null}
      {plant && shown.is !== 'cover' && shown.is !== 'rank' ? (
        <p className="mt-2">
          <Link to={`/plants/${plant.id}`} className="flex min-h-11 items-center underline">
            {say('Read about {{shortName}}', { shortName: shortName(plant.id) })}
          </Link>
          {given.kind !== 'check' && !given.right && byId.has(given.answered) ? (
            <Link to={`/compare?plants=${plant.id},${given.answered}`} className="flex min-h-11 items-center underline">
              {say('See it beside {{shortName}}', { shortName: shortName(given.answered) })}
            </Link>
          ) : null}
        </p>
      ) : null}
      {given.sure >= 0.95 && !given.right ? (
        <p className="mt-1">{say('You were very sure. What made you so, and would a second specimen have told?')}</p>
      ) : null}
    </section>
  )
}
