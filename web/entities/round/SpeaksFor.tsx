import { taxonName } from '@/text/taxonNames.ts'
import { partName } from '@/text/partWords.ts'
import type { Round } from '@/core/records/round.ts'
import { rankedAlike, unwalkedEdge, weakParts } from '@/core/survey/counted.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { percent } from '../../parts/words.ts'
import { lengthWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

/** A strip narrower than this is no part of a paddock that anybody would speak of, metres. */
const WORTH_SAYING_M = 3

/** What of the paddock the figures do not speak for: the edge that was not walked, and parts that hardly were. */
export function SpeaksFor({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const edge = unwalkedEdge(round)
  const alike = rankedAlike(round)
  const lines = [
    ...(round.settings.asWalked
      ? [say('Nobody drew these stops beforehand: the figures speak for where somebody walked.')]
      : []),
    ...(alike
      ? [
          say(
            '{{plant}} is first in {{share}} of the frames: ranks read it too high where they hardly change. Take the yield of each frame, or clip.',
            {
              plant: taxonName(alike.taxon, byId),
              share: percent(alike.share),
            },
          ),
        ]
      : []),
    ...(edge && edge.metres >= WORTH_SAYING_M
      ? [
          say('Speaks for the paddock inside a strip of {{width}}; the edge, {{share}} of it, was not walked.', {
            width: lengthWords(Math.floor(edge.metres)),
            share: percent(edge.share),
          }),
        ]
      : []),
    ...weakParts(round).map((p) =>
      p.stops === 0
        ? say('No stop was counted in "{{part}}" ({{share}} of the paddock): the figures do not speak for it.', {
            part: partName(p.name),
            share: percent(p.share),
          })
        : say(
            'Only one stop was counted in "{{part}}" ({{share}} of the paddock): this is not a figure for the whole.',
            {
              part: partName(p.name),
              share: percent(p.share),
            },
          ),
    ),
  ]
  return lines.length > 0 ? <span data-testid="speaks-for"> {lines.join(' ')}</span> : null
}
