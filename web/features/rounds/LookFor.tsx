import type { Plant } from '@/core/flora/flora.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { say } from '../../language/say.ts'

/** Most plants of a place that are shown: the eye keeps no more on a walk. */
const MOST = 8

/** The harmful plants that grow in a region, as they look, the most usual first. */
export const LookFor = ({ harmful }: { harmful: readonly Plant[] }) => (
  <>
    <h3 className="mt-4 text-lg">{say('Harmful plants to look for here')}</h3>
    <ul className="mt-1 grid grid-cols-3 gap-2 @md:grid-cols-4">
      {harmful.slice(0, MOST).map((p) => (
        <li key={p.id} className="text-center leading-tight">
          <PlantPicture plant={p} className="mx-auto size-24 object-contain" />
          {p.commonName}
        </li>
      ))}
    </ul>
    {harmful.length > MOST ? (
      <p className="mt-2 text-ink-soft">
        {say('{{n}} of {{all}} that are usual in this region; others can stand here too.', {
          n: MOST,
          all: harmful.length,
        })}
      </p>
    ) : null}
  </>
)
