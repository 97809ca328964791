import { Link } from 'react-router'
import { useHazards } from '../../../entities/round/useHazards.ts'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'
import { ConditionsPanel } from './ConditionsPanel.tsx'

/** What no count tells, asked only where a danger that is here needs it; a sample's figures stand under Worth. */
export function KnownOfTheDay({ round }: ChapterProps) {
  const dangers = useHazards(round).map((h) => h.hazard.id)
  return (
    <>
      <ConditionsPanel roundId={round.id} hazards={dangers} />
      <p>
        {say('A result of a laboratory tells more than any of these.')}{' '}
        <Link to={`/rounds/${round.id}/weigh-up/worth`} className="text-culm underline">
          {say('Type or open a result')}
        </Link>
      </p>
    </>
  )
}
