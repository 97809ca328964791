import { useState } from 'react'
import { stateWords } from '../../../parts/words.ts'
import { say } from '../../../language/say.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { useOurWords } from './ourWords.ts'

const field = 'min-h-11 max-w-full rounded-xl border border-rule bg-sheet px-2'

/** What was not understood, to be told what it meant: kept here, it works at once, and goes with a file to be taken in. */
export function OurWords({ phrases }: { phrases: readonly string[] }) {
  const characters = useFlora((s) => s.characters)
  const { words, teach, forget } = useOurWords()
  const [phrase, setPhrase] = useState('')
  const [character, setCharacter] = useState('')
  const states = characters.find((c) => c.id === character)?.states ?? []
  return (
    <div className="mt-3">
      {phrases.length > 0 ? <p className="text-ink-soft">{say('Not understood. What did you mean?')}</p> : null}
      <div className="mt-1 flex flex-wrap gap-2">
        {phrases.map((p) => (
          <button
            key={p}
            type="button"
            aria-pressed={phrase === p}
            className="min-h-11 rounded-xl border border-rule px-3 italic aria-pressed:border-culm"
            onClick={() => setPhrase(p)}
          >
            {p}
          </button>
        ))}
      </div>
      {phrase ? (
        <div className="mt-2 flex flex-wrap gap-2">
          <select
            aria-label={say('It is about')}
            value={character}
            onChange={(e) => setCharacter(e.target.value)}
            className={field}
          >
            <option value="">{say('It is about …')}</option>
            {characters
              .filter((c) => c.states)
              .map((c) => (
                <option key={c.id} value={c.id}>
                  {c.title}
                </option>
              ))}
          </select>
          {states.map((s) => (
            <button
              key={s}
              type="button"
              className="min-h-11 rounded-xl border-2 border-culm px-3"
              onClick={() => {
                teach({ phrase, means: `${character}=${s}` })
                setPhrase('')
                setCharacter('')
              }}
            >
              {stateWords(s)}
            </button>
          ))}
        </div>
      ) : null}
      {words.length > 0 ? (
        <details className="mt-2">
          <summary className="min-h-11 content-center underline">{say('Words of ours')}</summary>
          <ul>
            {words.map((w) => (
              <li key={w.phrase} className="flex items-center gap-2">
                <i>{w.phrase}</i> {stateWords(w.means.split('=')[1] ?? '')}
                <button type="button" className="min-h-11 underline" onClick={() => forget(w.phrase)}>
                  {say('Forget it')}
                </button>
              </li>
            ))}
          </ul>
          <a
            className="flex min-h-11 items-center underline"
            download="words-of-ours.json"
            href={`data:application/json,${encodeURIComponent(JSON.stringify(words, null, 2))}`}
          >
            {say('Save them as a file')}
          </a>
        </details>
      ) : null}
    </div>
  )
}
