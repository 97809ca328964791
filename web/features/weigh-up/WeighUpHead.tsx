import { letterWords } from '@/text/taxonNames.ts'
import { methodWords } from '@/text/methodWords.ts'
import type { Round } from '@/core/records/round.ts'
import type { MidribNode } from '../../parts/Midrib.tsx'
import { say } from '../../language/say.ts'

const doneIn = (round: Round): number => round.stops.filter((s) => s.doneAt).length

/** Where a round was, and what stands below. `adds` is false for a method whose figures do not add up to a sward. */
export function WeighUpHead({ round, adds = true }: { round: Round; adds?: boolean }) {
  const counted = doneIn(round) > 0
  return (
    <>
      <p className="text-ink-soft">
        {round.holding}, {round.paddock.name}
      </p>
      <h1 className="text-[1.65rem]">
        {!counted ? say('Nothing is counted yet') : adds ? say('What was counted') : methodWords(round.method).name}
      </h1>
    </>
  )
}

/** How far a round has come. */
export const nodesOf = (round: Round): MidribNode[] => [
  { id: 'planned', label: say('Planned'), detail: say('{{n}} stops', { n: round.stops.length }) },
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
