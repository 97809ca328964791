import { PicturePanel } from '../../../entities/round/PicturePanel.tsx'
import { SpeaksFor } from '../../../entities/round/SpeaksFor.tsx'
import { methodWords } from '@/text/methodWords.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { PlantPicture } from '../../../parts/PlantPicture.tsx'
import { furtherFigures } from '@/core/survey/furtherFigures.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { GroupMark } from '../../../parts/HatchDefs.tsx'
import { Word } from '../../../parts/Word.tsx'
import { ShareChart } from '../../../ui/charts/ShareChart.tsx'
import { countedWords } from '../../../parts/countedWords.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { stillToFind } from '../../../entities/round/stillToFind.ts'
import type { ChapterProps } from '../chapter.ts'
import { PartsPanel } from './PartsPanel.tsx'
import { WherePanel } from './WherePanel.tsx'
import { PanelBoundary } from '../../../ui/PanelBoundary.tsx'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { fixed } from '../../../language/numbers.ts'

/** How many were counted of each plant, and where: a plant that is touched is lit on the map and in the chart. */
function CountsTable({ round, weighed, lit }: ChapterProps) {
  const byId = useFlora((s) => s.byId)
  const { composition: made } = weighed
  const points = countingMethods[round.method].entry === 'points'
  const { units } = methodWords(round.method)
  return (
    <table className="w-full">
      <thead className="text-left text-ink-soft">
        <tr>
          <th scope="col" className="font-normal">
            {say('Plant')}
          </th>
          <th scope="col" className="text-right font-normal">
            {points ? say('Hits') : say('Amount')}
          </th>
          <th scope="col" className="text-right font-normal">
            {say('{{units}} with it', { units: units[0]!.toUpperCase() + units.slice(1) })}
          </th>
        </tr>
      </thead>
      <tbody>
        {made.taxa.map((t) => (
          <tr
            key={t.taxon}
            className={`border-b border-rule/60 ${t.taxon === lit.plant ? 'bg-lit' : ''}`}
            onClick={() => lit.light(t.taxon)}
          >
            <th scope="row" className="py-0.5 text-left font-normal">
              <button
                type="button"
                aria-pressed={t.taxon === lit.plant}
                onClick={() => lit.light(t.taxon)}
                className="flex min-h-9 w-full items-center gap-2 text-left pointer-coarse:min-h-11"
              >
                <GroupMark group={byId.get(t.taxon)?.role === 'toxic' ? 'harm' : t.group} className="size-4" />
                <span className={t.taxon.startsWith('latin:') ? 'font-plant italic' : ''}>
                  {taxonName(t.taxon, byId)}
                </span>
              </button>
            </th>
            <td className="text-right">{t.hits}</td>
            <td className="text-right">
              {say('{{stopsWith}} of {{stops}}', { stopsWith: t.stopsWith, stops: made.stops })}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

/** The counts and the map, one plant lit in both. */
export function Counted(props: ChapterProps) {
  const { round, weighed, lit } = props
  const { composition: made } = weighed
  const points = countingMethods[round.method].entry === 'points'
  return (
    <>
      <p>
        {say('{{countedWords}}, {{plants}}.{{what}}', {
          countedWords: countedWords(round.method, made),
          plants: say('{{count}} plants', { count: made.diversity?.richness ?? 0 }),
          what: points ? '' : say(' Figures are a {{says}}.', { says: methodWords(round.method).says }),
        })}
      </p>
      {round.source ? <p className="text-ink-soft">{round.source}</p> : null}
      <div className="mt-2 grid gap-x-8 gap-y-3 @3xl:grid-cols-2">
        <PanelBoundary name={say('Where it stands')}>
          <WherePanel round={round} lit={lit} />
        </PanelBoundary>
        <CountsTable {...props} />
      </div>
    </>
  )
}

/** Shares with their intervals, by plant, by group and by part, and how far they speak. */
export function Shares({ round, weighed, lit }: ChapterProps) {
  const byId = useFlora((s) => s.byId)
  const { estimator } = methodWords(round.method)
  const { composition: made } = weighed
  const rows = made.taxa.slice(0, 14).map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: byId.get(t.taxon)?.role === 'toxic',
    share: t,
  }))
  return (
    <section aria-labelledby="made-of">
      <h2 id="made-of" className="text-[1.65rem]">
        {say('What it is made of')}
      </h2>
      <div className="mt-2">
        <ShareChart
          rows={rows}
          chosen={lit.plant}
          onChoose={lit.light}
          label={say('Shares: {{rows}}', {
            rows: rows.map((r) => `${r.name} ${percent(r.share.estimate)}`).join(', '),
          })}
        />
      </div>
      {made.taxa.length > rows.length ? (
        <p className="text-ink-soft">
          {say('and {{n}} more in the list on the left.', { n: made.taxa.length - rows.length })}
        </p>
      ) : null}
      <ul className="mt-4 grid gap-x-6 @md:grid-cols-2">
        {made.byGroup.map((g) => (
          <li key={g.group} className="flex items-center gap-2 border-b border-rule/60 py-1.5">
            <GroupMark group={g.group} />
            <span className="grow">{groupName(g.group)}</span>
            <span className="max-w-28 shrink-0 text-right">
              <b>{percent(g.estimate)}</b>
              <span className="block text-sm leading-tight text-ink-soft">
                {g.interval ? percentRange(g.interval) : say('no interval from one stop')}
              </span>
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-2 max-w-prose">
        <SpeaksFor round={round} />
      </p>
      <PicturePanel round={round} />
      {made.diversity ? (
        <p className="mt-3" data-testid="diversity">
          {say(
            '{{plants}}; Shannon {{shannon}}, Simpson {{simpson}}, as varied as {{effectiveSpecies}} equally common plants. These describe the plants met, without an error of their own. {{what}}',
            {
              plants: say('{{count}} plants', { count: made.diversity.richness }),
              shannon: fixed(made.diversity.shannon, 3),
              simpson: fixed(made.diversity.simpson, 3),
              effectiveSpecies: fixed(made.diversity.effectiveSpecies, 1),
              what: made.diversity.pool ? stillToFind(made.diversity.richness, made.diversity.pool) : '',
            },
          )}{' '}
          <More round={round} />
        </p>
      ) : null}
      <LitPlant taxon={lit.plant} />
      <PanelBoundary name={say('Made of')}>
        <PartsPanel round={round} parts={weighed.parts} />
      </PanelBoundary>
      <details className="mt-2">
        <summary className="min-h-11 text-ink-soft">{say('How these figures are made')}</summary>
        <p className="max-w-prose">
          {countingMethods[round.method].sward?.frameValues ? (
            <Say
              text="{{estimator}} The <word>interval</word> holds, 95 times in 100, what this method would find of the whole paddock; that is not the true share where every frame looks alike."
              values={{ estimator }}
              components={{ word: <Word id="interval" /> }}
            />
          ) : (
            <Say
              text="{{estimator}} The <word>interval</word> holds the true share of the places that were walked 95 times in 100, of plants that are not rare. Where the stops do not differ at all, exact limits of independent points stand instead (Clopper & Pearson 1934)."
              values={{ estimator }}
              components={{ word: <Word id="interval" /> }}
            />
          )}
        </p>
      </details>
    </section>
  )
}

/** The plant that is lit, as it would stand before one, and the way to its page. */
function LitPlant({ taxon }: { taxon: string }) {
  const plant = useFlora((s) => s.byId.get(taxon))
  if (!plant) return null
  return (
    <Link
      to={`/plants/${plant.id}`}
      className="mt-3 flex items-center gap-3 rounded-xl border border-rule bg-sheet px-3 py-1 hover:border-culm"
    >
      <PlantPicture plant={plant} className="size-20 shrink-0" />
      <span>
        <span className="font-plant text-lg font-semibold">{plant.commonName}</span>{' '}
        <i className="font-plant text-ink-soft">{plant.scientificName}</i>
        <span className="block text-culm underline">{say('Its page in the book')}</span>
      </span>
    </Link>
  )
}

/** How far the list still grows, and how much legume there is to the grass. */
function More({ round }: Pick<ChapterProps, 'round'>) {
  const byId = useFlora((s) => s.byId)
  const { lastFive, legumeToGrass } = useMemo(() => furtherFigures(round, byId), [round, byId])
  return (
    <>
      {lastFive === undefined
        ? ''
        : say('On average the last five stops brought {{n}} plants that the others had not.', {
            n: fixed(lastFive, 1),
          })}{' '}
      {legumeToGrass
        ? say('Legume to grass: {{ratio}} to 1 ({{low}} to {{high}}).', {
            ratio: fixed(legumeToGrass.ratio, 2),
            low: fixed(legumeToGrass.interval[0], 2),
            high: fixed(legumeToGrass.interval[1], 2),
          })
        : ''}
    </>
  )
}
