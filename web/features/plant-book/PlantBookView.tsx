import { groupName } from '@/text/taxonNames.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import { groupOf, groups } from '@/core/records/taxon.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { filtered, noFilter } from './filters.ts'
import { Filters } from './Filters.tsx'
import { OwnPlant } from './OwnPlant.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

/** Every plant of the book, drawn, by group; narrowed by name, use, harm, character or sward. */
export function PlantBookView() {
  const { plants, byId } = useFlora()
  const [filter, setFilter] = useState(noFilter)
  const shown = filtered(plants, filter)
  return (
    <main className="mx-auto max-w-6xl px-4 pb-16 min-[901px]:px-8">
      <div className="flex flex-wrap items-end justify-between gap-x-4">
        <h1 className="text-[1.65rem]">
          {say('Plant book: {{what}} plants', {
            what:
              shown.length === plants.length
                ? plants.length
                : say('{{n}} of {{n2}}', { n: shown.length, n2: plants.length }),
          })}
        </h1>
        <p className="flex flex-wrap gap-x-4">
          <Link to="/plants/map" className="flex min-h-11 items-center underline">
            {say('Map of look-alikes')}
          </Link>
          <Link to="/compare" className="flex min-h-11 items-center underline">
            {say('Compare')}
          </Link>
          <Link to="/drawings" className="flex min-h-11 items-center underline">
            {say('All drawings')}
          </Link>
        </p>
      </div>
      <Filters filter={filter} onChange={setFilter} />
      <OwnPlant />
      {shown.length === 0 ? (
        <p className="mt-6">{say('No plant of the book is like that. Take a filter off, or add your own.')}</p>
      ) : null}
      {groups.map((group) => {
        const here = shown.filter((p) => groupOf(p.id, byId) === group)
        if (here.length === 0) return null
        return (
          <section key={group} className="mt-6">
            <h2 className="flex items-center gap-2 text-xl">
              <GroupMark group={group} /> {groupName(group)}
            </h2>
            <ul className="mt-1 grid gap-x-6 @md:grid-cols-2 @3xl:grid-cols-3">
              {here.map((p) => (
                <li key={p.id}>
                  <Link
                    to={`/plants/${p.id}`}
                    className="flex min-h-16 items-center gap-3 border-b border-rule/70 py-1.5 hover:bg-culm/8"
                  >
                    <PlantPicture plant={p} className="size-24 shrink-0 object-contain" />
                    <span className="leading-tight">
                      <b className="font-plant">{p.commonName}</b>
                      <i className="block font-plant text-ink-soft">{p.scientificName}</i>
                      {p.role === 'toxic' ? <span className="font-bold text-harm">{say('harmful')}</span> : null}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )
      })}
    </main>
  )
}
