import { codeWords, codesListed } from '@/text/codeWords.ts'
import { inSentence } from '@/text/say.ts'
import { regionWords } from '@/text/regionWords.ts'
import { stages, type AbundanceWord, type Plant, type Region } from '@/core/flora/flora.ts'
import { monthsOfGrowth } from '@/core/flora/seasons.ts'
import { usualWords } from '../../entities/plant/usualState.ts'
import { characterTitle, monthNames } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useNamePlace } from '../../stores/namePlaceStore.ts'
import { say } from '../../language/say.ts'

const MONTHS = ['J', 'F', 'M', 'A', 'M', 'J', 'J', 'A', 'S', 'O', 'N', 'D']

/** Where and when it grows, and what changes with its age. */
export function WhenWhere({ plant }: { plant: Plant }) {
  const characters = useFlora((s) => s.characters)
  const south = useNamePlace((s) => s.place) === 'australasia'
  const months = monthsOfGrowth(plant, south ? 'southern-australasia' : undefined)
  const regions = Object.entries(plant.regions) as [Region, AbundanceWord][]
  const aged = stages.filter((s) => Object.keys(plant.stages[s] ?? {}).length > 0)
  const grows = months.map((m) => monthNames()[m - 1]).join(', ')
  return (
    <section className="mt-5">
      <h2 className="text-xl">{say('Where and when')}</h2>
      <p>{regions.map(([r, w]) => say('{{r}}: {{w}}', { w: codeWords(w), r: regionWords(r) })).join('; ')}.</p>
      {plant.ground.length > 0 ? <p>{say('Ground: {{ground}}.', { ground: codesListed(plant.ground) })}</p> : null}
      <div
        role="img"
        aria-label={say('In growth in {{grows}}', { grows })}
        className="mt-2 grid max-w-md grid-cols-12 gap-1 text-center"
      >
        {MONTHS.map((m, i) => (
          <span
            key={i}
            className={`rounded-md py-1 ${months.includes(i + 1) ? 'bg-culm font-bold text-on-culm' : 'border border-rule text-ink-soft'}`}
          >
            {m}
          </span>
        ))}
      </div>
      {aged.length > 0 ? (
        <>
          <h3 className="mt-3 font-semibold">{say('What changes with its age')}</h3>
          <ul>
            {aged.map((stage) => (
              <li key={stage}>
                <b className="capitalize">{codeWords(stage)}:</b>{' '}
                {Object.keys(plant.stages[stage] ?? {})
                  .map((id) => `${inSentence(characterTitle(characters, id))} ${usualWords(plant, id, stage)}`)
                  .join('; ')}
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </section>
  )
}
