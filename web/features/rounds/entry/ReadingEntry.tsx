import type { Method } from '@/core/records/method.ts'
import { readingName } from '@/text/methodWords.ts'
import { useState } from 'react'
import type { MeasuresPatch, RoundSettings } from '@/core/records/measures.ts'
import type { Stop } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { NumberField } from './NumberField.tsx'
import { simulatedPlate, simulatedScale } from '../../../instruments/weighing.ts'
import { say } from '../../../language/say.ts'

interface Props {
  method: Method
  settings: RoundSettings
  stop: Stop
  onMeasure: (patch: MeasuresPatch) => void
  onNext: () => void
}

/** A reading, and at some stops a clip of the same place; the clipped ones turn readings into mass. */
export function ReadingEntry({ method, settings, stop, onMeasure, onNext }: Props) {
  const reading = countingMethods[method].reading!
  const { frameM2 = 0.25 } = settings
  const [clipping, setClipping] = useState(false)
  const clipped = clipping || stop.measures.clipFreshG !== undefined || stop.measures.clipDryG !== undefined
  return (
    <form
      className="mt-3 grid gap-3"
      onSubmit={(e) => {
        e.preventDefault()
        onNext()
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          big
          label={readingName(method)}
          unit={reading.unit}
          max={reading.max}
          step={reading.step}
          value={stop.measures.reading}
          onChange={(n) => onMeasure({ reading: n })}
        />
        {reading.instrument === 'plate' ? (
          <button
            type="button"
            className="min-h-12 rounded-xl border border-rule px-4"
            onClick={() => void simulatedPlate.read().then((n) => onMeasure({ reading: n }))}
          >
            {say('Read the plate (simulated)')}
          </button>
        ) : null}
      </div>
      {clipped ? (
        <fieldset className="grid gap-3 rounded-2xl border border-rule px-4 py-3">
          <legend className="px-1 font-semibold">
            {say('Clipped here, frame of {{frameM}} m²', { frameM: frameM2 })}
          </legend>
          <div className="flex flex-wrap items-end gap-3">
            <NumberField
              label={say('Fresh weight')}
              unit="g"
              max={100_000}
              value={stop.measures.clipFreshG}
              onChange={(n) => onMeasure({ clipFreshG: n })}
            />
            <button
              type="button"
              className="min-h-12 rounded-xl border border-rule px-4"
              onClick={() =>
                void simulatedScale
                  .read({
                    heightCm: reading.heightCm(stop.measures.reading),
                    frameM2,
                  })
                  .then((n) => onMeasure({ clipFreshG: n }))
              }
            >
              {say('Read the scale (simulated)')}
            </button>
          </div>
          <NumberField
            label={say('Dry weight, when it is dried')}
            unit="g"
            max={100_000}
            value={stop.measures.clipDryG}
            onChange={(n) => onMeasure({ clipDryG: n })}
          />
        </fieldset>
      ) : (
        <button
          type="button"
          className="min-h-12 justify-self-start rounded-xl border border-rule px-4"
          onClick={() => setClipping(true)}
        >
          {say('Clip this one too')}
        </button>
      )}
      <button type="submit" className="sr-only">
        {say('Next stop')}
      </button>
    </form>
  )
}
