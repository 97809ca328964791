import { useEffect } from 'react'
import type { Round } from '@/core/records/round.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { RouteMap } from '../../parts/RouteMap.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

/** Steps that are about plants: the eye and the pocket by what was sown, the bench by what must not be missed. */
const OF_SOWN = [0, 1]
const OF_HARM = [3]
const SHOWN = 6

/** What a step looks like: the plants it has to do with, or the walk. */
export function StepDrawn({ step, shown }: { step: number; shown: Round | undefined }) {
  const { byId, load } = useFlora()
  useEffect(() => void load(), [load])
  const sown = (shown?.paddock.sown ?? []).flatMap((id) => byId.get(id) ?? [])
  const region = shown?.paddock.region
  const harmful = [...byId.values()].filter((p) => p.role === 'toxic' && region && p.regions[region] === 'common')
  const plants = (OF_SOWN.includes(step) ? sown : OF_HARM.includes(step) ? harmful : []).slice(0, SHOWN)
  if (plants.length > 0)
    return (
      <ul className="mt-4 grid grid-cols-3 gap-3">
        {plants.map((p) => (
          <li key={p.id} className="text-center">
            <PlantPicture plant={p} className="mx-auto aspect-square w-full max-w-48 object-contain" />
            <span className="font-plant">{p.commonName}</span>
          </li>
        ))}
      </ul>
    )
  if (!shown?.route) return null
  return (
    <RouteMap
      boundary={shown.paddock.boundary}
      parts={shown.paddock.strata}
      line={shown.route.line}
      stops={shown.stops}
      label={say('Map of {{name}} with the stops', { name: shown.paddock.name })}
      className="mt-4 w-full max-w-lg"
    />
  )
}
