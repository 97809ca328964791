import { useEffect, useMemo } from 'react'
import { ownMistake, ownReadings, type Readings } from '@/core/practice/ownErrors.ts'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { Determination } from '@/core/records/round.ts'
import { wilson } from '@/core/stats/proportionIntervals.ts'
import { percent, percentRange } from '../../parts/words.ts'
import { characterOf, flora } from '../../stores/floraStore.ts'
import { useOwnReading } from '../../stores/ownReadingStore.ts'
import { reopenBook } from '../../workers/namingWorker.ts'
import { Empty } from '../../ui/Empty.tsx'
import { say } from '../../language/say.ts'

const SHOWN = 6
const WIDTH = 220

/** Share read wrongly with its interval, and the book's rate as a mark. */
function Bar({ r, book, words }: { r: Readings; book: number; words: string }) {
  const n = r.field.read + r.drawn.read
  const wrong = r.field.wrong + r.drawn.wrong
  const [low, high] = wilson({ x: wrong, n })
  const at = (share: number) => 4 + share * (WIDTH - 8)
  return (
    <svg viewBox={`0 0 ${WIDTH} 22`} className="w-44 shrink-0" role="img" aria-label={words}>
      <path d={`M4 11H${WIDTH - 4}`} className="stroke-rule" strokeWidth="2" />
      <path d={`M${at(low)} 11H${at(high)}`} className="stroke-culm" strokeWidth="6" strokeLinecap="round" />
      <circle cx={at(wrong / n)} cy="11" r="6" className="fill-culm stroke-sheet" strokeWidth="2" />
      <path d={`M${at(book)} 2V20`} className="stroke-ink" strokeWidth="3" />
    </svg>
  )
}

/** What the person reads wrongly, part by part; on their say the bench reckons with it. */
export function OwnReading({
  namings,
  checks,
  answers,
}: {
  namings: readonly Determination[]
  checks: readonly Verification[]
  answers: readonly PracticeAnswer[]
}) {
  const { counts, set } = useOwnReading()
  const readings = useMemo(() => ownReadings(flora(), namings, checks, answers), [namings, checks, answers])
  useEffect(() => {
    if (!useOwnReading.getState().counts) return
    useOwnReading.getState().set(true, readings)
    void reopenBook()
  }, [readings])
  const choose = async (on: boolean) => {
    set(on, on ? readings : [])
    await reopenBook()
  }
  const worst = readings.filter((r) => r.field.wrong + r.drawn.wrong > 0).slice(0, SHOWN)
  return (
    <section aria-labelledby="own-reading" className="mt-6">
      <h2 id="own-reading" className="text-xl">
        {say('How you read the parts')}
      </h2>
      {readings.length === 0 ? (
        <Empty to="/practice" act={say('Practice')}>
          {say(
            'Nothing yet. Names checked in flower and drawn parts read in Practice are set against the book here; where you err, the bench can trust your answer less.',
          )}
        </Empty>
      ) : (
        <>
          <p className="max-w-prose">
            {worst.length === 0
              ? say('Of {{n}} kinds of parts read, none was read wrongly so far.', { n: readings.length })
              : say(
                  'Read wrongly, of all your looks at it: with its range, and the rate that the book reckons with as a stroke.',
                )}
          </p>
          <ul>
            {worst.map((r) => {
              const c = characterOf(r.character)
              if (!c) return null
              const [read, wrong] = [r.field.read + r.drawn.read, r.field.wrong + r.drawn.wrong]
              const words = say(
                '{{wrong}} of {{read}}, {{wilson}}; the book reckons with {{mistake}}, with yours it is {{ownMistake}}',
                {
                  wrong,
                  read,
                  wilson: percentRange(wilson({ x: wrong, n: read })),
                  mistake: percent(c.mistake),
                  ownMistake: percent(ownMistake(c.mistake, r)),
                },
              )
              return (
                <li
                  key={r.character}
                  className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule/60 py-2"
                >
                  <Bar r={r} book={c.mistake} words={words} />
                  <span className="min-w-56 grow basis-56">
                    <b>{c.title}</b>: {words}
                    {r.field.near > 0 ? (
                      <span className="block text-ink-soft">
                        {say(
                          '{{near}} more said a state like the one that was there: a matter of words, not counted.',
                          {
                            near: r.field.near,
                          },
                        )}
                      </span>
                    ) : null}
                  </span>
                </li>
              )
            })}
          </ul>
          <label className="mt-2 flex min-h-13 items-center gap-3">
            <input
              type="checkbox"
              checked={counts}
              onChange={(e) => void choose(e.target.checked)}
              className="size-6 accent-culm"
            />
            {say('The bench reckons with my own mistakes')}
          </label>
          <p className="max-w-prose text-ink-soft">
            {say(
              'Only on this device, and only upwards: it never trusts an answer more than the book does. Names of {{what}} checked in flower count, and drawn parts.',
              { what: checks.length === 1 ? say('one plant') : say('{{count}} plants', { count: checks.length }) },
            )}
          </p>
        </>
      )}
    </section>
  )
}
