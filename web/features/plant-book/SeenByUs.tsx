import { useMemo } from 'react'
import type { Plant } from '@/core/flora/flora.ts'
import type { NamingCheck } from '@/core/records/namingCheck.ts'
import { naturalFrequency } from '@/text/certaintyWords.ts'
import { Link } from 'react-router'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { reads, useRead } from '../../data/reads.ts'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

/** Pictures that somebody took of one specimen. */
function PicturesOf({ subject, name }: { subject: string; name: string }) {
  const { data = [] } = useRead(useMemo(() => reads.photosOf(subject), [subject]))
  if (data.length === 0) return null
  return (
    <ul className="mt-1 flex flex-wrap gap-2">
      {data.map((p) => (
        <li key={p.id}>
          <a href={`/api/photos/${p.id}`}>
            <img
              src={`/api/photos/${p.id}`}
              alt={say('Picture of {{name}}', { name })}
              loading="lazy"
              className="size-28 rounded-xl border border-rule object-cover"
            />
          </a>
        </li>
      ))}
    </ul>
  )
}

const checkWords = (check: NamingCheck | undefined, plant: Plant): string =>
  !check
    ? say('not looked at again yet')
    : check.was === plant.id
      ? say('looked at again {{day}}: it was that', { day: dayWords(check.checkedOn) })
      : say('looked at again {{day}}: it was another', { day: dayWords(check.checkedOn) })

/** Where this plant was named here, how surely, whether somebody looked again in flower, and the pictures taken of it. */
export function SeenByUs({ plant }: { plant: Plant }) {
  const namings = useRead(reads.namings)
  const { data: checks = [] } = useRead(reads.checks)
  const { data: unknowns = [] } = useRead(reads.unknowns)
  const checkOf = (id: string) => checks.find((c) => c.namingId === id)
  // Those that somebody confirmed come first.
  const named = (namings.data ?? [])
    .filter((n) => n.plant === plant.id)
    .sort((a, b) => Number(checkOf(b.id)?.was === plant.id) - Number(checkOf(a.id)?.was === plant.id))
  const letters = unknowns.filter((u) => u.namedAs === plant.id)
  return (
    <section className="mt-4" aria-labelledby="seen">
      <h2 id="seen" className="text-xl">
        {say('Seen by us')}
      </h2>
      <ReadProblem of={say('The names written down')} {...namings} />
      {named.length + letters.length === 0 ? (
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
        {named.map((n) => (
          <li key={n.id} className="border-b border-rule/60 py-2">
            <b>{dayWords(n.namedAt)}</b>
            {n.place ? `, ${n.place}` : ''}: {naturalFrequency(n.probability)}, {checkWords(checkOf(n.id), plant)}.
            <PicturesOf subject={n.id} name={plant.commonName} />
          </li>
        ))}
        {letters.map((u) => (
          <li key={u.id} className="border-b border-rule/60 py-2">
            <b>{say('Unknown {{letter}}', { letter: u.letter })}</b>, {dayWords(u.madeAt)}
            {u.place ? `, ${u.place}` : ''}
            {u.opinion?.plant === plant.id && u.opinion.by ? `, ${say('named by {{by}}', { by: u.opinion.by })}` : ''}
            .
            <PicturesOf subject={u.id} name={plant.commonName} />
          </li>
        ))}
      </ul>
    </section>
  )
}
