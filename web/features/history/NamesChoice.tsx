import { namePlaces, type NamePlace } from '@/core/flora/flora.ts'
import { namePlaceWords } from '@/text/regionWords.ts'
import { say } from '../../language/say.ts'
import { useNamePlace } from '../../stores/namePlaceStore.ts'
import { DeviceChoice } from './DeviceChoice.tsx'

/** By whose names this device calls the plants in English; every other name still finds them. */
export function NamesChoice() {
  const { place, setPlace } = useNamePlace()
  return (
    <DeviceChoice
      id="names"
      title={say('English names of plants')}
      options={namePlaces.map((p) => ({ value: p, says: namePlaceWords(p) }))}
      chosen={place}
      onChoose={(p) => setPlace(p as NamePlace)}
      note={say('For this device. Every plant is found by its names in the other places too, and by its Latin one.')}
    />
  )
}
