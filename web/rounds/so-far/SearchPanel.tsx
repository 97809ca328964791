import type { SearchFigure } from '@/core/survey/figures.ts'
import { taxonName } from '@/core/survey/taxon.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { aHectare, onEach, wayWords } from '../../parts/units.ts'

const perHa = (n: number): string => (n < 10 ? n.toFixed(1) : String(Math.round(n)))

/** Plants a hectare by what was found, and what could still be there where nothing was. */
export function SearchPanel({ search }: { search: SearchFigure[] }) {
  const byId = useFlora((s) => s.byId)
  return (
    <ul className="mt-3 grid gap-2">
      {search.map((f) => (
        <li key={f.taxon} className="rounded-xl border-2 border-harm bg-harm-wash px-4 py-2">
          <b className="font-plant text-lg">{taxonName(f.taxon, byId)}</b>
          {f.found > 0 ? (
            <p>
              {f.found} found:{' '}
              <b>
                {perHa(onEach(f.perHa))} {aHectare()}
              </b>
              , {perHa(onEach(f.limitsPerHa[0]))} to {perHa(onEach(f.limitsPerHa[1]))}
            </p>
          ) : (
            <p>
              Not found over {wayWords(f.walkedM)}, but up to{' '}
              <b>
                {perHa(onEach(f.limitsPerHa[1]))} {aHectare()}
              </b>{' '}
              could be there. Walking {wayWords(f.metresForTen)} in all with nothing found would leave at most{' '}
              {perHa(onEach(10))} {aHectare()}.
            </p>
          )}
        </li>
      ))}
    </ul>
  )
}
