import type { Plant } from '@/core/flora/flora.ts'
import { Link } from 'react-router'
import { PicturesOf } from '../../entities/specimen/PicturesOf.tsx'
import { useSeen } from '../../entities/specimen/useSeen.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { say } from '../../language/say.ts'

/** Where this plant was named here, how surely, whether somebody looked again in flower, and the pictures taken of it. */
export function SeenByUs({ plant }: { plant: Plant }) {
  const { seen, problem, again } = useSeen(plant.id)
  return (
    <section className="mt-4" aria-labelledby="seen">
      <h2 id="seen" className="text-xl">
        {say('Seen by us')}
      </h2>
      <ReadProblem of={say('The names written down')} problem={problem} again={again} />
      {seen.length === 0 ? (
        <>
          <p>
            {say(
              'Nobody here has written this name down yet. What is named on the bench, with its pictures, is gathered here.',
            )}
          </p>
          <PlantPicture plant={plant} className="mx-auto mt-4 size-72 object-contain opacity-60" />
          <Link
            to="/bench"
            className="mx-auto mt-2 flex min-h-12 w-fit items-center rounded-xl border-2 border-culm px-5 font-semibold text-culm"
          >
            {say('Name one on the bench')}
          </Link>
        </>
      ) : null}
      <ul>
        {seen.map((s) => (
          <li key={s.subject} className="border-b border-rule/60 py-2">
            <b>{s.what}</b>
            {s.says ? `: ${s.says}` : ''}
            <PicturesOf subject={s.subject} name={plant.commonName} />
          </li>
        ))}
      </ul>
    </section>
  )
}
