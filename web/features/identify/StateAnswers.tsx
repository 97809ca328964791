import type { MouseEvent } from 'react'
import type { Sureness } from '@/core/records/observation.ts'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Character } from '@/core/flora/flora.ts'
import type { Observation } from '@/core/records/observation.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { useHold } from '../../parts/useHold.ts'
import { stateWords } from '../../parts/words.ts'
import { say, oneOf } from '../../language/say.ts'

export const KEYS_A_PAGE = 9

interface Props {
  character: Character
  answer: Observation | undefined
  either: string[]
  page: number
  sureness: Sureness
  onAnswer: (observation: Observation) => void
  onEither: (state: string) => void
  onPage: () => void
  /** Several plants pulled: how many showed each state so far; null while one plant is looked at. */
  counts: Record<string, number> | null
  onCount: (state: string) => void
}

interface StateAnswerProps {
  character: Character
  state: string
  /** The key that chooses it. */
  number: number | undefined
  on: boolean
  /** Of several plants, how many showed it. */
  times: number | undefined
  onTap: (e: MouseEvent) => void
  onHold: () => void
}

function StateAnswer({ character, state, number, on, times, onTap, onHold }: StateAnswerProps) {
  const drawing = drawState(character.id, state)
  return (
    <button
      type="button"
      aria-pressed={on}
      {...useHold(onTap, onHold)}
      className={`relative flex h-full min-h-12 w-full touch-manipulation flex-col items-center gap-1 rounded-xl border px-2 pt-2 pb-1.5 text-center leading-tight select-none ${on ? 'border-culm bg-culm/12 outline-2 outline-culm' : 'border-rule bg-sheet hover:border-culm'}`}
    >
      {drawing ? <DrawingView drawing={drawing} whenSeen className="size-[4.6rem]" /> : null}
      <span className="my-auto w-full hyphens-auto [overflow-wrap:anywhere]">{stateWords(state)}</span>
      {times ? <b className="absolute top-1 right-2 text-lg">{times}</b> : null}
      {number ? <kbd className="absolute top-1 left-1.5 text-sm text-ink-soft">{number}</kbd> : null}
    </button>
  )
}

/** Drawn answers side by side; a number or a tap chooses; Shift and a number, or a finger held, says "either of these". */
export function StateAnswers({
  character,
  answer,
  either,
  page,
  sureness,
  onAnswer,
  onEither,
  onPage,
  counts,
  onCount,
}: Props) {
  const states = character.states ?? []
  const drawn = states.some((s) => drawState(character.id, s))
  const given = answer && 'states' in answer ? answer.states : []
  // Six, as the kinds of plant are, stand in full rows; the last one alone in a row looks like something else.
  const columns = !drawn
    ? 'grid-cols-[repeat(auto-fill,minmax(10rem,1fr))]'
    : states.length === 6
      ? 'grid-cols-3 @2xl:grid-cols-6'
      : 'grid-cols-[repeat(auto-fill,minmax(5.6rem,1fr))]'
  const choose = (state: string) =>
    onAnswer({ character: character.id, states: [...new Set([...either, state])], sureness })
  return (
    <>
      <ul className={`clear-both grid gap-2 pt-3 ${columns}`}>
        {states.map((state, i) => {
          const key = Math.floor(i / KEYS_A_PAGE) === page ? (i % KEYS_A_PAGE) + 1 : undefined
          return (
            <li key={state}>
              <StateAnswer
                character={character}
                state={state}
                number={key}
                on={given.includes(state) || either.includes(state) || (counts?.[state] ?? 0) > 0}
                times={counts?.[state]}
                onTap={(e) => (counts ? onCount(state) : e.shiftKey ? onEither(state) : choose(state))}
                onHold={() => (counts ? onCount(state) : onEither(state))}
              />
            </li>
          )
        })}
      </ul>
      {Object.keys(character.covers ?? {}).map((general) => (
        <button
          key={general}
          type="button"
          aria-pressed={given.includes(general)}
          onClick={() => (counts ? onCount(general) : choose(general))}
          className={`mt-2 min-h-12 rounded-xl border px-4 ${given.includes(general) || counts?.[general] ? 'border-culm bg-culm/12 outline-2 outline-culm' : 'border-rule bg-sheet hover:border-culm'}`}
        >
          {say('{{general}}, and no more can be said', { general: stateWords(general) })}
          {counts?.[general] ? <b className="ml-2 text-lg">{counts[general]}</b> : null}
        </button>
      ))}
      <p className="mt-1.5 flex flex-wrap items-center gap-3 text-sm text-ink-soft">
        <span className="touch:hidden">{say('Shift with a number: either of two')}</span>
        <span className="hidden touch:inline">{say('Hold one: either of two')}</span>
        {either.length > 0 ? (
          <span className="font-semibold text-ink">
            {say('either {{either}} …', { either: oneOf(either.map(stateWords)) })}
          </span>
        ) : null}
        {states.length > KEYS_A_PAGE ? (
          <button type="button" className="min-h-11 underline" onClick={onPage}>
            {say('0: numbers for the next nine')}
          </button>
        ) : null}
      </p>
    </>
  )
}
