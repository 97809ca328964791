import { WherePanel } from './WherePanel.tsx'
import { letterWords } from '@/text/taxonNames.ts'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { methodWords } from '@/text/methodWords.ts'
import type { Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { Leaf } from '../../parts/Leaf.tsx'
import type { MidribTip } from '../../parts/Midrib.tsx'
import { ActPanel } from './ActPanel.tsx'
import { FeedPanel } from './FeedPanel.tsx'
import { GroundPanel } from './GroundPanel.tsx'
import { MovesPanel } from './MovesPanel.tsx'
import { TurfPanel } from './TurfPanel.tsx'
import { HerdPanel } from './HerdPanel.tsx'
import { OutlookPanel } from '../../entities/round/OutlookPanel.tsx'
import { PartsPanel } from './PartsPanel.tsx'
import { SaysPanel } from './SaysPanel.tsx'
import { SeasonPanel } from './SeasonPanel.tsx'
import { SowPanel } from './SowPanel.tsx'
import { HarmPanel } from './HarmPanel.tsx'
import { nodesOf, WeighUpHead } from './WeighUpHead.tsx'
import { say } from '../../language/say.ts'
import { Counted, Shares, OwnFigures } from './CountedHere.tsx'

interface Props {
  round: Round
  weighed: WeighUp | undefined
}

function tipOf(round: Round, weighed: WeighUp | undefined): MidribTip {
  if (!weighed && round.stops.some((s) => s.doneAt)) return { label: say('Plan the next round'), to: '/rounds' }
  if (!weighed) return { label: say('Count the first stop'), to: `/rounds/${round.id}` }
  const letter = weighed.harm.unnamed[0]
  if (letter)
    return {
      label: say('Name unknown {{letter}}', { letter: letterWords(letter) }),
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
  ['turf', say('Kept')],
  ['sow', say('To sow')],
  ['feed', say('Feed')],
  ['season', say('The year')],
  ['herd', say('Stock')],
  ['moves', say('Moves')],
  ['ground', say('Ground')],
]

/** Sections that say nothing of a turf. */
const OF_FEED = new Set(['sow', 'feed', 'herd', 'moves', 'ground'])

/** The sections of a long half, one tap away. */
function Contents({ turf }: { turf: boolean }) {
  return (
    <nav aria-label={say('Sections')} className="-mt-1 mb-2 flex flex-wrap gap-x-1">
      {sections()
        .filter(([id]) => (turf ? !OF_FEED.has(id!) : id !== 'turf'))
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
  const turf = round.paddock.outlook === 'turf'
  return (
    <Leaf
      names={{ left: say('Counts'), right: say('Weigh-up') }}
      tip={tipOf(round, weighed)}
      nodes={nodesOf(round)}
      left={
        weighed ? (
          <div className="stays" tabIndex={0} role="group" aria-label={say('What was counted')}>
            <Counted round={round} weighed={weighed} />
            <PanelBoundary name={say('Where it stands')}>
              <WherePanel key={round.id} round={round} made={weighed.composition} />
            </PanelBoundary>
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
            <Contents turf={turf} />
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
            {turf ? (
              <PanelBoundary name={say('Kept')}>
                <TurfPanel round={round} />
              </PanelBoundary>
            ) : null}
            {turf ? null : (
              <PanelBoundary name={say('To sow')}>
                <SowPanel round={round} made={weighed.composition} />
              </PanelBoundary>
            )}
            {turf ? null : (
              <PanelBoundary name={say('Feed')}>
                <FeedPanel round={round} feed={weighed.feed} />
              </PanelBoundary>
            )}
            <PanelBoundary name={say('The year')}>
              <SeasonPanel round={round} made={weighed.composition} />
            </PanelBoundary>
            {turf ? null : (
              <>
                <PanelBoundary name={say('Stock')}>
                  <HerdPanel round={round} made={weighed.composition} feed={weighed.feed} />
                </PanelBoundary>
                <PanelBoundary name={say('Moves')}>
                  <MovesPanel round={round} made={weighed.composition} />
                </PanelBoundary>
                <PanelBoundary name={say('Ground')}>
                  <GroundPanel round={round} made={weighed.composition} feed={weighed.feed} />
                </PanelBoundary>
              </>
            )}
          </>
        ) : (
          <OwnFigures round={round} />
        )
      }
    />
  )
}
