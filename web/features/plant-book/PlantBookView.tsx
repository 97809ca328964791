import { Link } from 'react-router'
import { groupOf, groups } from '@/core/records/taxon.ts'
import { groupName } from '@/text/taxonNames.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { HarmfulInLeaf } from '../../entities/plant/HarmfulInLeaf.tsx'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { BookList } from './BookList.tsx'
import { OwnPlant } from './OwnPlant.tsx'
import { useBookFilter } from './useBookFilter.ts'

const ways = () => [
  ['/plants/map', say('Map of look-alikes')],
  ['/compare', say('Compare')],
  ['/drawings', say('All drawings')],
  ['/glossary', say('Words')],
]

/** So many pictures of harmful plants stand in sight. */
const SHOWN = 12

/** The book at a glance: how many of each sort, what harms and is in leaf now, other ways through it. */
function Glance() {
  const { plants, byId } = useFlora()
  const { filter, set } = useBookFilter()
  const most = Math.max(...groups.map((g) => plants.filter((p) => groupOf(p.id, byId) === g).length))
  return (
    <>
      <nav aria-label={say('Ways through the book')} className="flex flex-wrap gap-2">
        {ways().map(([to, name]) => (
          <Link
            key={to}
            to={to!}
            className="flex min-h-12 items-center rounded-xl border-2 border-culm px-4 font-semibold text-culm"
          >
            {name}
          </Link>
        ))}
      </nav>
      <h2 className="mt-5 text-xl">{say('What is in it')}</h2>
      <ul className="mt-1">
        {groups.map((g) => {
          const n = plants.filter((p) => groupOf(p.id, byId) === g).length
          if (n === 0) return null
          return (
            <li key={g} className="flex items-center gap-2 py-1">
              <GroupMark group={g} className="size-4" />
              <span className="w-40 shrink-0">{groupName(g)}</span>
              <span aria-hidden className="h-3 rounded-r-full bg-culm/70" style={{ width: `${(42 * n) / most}%` }} />
              <b className="whitespace-nowrap">{n}</b>
            </li>
          )
        })}
      </ul>
      <HarmfulInLeaf most={SHOWN} />
      {filter.role === 'toxic' ? null : (
        <button type="button" onClick={() => set({ ...filter, role: 'toxic' })} className="min-h-11 underline">
          {say('List all that are harmful')}
        </button>
      )}
      <div className="mt-5">
        <OwnPlant />
      </div>
    </>
  )
}

/** Every plant of the book, drawn; on the right what is in it, until one is chosen. */
export const PlantBookView = () => (
  <TwoPane
    names={{ left: say('Plant book'), right: say('What is in it') }}
    tip={{ label: say('Name one on the bench'), to: '/bench' }}
    nodes={[]}
    left={<BookList />}
    right={<Glance />}
  />
)
