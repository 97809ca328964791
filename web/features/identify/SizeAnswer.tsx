import type { Sureness } from '@/core/records/observation.ts'
import { useId, useState, type FormEvent } from 'react'
import { partToScale, QUICK_MM, STRIP_MM } from '@/core/drawing/sizeDrawing.ts'
import type { Character } from '@/core/flora/flora.ts'
import type { Observation } from '@/core/records/observation.ts'
import { DrawingView } from '../../parts/DrawingView.tsx'
import { say } from '../../language/say.ts'

interface Props {
  character: Character
  answer: Observation | undefined
  sureness: Sureness
  onAnswer: (observation: Observation) => void
}

/** A size by the ruler strip: slide or type, and the part is drawn to the same scale. */
export function SizeAnswer({ character, answer, sureness, onAnswer }: Props) {
  const id = useId()
  const strip = STRIP_MM[character.id] ?? character.range?.[1] ?? 100
  const [text, setText] = useState(answer && 'value' in answer ? String(answer.value) : '')
  const [problem, setProblem] = useState('')
  const value = Number(text.replace(',', '.'))
  const [low, high] = character.range ?? [0, 1000]
  const shown = Number.isFinite(value) && text !== '' ? value : 0
  const step = strip <= 10 ? 0.1 : strip <= 60 ? 0.5 : 5
  const write = (e: FormEvent) => {
    e.preventDefault()
    if (text.trim() === '' || !Number.isFinite(value) || value < low || value > high) {
      setProblem(say('Write a size between {{low}} and {{high}} mm.', { low, high }))
      return
    }
    onAnswer({ character: character.id, value, unit: 'mm', sureness })
  }
  return (
    <>
      <ul className="clear-both grid pt-3 grid-cols-[repeat(auto-fill,minmax(5.2rem,1fr))] gap-2">
        {(QUICK_MM[character.id] ?? []).map((mm) => (
          <li key={mm}>
            <button
              type="button"
              aria-pressed={answer !== undefined && 'value' in answer && answer.value === mm}
              onClick={() => onAnswer({ character: character.id, value: mm, unit: 'mm', sureness })}
              className="flex w-full flex-col items-center rounded-xl border border-rule bg-sheet px-1 pt-1.5 pb-1 leading-tight hover:border-culm aria-pressed:border-culm aria-pressed:outline-2 aria-pressed:outline-culm"
            >
              <DrawingView drawing={partToScale(character.id, mm)} whenSeen className="size-16" />
              {mm} mm
            </button>
          </li>
        ))}
      </ul>
      <form onSubmit={write} className="mt-2 flex flex-wrap items-end gap-4">
        <div className="min-w-60 grow">
          <label htmlFor={id} className="block text-ink-soft">
            {say('Or to the millimetre')}
          </label>
          <div className="mt-1.5 flex gap-2">
            <input
              id={id}
              data-autofocus
              inputMode="decimal"
              autoComplete="off"
              value={text}
              onChange={(e) => {
                setText(e.target.value)
                setProblem('')
              }}
              aria-describedby={`${id}-problem`}
              className="min-h-12 w-28 rounded-xl border border-rule bg-sheet px-3 text-xl"
            />
            <button type="submit" className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
              {text === '' ? say('Take it') : say('Take {{size}} mm', { size: text })}
            </button>
          </div>
          <input
            type="range"
            min={0}
            max={strip}
            step={step}
            value={Math.min(strip, shown)}
            aria-label={say('Ruler strip, 0 to {{strip}} mm', { strip })}
            onChange={(e) => setText(e.target.value)}
            className="mt-3 h-11 w-full accent-culm"
          />
          <svg viewBox="0 0 308 26" className="-mt-2 w-full" aria-hidden>
            {Array.from({ length: 11 }, (_, i) => (
              <g key={i}>
                <path d={`M${6 + i * 28.8} 0V9`} className="ink-line" />
                <text x={6 + i * 28.8} y="23" textAnchor="middle" className="fill-ink text-[12px]">
                  {Math.round(((strip * i) / 10) * 10) / 10}
                </text>
              </g>
            ))}
          </svg>
          <p id={`${id}-problem`} role="alert" className="min-h-6 text-harm">
            {problem}
          </p>
        </div>
      </form>
    </>
  )
}
