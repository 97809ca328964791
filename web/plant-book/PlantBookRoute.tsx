import { useState } from 'react'
import { Link } from 'react-router'
import { groupNames, groupOf, groups } from '@/core/survey/taxon.ts'
import { TypicalPart } from '../bench/TypicalPart.tsx'
import { GroupMark } from '../parts/HatchDefs.tsx'
import { OwnPlant } from './OwnPlant.tsx'
import { useFlora } from '../stores/floraStore.ts'

/** Every plant of the book, by group, found by any of its names. */
export function Component() {
  const { plants, byId } = useFlora()
  const [text, setText] = useState('')
  const wanted = text.trim().toLowerCase()
  const shown = plants.filter((p) =>
    [p.commonName, p.scientificName, p.family, ...p.alsoCalled].some((n) => n.toLowerCase().includes(wanted)),
  )
  return (
    <main className="mx-auto max-w-6xl px-4 pb-16 min-[901px]:px-8">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[1.65rem]">Plant book: {plants.length} plants</h1>
        <input
          value={text}
          onChange={(e) => setText(e.target.value)}
          aria-label="Find a plant by any of its names"
          placeholder="Any of its names"
          className="min-h-12 w-full max-w-sm rounded-xl border-2 border-culm bg-sheet px-3"
        />
      </div>
      <OwnPlant />
      {shown.length === 0 ? <p className="mt-6">No plant of that name. The book grows by one file a plant.</p> : null}
      {groups.map((group) => {
        const here = shown.filter((p) => groupOf(p.id, byId) === group)
        if (here.length === 0) return null
        return (
          <section key={group} className="mt-6">
            <h2 className="flex items-center gap-2 text-xl">
              <GroupMark group={group} /> {groupNames[group]}
            </h2>
            <ul className="mt-1 grid gap-x-6 sm:grid-cols-2 lg:grid-cols-3">
              {here.map((p) => (
                <li key={p.id}>
                  <Link
                    to={`/plants/${p.id}`}
                    className="flex min-h-16 items-center gap-3 border-b border-rule/70 py-1.5 hover:bg-culm/8"
                  >
                    <TypicalPart plant={p} className="size-14 shrink-0" />
                    <span className="leading-tight">
                      <b className="font-plant">{p.commonName}</b>
                      <i className="block font-plant text-ink-soft">{p.scientificName}</i>
                      {p.role === 'toxic' ? <span className="font-bold text-harm">harmful</span> : null}
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
