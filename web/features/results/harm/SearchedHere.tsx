import { taxonName } from '@/text/taxonNames.ts'
import { metresToExclude, USUAL_EYE } from '@/core/methods/estimators/searchWalk.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { ReadProblem } from '../../../ui/ReadProblem.tsx'
import { useSearches } from './useSearches.ts'
import { aboutWayWords, aHectare, lengthWords, onEach, wayWords } from '../../../parts/units.ts'
import { say } from '../../../language/say.ts'
import { dayWords } from '../../../language/dates.ts'
import { fixed } from '../../../language/numbers.ts'

const few = (n: number) => (n < 10 ? fixed(n, 1) : String(Math.round(n)))

/** Plants a hectare from search walks of the same paddock; where none was made, what one would buy. */
export function SearchedHere({ paddockId }: { paddockId: string }) {
  const byId = useFlora((s) => s.byId)
  const { data: searches, ...read } = useSearches(paddockId)
  if (!searches) return <ReadProblem of={say('Search walks of this paddock')} {...read} />
  if (searches.length === 0)
    return (
      <p className="mt-2">
        {say(
          'A search walk buys a tighter limit: with nothing seen over {{aboutWayWords}} of a strip {{lengthWords}} wide, by an eye that sees 6 in 10 at least, at most {{few}} plants {{aHectare}} are left if they stand singly.',
          {
            aboutWayWords: aboutWayWords(metresToExclude(5, 4, USUAL_EYE[0])),
            lengthWords: lengthWords(4),
            few: few(onEach(5)),
            aHectare: aHectare(),
          },
        )}
      </p>
    )
  return (
    <>
      {searches.map((s) => (
        <div key={s.title + s.on} className="mt-2" data-testid="searched-here">
          <p>
            <b>{say('Searched')}</b> {dayWords(s.on)} ("{s.title}"), {wayWords(s.figures[0]!.walkedM)}:
          </p>
          <ul className="list-disc pl-5">
            {s.figures.map((f) => (
              <li key={`${f.taxon}${f.fence ? ' fence' : ''}`}>
                {taxonName(f.taxon, byId)}
                {f.fence ? `, ${say('along the fence')} (${wayWords(f.walkedM)})` : ''}:{' '}
                {f.found === 0
                  ? say('none seen; up to {{few}} plants {{aHectare}} could stand there singly{{clumps}}', {
                      clumps: f.clumpedPerHa ? say(', up to {{n}} in clumps', { n: few(onEach(f.clumpedPerHa)) }) : '',
                      few: few(onEach(f.limitsPerHa[1])),
                      aHectare: aHectare(),
                    })
                  : say(
                      '{{found}} seen, {{few}} plants {{aHectare}} ({{few2}} to {{few3}} by the legs, and by what the eye may miss)',
                      {
                        found: f.found,
                        few: few(onEach(f.perHa)),
                        aHectare: aHectare(),
                        few2: few(onEach(f.limitsPerHa[0])),
                        few3: few(onEach(f.limitsPerHa[1])),
                      },
                    )}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </>
  )
}
