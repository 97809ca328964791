import { taxonName } from '@/text/taxonNames.ts'
import type { SearchFigure } from '@/core/methods/method.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { aHectare, onEach, wayWords } from '../../parts/units.ts'
import { Say } from '../../language/Say.tsx'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

const perHa = (n: number): string => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

/** Plants a hectare by what was found, and what could still be there where nothing was. */
export function SearchPanel({ search }: { search: SearchFigure[] }) {
  const byId = useFlora((s) => s.byId)
  return (
    <ul className="mt-3 grid gap-2">
      {search.map((f) => (
        <li
          key={`${f.taxon}${f.fence ? ' fence' : ''}`}
          className="rounded-xl border-2 border-harm bg-harm-wash px-4 py-2"
        >
          <b className="font-plant text-lg">{taxonName(f.taxon, byId)}</b>
          {f.fence ? <span className="ml-2">{say('along the fence')}</span> : null}
          {f.found > 0 ? (
            <p>
              <Say
                text="{{found}} found: <b/>, {{perHa}} to {{perHa2}}"
                values={{
                  found: f.found,
                  perHa: perHa(onEach(f.limitsPerHa[0])),
                  perHa2: perHa(onEach(f.limitsPerHa[1])),
                }}
                components={{
                  b: (
                    <b>
                      {perHa(onEach(f.perHa))} {aHectare()}
                    </b>
                  ),
                }}
              />
            </p>
          ) : (
            <p>
              <Say
                text="Not found over {{wayWords}}, but up to <b/> could be there if they stand singly{{clumps}}, for an eye that sees {{eye}} in 100 at least. Walking {{wayWords2}} in all with nothing found would leave at most {{perHa}} {{aHectare}}."
                values={{
                  wayWords: wayWords(f.walkedM),
                  eye: Math.round(f.eye[0] * 100),
                  clumps: f.clumpedPerHa ? say(', up to {{n}} if in clumps', { n: perHa(onEach(f.clumpedPerHa)) }) : '',
                  wayWords2: wayWords(f.metresForTen),
                  perHa: perHa(onEach(10)),
                  aHectare: aHectare(),
                }}
                components={{
                  b: (
                    <b>
                      {perHa(onEach(f.limitsPerHa[1]))} {aHectare()}
                    </b>
                  ),
                }}
              />
            </p>
          )}
        </li>
      ))}
    </ul>
  )
}
