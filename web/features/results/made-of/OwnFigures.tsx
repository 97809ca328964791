import type { Round } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { methodWords } from '@/text/methodWords.ts'
import { FrequencyPanel } from '../../../entities/round/FrequencyPanel.tsx'
import { MassPanel } from '../../../entities/round/MassPanel.tsx'
import { SearchPanel } from '../../../entities/round/SearchPanel.tsx'
import { Empty } from '../../../ui/Empty.tsx'
import { Terms } from '../../../parts/Terms.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'

/** What a method says that does not add up to a sward: frequencies, mass, plants a hectare. */
export function OwnFigures({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const { frequency, mass, search } = figuresOf(round, byId)
  if (frequency.length === 0 && !mass && search.length === 0)
    return (
      <Empty to={`/rounds/${round.id}`} act={say('Count the first stop')}>
        {say('Figures appear with the first stop.')}
      </Empty>
    )
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
