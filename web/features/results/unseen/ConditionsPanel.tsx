import { codeWords } from '@/text/codeWords.ts'
import { frosts, type Conditions } from '@/core/records/conditions.ts'
import { fieldWords } from '@/text/recordFields.ts'
import { useConditions } from '../../../entities/round/herd.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { ReadProblem } from '../../../ui/ReadProblem.tsx'
import { say } from '../../../language/say.ts'

type Key = keyof Conditions
interface Field {
  key: Key
  kind: 'figure' | 'day' | 'yes' | 'frost'
  most?: number
  unit?: () => string
  /** Dangers that are worked out from it. */
  tells: readonly string[]
}

const fields: readonly Field[] = [
  { key: 'pregnant', kind: 'yes', tells: ['nitrate'] },
  { key: 'heightCm', kind: 'figure', most: 500, unit: () => 'cm', tells: ['prussic-acid'] },
  { key: 'frost', kind: 'frost', tells: ['prussic-acid'] },
  { key: 'frostOn', kind: 'day', tells: ['prussic-acid', 'nitrate', 'bloat', 'laminitis'] },
  { key: 'drought', kind: 'yes', tells: ['nitrate', 'prussic-acid', 'laminitis'] },
  { key: 'rainOn', kind: 'day', tells: ['nitrate'] },
  { key: 'nitrogenKgPerHa', kind: 'figure', most: 2000, unit: () => 'kg/ha', tells: ['nitrate', 'grass-tetany'] },
  { key: 'potash', kind: 'yes', tells: ['grass-tetany'] },
  { key: 'waterNitrateMgPerL', kind: 'figure', most: 10_000, unit: () => 'mg NO3-N/l', tells: ['nitrate'] },
  { key: 'wet', kind: 'yes', tells: ['bloat'] },
  { key: 'tillersTested', kind: 'figure', most: 10_000, tells: ['endophyte'] },
  { key: 'tillersInfected', kind: 'figure', most: 10_000, tells: ['endophyte'] },
  { key: 'joiningOn', kind: 'day', tells: ['oestrogen'] },
  { key: 'headsLooked', kind: 'figure', most: 100_000, tells: ['ergot'] },
  { key: 'headsWithErgot', kind: 'figure', most: 100_000, tells: ['ergot'] },
  { key: 'cutOn', kind: 'day', tells: ['blister-beetle', 'prussic-acid'] },
  { key: 'conditioned', kind: 'yes', tells: ['blister-beetle'] },
  { key: 'wrapped', kind: 'yes', tells: ['wrapped-forage', 'prussic-acid'] },
]
/** Counted in whole plants and heads. */
const WHOLE = new Set<Key>(['tillersTested', 'tillersInfected', 'headsLooked', 'headsWithErgot'])

function Entry({ field, known, change }: { field: Field; known: Conditions; change: (patch: object) => void }) {
  const value = known[field.key]
  const label = `${fieldWords(field.key)}${field.unit ? `, ${field.unit()}` : ''}`
  const options = field.kind === 'frost' ? frosts : field.kind === 'yes' ? (['yes', 'no'] as const) : undefined
  const chosen = value === undefined ? '' : value === true ? 'yes' : value === false ? 'no' : String(value)
  const take = (text: string) => {
    if (text === '') return change({ [field.key]: undefined })
    if (field.kind === 'yes') return change({ [field.key]: text === 'yes' })
    if (field.kind !== 'figure') return change({ [field.key]: text })
    const n = Number(text)
    if (n >= 0 && n <= field.most! && (!WHOLE.has(field.key) || Number.isInteger(n))) change({ [field.key]: n })
  }
  return (
    <Labelled label={label}>
      {(id) =>
        options ? (
          <select id={id} value={chosen} onChange={(e) => take(e.target.value)} className={inputClass}>
            <option value="">{say('not known')}</option>
            {options.map((o) => (
              <option key={o} value={o}>
                {codeWords(o)}
              </option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            type={field.kind === 'day' ? 'date' : 'number'}
            min={field.kind === 'figure' ? 0 : undefined}
            max={field.most}
            step={WHOLE.has(field.key) ? 1 : 'any'}
            value={chosen}
            onChange={(e) => take(e.target.value)}
            className={inputClass}
          />
        )
      }
    </Labelled>
  )
}

/** What no count tells and the dangers are worked out from: asked only where a danger that is here needs it. */
export function ConditionsPanel({ roundId, hazards }: { roundId: string; hazards: readonly string[] }) {
  const { data: known = {}, change, problem, again } = useConditions(roundId)
  const asked = fields.filter((f) => f.tells.some((h) => hazards.includes(h)))
  if (asked.length === 0) return null
  const said = asked.filter((f) => known[f.key] !== undefined).length
  return (
    <section aria-labelledby="known">
      <p id="known" className="text-ink-soft">
        {say('Of the day and the stock {{said}} of {{n}} are said.', { said, n: asked.length })}
      </p>
      <ReadProblem of={say('What is known of the day')} problem={problem} again={again} />
      <fieldset
        disabled={problem !== undefined}
        className="mt-2 grid items-end gap-3 pb-3 @md:grid-cols-2 @2xl:grid-cols-3"
      >
        {asked.map((field) => (
          <Entry key={field.key} field={field} known={known} change={change} />
        ))}
      </fieldset>
      <p className="pb-3 text-ink-soft">
        {say('What is left out is not known, and is never taken for the better case.')}
      </p>
    </section>
  )
}
