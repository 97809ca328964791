import { naturalFrequency } from '@/text/certaintyWords.ts'
import { useState } from 'react'
import { bearing, brierScore } from '@/core/practice/scoring.ts'
import type { Verification } from '@/core/records/verification.ts'
import type { Determination } from '@/core/records/round.ts'
import { wilson } from '@/core/stats/proportionIntervals.ts'
import { percentRange } from '../../parts/words.ts'
import { Reliability } from '../../entities/practice/Reliability.tsx'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { Empty } from '../../ui/Empty.tsx'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'
import { dayWords, today } from '../../language/dates.ts'
import { fixed } from '../../language/numbers.ts'

const OTHER = 'other'
const SHOWN = 8
function Check({ naming, onCheck }: { naming: Determination; onCheck: (c: Verification) => void }) {
  const plants = useFlora((s) => s.plants)
  const [text, setText] = useState('')
  const [note, setNote] = useState('')
  const found = plants.find((p) =>
    [shortName(p.id), p.scientificName].some((n) => n.toLowerCase() === text.trim().toLowerCase()),
  )
  const answer = (was: string) => onCheck({ namingId: naming.id, checkedOn: today(), was, note: note.trim() })
  return (
    <li className="border-b border-rule/60 py-2">
      <p>
        <Say
          text="<b/>, {{naturalFrequency}}, named {{dayWords}}{{what}}"
          values={{
            naturalFrequency: naturalFrequency(naming.probability),
            dayWords: dayWords(naming.namedAt.slice(0, 10)),
            what: naming.place ? `, ${naming.place}` : '',
          }}
          components={{ b: <b className="font-plant text-lg">{shortName(naming.plant)}</b> }}
        />
      </p>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <button
          type="button"
          onClick={() => answer(naming.plant)}
          className="min-h-12 rounded-xl bg-culm px-4 font-semibold text-on-culm"
        >
          {say('It was')}
        </button>
        <label className="grow">
          <span className="block text-sm text-ink-soft">{say('No, it was')}</span>
          <input
            list="what-it-was"
            value={text}
            onChange={(e) => setText(e.target.value)}
            placeholder={say('name of the plant')}
            className="min-h-12 w-full rounded-xl border border-rule bg-sheet px-3"
          />
        </label>
        <button
          type="button"
          disabled={!found && text.trim() !== ''}
          onClick={() => answer(found?.id ?? OTHER)}
          className="min-h-12 rounded-xl border-2 border-culm px-4 font-semibold text-culm disabled:opacity-50"
        >
          {text.trim() === '' ? say('Not in the book') : say('Write it')}
        </button>
      </div>
      <label className="mt-1 block">
        <span className="block text-sm text-ink-soft">{say('What showed it (may be left empty)')}</span>
        <input
          value={note}
          maxLength={2000}
          onChange={(e) => setNote(e.target.value)}
          className="min-h-12 w-full rounded-xl border border-rule bg-sheet px-3"
        />
      </label>
    </li>
  )
}

/** Names from leaves alone, looked at again in flower: how often they were right, and how sure they had been. */
export function ComeBack({ namings, checks }: { namings: Determination[]; checks: Verification[] }) {
  const post = useOutbox((s) => s.post)
  const byNaming = new Map(checks.map((c) => [c.namingId, c]))
  const open = namings.filter((n) => !byNaming.has(n.id))
  const done = namings.flatMap((n) => {
    const check = byNaming.get(n.id)
    return check ? [{ naming: n, check, sure: n.probability, right: check.was === n.plant }] : []
  })
  const right = done.filter((d) => d.right).length
  const keep = (c: Verification) => {
    post({ do: 'check-naming', check: c })
  }
  const undo = (id: string) => {
    post({ do: 'drop-check', namingId: id })
  }
  const plants = useFlora((s) => s.plants)
  const lean = bearing(done)
  return (
    <section aria-labelledby="come-back" className="mt-6">
      <datalist id="what-it-was">
        {plants.map((p) => (
          <option key={p.id} value={shortName(p.id)} />
        ))}
      </datalist>
      <h2 id="come-back" className="text-xl">
        {say('Come back and check')}
      </h2>
      {namings.length === 0 ? (
        <Empty to="/bench" act={say('Name one on the bench')}>
          {say('No name was written down at the bench yet. Once one is, it waits here for its flower.')}
        </Empty>
      ) : null}
      {done.length > 0 ? (
        <>
          <p className="mt-1 text-lg" data-testid="hit-rate">
            <Say
              text="<b>{{right}} of {{n}}</b> names were right in flower ({{wilson}}){{what}}. Brier score {{brierScore}}."
              values={{
                right,
                n: done.length,
                wilson: percentRange(wilson({ x: right, n: done.length })),
                what: lean ? say('; the engine was {{lean}}', { lean }) : '',
                brierScore: fixed(brierScore(done)!, 2),
              }}
              components={{ b: <b /> }}
            />
          </p>
          <Reliability answers={done} />
          <ul>
            {done
              .filter((d) => !d.right)
              .map(({ naming, check }) => (
                <li key={naming.id} className="flex items-center justify-between gap-3 border-b border-rule/60">
                  <span>
                    {say('{{shortName}} was {{what}}{{what2}}', {
                      shortName: shortName(naming.plant),
                      what: check.was === OTHER ? say('a plant outside the book') : shortName(check.was),
                      what2: check.note ? `: ${check.note}` : '',
                    })}
                  </span>
                  <button type="button" onClick={() => undo(naming.id)} className="min-h-11 underline">
                    {say('take back')}
                  </button>
                </li>
              ))}
          </ul>
        </>
      ) : null}
      {open.length > 0 ? (
        <ul>
          {open.slice(0, SHOWN).map((n) => (
            <Check key={n.id} naming={n} onCheck={keep} />
          ))}
        </ul>
      ) : null}
      {open.length > SHOWN ? <p>{say('and {{n}} more wait.', { n: open.length - SHOWN })}</p> : null}
    </section>
  )
}
