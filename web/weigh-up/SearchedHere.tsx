import { metresToExclude } from '@/core/survey/searchWalk.ts'
import { taxonName } from '@/core/survey/taxon.ts'
import { dayWords } from '../rounds/RoundList.tsx'
import { useFlora } from '../stores/floraStore.ts'
import { useSearches } from './useSearches.ts'

const few = (n: number) => (n < 10 ? n.toFixed(1) : String(Math.round(n)))

/** Plants a hectare from search walks of the same paddock; where none was made, what one would buy. */
export function SearchedHere({ paddockId }: { paddockId: string }) {
  const byId = useFlora((s) => s.byId)
  const searches = useSearches(paddockId)
  if (searches.length === 0)
    return (
      <p className="mt-2">
        A search walk buys a tighter limit: with nothing seen over{' '}
        {(Math.round(metresToExclude(5, 4, 0.8) / 10) * 10).toLocaleString('en')} m of a strip 4 m wide, by an eye that
        sees 8 in 10, at most 5 plants a hectare are left.
      </p>
    )
  return (
    <>
      {searches.map((s) => (
        <div key={s.title + s.on} className="mt-2" data-testid="searched-here">
          <p>
            <b>Searched</b> {dayWords(s.on)} ("{s.title}"), {Math.round(s.figures[0]!.walkedM)} m:
          </p>
          <ul className="list-disc pl-5">
            {s.figures.map((f) => (
              <li key={f.taxon}>
                {taxonName(f.taxon, byId)}:{' '}
                {f.found === 0
                  ? `none seen, up to ${few(f.limitsPerHa[1])} plants a hectare could stand there`
                  : `${f.found} seen, ${few(f.perHa)} plants a hectare (${few(f.limitsPerHa[0])} to ${few(f.limitsPerHa[1])}, exact limits of the count)`}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </>
  )
}
