import { taxonName } from '@/text/taxonNames.ts'
import { useMemo } from 'react'
import { correctedCover, eyeBias } from '@/core/practice/eyeBias.ts'
import type { Round } from '@/core/records/round.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { usePracticeAnswers } from '../../../entities/practice/usePracticeAnswers.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'

const SHOWN = 5

/** Cover of the frames with the error of the reader's own eye taken off, once Practice knows it. */
export function EyePanel({ round, made }: { round: Round; made: Composition }) {
  const byId = useFlora((s) => s.byId)
  const { answers } = usePracticeAnswers()
  const bias = useMemo(
    () => eyeBias(answers.flatMap((a) => (a.kind === 'cover' && a.measured ? [a.measured] : []))),
    [answers],
  )
  const done = round.stops.filter((s) => s.doneAt !== null && s.skipped === null)
  if (!bias || done.length < 2) return null
  const rows = made.taxa.slice(0, SHOWN).flatMap(({ taxon }) => {
    const said = done.map((s) => Math.min(1, s.hits.reduce((n, h) => n + (h.taxon === taxon ? h.amount : 0), 0) / 100))
    const cover = correctedCover(bias, said)
    return cover ? [{ taxon, said: said.reduce((a, b) => a + b, 0) / said.length, cover }] : []
  })
  return (
    <details className="mt-3">
      <summary className="min-h-12 content-center font-semibold">{say("With your eye's own error taken off")}</summary>
      <p className="text-ink-soft">
        {say(
          'Learned from {{judged}} frames of known cover in Practice; only right for frames that you judged yourself. The figures above and what is handed over stay as they were said.',
          { judged: bias.judged },
        )}
      </p>
      <ul>
        {rows.map(({ taxon, said, cover }) => (
          <li key={taxon} className="flex flex-wrap justify-between gap-x-4 border-b border-rule/60 py-1.5">
            <span>{taxonName(taxon, byId).replace(/ \(.*\)/, '')}</span>
            <span>
              <Say
                text="said {{said}} of the frame, most likely <b/> ({{interval}})"
                values={{ said: percent(said), interval: percentRange(cover.interval) }}
                components={{ b: <b>{percent(cover.share)}</b> }}
              />
            </span>
          </li>
        ))}
      </ul>
    </details>
  )
}
