import { codeWords } from '@/text/codeWords.ts'
import { grazings, swardStages, type Grazed, type MeasuresPatch, type SwardStage } from '@/core/records/measures.ts'
import type { Stop } from '@/core/records/round.ts'
import { say } from '../../../language/say.ts'

interface Props {
  stop: Stop
  onMeasure: (patch: MeasuresPatch) => void
}

const chip = 'min-h-11 rounded-xl border border-rule px-3 aria-pressed:border-culm aria-pressed:bg-culm/15'

function Taps<T extends SwardStage | Grazed>({
  name,
  options,
  value,
  onChange,
}: {
  name: string
  options: readonly T[]
  value: T | undefined
  onChange: (v: T | undefined) => void
}) {
  return (
    <div role="group" aria-label={name} className="flex flex-wrap items-center gap-1.5">
      <span className="w-24 text-ink-soft">{name}</span>
      {options.map((o) => (
        <button
          key={o}
          type="button"
          aria-pressed={value === o}
          className={chip}
          onClick={() => onChange(value === o ? undefined : o)}
        >
          {codeWords(o)}
        </button>
      ))}
    </div>
  )
}

function Stepper({
  name,
  unit,
  value,
  step,
  max,
  onChange,
}: {
  name: string
  unit: string
  value: number | undefined
  step: number
  max: number
  onChange: (n: number) => void
}) {
  const by = (d: number) => onChange(Math.min(max, Math.max(0, (value ?? 0) + d)))
  return (
    <div role="group" aria-label={name} className="flex items-center gap-1.5">
      <span className="w-24 text-ink-soft">{name}</span>
      <button
        type="button"
        className={`${chip} min-w-11 text-lg font-bold`}
        aria-label={say('{{name}}: less', { name })}
        onClick={() => by(-step)}
      >
        −
      </button>
      <output className="min-w-16 text-center font-semibold">{value === undefined ? '–' : `${value}${unit}`}</output>
      <button
        type="button"
        className={`${chip} min-w-11 text-lg font-bold`}
        aria-label={say('{{name}}: more', { name })}
        onClick={() => by(step)}
      >
        +
      </button>
    </div>
  )
}

/** The stop itself, in taps: height, growth, bare ground, dung, grazing. None of it is asked for. */
export function StopTaps({ stop, onMeasure }: Props) {
  const { heightCm, barePercent, stage, dung, grazed } = stop.measures
  const noted = [heightCm, barePercent, stage, dung, grazed].filter((x) => x !== undefined).length
  return (
    <details className="mt-4 border-t border-rule/70 pt-1">
      <summary className="min-h-11 content-center font-semibold">
        {say('About this stop{{what}}', { what: noted > 0 ? say(': {{noted}} noted', { noted }) : '' })}
      </summary>
      <div className="grid gap-2 pb-2">
        <Stepper
          name={say('Height')}
          unit=" cm"
          value={heightCm}
          step={1}
          max={300}
          onChange={(n) => onMeasure({ heightCm: n })}
        />
        <Stepper
          name={say('Bare ground')}
          unit=" %"
          value={barePercent}
          step={5}
          max={100}
          onChange={(n) => onMeasure({ barePercent: n })}
        />
        <Stepper
          name={say('Dung pats')}
          unit=""
          value={dung}
          step={1}
          max={100}
          onChange={(n) => onMeasure({ dung: n })}
        />
        <Taps name={say('Growth')} options={swardStages} value={stage} onChange={(v) => onMeasure({ stage: v })} />
        <Taps name={say('Grazed')} options={grazings} value={grazed} onChange={(v) => onMeasure({ grazed: v })} />
      </div>
    </details>
  )
}
