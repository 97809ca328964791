import type { Plant } from '@/core/flora/flora.ts'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const MOST = 4

/** The first page has room for the drawings where it says nothing of feed and little of harm. */
export const drawnOnFirst = (round: Round, weighed: WeighUp): boolean =>
  (round.paddock.outlook === 'turf' || round.paddock.outlook === 'native') && weighed.harm.found.length === 0

/** What matters, drawn: the harmful plants that were found, then the commonest. */
export function Matters({ weighed }: { weighed: WeighUp }) {
  const byId = useFlora((s) => s.byId)
  const plants = weighed.composition.taxa.flatMap((t) => byId.get(t.taxon) ?? [])
  const harmful = (p: Plant) => p.role === 'toxic'
  const shown = [...plants.filter(harmful), ...plants.filter((p) => !harmful(p))].slice(0, MOST)
  return (
    <ul
      className="mt-3 flex break-inside-avoid justify-between gap-2"
      aria-label={say('The plants that matter, drawn')}
    >
      {shown.map((p) => (
        <li key={p.id} className="min-w-0 flex-1 text-center leading-tight">
          <PlantPicture plant={p} eager className="mx-auto h-44 w-full max-w-48 object-contain print:h-24" />
          <b>{p.commonName.replace(/ \(.*\)/, '')}</b>
          {harmful(p) ? <span className="block font-bold text-harm">{say('harmful')}</span> : null}
        </li>
      ))}
    </ul>
  )
}
