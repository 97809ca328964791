import { useEffect, useRef, useState } from 'react'
import { drawState } from '@/core/drawing/drawState.ts'
import { observationOf, type Read } from '@/core/describe/description.ts'
import type { Observation } from '@/core/records/observation.ts'
import { say } from '../../language/say.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { answerWords, characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useBench, useSheet } from './benchStore.ts'
import { OurWords } from './OurWords.tsx'
import { SpeechButton } from './SpeechButton.tsx'
import { useDescribing } from './useDescribing.ts'

interface Props {
  subject: string
  onAsk: (character: string) => void
  onTakeAway: (character: string) => void
  onClose: () => void
}

const plain = (o: Read): Observation => ({ sureness: 'sure', ...observationOf(o) })

/** The text again, what was understood underlined, what was not faint. */
function Echo({ text, read, unread }: { text: string; read: readonly Read[]; unread: readonly [number, number][] }) {
  const marks = [
    ...read.map((r) => ({ from: r.span[0], to: r.span[1], as: 'read' as const })),
    ...unread.map(([from, to]) => ({ from, to, as: 'unread' as const })),
  ].sort((a, b) => a.from - b.from)
  const out: { text: string; as: 'read' | 'unread' | 'plain' }[] = []
  let at = 0
  for (const m of marks) {
    if (m.from < at) continue
    out.push({ text: text.slice(at, m.from), as: 'plain' }, { text: text.slice(m.from, m.to), as: m.as })
    at = m.to
  }
  out.push({ text: text.slice(at), as: 'plain' })
  return (
    <p className="mt-2 text-lg" data-testid="said">
      {out.map((p, i) =>
        p.as === 'read' ? (
          <u key={i} className="decoration-culm decoration-2 underline-offset-4">
            {p.text}
          </u>
        ) : (
          <span key={i} className={p.as === 'unread' ? 'text-ink-soft italic' : ''}>
            {p.text}
          </span>
        ),
      )}
    </p>
  )
}

/** A line to type or speak into: what is understood becomes answers, each to change or take away. */
export function SayIt({ subject, onAsk, onTakeAway, onClose }: Props) {
  const characters = useFlora((s) => s.characters)
  const kept = useSheet(subject).said ?? ''
  const [text, setText] = useState(kept)
  const { said, text: rested, problem } = useDescribing(text)
  const input = useRef<HTMLTextAreaElement>(null)
  useEffect(() => input.current?.focus(), [])
  useEffect(() => {
    if (said && rested === text) useBench.getState().hear(subject, rested, said.observations.map(plain), said.context)
  }, [said, rested, text, subject])
  const drawn = (o: Read) => ('states' in o && o.states.length === 1 ? drawState(o.character, o.states[0]!) : undefined)
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
      {said && rested.trim() ? (
        <>
          <Echo text={rested} read={said.observations} unread={said.unread} />
          <ul aria-label={say('Understood')} className="mt-2 flex flex-wrap gap-2">
            {said.observations.map((o) => {
              const drawing = drawn(o)
              return (
                <li key={o.character} className="flex items-center rounded-xl border border-rule">
                  <button
                    type="button"
                    className="flex min-h-13 items-center gap-2 py-1 pl-2 text-left leading-tight"
                    onClick={() => onAsk(o.character)}
                  >
                    {drawing ? <DrawingView drawing={drawing} className="size-11 shrink-0" /> : null}
                    <span>
                      {characterTitle(characters, o.character)}
                      <b className="block">{answerWords(plain(o))}</b>
                    </span>
                  </button>
                  <button
                    type="button"
                    aria-label={say('Take away {{characterTitle}}', {
                      characterTitle: characterTitle(characters, o.character),
                    })}
                    className="min-h-11 min-w-11 text-xl"
                    onClick={() => onTakeAway(o.character)}
                  >
                    ×
                  </button>
                </li>
              )
            })}
          </ul>
          {said.questions.map((q) => (
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
          <OurWords phrases={said.unread.map((u) => rested.slice(...u))} />
        </>
      ) : null}
    </section>
  )
}
