import { letterWords } from '@/text/taxonNames.ts'
import type { Round } from '@/core/records/round.ts'
import type { RailStep } from '../../parts/StepRail.tsx'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

const doneIn = (round: Round): number => round.stops.filter((s) => s.doneAt).length

/** A stop that is not full yet counts too: its figures stand below. */
const isBegun = (round: Round): boolean =>
  round.stops.some((s) => s.doneAt !== null || s.hits.length > 0 || Object.keys(s.measures).length > 0)

/** Where a round was, which one it is, and what stands below. */
export function WeighUpHead({ round, title = say('What was counted') }: { round: Round; title?: string | undefined }) {
  return (
    <>
      <p className="text-ink-soft">
        {round.holding}, {round.paddock.name}: {round.title}, {dayWords(round.plannedOn)}
      </p>
      <h1 className="text-[1.65rem]">{isBegun(round) ? title : say('Nothing is counted yet')}</h1>
    </>
  )
}

/** How far a round has come. */
export const nodesOf = (round: Round): RailStep[] => [
  { id: 'planned', label: say('Planned'), detail: say('{{count}} stops', { count: round.stops.length }) },
  {
    id: 'counted',
    label: say('Counted'),
    detail: say('{{done}} of {{n}}', { done: doneIn(round), n: round.stops.length }),
  },
  ...round.unknowns
    .filter((u) => u.namedAs)
    .map((u) => ({
      id: u.letter,
      label: say('Unknown {{letter}}', { letter: letterWords(u.letter) }),
      detail: say('named'),
    })),
]
