import { kindName } from '@/text/practiceWords.ts'
import { Link } from 'react-router'
import { practiceKinds, type PracticeKind } from '@/core/practice/answer.ts'
import { say } from '../../language/say.ts'
import type { Wished } from './wish.ts'

const says: Record<PracticeKind, string> = {
  get name() {
    return say('A drawn specimen, four names')
  },
  get poison() {
    return say('Harmful or not: none may be missed')
  },
  get check() {
    return say('Two that look alike, four looks')
  },
  get read() {
    return say('A drawn part, four words')
  },
  get seed() {
    return say('Clover seed by shape, colour and size')
  },
  get key() {
    return say('Ask for looks, race the engine')
  },
  get cover() {
    return say('A frame of sward: how much is it?')
  },
  get rank() {
    return say('Dry-weight rank by eye')
  },
}

/** What can be practised. `asked` is a kind that was pressed and comes when all is there. */
export function Kinds({ onBegin, asked }: { onBegin: (kind: Wished) => void; asked?: Wished | undefined }) {
  return (
    <>
      <h1 className="text-[1.65rem]">{say('Practice')}</h1>
      <p className="mt-1 max-w-prose">
        {say(
          'Five minutes: what is due, what you confused, and something new from your own places. The plants are drawn from the book with the variation it writes of.',
        )}
      </p>
      <button
        type="button"
        onClick={() => onBegin('mixed')}
        className="mt-3 min-h-14 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
      >
        {say('Five minutes')}
      </button>
      {asked ? (
        <p role="status" className="mt-2 text-ink-soft">
          {asked === 'mixed' ? say('Five minutes') : kindName(asked)}: {say('Drawing …')}
        </p>
      ) : null}
      <h2 className="mt-5 text-xl">{say('Or one thing')}</h2>
      <ul className="mt-1 grid max-w-2xl gap-2 @md:grid-cols-2">
        {practiceKinds.map((k) => (
          <li key={k}>
            <button
              type="button"
              onClick={() => onBegin(k)}
              className="flex min-h-24 w-full items-center gap-3 rounded-2xl border border-rule bg-sheet p-2 text-left leading-tight hover:border-culm"
            >
              <img
                src={`/plates/practice-${k}.webp`}
                alt=""
                width={80}
                height={80}
                loading="lazy"
                className="size-20 shrink-0 rounded-xl object-cover"
              />
              <span>
                <b className="block text-lg">{kindName(k)}</b>
                <span className="text-ink-soft">{says[k]}</span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-5 flex flex-wrap gap-x-5">
        <Link to="/first-round" className="flex min-h-11 items-center underline">
          {say('A first round, step by step')}
        </Link>
        <Link to="/glossary" className="flex min-h-11 items-center underline">
          {say('Words and how to look')}
        </Link>
        <Link to="/group-key" className="flex min-h-11 items-center underline">
          {say('Runners of subterranean clover')}
        </Link>
      </p>
    </>
  )
}
