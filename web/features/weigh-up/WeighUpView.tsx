import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { methodWords } from '@/text/methodWords.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { Link } from 'react-router'
import type { Round } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { methodInfo } from '@/core/survey/methods.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { Leaf } from '../../parts/Leaf.tsx'
import type { MidribTip } from '../../parts/Midrib.tsx'
import { Word } from '../../parts/Word.tsx'
import { ShareChart } from '../../parts/ShareChart.tsx'
import { countedWords, percent, percentRange } from '../../parts/words.ts'
import { FrequencyPanel } from '../../entities/round/FrequencyPanel.tsx'
import { MassPanel } from '../../entities/round/MassPanel.tsx'
import { SearchPanel } from '../../entities/round/SearchPanel.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { ActPanel } from './ActPanel.tsx'
import { FeedPanel } from './FeedPanel.tsx'
import { HerdPanel } from './HerdPanel.tsx'
import { OutlookPanel } from '../../entities/round/OutlookPanel.tsx'
import { PartsPanel } from './PartsPanel.tsx'
import { stillToFind } from '../../entities/round/stillToFind.ts'
import { SaysPanel } from './SaysPanel.tsx'
import { SeasonPanel } from './SeasonPanel.tsx'
import { SowPanel } from './SowPanel.tsx'
import { HarmPanel } from './HarmPanel.tsx'
import { nodesOf, WeighUpHead } from './WeighUpHead.tsx'
import { Terms } from '../../parts/Terms.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { fixed } from '../../language/numbers.ts'

interface Props {
  round: Round
  weighed: WeighUp | undefined
}

function Counted({ round, weighed }: { round: Round; weighed: WeighUp }) {
  const byId = useFlora((s) => s.byId)
  const { composition: made } = weighed
  const { entry } = methodInfo[round.method]
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

function Shares({ round, weighed }: { round: Round; weighed: WeighUp }) {
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
          )}
        </p>
      ) : null}
      <details className="mt-2">
        <summary className="min-h-11 text-ink-soft">{say('How these figures are made')}</summary>
        <p className="max-w-prose">
          <Say
            text={
              '{{estimator}} The <word>interval</word> holds the true share 95 times in 100. Where the stops do not differ at all, exact limits of independent points stand instead (Clopper & Pearson 1934).'
            }
            values={{ estimator }}
            components={{ word: <Word id="interval" /> }}
          />
        </p>
      </details>
    </section>
  )
}

/** What a method says that does not add up to a sward: frequencies, mass, plants a hectare. */
function OwnFigures({ round }: { round: Round }) {
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

function tipOf(round: Round, weighed: WeighUp | undefined): MidribTip {
  if (!weighed && round.stops.some((s) => s.doneAt)) return { label: say('Plan the next round'), to: '/rounds' }
  if (!weighed) return { label: say('Count the first stop'), to: `/rounds/${round.id}` }
  const letter = weighed.harm.unnamed[0]
  if (letter)
    return {
      label: say('Name unknown {{letter}}', { letter }),
      detail: say('it could be harmful'),
      to: `/rounds/${round.id}/name/${letter}`,
    }
  return {
    label: say('Hand it over'),
    detail: say('a page for the client, and files'),
    to: `/rounds/${round.id}/hand-over`,
  }
}

const sections = () => [
  ['made-of', say('Made of')],
  ['outlook', say('Read as')],
  ['harm', say('Harm')],
  ['act', say('To do')],
  ['says', say('What it says')],
  ['sow', say('To sow')],
  ['feed', say('Feed')],
  ['season', say('The year')],
  ['herd', say('Stock')],
]

/** The sections of a long half, one tap away. */
function Contents({ turf }: { turf: boolean }) {
  return (
    <nav aria-label={say('Sections')} className="-mt-1 mb-2 flex flex-wrap gap-x-1">
      {sections()
        .filter(([id]) => !(turf && id === 'herd'))
        .map(([id, name]) => (
          <a key={id} href={`#${id}`} className="flex min-h-11 items-center rounded-lg px-2 underline hover:bg-culm/10">
            {name}
          </a>
        ))}
    </nav>
  )
}

/** A round's results: the counts on the left, what follows from them on the right. */
export function WeighUpView({ round, weighed }: Props) {
  const done = round.stops.filter((s) => s.doneAt).length
  return (
    <Leaf
      names={{ left: say('Counts'), right: say('Weigh-up') }}
      tip={tipOf(round, weighed)}
      nodes={nodesOf(round)}
      left={
        weighed ? (
          <div className="stays" tabIndex={0} role="group" aria-label={say('What was counted')}>
            <Counted round={round} weighed={weighed} />
          </div>
        ) : (
          <>
            <WeighUpHead round={round} adds={false} />
            {done > 0 ? (
              <p className="mt-1">
                {say(
                  '{{done}} of {{n}} {{units}}. This method gives {{says}}; it does not add up to a sward, so nothing is worked out from it about feed.',
                  {
                    done,
                    n: round.stops.length,
                    units: methodWords(round.method).units,
                    says: methodWords(round.method).says,
                  },
                )}
              </p>
            ) : null}
          </>
        )
      }
      right={
        weighed ? (
          <>
            <Contents turf={round.paddock.outlook === 'turf'} />
            <PanelBoundary name={say('Made of')}>
              <Shares round={round} weighed={weighed} />
            </PanelBoundary>
            <PanelBoundary name={say('Made of')}>
              <PartsPanel round={round} />
            </PanelBoundary>
            <PanelBoundary name={say('Read as')}>
              <OutlookPanel key={round.id} round={round} />
            </PanelBoundary>
            <PanelBoundary name={say('Harm')}>
              <HarmPanel round={round} weighed={weighed} />
            </PanelBoundary>
            <PanelBoundary name={say('To do')}>
              <ActPanel round={round} weighed={weighed} />
            </PanelBoundary>
            <PanelBoundary name={say('What it says')}>
              <SaysPanel round={round} />
            </PanelBoundary>
            <PanelBoundary name={say('To sow')}>
              <SowPanel round={round} made={weighed.composition} />
            </PanelBoundary>
            <PanelBoundary name={say('Feed')}>
              <FeedPanel roundId={round.id} feed={weighed.feed} />
            </PanelBoundary>
            <PanelBoundary name={say('The year')}>
              <SeasonPanel made={weighed.composition} region={round.paddock.region} />
            </PanelBoundary>
            {round.paddock.outlook === 'turf' ? null : (
              <PanelBoundary name={say('Stock')}>
                <HerdPanel round={round} made={weighed.composition} feed={weighed.feed.leafy} />
              </PanelBoundary>
            )}
          </>
        ) : (
          <OwnFigures round={round} />
        )
      }
    />
  )
}
