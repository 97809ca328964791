import { memo, useDeferredValue, useEffect, useRef } from 'react'
import { Link } from 'react-router'
import type { Plant } from '@/core/flora/flora.ts'
import { groupOf, groups } from '@/core/records/taxon.ts'
import { groupName } from '@/text/taxonNames.ts'
import { PlantPicture } from '../../parts/PlantPicture.tsx'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { Filters } from './Filters.tsx'
import { filtered } from './filters.ts'
import { useBookFilter } from './useBookFilter.ts'

const Row = memo(function Row({ plant, chosen }: { plant: Plant; chosen: boolean }) {
  const row = useRef<HTMLAnchorElement>(null)
  useEffect(() => {
    if (chosen) void row.current?.scrollIntoView({ block: 'nearest' })
  }, [chosen])
  return (
    <li className="[content-visibility:auto] [contain-intrinsic-size:auto_4.4rem]">
      <Link
        ref={row}
        to={`/plants/${plant.id}`}
        aria-current={chosen ? 'page' : undefined}
        className={`flex min-h-16 items-center gap-3 border-b border-rule/70 py-1 ${chosen ? 'bg-lit' : 'hover:bg-culm/8'}`}
      >
        <PlantPicture plant={plant} className="size-16 shrink-0 object-contain" />
        <span className="leading-tight">
          <b className="font-plant">{plant.commonName}</b>
          <i className="block font-plant text-ink-soft">{plant.scientificName}</i>
          {plant.role === 'toxic' ? <span className="font-bold text-harm">{say('harmful')}</span> : null}
        </span>
      </Link>
    </li>
  )
})

/** Every plant of the book by group, narrowed by name, use, harm, character or sward; the chosen one is lit. */
export function BookList({ chosen }: { chosen?: string }) {
  const { plants, byId } = useFlora()
  const { filter, set } = useBookFilter()
  const shown = filtered(plants, filter)
  const whole = useDeferredValue(true, false)
  const filled = groups.flatMap((group) => {
    const of = shown.filter((p) => groupOf(p.id, byId) === group)
    return of.length > 0 ? [{ group, plants: of }] : []
  })
  // The first group fills the screen; the others come when it stands.
  const here = whole ? filled : filled.slice(0, 1)
  const Heading = chosen ? 'h2' : 'h1'
  return (
    <>
      <Heading className="text-[1.65rem]">
        {say('Plant book: {{what}} plants', {
          what:
            shown.length === plants.length
              ? plants.length
              : say('{{n}} of {{n2}}', { n: shown.length, n2: plants.length }),
        })}
      </Heading>
      <Filters filter={filter} onChange={set} />
      {shown.length === 0 ? (
        <p className="mt-6">{say('No plant of the book is like that. Take a filter off, or add your own.')}</p>
      ) : null}
      <div
        className={chosen ? 'book-list' : ''}
        {...(chosen ? { tabIndex: 0, role: 'group', 'aria-label': say('Plants of the book') } : {})}
      >
        {here.map(({ group, plants }) => {
          return (
            <section key={group} className="mt-3" aria-label={groupName(group)}>
              <h2 className="flex items-center gap-2 text-xl">
                <GroupMark group={group} /> {groupName(group)}
                <span className="font-sans text-base font-normal text-ink-soft">{plants.length}</span>
              </h2>
              <ul className="mt-1 grid gap-x-4 @2xl:grid-cols-2">
                {plants.map((p) => (
                  <Row key={p.id} plant={p} chosen={p.id === chosen} />
                ))}
              </ul>
            </section>
          )
        })}
      </div>
    </>
  )
}
