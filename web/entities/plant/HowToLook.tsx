import { lookSteps } from '@/core/drawing/gestures.ts'
import type { Character } from '@/core/flora/flora.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { effortWords } from '../../parts/words.ts'
import { say } from '../../language/say.ts'

const ended = (text: string) => (/[.?!]$/.test(text) ? text : `${text}.`)

/** How to look, in two short steps, each drawn. */
export function HowToLook({ character }: { character: Character }) {
  const steps =
    character.how.length > 0
      ? character.how
      : [say('It takes {{effortWords}}', { effortWords: effortWords[character.effort] })]
  const drawings = lookSteps(character)
  return (
    <>
      <ol className="mt-1.5 grid gap-x-4 gap-y-1">
        {steps.slice(0, 2).map((step, i) => (
          <li key={step} className="flex items-center gap-2 leading-tight text-ink-soft">
            <DrawingView drawing={drawings[i]!} className="size-14 shrink-0" />
            {ended(step)}
          </li>
        ))}
      </ol>
      {character.needs || character.caution ? (
        <p className="mt-1 text-ink-soft">
          {character.needs ? <>{say('Only with {{needs}}.', { needs: character.needs })} </> : null}
          {character.caution ? <>{say('Mind: {{caution}}.', { caution: character.caution })}</> : null}
        </p>
      ) : null}
    </>
  )
}
