import { useMemo, useState } from 'react'
import { useParams } from 'react-router'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import type { Round } from '@/core/records/round.ts'
import { letterWords } from '@/text/taxonNames.ts'
import { methodWords } from '@/text/methodWords.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import type { RailChapter, NextStep } from '../../parts/StepRail.tsx'
import { StopsMap } from '../../entities/round/StopsMap.tsx'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { chaptersFor, isChapter, type ChapterId, type Growth, type Lit } from './chapter.ts'
import { chapters, chapterWords } from './chapters.ts'
import { OwnFigures } from './made-of/OwnFigures.tsx'
import { useAnswers } from './useAnswers.tsx'
import { nodesOf, WeighUpHead } from './WeighUpHead.tsx'

interface Props {
  round: Round
  weighed: WeighUp | undefined
}

function tipOf(round: Round, weighed: WeighUp | undefined): NextStep {
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

/** A method whose figures do not add up to a sward has no chapters: it says what it says. */
function OnItsOwn({ round }: { round: Round }) {
  const done = round.stops.filter((s) => s.doneAt).length
  return (
    <TwoPane
      names={{ left: say('Counts'), right: say('Weigh-up') }}
      tip={tipOf(round, undefined)}
      nodes={nodesOf(round)}
      first={done > 0 ? 'right' : 'left'}
      left={
        <>
          <WeighUpHead round={round} title={done > 0 ? methodWords(round.method).name : undefined} />
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
          <StopsMap round={round} className="mt-3 max-h-[30rem] w-full" />
        </>
      }
      right={<OwnFigures round={round} />}
    />
  )
}

/** What is lit: the first harmful plant that was met, else the commonest, until another is touched. */
function useLit({ composition: { taxa } }: WeighUp): Lit {
  const byId = useFlora((s) => s.byId)
  const first = taxa.find((t) => byId.get(t.taxon)?.role === 'toxic') ?? taxa[0]
  const [plant, light] = useState(first?.taxon ?? '')
  const [stop, lightStop] = useState<number>()
  const [growth, judge] = useState<Growth>('walked')
  return { plant, light, stop, lightStop, growth, judge }
}

/** What is told of a round on screens of their own. */
const further = (id: string): RailChapter[] => [
  {
    id: 'changed',
    label: say('Changed'),
    detail: say('beside an earlier count'),
    to: `/rounds/${id}/beside`,
    current: false,
  },
  {
    id: 'pages',
    label: say('Pages'),
    detail: say('to sign, for the client'),
    to: `/rounds/${id}/hand-over`,
    current: false,
  },
]

/** One chapter of the results, its ground on the left; the others hang from the rail with their answers. */
function Chapters({ round, weighed }: { round: Round; weighed: WeighUp }) {
  const { chapter = '' } = useParams()
  const here = chaptersFor(round.paddock.outlook)
  const now: ChapterId = isChapter(chapter) && here.includes(chapter) ? chapter : here[0]!
  const answers = useAnswers(round, weighed)
  const lit = useLit(weighed)
  const links = useMemo(() => {
    const own = here.map((id): RailChapter => {
      const detail = answers[id]
      return {
        id,
        label: chapterWords[id]().name,
        ...(detail ? { detail } : {}),
        to: `/rounds/${round.id}/weigh-up/${id}`,
        current: id === now,
      }
    })
    return [...own, ...further(round.id)]
  }, [here, answers, round.id, now])
  const { Ground, Follows, Beside } = chapters[now]
  const { name, ground } = chapterWords[now]()
  const props = { round, weighed, lit }
  return (
    <TwoPane
      names={{ left: ground, right: name }}
      tip={tipOf(round, weighed)}
      nodes={NO_NODES}
      chapters={links}
      first="right"
      left={
        <PanelBoundary key={now} name={ground}>
          <WeighUpHead round={round} title={ground} />
          <Ground {...props} />
        </PanelBoundary>
      }
      right={
        <PanelBoundary key={now} name={name}>
          <Follows {...props} />
          {Beside ? <Beside {...props} /> : null}
        </PanelBoundary>
      }
    />
  )
}

const NO_NODES: never[] = []

/** A round's results, chapter by chapter. */
export const WeighUpView = ({ round, weighed }: Props) =>
  weighed ? <Chapters key={round.id} round={round} weighed={weighed} /> : <OnItsOwn round={round} />
