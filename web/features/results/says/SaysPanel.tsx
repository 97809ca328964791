import { codeWords } from '@/text/codeWords.ts'
import { besideWords, saidWords } from '@/text/swardWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { siteIndicators } from '@/core/assess/indicators/siteIndicators.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'

/** What the composition says of the ground and of past management, with the figures it stands on and what speaks against it. */
export function SaysPanel({ round }: Pick<ChapterProps, 'round'>) {
  const { plants, byId } = useFlora()
  const list = siteIndicators(round, plants)
  return (
    <section aria-labelledby="says">
      <h2 id="says" className="text-[1.65rem]">
        {say('What the sward says')}
      </h2>
      {list.length === 0 ? (
        <p className="mt-1">
          {say('Nothing that stands out: no plant or group passes the marks at which the ground is suspected.')}
        </p>
      ) : (
        <ul className="mt-1">
          {list.map((s) => (
            <li key={s.id} className="border-b border-rule/60 py-2">
              <p>
                <b className="font-plant text-lg">{saidWords(s.id).title}</b>
                <span className="ml-2 rounded-lg border border-rule px-2">{codeWords(s.strength)}</span>
              </p>
              <p>
                {s.of.length > 0 ? s.of.map((t) => taxonName(t, byId)).join(', ') : say('None of the sown plants')}:{' '}
                {percent(s.share.estimate)}
                {s.share.interval ? ` (${percentRange(s.share.interval)})` : ''},{' '}
                {s.below ? say('below') : say('above')} {percent(s.mark)}
                {s.also.length > 0 ? `; ${s.also.map(besideWords).join('; ')}` : ''}.
              </p>
              <p className="text-ink-soft">
                {say('Against it would speak: {{against}}', { against: saidWords(s.id).against })}
              </p>
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1 text-ink-soft">
        {say(
          'The marks are common practice without a source. Clear: the whole interval lies beyond the mark; likely: only the estimate does.',
        )}
      </p>
    </section>
  )
}
