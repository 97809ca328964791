import { useWindowKeys } from '../../ui/windowKeys.ts'
import { choiceWords } from './questionWords.ts'
import { randomLcg } from 'd3-random'
import { useMemo, useRef, useState } from 'react'
import { codeWords } from '@/text/codeWords.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import { portraitOf } from '@/core/drawing/portrait/portraitOf.ts'
import type { Choice, Question } from '@/core/practice/question.ts'
import type { PractiseSpecimen } from '@/core/practice/specimen.ts'
import { effortOf, MOST_EFFORT } from '@/core/practice/effort.ts'
import { surenessSteps } from '@/core/practice/scoring.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { HandLook } from '../../entities/plant/hand/Hand.tsx'
import { canDraw } from '../../likeness/canDraw.ts'
import { stateWords } from '../../parts/words.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { PortraitView } from '../../parts/PortraitView.tsx'
import { seedOf } from '../../parts/PlantDrawing.tsx'
import { characterOf, shortName, useFlora } from '../../stores/floraStore.ts'
import { SeedTrayView } from './SeedTrayView.tsx'
import { SURE_KEYS, Sureness } from './Sureness.tsx'
import { TakenUp } from './TakenUp.tsx'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

const condition: Record<PractiseSpecimen['condition'], string> = {
  whole: '',
  get mown() {
    return say(', mown')
  },
  get chewed() {
    return say(', chewed: its tips are gone')
  },
  get 'no roots'() {
    return say(', pulled without its roots')
  },
}

/** A drawn specimen as it comes to hand; parts that are missing are dotted. */
export function DrawnSpecimen({
  specimen,
  label,
  className,
}: {
  specimen: PractiseSpecimen
  label: string
  className: string
}) {
  const plant = useFlora((s) => s.byId.get(specimen.plant))!
  const portrait = useMemo(
    () => portraitOf(plant.form, specimen.traits, randomLcg(seedOf(JSON.stringify(specimen.seen)))),
    [plant, specimen],
  )
  return <PortraitView portrait={portrait} traits={specimen.traits} className={className} label={label} />
}

export function heading(question: Question): string {
  switch (question.kind) {
    case 'name':
      return say('What is it?')
    case 'poison':
      return say('Is it one of the harmful plants?')
    case 'check':
      return say('Which look tells these two apart?')
    case 'read':
      return say('{{title}}: what is drawn here?', {
        title: characterOf(question.character)?.title ?? question.character,
      })
    case 'seed':
      return say('Whose seed is it?')
  }
}

export function Picture({ question }: { question: Question }) {
  const byId = useFlora((s) => s.byId)
  if ('specimen' in question)
    return (
      <figure>
        <DrawnSpecimen specimen={question.specimen} label={say('The specimen')} className="mt-2 w-full max-w-lg" />
        <figcaption className="text-ink-soft first-letter:uppercase">
          {codeWords(question.specimen.stage)}
          {question.specimen.stage === 'mown' ? '' : condition[question.specimen.condition]}.
          <span className="print:hidden"> {say('Drawn from the book, with the variation it writes of.')}</span>
        </figcaption>
      </figure>
    )
  if (question.kind === 'check')
    return (
      <div className="mt-2 grid grid-cols-2 gap-3">
        {question.pair.map((s) => (
          <figure key={s.plant} className="text-center">
            <DrawnSpecimen specimen={s} label={byId.get(s.plant)!.commonName} className="w-full" />
            <figcaption className="font-plant font-semibold">{shortName(s.plant)}</figcaption>
          </figure>
        ))}
      </div>
    )
  if (question.kind === 'read')
    return (
      <DrawingView
        drawing={drawState(question.character, question.state)!}
        label={say('A drawn part')}
        className="mt-3 size-64"
      />
    )
  return (
    <>
      <SeedTrayView tray={question.tray} />
      <details className="mt-1">
        <summary className="min-h-11 content-center underline">{say('In words')}</summary>
        {[
          ...Object.values(question.seeds).map((state) => stateWords(state)),
          say('about {{size}} mm', { size: fixed(question.size, 1) }),
        ].join(', ')}
      </details>
    </>
  )
}

function choiceClass(
  choice: Choice,
  picked: string | undefined,
  given: PracticeAnswer | undefined,
  right: string,
): string {
  if (given && choice.id === right) return 'border-culm bg-culm/15 outline-2 outline-culm font-semibold'
  if (given && choice.id === picked) return 'border-harm line-through'
  return choice.id === picked ? 'border-culm outline-2 outline-culm' : 'border-rule bg-sheet hover:border-culm'
}

/** Any plant of the book, for who wants no help from four names. */
function AnyPlant({ onFound }: { onFound: (id: string) => void }) {
  const plants = useFlora((s) => s.plants)
  const [text, setText] = useState('')
  const named = (words: string) =>
    plants.find((p) => [shortName(p.id), p.scientificName].some((n) => n.toLowerCase() === words.trim().toLowerCase()))
  const found = named(text)
  return (
    <div className="mt-3 max-w-md">
      <datalist id="any-plant">
        {plants.map((p) => (
          <option key={p.id} value={shortName(p.id)} />
        ))}
      </datalist>
      <Labelled label={say('Or any plant of the book')}>
        {(id) => (
          <input
            id={id}
            list="any-plant"
            value={text}
            onChange={(e) => {
              setText(e.target.value)
              const plant = named(e.target.value)
              if (plant) onFound(plant.id)
            }}
            className={inputClass}
          />
        )}
      </Labelled>
      {found ? <p className="font-plant text-lg font-semibold">{shortName(found.id)}</p> : null}
    </div>
  )
}

interface Props {
  question: Question
  given: PracticeAnswer | undefined
  /** `effort`: what the looks at a specimen in the hand cost; undefined where there was none. */
  onAnswer: (picked: string, sure: number, effort: number | undefined) => void
}

/** A question with its drawn plant: choose, then say how sure; numbers choose, letters say how sure. */
export function AskedQuestion({ question, given, onAnswer: answered }: Props) {
  const [looks, setLooks] = useState<readonly HandLook[]>([])
  const inHand = (question.kind === 'name' || question.kind === 'poison') && canDraw()
  const effort = effortOf(looks)
  const onAnswer = (id: string, sure: number) => answered(id, sure, inHand ? effort : undefined)
  const [picked, setPicked] = useState<string>()
  // A hand that knows the keys says how sure before the choice is drawn.
  const chosen = useRef<string>(undefined)
  const choose = (id: string) => {
    chosen.current = id
    setPicked(id)
  }
  useWindowKeys((e) => {
    if (given || e.target instanceof HTMLInputElement) return
    const choice = question.choices[Number(e.key) - 1]
    if (choice) choose(choice.id)
    const sure = surenessSteps[SURE_KEYS.indexOf(e.key)]
    if (sure !== undefined && chosen.current && SURE_KEYS.includes(e.key)) onAnswer(chosen.current, sure)
  })
  return (
    <>
      <h1 className="text-[1.65rem]">{heading(question)}</h1>
      {'specimen' in question && inHand ? (
        <TakenUp specimen={question.specimen} onLook={(look) => setLooks((l) => [...l, look])}>
          <Picture question={question} />
        </TakenUp>
      ) : (
        <Picture question={question} />
      )}
      {inHand ? (
        <p className="text-sm text-ink-soft">
          {say('Effort so far {{effort}} of {{most}}: a glance is free, fingers cost 1, the lens 2, the spade 4.', {
            effort,
            most: MOST_EFFORT,
          })}
        </p>
      ) : null}
      <ul className="mt-4 grid gap-2 @md:grid-cols-2">
        {question.choices.map((c, i) => (
          <li key={c.id}>
            <button
              type="button"
              disabled={given !== undefined}
              aria-pressed={picked === c.id}
              onClick={() => choose(c.id)}
              className={`flex min-h-13 w-full items-center gap-3 rounded-xl border px-3 text-left leading-tight ${choiceClass(c, picked, given, question.right)}`}
            >
              <kbd className="text-sm text-ink-soft">{i + 1}</kbd>
              <span className="first-letter:uppercase">{choiceWords(c)}</span>
            </button>
          </li>
        ))}
      </ul>
      {question.kind === 'name' && !given ? <AnyPlant onFound={choose} /> : null}
      {picked && !given ? <Sureness onSure={(sure) => onAnswer(picked, sure)} /> : null}
    </>
  )
}
