import { useEffect, useState } from 'react'
import type { Plant, Stage } from '@/core/flora/flora.ts'

const made = new Map<string, string>()

/** A picture of a plant that somebody added, made on this device; undefined for others, and until it is there. */
export function useOwnPicture(plant: Plant, stage: Stage): string | undefined {
  const key = `${plant.id} ${stage}`
  const [, setDone] = useState(0)
  const wanted = plant.own === true && !made.has(key)
  useEffect(() => {
    if (!wanted) return
    let gone = false
    import('../likeness/pictureFile.ts')
      .then(({ pictureFile }) => pictureFile(plant, stage))
      .then((url) => {
        made.set(key, url)
        if (!gone) setDone((n) => n + 1)
      })
      // A browser that draws nothing in space shows the ink drawing.
      .catch(() => undefined)
    return () => void (gone = true)
  }, [wanted, key, plant, stage])
  return plant.own ? made.get(key) : undefined
}
