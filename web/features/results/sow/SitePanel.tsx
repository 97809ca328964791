import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import { BARE } from '@/core/records/taxon.ts'
import { regionWords } from '@/text/regionWords.ts'
import { saidWords } from '@/text/swardWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { useManagement } from '../../../entities/round/herd.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { percent, percentRange } from '../../../parts/words.ts'
import { YearChart } from '../../../entities/round/YearChart.tsx'
import { useYear } from '../../../entities/round/useYear.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'
import { siteOf } from './site.ts'

/** The place that seed has to bear: region, what was sown, what the sward says of it, how it grows there, and a soil test. */
export function SitePanel({ round, weighed: { composition: made } }: ChapterProps) {
  const { plants, byId } = useFlora()
  const { data: management, change, problem } = useManagement(round.paddockId)
  const year = useYear(round, made)
  const { region, sown } = round.paddock
  const hard = siteIndicators(round, plants).filter((s) => siteOf[s.id])
  const bare = made.taxa.find((t) => t.taxon === BARE)
  const rows: [string, string][] = [
    [say('Region'), regionWords(region)],
    [say('Sown before'), sown.length > 0 ? sown.map((t) => taxonName(t, byId)).join(', ') : say('nobody has said')],
    [
      say('Bare ground'),
      bare
        ? `${percent(bare.estimate)}${bare.interval ? ` (${percentRange(bare.interval)})` : ''}`
        : say('none was met at the stops'),
    ],
    [
      say('The sward says'),
      hard.length > 0 ? hard.map((s) => saidWords(s.id).title).join(', ') : say('nothing of wet, shade or sour ground'),
    ],
  ]
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4">
        {rows.map(([term, says]) => (
          <div key={term} className="col-span-2 grid grid-cols-subgrid border-b border-rule/60 py-1.5">
            <dt className="text-ink-soft">{term}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
      <fieldset disabled={problem !== undefined} className="mt-2 max-w-xs">
        <Labelled label={say('pH of the soil, by a test')}>
          {(id) => (
            <input
              id={id}
              type="number"
              min={3}
              max={10}
              step={0.1}
              value={management?.ph ?? ''}
              onChange={(e) => {
                const n = Number(e.target.value)
                if (e.target.value === '') change({ ph: undefined })
                else if (n >= 3 && n <= 10) change({ ph: n })
              }}
              className={inputClass}
            />
          )}
        </Labelled>
      </fieldset>
      {year ? (
        <>
          <h2 className="mt-4 text-xl">{say('How this sward grows through the year')}</h2>
          <YearChart
            year={year.year}
            plan={undefined}
            warm={year.shares.warm}
            now={Number(round.plannedOn.slice(5, 7)) - 1}
          />
        </>
      ) : null}
    </>
  )
}
