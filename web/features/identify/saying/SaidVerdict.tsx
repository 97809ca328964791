import { naturalFrequency } from '@/text/certaintyWords.ts'

import { verdictText } from '@/text/verdictText.ts'
import { say } from '../../../language/say.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import type { Sheet } from '../sheet.ts'
import { shownCandidates } from '../readyDrawings.ts'
import { useIdentification } from '../useIdentification.ts'

const HARM_NAMED = 3

/** Where what was said leads, under the words themselves: it moves as one talks, before the drawings do. */
export function SaidVerdict({ sheet }: { sheet: Sheet }) {
  const { plants, groups, neighbours, byId } = useFlora()
  const { result } = useIdentification(sheet)
  if (!result || sheet.answers.length === 0) return null
  const { verdict } = result
  const name = (id: string) => byId.get(id)?.commonName ?? id
  const harmful = result.harmfulOpen.map((h) => name(h.plant))
  const more = harmful.length - HARM_NAMED
  return (
    <div className="mt-2 border-t border-rule pt-2" data-testid="said-verdict">
      <p className="text-lg font-semibold">{verdictText(verdict, { plants, groups, neighbours })}</p>
      {verdict.code === 'few' ? null : (
        <p>
          {shownCandidates(result.candidates)
            .map((c) => `${name(c.plant)} ${naturalFrequency(c.probability)}`)
            .join(' · ')}
        </p>
      )}
      {harmful.length > 0 && !('open' in verdict) ? (
        <p className="font-semibold text-harm">
          {say('Harmful, and not excluded')}:{' '}
          {[...harmful.slice(0, HARM_NAMED), ...(more > 0 ? [say('{{n}} more harmful plants', { n: more })] : [])].join(
            ', ',
          )}
        </p>
      ) : null}
      {harmful.length === 0 ? (
        <p className="text-ink-soft">
          {say(
            'No harmful plant of this book is above 1 in 1,000 on what was seen, whichever one answer is left out. That is not the same as none.',
          )}
        </p>
      ) : null}
    </div>
  )
}
