import { useMemo } from 'react'
import { pictureClassWords } from '@/text/pictureWords.ts'
import type { Estimated, PictureShare } from '@/core/picture/differenceEstimate.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { picturedRound } from '@/core/picture/picturedRound.ts'
import type { Round } from '@/core/records/round.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { atMost } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'

const figure = ({ estimate, interval }: Estimated) =>
  `${percent(estimate)}${interval ? ` (${percentRange(interval)})` : ''}`

/** What pictured frames say by their points alone, and with the map of each. */
export function PicturePanel({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const pictured = useMemo(() => picturedRound(round, byId), [round, byId])
  const unmapped = countingMethods[round.method].picture
    ? round.stops.filter((s) => s.hits.length > 0 && s.skipped === null && !s.measures.picture).length
    : 0
  if (!pictured && unmapped === 0) return null
  return (
    <section className="mt-4" aria-labelledby="pictured">
      <h3 id="pictured" className="text-lg">
        {say('From the pictures')}
      </h3>
      {pictured ? <Shares shares={pictured.shares} frames={pictured.frames} /> : null}
      {unmapped > 0 ? (
        <p>
          {say('{{n}} frames have no map yet and are not in these figures: open each and wait for its map.', {
            n: unmapped,
          })}
        </p>
      ) : null}
    </section>
  )
}

function Shares({ shares, frames }: { shares: PictureShare[]; frames: number }) {
  return (
    <>
      <table className="mt-1 w-full">
        <thead className="text-left text-ink-soft">
          <tr>
            <th scope="col" className="font-normal">
              {say('What')}
            </th>
            <th scope="col" className="text-right font-normal">
              {say('Points alone')}
            </th>
            <th scope="col" className="text-right font-normal">
              {say('With the map')}
            </th>
            <th scope="col" className="text-right font-normal">
              {say('The map is worth')}
            </th>
          </tr>
        </thead>
        <tbody>
          {shares.map((s) => (
            <tr key={s.class} className="border-b border-rule/60">
              <th scope="row" className="py-1 text-left font-normal">
                {pictureClassWords(s.class)}
              </th>
              <td className="text-right">{figure(s.byPoints)}</td>
              <td className="text-right">{figure(s.withMap)}</td>
              <td className="text-right">
                {s.worth === undefined ? '–' : say('{{n}} times the points', { n: atMost(s.worth, 1) })}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-sm text-ink-soft">
        {say(
          '{{n}} frames. The map of each picture is corrected by the points that were named and did not teach it, so it may be wrong and the figure is not; a good map makes it narrower. From fewer than three frames no interval is told between them.',
          { n: frames },
        )}
      </p>
    </>
  )
}
