import { codeWords, codesListed } from '@/text/codeWords.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { stateWords } from '../../parts/words.ts'
import { say } from '../../language/say.ts'

/** What a plant is called, and what sort of plant it is. */
export function PlantHead({ plant }: { plant: Plant }) {
  return (
    <>
      <h1 className="text-[1.9rem]">{plant.commonName}</h1>
      <p>
        <i className="font-plant">{plant.scientificName}</i> {plant.author}, {plant.family}
      </p>
      <p className="text-ink-soft">
        {codeWords(plant.cycle)}{' '}
        {plant.form === 'grass'
          ? plant.season === 'cool'
            ? say('cool-season grass')
            : say('warm-season grass')
          : stateWords(plant.form)}
        {plant.alsoCalled.length > 0 ? say('; also {{alsoCalled}}', { alsoCalled: plant.alsoCalled.join(', ') }) : ''}
      </p>
      {plant.role === 'toxic' ? (
        <p className="font-bold text-harm">
          {say('Harmful to {{who}}', { who: codesListed([...new Set(plant.harm.flatMap((h) => h.who))]) })}
        </p>
      ) : null}
    </>
  )
}
