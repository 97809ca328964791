import { codeWords } from '@/text/codeWords.ts'
import { surenesses, type Sureness } from '@/core/records/observation.ts'
import { useWords } from '../../language/useWords.ts'
import { ToggleGroup } from 'radix-ui'
import { Activity, memo, useId } from 'react'
import type { Character } from '@/core/flora/flora.ts'
import { CANT_TELL, type Observation } from '@/core/records/observation.ts'
import { HowToLook } from '../../entities/plant/HowToLook.tsx'
import { SizeAnswer } from './SizeAnswer.tsx'
import { StateAnswers } from './StateAnswers.tsx'
import { say } from '../../language/say.ts'

interface Props {
  character: Character
  answer: Observation | undefined
  sureness: Sureness
  either: string[]
  page: number
  onAnswer: (observation: Observation) => void
  onEither: (state: string) => void
  onSureness: (sureness: Sureness) => void
  onPage: () => void
  onRemove: () => void
  counts: Record<string, number> | null
  onCount: (state: string) => void
  /** Begin to count several plants pulled, or take what was counted. */
  onPulled: () => void
}

/** The question in hand, its drawn answers, how to look, and how sure. */
const QuestionPanel = memo(function QuestionPanel({
  character,
  answer,
  sureness,
  either,
  page,
  onAnswer,
  onEither,
  onSureness,
  onPage,
  onRemove,
  counts,
  onCount,
  onPulled,
}: Props) {
  useWords()
  const id = useId()
  const cantTell = () => onAnswer({ character: character.id, states: [CANT_TELL] })
  const pulled = Object.values(counts ?? {}).reduce((a, b) => a + b, 0)
  return (
    <section aria-labelledby={id} data-question>
      <h1 id={id} className="text-[1.65rem]">
        {character.asks}?
      </h1>
      <HowToLook character={character} />
      {character.states ? (
        <StateAnswers
          character={character}
          answer={answer}
          either={either}
          page={page}
          sureness={sureness}
          onAnswer={onAnswer}
          onEither={onEither}
          onPage={onPage}
          counts={counts}
          onCount={onCount}
        />
      ) : (
        <SizeAnswer key={character.id} character={character} answer={answer} sureness={sureness} onAnswer={onAnswer} />
      )}
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <ToggleGroup.Root
          type="single"
          value={sureness}
          onValueChange={(v) => v && onSureness(v as Sureness)}
          aria-label={say('How sure')}
          className="flex overflow-hidden rounded-xl border border-rule"
        >
          {surenesses.map((s) => (
            <ToggleGroup.Item
              key={s}
              value={s}
              className="min-h-11 px-3 capitalize data-[state=on]:bg-culm data-[state=on]:font-bold data-[state=on]:text-on-culm"
            >
              {codeWords(s)}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <button
          type="button"
          onClick={cantTell}
          className="min-h-11 rounded-xl border border-rule px-3 hover:bg-culm/10"
        >
          {say("Can't tell")} <kbd className="ml-1 text-sm text-ink-soft">?</kbd>
        </button>
        {character.states ? (
          <button
            type="button"
            onClick={onPulled}
            className={`min-h-11 rounded-xl px-3 ${pulled > 0 ? 'bg-culm font-semibold text-on-culm' : 'border border-rule hover:bg-culm/10'}`}
          >
            {counts === null
              ? say('Several plants')
              : pulled === 0
                ? say('Back to one plant')
                : say('Take these {{pulled}} plants', { pulled })}{' '}
            <kbd className="ml-1 text-sm">{say('p')}</kbd>
          </button>
        ) : null}
        {answer ? (
          <button
            type="button"
            onClick={onRemove}
            className="min-h-11 rounded-xl border border-rule px-3 hover:bg-culm/10"
          >
            {say('Take this answer away')}
          </button>
        ) : null}
      </div>
    </section>
  )
})

/** One list for all: a question that stands ready must not be drawn again when it comes up. */
export const nothingChosen: string[] = []

interface Ahead extends Props {
  /** Questions that may come next, whatever is answered. */
  ahead: Character[]
}

/**
 * The question in hand; those that may follow it stand ready behind it, so that the next one comes up at once. Each keeps
 * its place in the page: one that is moved has to be laid out anew.
 */
export function Questions({ ahead, ...shown }: Ahead) {
  const all = [...new Set([shown.character, ...ahead])].sort((a, b) => (a.id < b.id ? -1 : 1))
  return all.map((character) => (
    <Activity key={character.id} mode={character === shown.character ? 'visible' : 'hidden'}>
      {character === shown.character ? (
        <QuestionPanel {...shown} />
      ) : (
        <QuestionPanel
          {...shown}
          character={character}
          answer={undefined}
          either={nothingChosen}
          page={0}
          counts={null}
        />
      )}
    </Activity>
  ))
}
