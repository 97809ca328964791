import { useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Character } from '@/core/flora/flora.ts'
import { HowToLook } from '../../entities/plant/HowToLook.tsx'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { Leaf } from '../../parts/Leaf.tsx'
import { stateWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { isDrawn, TermSketch } from './TermSketch.tsx'
import { terms } from '../../parts/terms.ts'
import { say } from '../../language/say.ts'

const SHOWN_STATES = 8

function Look({ character }: { character: Character }) {
  return (
    <li className="break-inside-avoid border-b border-rule/60 py-3">
      <h3 className="text-lg">{character.title}</h3>
      <HowToLook character={character} />
      <ul className="mt-2 flex flex-wrap gap-3">
        {(character.states ?? []).slice(0, SHOWN_STATES).map((s) => {
          const drawing = drawState(character.id, s)
          return drawing ? (
            <li key={s} className="w-20 text-center text-sm leading-tight">
              <DrawingView drawing={drawing} className="mx-auto size-16" />
              {stateWords(s)}
            </li>
          ) : null
        })}
      </ul>
    </li>
  )
}

/** Words of the trade on the left, how to look on the right; the right half is printed as a pocket card. */
export function Component() {
  const characters = useFlora((s) => s.characters)
  const { hash } = useLocation()
  useEffect(() => document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' }), [hash])
  const [words, setWords] = useState('')
  const [form, setForm] = useState<'grass' | 'legume' | 'forb'>('grass')
  const wanted = words.trim().toLowerCase()
  const has = (...texts: string[]) => wanted === '' || texts.some((t) => t.toLowerCase().includes(wanted))
  const found = terms.filter((t) => has(t.term, t.means)).sort((a, b) => (a.term < b.term ? -1 : 1))
  const looks = characters.filter((c) => c.forms.includes(form) && c.part !== 'when-lucky' && has(c.title, c.asks))
  return (
    <Leaf
      names={{ left: say('Words'), right: say('How to look') }}
      tip={{ label: say('Print the pocket card'), detail: say('how to look, drawn'), onPress: () => window.print() }}
      nodes={[]}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('Words, drawn and plain')}</h1>
          <div className="mt-2 max-w-md">
            <Labelled label={say('Find a word')}>
              {(id) => (
                <input
                  id={id}
                  type="search"
                  value={words}
                  onChange={(e) => setWords(e.target.value)}
                  className={inputClass}
                />
              )}
            </Labelled>
          </div>
          {found.length === 0 ? (
            <p className="mt-3">{say('No word of that kind; perhaps a look on the other half.')}</p>
          ) : null}
          <dl className="mt-3 max-w-prose">
            {found.map((t) => (
              <div
                key={t.id}
                id={t.id}
                className={`grid grid-cols-[1fr_auto] gap-x-4 border-b border-rule/60 py-2 ${hash === `#${t.id}` ? 'rounded-lg bg-culm/12 px-2' : ''}`}
              >
                <dt className="font-plant text-lg font-semibold">{t.term}</dt>
                <dd className="col-start-1">{t.means}</dd>
                {isDrawn(t) ? (
                  <dd className="col-start-2 row-span-2 row-start-1 self-center">
                    <TermSketch term={t} />
                  </dd>
                ) : null}
              </div>
            ))}
          </dl>
        </>
      }
      right={
        <>
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2 className="text-[1.65rem]">{say('How to look')}</h2>
            <div className="no-print flex gap-2" role="group" aria-label={say('Kind of plant')}>
              {(['grass', 'legume', 'forb'] as const).map((f) => (
                <button
                  key={f}
                  type="button"
                  aria-pressed={form === f}
                  onClick={() => setForm(f)}
                  className={`min-h-11 rounded-xl border px-3 ${form === f ? 'border-culm bg-culm font-bold text-on-culm' : 'border-rule'}`}
                >
                  {stateWords(f)}
                </button>
              ))}
            </div>
          </div>
          <ul className="mt-2 print:columns-3 print:[zoom:0.72]">
            {looks.map((c) => (
              <Look key={c.id} character={c} />
            ))}
          </ul>
        </>
      }
    />
  )
}
