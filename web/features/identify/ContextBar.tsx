import { codeWords } from '@/text/codeWords.ts'
import { regionWords } from '@/text/regionWords.ts'
import { useWords } from '../../language/useWords.ts'
import { memo } from 'react'
import { regions, stages, type Region, type Stage } from '@/core/flora/flora.ts'
import type { Context } from '@/core/records/observation.ts'
import { monthNames } from '../../parts/words.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useOwnReading } from '../../stores/ownReadingStore.ts'
import { say } from '../../language/say.ts'

interface Props {
  context: Context
  onChange: (context: Context) => void
}

const field = 'min-h-11 rounded-xl border border-rule bg-sheet px-2 capitalize'

function without<K extends keyof Context>(context: Context, key: K): Context {
  const rest = { ...context }
  delete rest[key]
  return rest
}

/** Where and when: what narrows the field before the plant is looked at, each switchable off. */
export const ContextBar = memo(function ContextBar({ context, onChange }: Props) {
  useWords()
  const byId = useFlora((s) => s.byId)
  const own = useOwnReading((s) => s.counts)
  const pick = <K extends 'month' | 'stage' | 'region'>(key: K, value: Context[K] | '') =>
    onChange(value === '' || value === undefined ? without(context, key) : { ...context, [key]: value })
  const when = context.month ? monthNames()[context.month - 1] : undefined
  const said = [
    codeWords(context.stage ?? 'vegetative'),
    ...(when || context.region ? [] : [say('anywhere')]),
    when,
    context.region && regionWords(context.region),
  ].filter(Boolean)
  return (
    <details className="grow">
      <summary className="min-h-11 rounded-xl border border-rule px-3 py-2">
        {said.join(', ')}
        {context.sown && context.sown.length > 0 ? say(', sown list') : ''}
        {own ? say(', your own mistakes') : ''}
      </summary>
      <div className="mt-2 flex flex-wrap gap-2">
        <select
          aria-label={say('Stage')}
          className={field}
          value={context.stage ?? ''}
          onChange={(e) => pick('stage', e.target.value as Stage | '')}
        >
          <option value="">{say('Stage: vegetative')}</option>
          {stages.map((s) => (
            <option key={s} value={s}>
              {codeWords(s)}
            </option>
          ))}
        </select>
        <select
          aria-label={say('Month')}
          className={field}
          value={context.month ?? ''}
          onChange={(e) => pick('month', e.target.value === '' ? '' : Number(e.target.value))}
        >
          <option value="">{say('Any month')}</option>
          {monthNames().map((m, i) => (
            <option key={m} value={i + 1}>
              {m}
            </option>
          ))}
        </select>
        <select
          aria-label={say('Region')}
          className={field}
          value={context.region ?? ''}
          onChange={(e) => pick('region', e.target.value as Region | '')}
        >
          <option value="">{say('Any region')}</option>
          {regions.map((r) => (
            <option key={r} value={r}>
              {regionWords(r)}
            </option>
          ))}
        </select>
        {context.sown && context.sown.length > 0 ? (
          <button
            type="button"
            className={field}
            onClick={() => onChange(without(context, 'sown'))}
            title={context.sown.map((id) => byId.get(id)?.commonName).join(', ')}
          >
            {say('sown list of {{n}} counts: switch off', { n: context.sown.length })}
          </button>
        ) : null}
      </div>
    </details>
  )
})
