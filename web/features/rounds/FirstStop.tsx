import type { Round } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { methodWords } from '@/text/methodWords.ts'
import { say } from '../../language/say.ts'

/** A purpose as somebody wrote it, ended like a sentence. */
const asSentence = (text: string): string => (/[.?!…]$/.test(text) ? text : `${text}.`)

/** What stands beside a round of which nothing is counted: what to do at its first stop. */
export function FirstStop({ round }: { round: Round }) {
  const { entry } = countingMethods[round.method]
  const unit = methodWords(round.method).unitName
  return (
    <>
      <h2 className="text-[1.65rem]">{say('Nothing counted yet')}</h2>
      <p className="mt-1 text-ink-soft">
        {round.purpose.trim() ? `${asSentence(round.purpose.trim())} ` : ''}
        {entry === 'points'
          ? say('Walk to {{unit}} 1, put the pin down, and press the key of the first plant it touches.', { unit })
          : say('Walk to {{unit}} 1.', { unit })}
      </p>
    </>
  )
}
