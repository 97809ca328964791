import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import { say } from '../../../language/say.ts'
import { useStable } from '../../../parts/useStable.ts'
import { characterTitle } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { useSheet } from '../benchStore.ts'
import type { Sheet } from '../sheet.ts'
import { OurWords } from './OurWords.tsx'
import { SaidEcho } from './SaidEcho.tsx'
import { SaidVerdict } from './SaidVerdict.tsx'
import { SpeechButton } from './SpeechButton.tsx'
import { Understood } from './Understood.tsx'
import { useDescribing } from './useDescribing.ts'
import { useHeard, type Said } from './useHeard.ts'

interface Props {
  subject: string
  onAsk: (character: string) => void
  onTakeAway: (character: string) => void
  onClose: () => void
}

interface ReadingProps extends Pick<Props, 'onAsk' | 'onTakeAway'> {
  read: Said
  sheet: Sheet
}

/** What was read of the words, and what was not; drawn when there is time for it. */
const Reading = memo(function Reading({ read, sheet, onAsk, onTakeAway }: ReadingProps) {
  const characters = useFlora((s) => s.characters)
  const understood = useMemo(
    () => sheet.answers.filter((a) => read.answers.some((o) => o.character === a.character)),
    [sheet.answers, read],
  )
  return (
    <>
      <SaidEcho text={read.text} read={read.said.observations} unread={read.said.unread} />
      <Understood answers={understood} onAsk={onAsk} onTakeAway={onTakeAway} />
      {read.said.questions.map((q) => (
        <p key={q.span[0]} className="mt-2 flex flex-wrap items-center gap-2">
          {say('"{{phrase}}": of which part?', { phrase: q.phrase })}
          {q.characters.slice(0, 6).map((c) => (
            <button
              key={c}
              type="button"
              className="min-h-11 rounded-xl border border-rule px-3"
              onClick={() => onAsk(c)}
            >
              {characterTitle(characters, c)}
            </button>
          ))}
        </p>
      ))}
      <OurWords phrases={read.said.unread.map((u) => read.text.slice(...u))} />
    </>
  )
})

/** A line to type or speak into: what is understood becomes answers, each to change or take away. */
export function SayIt({ subject, onAsk, onTakeAway, onClose }: Props) {
  const [text, setText] = useState(useSheet(subject).said ?? '')
  const { read: reader, problem } = useDescribing()
  const { read, sheet, put } = useHeard(subject, text, reader)
  const input = useRef<HTMLTextAreaElement>(null)
  useEffect(() => input.current?.focus(), [])
  const ask = useStable((character: string) => {
    put()
    onAsk(character)
  })
  const takeAway = useStable((character: string) => {
    put()
    onTakeAway(character)
  })
  const drawn = useDeferredValue(useMemo(() => read && { read, sheet }, [read, sheet]))
  return (
    <section aria-label={say('Say it')} className="mb-4 rounded-2xl border-2 border-culm bg-sheet p-3">
      <label className="block font-semibold" htmlFor="say-it">
        {say('Say it in your own words')}
      </label>
      <textarea
        id="say-it"
        ref={input}
        value={text}
        rows={3}
        maxLength={2500}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === 'Escape') onClose()
        }}
        placeholder={say('Bunch grass, flat stems, no claws, ligule about an eighth of an inch …')}
        className="mt-1 w-full rounded-xl border border-rule bg-sheet p-2 text-lg"
      />
      <div className="mt-1 flex flex-wrap gap-2">
        <SpeechButton onSaid={(more) => setText((t) => `${t}${t && !/\s$/.test(t) ? ' ' : ''}${more}`)} />
        <button type="button" className="min-h-11 rounded-xl border border-rule px-4" onClick={onClose}>
          {say('Done')}
        </button>
      </div>
      {problem ? <p className="mt-1 font-semibold text-harm">{problem}</p> : null}
      {read?.text.trim() ? (
        <>
          <SaidVerdict sheet={sheet} />
          {drawn ? <Reading {...drawn} onAsk={ask} onTakeAway={takeAway} /> : null}
        </>
      ) : null}
    </section>
  )
}
