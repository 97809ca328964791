import { metresToExclude } from '@/core/survey/searchWalk.ts'
import { taxonName } from '@/core/survey/taxon.ts'
import { dayWords } from '../rounds/RoundList.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { useSearches } from './useSearches.ts'
import { aboutWayWords, aHectare, lengthWords, onEach, wayWords } from '../parts/units.ts'

const few = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)))

/** Plants a hectare from search walks of the same paddock; where none was made, what one would buy. */
export function SearchedHere({ paddockId }: { paddockId: string }) {
  const byId = useFlora((s) => s.byId)
  const searches = useSearches(paddockId)
  if (searches.length === 0)
    return (
      <p className="mt-2">
        A search walk buys a tighter limit: with nothing seen over {aboutWayWords(metresToExclude(5, 4, 0.8))} of a
        strip {lengthWords(4)} wide, by an eye that sees 8 in 10, at most {few(onEach(5))} plants {aHectare()} are left.
      </p>
    )
  return (
    <>
      {searches.map((s) => (
        <div key={s.title + s.on} className="mt-2" data-testid="searched-here">
          <p>
            <b>Searched</b> {dayWords(s.on)} ("{s.title}"), {wayWords(s.figures[0]!.walkedM)}:
          </p>
          <ul className="list-disc pl-5">
            {s.figures.map((f) => (
              <li key={f.taxon}>
                {taxonName(f.taxon, byId)}:{' '}
                {f.found === 0
                  ? `none seen, up to ${few(onEach(f.limitsPerHa[1]))} plants ${aHectare()} could stand there`
                  : `${f.found} seen, ${few(onEach(f.perHa))} plants ${aHectare()} (${few(onEach(f.limitsPerHa[0]))} to ${few(onEach(f.limitsPerHa[1]))}, exact limits of the count)`}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </>
  )
}
