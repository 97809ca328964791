import { useEffect, useRef, useState } from 'react'
import { Link, useLocation, useParams } from 'react-router'
import { drawState } from '@/core/drawing/drawState.ts'
import type { Character } from '@/core/flora/flora.ts'
import { HowToLook } from '../../entities/plant/HowToLook.tsx'
import { usualState } from '../../entities/plant/usualState.ts'
import type { Term } from '../../parts/term.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { stateWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { isDrawn, TermSketch } from './TermSketch.tsx'
import { terms } from '../../parts/terms.ts'
import { say } from '../../language/say.ts'

const SHOWN_STATES = 8

/** How one look is taken, and what can be seen; on the screen only the one that is open. */
function Look({ character, open }: { character: Character; open: boolean }) {
  return (
    <li className={`break-inside-avoid border-b border-rule/60 py-3 ${open ? '' : 'hidden print:block'}`}>
      <h2 className="text-[1.65rem] print:text-lg">{character.title}</h2>
      <HowToLook character={character} />
      <ul className="mt-2 flex flex-wrap gap-3">
        {(character.states ?? []).map((s) => {
          const drawing = drawState(character.id, s)
          return drawing ? (
            <li key={s} className="w-28 text-center leading-tight print:w-20 print:text-sm">
              <DrawingView drawing={drawing} className="mx-auto size-24 print:size-16" />
              {stateWords(s)}
            </li>
          ) : null
        })}
      </ul>
    </li>
  )
}

const forms = ['grass', 'legume', 'forb'] as const
type Form = (typeof forms)[number]

/** The kinds of plant whose looks are told. */
function FormChoice({ form, onForm }: { form: Form; onForm: (form: Form) => void }) {
  return (
    <div className="no-print mt-2 flex gap-2" role="group" aria-label={say('Kind of plant')}>
      {forms.map((f) => (
        <button
          key={f}
          type="button"
          aria-pressed={form === f}
          onClick={() => onForm(f)}
          className={`min-h-11 rounded-xl border px-3 ${form === f ? 'border-culm bg-culm font-bold text-on-culm' : 'border-rule'}`}
        >
          {stateWords(f)}
        </button>
      ))}
    </div>
  )
}

/** The word that was chosen, large, and the plants that show it. */
function Shown({ term }: { term: Term }) {
  const plants = useFlora((s) => s.plants)
  const showing = term.drawn
    ? plants.filter((p) => usualState(p, term.drawn![0], 'vegetative') === term.drawn![1]).slice(0, SHOWN_STATES)
    : []
  return (
    <>
      <h2 className="text-[1.65rem]">{term.term}</h2>
      {isDrawn(term) ? <TermSketch term={term} className="mx-auto mt-2 size-60" /> : null}
      <p className="mt-2 max-w-prose text-lg">{term.means}</p>
      {showing.length > 0 ? (
        <>
          <h3 className="mt-5 text-lg">{say('Plants that show it')}</h3>
          <ul className="mt-1 grid grid-cols-3 gap-2 @md:grid-cols-4">
            {showing.map((p) => (
              <li key={p.id}>
                <Link to={`/plants/${p.id}`} className="block rounded-xl p-1 text-center leading-tight hover:bg-culm/8">
                  <PlantPicture plant={p} className="mx-auto aspect-square w-full max-w-28 object-contain" />
                  <span className="font-plant text-sm">{p.commonName.replace(/ \(.*\)/, '')}</span>
                </Link>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </>
  )
}

/** Every word, small; the chosen one is lit and shown large on the right. */
function WordList({ found, chosen }: { found: Term[]; chosen: string | undefined }) {
  const here = useRef<HTMLAnchorElement>(null)
  useEffect(() => {
    void here.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen])
  return (
    <ul className="book-list mt-2 grid gap-x-4 @md:grid-cols-2" tabIndex={0} aria-label={say('Words')}>
      {found.map((t) => (
        <li key={t.id}>
          <Link
            ref={t.id === chosen ? here : undefined}
            to={`#${t.id}`}
            preventScrollReset
            aria-current={t.id === chosen ? 'true' : undefined}
            className={`flex min-h-12 items-center gap-2 border-b border-rule/60 px-1 ${t.id === chosen ? 'bg-lit font-bold' : 'hover:bg-culm/8'}`}
          >
            {isDrawn(t) ? <TermSketch term={t} silent className="size-10 shrink-0" /> : <span className="size-10" />}
            <span className="font-plant text-lg leading-tight">{t.term}</span>
          </Link>
        </li>
      ))}
    </ul>
  )
}

/** Each look by its name; the chosen one opens on the right, all of them on the printed card. */
function LookList({ looks, chosen, onChoose }: { looks: Character[]; chosen: string; onChoose: (id: string) => void }) {
  return (
    <ul className="book-list mt-2 grid gap-x-4 @md:grid-cols-2">
      {looks.map((c) => (
        <li key={c.id}>
          <button
            type="button"
            aria-pressed={c.id === chosen}
            onClick={() => onChoose(c.id)}
            className={`min-h-12 w-full border-b border-rule/60 px-1 text-left ${c.id === chosen ? 'bg-lit font-bold' : 'hover:bg-culm/8'}`}
          >
            {c.title}
          </button>
        </li>
      ))}
    </ul>
  )
}

/** Words of the trade, drawn and plain, and how each look is taken; the looks are printed as a pocket card. */
export function Component() {
  const characters = useFlora((s) => s.characters)
  const { hash } = useLocation()
  const looking = useParams().chapter === 'look'
  const [words, setWords] = useState('')
  // A look that was asked for by its address opens with the kind of plant that has it.
  const [form, setForm] = useState<Form>(
    () => forms.find((f) => characters.find((c) => `#${c.id}` === hash)?.forms.includes(f)) ?? 'grass',
  )
  const [look, setLook] = useState('')
  const wanted = words.trim().toLowerCase()
  const has = (...texts: string[]) => wanted === '' || texts.some((t) => t.toLowerCase().includes(wanted))
  const found = terms.filter((t) => has(t.term, t.means)).sort((a, b) => (a.term < b.term ? -1 : 1))
  const looks = characters.filter((c) => c.forms.includes(form) && c.part !== 'when-lucky' && has(c.title, c.asks))
  const chosen = found.find((t) => t.id === hash.slice(1)) ?? found[0]
  const open = looks.find((c) => c.id === (look || hash.slice(1))) ?? looks[0]
  return (
    <TwoPane
      names={{ left: say('Words'), right: looking ? say('How to look') : (chosen?.term ?? say('Words')) }}
      tip={
        looking
          ? { label: say('Print the pocket card'), detail: say('how to look, drawn'), onPress: () => window.print() }
          : { label: say('How to look'), detail: say('each look, drawn'), to: '/glossary/look' }
      }
      nodes={NO_NODES}
      chapters={[
        { id: 'words', label: say('Words'), to: '/glossary', current: !looking },
        { id: 'look', label: say('How to look'), to: '/glossary/look', current: looking },
      ]}
      left={
        <>
          <h1 className="text-[1.65rem]">{looking ? say('How to look') : say('Words, drawn and plain')}</h1>
          <div className="mt-2 max-w-md">
            <Labelled label={looking ? say('Find a look') : say('Find a word')}>
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
          {looking ? (
            <>
              <FormChoice form={form} onForm={setForm} />
              <LookList looks={looks} chosen={open?.id ?? ''} onChoose={setLook} />
            </>
          ) : found.length === 0 ? (
            <p className="mt-3">{say('No word of that kind; perhaps it is a look.')}</p>
          ) : (
            <WordList found={found} chosen={chosen?.id} />
          )}
        </>
      }
      right={
        !looking ? (
          chosen ? (
            <Shown term={chosen} />
          ) : null
        ) : (
          <>
            <h2 className="hidden text-[1.65rem] print:block">{say('How to look')}</h2>
            <ul className="print:columns-3 print:[zoom:0.72]">
              {looks.map((c) => (
                <Look key={c.id} character={c} open={c.id === open?.id} />
              ))}
            </ul>
          </>
        )
      }
    />
  )
}

const NO_NODES: never[] = []
