import { PicturePanel } from '../../entities/round/PicturePanel.tsx'
import { SpeaksFor } from '../../entities/round/SpeaksFor.tsx'
import { methodWords } from '@/text/methodWords.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { furtherFigures } from '@/core/survey/furtherFigures.ts'
import type { Round } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { Word } from '../../parts/Word.tsx'
import { ShareChart } from '../../parts/ShareChart.tsx'
import { countedWords, percent, percentRange } from '../../parts/words.ts'
import { FrequencyPanel } from '../../entities/round/FrequencyPanel.tsx'
import { MassPanel } from '../../entities/round/MassPanel.tsx'
import { SearchPanel } from '../../entities/round/SearchPanel.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { stillToFind } from '../../entities/round/stillToFind.ts'
import { WeighUpHead } from './WeighUpHead.tsx'
import { Terms } from '../../parts/Terms.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

export function Counted({ round, weighed }: { round: Round; weighed: WeighUp }) {
  const byId = useFlora((s) => s.byId)
  const { composition: made } = weighed
  const { entry } = countingMethods[round.method]
  const { units, says } = methodWords(round.method)
  const points = entry === 'points'
  return (
    <>
      <WeighUpHead round={round} />
      <p className="mt-1">
        {say('{{countedWords}}, {{richness}} plants.{{what}}', {
          countedWords: countedWords(round.method, made),
          richness: made.diversity?.richness ?? 0,
          what: points ? '' : say(' Figures are a {{says}}.', { says }),
        })}
      </p>
      {round.source ? <p className="mt-1 text-ink-soft">{round.source}</p> : null}
      <table className="mt-3 w-full">
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
            <tr key={t.taxon} className="border-b border-rule/60">
              <th scope="row" className="flex items-center gap-2 py-1 text-left font-normal">
                <GroupMark group={byId.get(t.taxon)?.role === 'toxic' ? 'harm' : t.group} className="size-4" />
                {byId.has(t.taxon) ? (
                  <Link to={`/plants/${t.taxon}`} className="hover:underline">
                    {taxonName(t.taxon, byId)}
                  </Link>
                ) : (
                  <span className={t.taxon.startsWith('latin:') ? 'font-plant italic' : ''}>
                    {taxonName(t.taxon, byId)}
                  </span>
                )}
              </th>
              <td className="text-right">{t.hits}</td>
              <td className="text-right">
                {say('{{stopsWith}} of {{stops}}', { stopsWith: t.stopsWith, stops: made.stops })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}

export function Shares({ round, weighed }: { round: Round; weighed: WeighUp }) {
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
      <ul className="mt-4 grid gap-x-6 sm:grid-cols-2">
        {made.byGroup.map((g) => (
          <li key={g.group} className="flex items-center gap-2 border-b border-rule/60 py-1.5">
            <GroupMark group={g.group} />
            <span className="grow">{groupName(g.group)}</span>
            <span className="text-right whitespace-nowrap">
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
            '{{richness}} plants; Shannon {{shannon}}, Simpson {{simpson}}, as varied as {{effectiveSpecies}} equally common plants. These describe the plants met, without an error of their own. {{what}}',
            {
              richness: made.diversity.richness,
              shannon: fixed(made.diversity.shannon, 3),
              simpson: fixed(made.diversity.simpson, 3),
              effectiveSpecies: fixed(made.diversity.effectiveSpecies, 1),
              what: made.diversity.pool ? stillToFind(made.diversity.richness, made.diversity.pool) : '',
            },
          )}{' '}
          <More round={round} />
        </p>
      ) : null}
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

/** How far the list still grows, and how much legume there is to the grass. */
function More({ round }: { round: Round }) {
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

/** What a method says that does not add up to a sward: frequencies, mass, plants a hectare. */
export function OwnFigures({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const { frequency, mass, search } = figuresOf(round, byId)
  if (frequency.length === 0 && !mass && search.length === 0) return <p>{say('Figures appear with the first stop.')}</p>
  return (
    <>
      <h2 className="text-[1.65rem]">{say('What it says')}</h2>
      <FrequencyPanel frequency={frequency} unit={methodWords(round.method).unitName} />
      {mass ? <MassPanel mass={mass} method={round.method} /> : null}
      <SearchPanel search={search} />
      <p className="mt-3 text-ink-soft">
        <Terms>{methodWords(round.method).estimator}</Terms>
      </p>
    </>
  )
}
