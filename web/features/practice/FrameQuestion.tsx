import { useState } from 'react'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { hasAlike, isRanked } from '@/core/practice/ranking.ts'
import { percent } from '../../parts/words.ts'
import { FrameLegend, SwardView } from './SwardView.tsx'
import { Sureness } from './Sureness.tsx'
import type { Shown } from './usePractice.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

/** Within so much of the truth a judgement by eye counts as right; common practice, no source. */
const NEAR = 0.05

type Part = Pick<PracticeAnswer, 'about' | 'answered' | 'right' | 'sure' | 'measured'>

/** Cover by eye: how much of the frame is one plant, or bare. */
export function CoverQuestion({
  shown,
  given,
  onAnswer,
}: {
  shown: Shown & { is: 'cover' }
  given: PracticeAnswer | undefined
  onAnswer: (a: Part) => void
}) {
  const [text, setText] = useState('')
  const { asked, frame } = shown
  const truth = frame.covers[asked.of]!
  const said = Number(text.replace(',', '.')) / 100
  const good = text.trim() !== '' && said >= 0 && said <= 1
  return (
    <>
      <h1 className="text-[1.65rem]">{say('How much of the frame is {{words}}?', { words: asked.words })}</h1>
      <SwardView frame={frame} label={say('A frame of sward from above')} {...(given ? { lit: asked.of } : {})} />
      <FrameLegend names={asked.names} />
      <label className="mt-4 flex items-center gap-3 text-lg">
        {say('Percent of the frame')}
        <input
          inputMode="decimal"
          value={text}
          disabled={given !== undefined}
          onChange={(e) => setText(e.target.value)}
          className="min-h-13 w-28 rounded-xl border-2 border-culm bg-sheet px-3 text-xl"
        />
      </label>
      {text.trim() !== '' && !good ? (
        <p className="font-semibold text-harm">{say('A percentage from 0 to 100 is needed.')}</p>
      ) : null}
      {good && !given ? (
        <Sureness
          onSure={(sure) =>
            onAnswer({
              about: 'cover',
              answered: asked.words,
              right: Math.abs(said - truth) <= NEAR,
              sure,
              measured: { truth, said },
            })
          }
        />
      ) : null}
      {given ? (
        <p className="mt-3 text-lg">
          <b>{given.right ? say('Right') : say('Not so')}</b>
          {'. '}
          <Say
            text="It is <b/>, counted pixel by pixel; it stays bright. Right is within 5 of it."
            components={{ b: <b>{percent(truth)}</b> }}
          />
        </p>
      ) : null}
    </>
  )
}

/** Dry-weight rank by eye: which of three is most, second, third. */
export function RankQuestion({
  shown,
  given,
  onAnswer,
}: {
  shown: Shown & { is: 'rank' }
  given: PracticeAnswer | undefined
  onAnswer: (a: Part) => void
}) {
  const [order, setOrder] = useState<string[]>([])
  const { asked, frame } = shown
  const covers = asked.names.map((name, i) => ({ name, cover: frame.covers[i + 1]! }))
  const coverOf = new Map(covers.map((c) => [c.name, c.cover]))
  return (
    <>
      <h1 className="text-[1.65rem]">{say('Which is most, which second, which third?')}</h1>
      <SwardView frame={frame} label={say('A frame of sward from above')} />
      <FrameLegend names={asked.names} />
      <div className="mt-4 flex flex-wrap gap-2">
        {asked.names.map((n) => (
          <button
            key={n}
            type="button"
            disabled={given !== undefined}
            onClick={() => setOrder((o) => (o.includes(n) ? o.filter((x) => x !== n) : [...o, n]))}
            className={`min-h-13 rounded-xl border-2 px-4 text-lg ${order.includes(n) ? 'border-culm bg-culm/15 font-semibold' : 'border-rule'}`}
          >
            {order.includes(n) ? `${order.indexOf(n) + 1}. ` : ''}
            {n}
          </button>
        ))}
      </div>
      {order.length === 3 && !given ? (
        <Sureness
          onSure={(sure) => {
            const right = isRanked(order.map((name) => coverOf.get(name)!))
            onAnswer({ about: 'rank', answered: order.join(' > '), right, sure })
          }}
        />
      ) : null}
      {given ? (
        <p className="mt-3 text-lg">
          <b>{given.right ? say('Right') : say('Not so')}</b>
          {': '}
          {say('{{sort}}, by what is seen from above.', {
            sort: covers
              .toSorted((a, b) => b.cover - a.cover)
              .map((c) => `${c.name} ${percent(c.cover)}`)
              .join(', '),
          })}{' '}
          {hasAlike(covers.map((c) => c.cover)) ? say('Two within 3 of a hundred may stand either way.') : null}
        </p>
      ) : null}
    </>
  )
}
