import { Link } from 'react-router'
import { growsIn } from '@/core/flora/seasons.ts'
import type { Around } from '@/core/practice/session.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { today } from '../../language/dates.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const SHOWN = 9

/** Harmful plants that are at home here and in leaf now: what an eye should know first. */
export function FirstOnes({ around }: { around: Around }) {
  const plants = useFlora((s) => s.plants)
  const month = Number(today().slice(5, 7))
  const order = ['common', 'frequent', 'occasional']
  const here = plants
    .filter(
      (p) => p.role === 'toxic' && growsIn(p, month, around.region) && order.includes(p.regions[around.region] ?? ''),
    )
    .sort((a, b) => order.indexOf(a.regions[around.region]!) - order.indexOf(b.regions[around.region]!))
    .slice(0, SHOWN)
  if (here.length === 0) return null
  return (
    <section aria-labelledby="first-ones" className="mt-5">
      <h2 id="first-ones" className="text-xl">
        {say('Harmful, at home here, and in leaf now')}
      </h2>
      <ul className="mt-1 grid grid-cols-2 gap-2 @sm:grid-cols-3">
        {here.map((p) => (
          <li key={p.id}>
            <Link to={`/plants/${p.id}`} className="block rounded-xl p-1 text-center leading-tight hover:bg-culm/8">
              <PlantPicture plant={p} className="mx-auto aspect-square w-full max-w-32 object-contain" />
              <span className="font-plant">{p.commonName.replace(/ \(.*\)/, '')}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
