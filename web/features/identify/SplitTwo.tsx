import { inSentence } from '@/text/say.ts'
import type { Stage } from '@/core/flora/flora.ts'
import { OneLook } from '../../entities/plant/Lookalikes.tsx'
import { characterTitle } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useSplit } from './useIdentification.ts'
import { say } from '../../language/say.ts'

interface Props {
  a: string
  b: string
  stage: Stage
  observed: Set<string>
  open: boolean
  onAsk: (character: string) => void
}

/** The one check that tells the first two apart: the book's own where it names one, else the one worth most. */
export function SplitTwo({ a, b, stage, observed, open, onAsk }: Props) {
  const { byId, characters } = useFlora()
  const checks = useSplit(a, b, stage)
  const [one, two] = [byId.get(a), byId.get(b)]
  if (!open || !one || !two) return null
  const named = one.lookalikes.find((l) => l.plant === b) ?? two.lookalikes.find((l) => l.plant === a)
  const unseen = checks.filter((c) => !observed.has(c.character))
  const byBook = named ? [named.check, ...(named.and ? [named.and] : [])] : []
  const check = byBook.find((c) => !observed.has(c)) ?? unseen[0]?.character
  return (
    <section className="mt-5" aria-labelledby="split">
      <h3 id="split" className="text-lg">
        {say('What splits the first two')}
      </h3>
      {check ? (
        <>
          <div className="mt-2 grid grid-cols-2 gap-2">
            <OneLook plant={one} check={check} name />
            <OneLook plant={two} check={check} name />
          </div>
          {named?.undecided ? (
            <p className="mt-2 font-semibold">{say('No look decides between these two before flower or fruit.')}</p>
          ) : byBook.length > 1 ? (
            <p className="mt-2 text-ink-soft">
              {say('Two looks together decide: {{checks}}.', {
                checks: byBook.map((c) => inSentence(characterTitle(characters, c))).join(say(' and ')),
              })}
            </p>
          ) : null}
          <p className="mt-2 flex flex-wrap items-center gap-3">
            <span className="min-w-0 grow basis-60">
              {named && byBook.includes(check)
                ? named.why
                : say('Most is told by: {{characterTitle}}.', { characterTitle: characterTitle(characters, check) })}
            </span>
            <button
              type="button"
              onClick={() => onAsk(check)}
              className="min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
            >
              {say('Look: {{characterTitle}}', { characterTitle: characterTitle(characters, check) })}
            </button>
          </p>
        </>
      ) : (
        <p className="mt-1">
          {say('Everything that tells these two apart has been looked at. Pull another plant of the same kind.')}
        </p>
      )}
    </section>
  )
}
