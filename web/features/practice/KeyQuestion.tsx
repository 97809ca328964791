import { inSentence } from '@/text/say.ts'
import { useState } from 'react'
import { drawState } from '@/core/drawing/drawState.ts'
import { efforts, lifeForms } from '@/core/flora/flora.ts'
import type { Observation } from '@/core/records/observation.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { answerWords, effortWords } from '../../parts/words.ts'
import { characterOf, shortName, useFlora } from '../../stores/floraStore.ts'
import { Sureness } from './Sureness.tsx'
import type { Shown } from './usePractice.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

type Part = Pick<PracticeAnswer, 'about' | 'answered' | 'right' | 'sure' | 'measured'>

/** Key a hidden specimen: ask for one look after another, name it when sure enough; the engine keys it too. */
export function KeyQuestion({
  shown,
  given,
  onAnswer,
}: {
  shown: Shown & { is: 'key' }
  given: PracticeAnswer | undefined
  onAnswer: (a: Part) => void
}) {
  const { plants, byId } = useFlora()
  const [asked, setAsked] = useState<string[]>([])
  const [text, setText] = useState('')
  const { specimen, engine } = shown
  const can = specimen.seen.filter((o) => !asked.includes(o.character) && characterOf(o.character))
  const wanted = text.trim().toLowerCase()
  const found = wanted === '' ? undefined : plants.find((p) => [shortName(p.id), p.scientificName, ...p.alsoCalled].some((n) => n.toLowerCase() === wanted)) // prettier-ignore
  return (
    <>
      <h1 className="text-[1.65rem]">{say('Key it with as few looks as you can')}</h1>
      <p className="mt-1 text-ink-soft">{say('The plant is hidden. Each look is shown when you ask for it.')}</p>
      <ul className="mt-3 grid gap-2 @md:grid-cols-2">
        {asked.map((id, i) => {
          const o = specimen.seen.find((s) => s.character === id)!
          const drawing = 'states' in o ? drawState(id, o.states[0]!) : undefined
          return (
            <li key={id} className="flex items-center gap-3 rounded-xl border border-rule bg-sheet px-3 py-1">
              {drawing ? <DrawingView drawing={drawing} whenSeen className="size-16" /> : null}
              <span>
                <span className="text-sm text-ink-soft">
                  {i + 1}. {characterOf(id)!.title}
                </span>
                <b className="block">{'value' in o ? `${fixed(o.value, o.value < 10 ? 1 : 0)} mm` : answerWords(o)}</b>
              </span>
            </li>
          )
        })}
      </ul>
      {given ? (
        <p className="mt-3 text-lg">
          <Say
            text="It was <b/>. You asked for {{n}} looks, the engine for {{n2}}: {{engine}}."
            values={{
              n: asked.length,
              n2: engine.length,
              engine: engine.map((s) => inSentence(characterOf(s.character)!.title)).join(', '),
            }}
            components={{ b: <b>{byId.get(specimen.plant)!.commonName}</b> }}
          />
        </p>
      ) : (
        <>
          <label className="mt-3 block">
            <span className="block text-ink-soft">{say('It is')}</span>
            <input
              list="names-of-plants"
              value={text}
              onChange={(e) => setText(e.target.value)}
              placeholder={say('Name of the plant')}
              className="min-h-12 w-full rounded-xl border border-rule bg-sheet px-3"
            />
            <datalist id="names-of-plants">
              {plants.map((p) => (
                <option key={p.id} value={shortName(p.id)} />
              ))}
            </datalist>
          </label>
          {wanted !== '' && !found ? (
            <p className="text-ink-soft">{say('No plant of exactly that name yet.')}</p>
          ) : null}
          {found ? (
            <Sureness
              onSure={(sure) =>
                onAnswer({
                  about: specimen.plant,
                  answered: found.id,
                  right: found.id === specimen.plant,
                  sure,
                  measured: { truth: engine.length, said: asked.length },
                })
              }
            />
          ) : null}
          <Looks
            can={can}
            formTold={specimen.seen.some((o) => asked.includes(o.character) && tellsForm(o))}
            onAsk={(id) => setAsked((a) => [...a, id])}
          />
        </>
      )}
    </>
  )
}

const tellsForm = (o: Observation): boolean => 'states' in o && lifeForms.some((f) => f === o.states[0])

interface LooksProps {
  can: readonly Observation[]
  /** Until it is known what kind of plant it is, only looks that every kind allows: the others would tell it. */
  formTold: boolean
  onAsk: (character: string) => void
}

/** The looks that are left, those that cost least first: each a touch. */
function Looks({ can, formTold, onAsk }: LooksProps) {
  if (can.length === 0) return <p className="mt-4 text-ink-soft">{say('nothing is left to see')}</p>
  const left = can.map((o) => characterOf(o.character)!)
  const looks = formTold ? left : left.filter((c) => c.forms.length === lifeForms.length)
  return (
    <>
      <h2 className="mt-4 text-lg">{say('Ask for a look')}</h2>
      {efforts.map((effort) => {
        const those = looks.filter((c) => c.effort === effort)
        return those.length > 0 ? (
          <section key={effort} className="mt-2">
            <h3 className="text-ink-soft">{effortWords[effort]}</h3>
            <ul className="mt-1 flex flex-wrap gap-2">
              {those.map((c) => (
                <li key={c.id}>
                  <button
                    type="button"
                    onClick={() => onAsk(c.id)}
                    className="min-h-11 rounded-xl border border-rule bg-sheet px-3"
                  >
                    {c.title}
                  </button>
                </li>
              ))}
            </ul>
          </section>
        ) : null
      })}
      {formTold ? null : (
        <p className="mt-3 text-ink-soft">{say('More of them when you have asked what kind of plant it is.')}</p>
      )}
    </>
  )
}
