import { useWords } from '../../language/useWords.ts'
import { memo, useMemo, useState } from 'react'
import type { Piece } from '@/core/drawing/portrait/portrait.ts'
import type { LifeForm, Stage } from '@/core/flora/flora.ts'
import type { NextCheck } from '@/core/naming/nextChecks.ts'
import type { Observation } from '@/core/records/observation.ts'
import { PortraitView } from '../../parts/PortraitView.tsx'
import { answerWords } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { specimenOf } from './readyDrawings.ts'
import { say, word } from '../../language/say.ts'

const BESIDE = 'float-right mb-2 ml-3 w-28 rounded-xl border p-1'

/**
 * The specimen small, beside the question; touched, it brings the large one into sight. It is drawn after what was touched:
 * room is kept for it as soon as something is known, so that the question does not move when it comes.
 */
export const SpecimenBeside = ({ later, known }: { later: Omit<SpecimenProps, 'onAsk'>; known: boolean }) => {
  if (later.form === undefined && !known) return null
  if (later.form === undefined)
    return <svg viewBox="-7 -3 112 123" className={`${BESIDE} border-transparent`} aria-hidden="true" />
  return <DrawnBeside id={later.id} form={later.form} answers={later.answers} stage={later.stage} />
}

const DrawnBeside = memo(function DrawnBeside({
  id,
  form,
  answers,
  stage,
}: Pick<SpecimenProps, 'id' | 'form' | 'answers' | 'stage'>) {
  useWords()
  if (!form) return null
  const { traits, portrait } = specimenOf(id, form, answers, stage)
  return (
    <button
      type="button"
      aria-label={say('The plant so far: go to it and choose a part')}
      onClick={() => document.getElementById('specimen')?.scrollIntoView({ block: 'center' })}
      className={`${BESIDE} border-rule bg-sheet hover:border-culm`}
    >
      <PortraitView portrait={portrait} traits={traits} insets={false} className="w-full" />
    </button>
  )
})

export interface SpecimenProps {
  id: string
  /** Kind of plant as far as it is known; undefined before anything was seen. */
  form: LifeForm | undefined
  answers: Observation[]
  stage: Stage
  next: NextCheck[]
  asked: string
  onAsk: (character: string) => void
}

/**
 * The specimen as far as it is known: what was seen is drawn, the rest dotted. A touch on a part asks what is best
 * asked about it, and shows what else can be.
 */
export const Specimen = memo(function Specimen({ id, form, answers, stage, next, asked, onAsk }: SpecimenProps) {
  useWords()
  const characters = useFlora((s) => s.characters)
  const [part, setPart] = useState<string>()
  const kind = form ?? 'grass'
  const { traits, portrait } = specimenOf(id, kind, answers, stage)
  const drawn = useMemo(
    () => ({ ...portrait, insets: portrait.insets.filter((i) => traits.states[i.character] !== undefined || i.bar) }),
    [portrait, traits],
  )
  const ofPart = (name: string) =>
    [...new Set(portrait.pieces.filter((p) => p.part === name).flatMap((p) => p.shows))].filter((c) =>
      characters.some((x) => x.id === c && x.forms.includes(kind)),
    )
  const touch = (piece: Piece) => {
    setPart(piece.part)
    const on = ofPart(piece.part)
    const best =
      next.find((n) => on.includes(n.character))?.character ??
      on.find((c) => !answers.some((a) => a.character === c)) ??
      on[0]
    if (best) onAsk(best)
  }
  if (!form)
    return (
      <p className="rounded-2xl border-2 border-dashed border-rule px-4 py-6 text-center text-ink-soft">
        {say('The plant is drawn here as you answer; then any part of it can be touched.')}
      </p>
    )
  return (
    <div id="specimen">
      <PortraitView
        portrait={drawn}
        traits={traits}
        onPart={touch}
        label={say('The specimen: choose a part to answer about it')}
        className="mx-auto w-full max-w-[26rem]"
      />
      {part ? (
        <div className="mt-1" aria-live="polite">
          <p className="font-semibold">{say('On the {{part}}:', { part: word(part) })}</p>
          <ul className="mt-1 flex flex-wrap gap-1.5">
            {ofPart(part).map((c) => {
              const answer = answers.find((a) => a.character === c)
              return (
                <li key={c}>
                  <button
                    type="button"
                    aria-current={asked === c}
                    onClick={() => onAsk(c)}
                    className={`min-h-11 rounded-xl border px-3 text-left leading-tight aria-[current=true]:outline-2 aria-[current=true]:outline-culm ${answer ? 'border-culm bg-culm/12' : 'border-dashed border-ink-soft'}`}
                  >
                    {characters.find((x) => x.id === c)?.title}
                    {answer ? <b className="ml-1.5">{answerWords(answer)}</b> : null}
                  </button>
                </li>
              )
            })}
          </ul>
        </div>
      ) : (
        <p className="text-center text-sm text-ink-soft">
          {say('Touch a part to answer about it. Dotted: not looked at yet.')}
        </p>
      )}
    </div>
  )
})
