import { Link } from 'react-router'
import { monthsOfGrowth } from '@/core/flora/seasons.ts'
import { today } from '../../language/dates.ts'
import { say } from '../../language/say.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { monthNames } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useNamePlace } from '../../stores/namePlaceStore.ts'

/** The harmful plants of the book that are in leaf this month, as they look: what an eye should look out for now. */
export function HarmfulInLeaf({ most }: { most: number }) {
  const plants = useFlora((s) => s.plants)
  const south = useNamePlace((s) => s.place) === 'australasia'
  const month = Number(today().slice(5, 7))
  const toxic = plants.filter((p) => p.role === 'toxic')
  const now = toxic.filter((p) => monthsOfGrowth(p, south ? 'southern-australasia' : undefined).includes(month))
  return (
    <section aria-labelledby="harmful-in-leaf" className="mt-5">
      <h3 id="harmful-in-leaf" className="text-xl text-harm">
        {say('Harmful, and in leaf in {{month}}: {{n}} of {{all}}', {
          month: monthNames()[month - 1]!,
          n: now.length,
          all: toxic.length,
        })}
      </h3>
      <ul className="mt-1 grid grid-cols-3 gap-2 @md:grid-cols-4">
        {now.slice(0, most).map((p) => (
          <li key={p.id}>
            <Link to={`/plants/${p.id}`} className="block rounded-xl p-1 text-center leading-tight hover:bg-culm/8">
              <PlantPicture plant={p} className="mx-auto aspect-square w-full max-w-28 object-contain" />
              <span className="font-plant text-sm">{p.commonName.replace(/ \(.*\)/, '')}</span>
            </Link>
          </li>
        ))}
      </ul>
      <p className="text-sm text-ink-soft">
        {say('A plant that is not in leaf can still harm by its roots, seed or dead leaf, and in hay.')}
      </p>
    </section>
  )
}
