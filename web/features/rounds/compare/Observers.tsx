import { taxonName } from '@/text/taxonNames.ts'
import { useState } from 'react'
import type { Round } from '@/core/records/round.ts'
import { correctedShare, twoObservers } from '@/core/survey/twoObservers.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { fixed } from '../../../language/numbers.ts'

const signed = (x: number) => `${x >= 0 ? '+' : '−'}${percent(Math.abs(x))}`

/** Landis and Koch 1977, from memory: words for a kappa. */
const kappaWords = (k: number): string =>
  k > 0.8
    ? say('nearly as one')
    : k > 0.6
      ? say('substantial')
      : k > 0.4
        ? say('moderate')
        : k > 0.2
          ? say('fair')
          : say('slight')

/** Two people at the same stops: where they agree, and by how much one reads higher. */
export function Observers({ first, second }: { first: Round; second: Round }) {
  const byId = useFlora((s) => s.byId)
  const [corrected, setCorrected] = useState(false)
  const made = twoObservers(first, second)
  if (!made) return <p>{say('Fewer than three stops were counted by both: count more of the same stops.')}</p>
  const [a, b] = [first.settings.observer || 'first', second.settings.observer || 'second']
  return (
    <>
      <p>{say('{{stops}} stops counted by both, {{a}} and {{b}}.', { stops: made.stops, a, b })}</p>
      {made.leading ? (
        <p className="mt-2" data-testid="kappa">
          <Say
            text="On the leading plant of a stop they agree at {{observed}} in 100 stops; beyond chance kappa is <b/> ({{interval}} to {{min}}), {{kappaWords}}."
            values={{
              observed: Math.round(made.leading.observed * 100),
              interval: fixed(made.leading.interval[0], 2),
              min: fixed(Math.min(1, made.leading.interval[1]), 2),
              kappaWords: kappaWords(made.leading.kappa),
            }}
            components={{ b: <b>{fixed(made.leading.kappa, 2)}</b> }}
          />
        </p>
      ) : (
        <p className="mt-2">{say('The same plant leads at every stop for both.')}</p>
      )}
      <ul className="mt-3 grid gap-1">
        {made.lines.map((line) => {
          const right = corrected ? correctedShare(second, line) : undefined
          const clear = line.bias.interval[0] > 0 || line.bias.interval[1] < 0
          return (
            <li key={line.taxon} className="border-b border-rule/60 py-1.5">
              <b>{taxonName(line.taxon, byId)}</b>: {a} {percent(line.first)}, {b} {percent(line.second)}.{' '}
              <span className={clear ? 'font-semibold' : ''}>
                {say('{{b}} reads {{signed}} ({{signed2}} to {{signed3}}){{what}}', {
                  b,
                  signed: signed(line.bias.mean),
                  signed2: signed(line.bias.interval[0]),
                  signed3: signed(line.bias.interval[1]),
                  what: clear ? say(', more than chance') : '',
                })}
              </span>
              {line.icc ? (
                <span className="text-ink-soft">
                  {say('; ICC {{icc}}{{what}}', {
                    icc: fixed(line.icc.icc, 2),
                    what: line.icc.interval.every(Number.isFinite)
                      ? ` (${say('{{low}} to {{high}}', { low: fixed(line.icc.interval[0], 2), high: fixed(line.icc.interval[1], 2) })})`
                      : '',
                  })}
                </span>
              ) : null}
              {right ? (
                <span className="block" data-testid="corrected">
                  <Say
                    text="{{b}} over all stops, read with the eye of {{a}}: <b/> ({{interval}})"
                    values={{ b, a, interval: percentRange(right.interval) }}
                    components={{ b: <b>{percent(right.estimate)}</b> }}
                  />
                </span>
              ) : null}
            </li>
          )
        })}
      </ul>
      <label className="mt-3 flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          checked={corrected}
          onChange={(e) => setCorrected(e.target.checked)}
          className="size-5"
        />
        {say('Correct {{b}} by the bias met here, with its error added', { b })}
      </label>
      <p className="text-ink-soft">
        {say(
          'Kappa: Cohen 1960, standard error of Fleiss, Cohen and Everitt 1969. ICC(2,1): Shrout and Fleiss 1979. Neither observer is taken to be right.',
        )}
      </p>
    </>
  )
}
