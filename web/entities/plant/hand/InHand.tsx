import { useMemo, useState } from 'react'
import { codeWords } from '@/text/codeWords.ts'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { usualTraits } from '@/core/flora/traits.ts'
import { Hand } from './Hand.tsx'
import { usualWords } from '../usualState.ts'
import { say } from '../../../language/say.ts'
import { Labelled, inputClass } from '../../../parts/Labelled.tsx'
import { seedOf } from '../../../parts/PlantDrawing.tsx'

/** Ages a plant of the book has states of its own for, and the one it is mostly met at. */
const stagesOf = (plant: Plant): Stage[] => {
  const own = Object.keys(plant.stages) as Stage[]
  return ['vegetative' as Stage, ...own.filter((s) => s === 'seedling' || s === 'mown')]
}

/** The plant as it would lie in the hand, with another specimen of it and other ages. */
export function InHand({ plant }: { plant: Plant }) {
  const [stage, setStage] = useState<Stage>('vegetative')
  const [number, setNumber] = useState(0)
  const held = useMemo(
    () => ({ form: plant.form, traits: usualTraits(plant, stage), seed: seedOf(`${plant.id}${number}`) }),
    [plant, stage, number],
  )
  const stages = stagesOf(plant)
  return (
    <section className="mt-4" aria-labelledby="in-hand">
      <h2 id="in-hand" className="text-xl">
        {say('In the hand')}
      </h2>
      <Hand
        held={held}
        label={say('{{name}} in three dimensions. Arrow keys turn it, plus and minus bring it nearer and farther.', {
          name: plant.commonName,
        })}
        of={(character) => usualWords(plant, character, stage)}
      >
        <button
          type="button"
          className="min-h-11 rounded-xl border border-rule px-4"
          onClick={() => setNumber((n) => n + 1)}
        >
          {say('Another specimen')}
        </button>
        {stages.length > 1 ? (
          <Labelled label={say('Age')}>
            {(id) => (
              <select id={id} value={stage} onChange={(e) => setStage(e.target.value as Stage)} className={inputClass}>
                {stages.map((s) => (
                  <option key={s} value={s}>
                    {codeWords(s)}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
        ) : null}
      </Hand>
      <p className="mt-1 text-sm text-ink-soft">
        {say(
          'Built from the coded states, at their true sizes; proportions that nobody has coded are what is usual for such plants. It is no photograph.',
        )}
      </p>
    </section>
  )
}
