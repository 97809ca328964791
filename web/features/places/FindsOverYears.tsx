import { useMemo, useState } from 'react'
import type { Paddock, RoundSummary } from '@/core/records/round.ts'
import { harmfulFinds } from '@/core/survey/harmfulFinds.ts'
import { inSentence } from '@/text/say.ts'
import { roundsOf } from '../../data/readRound.ts'
import { useRead } from '../../data/reads.ts'
import { ZoomMap } from '../../parts/ZoomMap.tsx'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

const counted = (r: RoundSummary) => r.stopsDone > 0

/** Where harmful plants were met, year upon year: the latest full, earlier ones hollow; a year can be taken off. */
export function FindsOverYears({ place }: { place: Pick<Paddock, 'id' | 'boundary' | 'strata'> }) {
  const byId = useFlora((s) => s.byId)
  const { data: rounds, ...read } = useRead(useMemo(() => roundsOf(place.id, 'finds', counted), [place.id]))
  const [off, setOff] = useState<readonly number[]>([])
  const finds = useMemo(() => harmfulFinds(rounds ?? [], byId), [rounds, byId])
  if (!rounds) return <ReadProblem of={say('The counts of this paddock')} {...read} />
  if (rounds.length === 0 || !place.boundary) return null
  const years = [...new Set(finds.map((f) => f.year))]
  const shown = finds.filter((f) => !off.includes(f.year))
  const name = (id: string) => inSentence((byId.get(id)?.commonName ?? id).replace(/ \(.*\)/, ''))
  const namesIn = (year: number) =>
    [...new Set(finds.filter((f) => f.year === year).flatMap((f) => f.plants))].map(name)
  const words = years.map((y) =>
    say('{{year}}: {{names}} at {{n}} stops', {
      year: String(y),
      names: namesIn(y).join(', '),
      n: finds.filter((f) => f.year === y).length,
    }),
  )
  return (
    <section aria-labelledby="finds" className="mt-5">
      <h3 id="finds" className="text-lg text-harm">
        {say('Harmful plants, year upon year')}
      </h3>
      {finds.length === 0 ? (
        <p>
          {say(
            'None was met at the stops of {{n}} rounds. What stands between them, or was not in leaf, is not excluded.',
            { n: rounds.length },
          )}
        </p>
      ) : (
        <>
          <ZoomMap
            boundary={place.boundary}
            parts={place.strata}
            line={[]}
            stops={[]}
            marks={shown.map((f) => ({
              id: `${f.round} ${f.seq}`,
              at: f.position,
              says: `${f.year}: ${f.plants.map(name).join(', ')}`,
              latest: f.year === years[0],
            }))}
            label={say('Map of finds: {{years}}', { years: words.join('; ') })}
            className="max-h-[22rem] w-full"
          />
          <ul className="mt-1">
            {years.map((y, i) => (
              <li key={y}>
                <label className="flex min-h-11 items-center gap-3">
                  <input
                    type="checkbox"
                    checked={!off.includes(y)}
                    onChange={() => setOff(off.includes(y) ? off.filter((x) => x !== y) : [...off, y])}
                    className="size-5 accent-harm"
                  />
                  {words[i]}
                </label>
              </li>
            ))}
          </ul>
          <p className="text-sm text-ink-soft">{say('Full: the latest year. What was not met is not excluded.')}</p>
        </>
      )}
    </section>
  )
}
