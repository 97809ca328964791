import { valueOf } from '@/contract/recordOf.ts'
import { changedFields, type Plain } from '@/core/records/merge.ts'
import { commandWords } from '@/text/commandWords.ts'
import { fieldWords } from '@/text/recordFields.ts'
import { isOfStop, useOutbox, type RecordConflict } from '../stores/outboxStore.ts'
import { useFlora } from '../stores/floraStore.ts'
import { say } from '../language/say.ts'

/** What a field holds, short enough to choose by. */
function useShort(): (value: unknown) => string {
  const byId = useFlora((s) => s.byId)
  const short = (value: unknown): string => {
    if (value === null || value === undefined || value === '') return say('nothing')
    if (Array.isArray(value)) return say('{{count}} entries', { count: value.length })
    if (typeof value === 'boolean') return value ? say('yes') : say('no')
    if (typeof value === 'object')
      return Object.values(value)
        .filter((v) => typeof v !== 'object')
        .map(short)
        .join(', ')
    const text = String(value as string | number)
    return byId.get(text)?.commonName ?? text
  }
  return short
}

function Version({
  title,
  fields,
  value,
  onKeep,
}: {
  title: string
  fields: string[]
  value: Plain | null
  onKeep: () => void
}) {
  // prettier-ignore
  const short = useShort()
  return (
    <div className="rounded-xl border border-rule bg-sheet px-3 py-2">
      <h3 className="font-semibold">{title}</h3>
      {value === null ? (
        <p>{say('Taken out.')}</p>
      ) : (
        <dl className="leading-snug">
          {fields.map((field) => (
            <div key={field}>
              <dt className="inline text-ink-soft">{fieldWords(field)}: </dt>
              <dd className="inline break-words">{short(value[field])}</dd>
            </div>
          ))}
        </dl>
      )}
      <button
        type="button"
        className="mt-2 min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
        onClick={onKeep}
      >
        {say('Keep this one')}
      </button>
    </div>
  )
}

function One({ conflict }: { conflict: RecordConflict }) {
  const settle = useOutbox((s) => s.resolveConflict)
  const mine = (valueOf(conflict.command) ?? null) as Plain | null
  const theirs = conflict.theirs as Plain | null
  const seen = conflict.seen?.[0]
  // Where one of them took it out, what the other one says is shown whole; else what both changed.
  const own = (f: string) => seen === undefined || changedFields(seen, mine!).includes(f)
  const fields =
    mine && theirs
      ? changedFields(theirs, mine).filter(own)
      : Object.keys({ ...mine, ...theirs }).filter((f) => !/id$/i.test(f))
  return (
    <div className="mt-2">
      <p>{say('Here: {{what}}. Both versions are kept until you choose.', { what: commandWords(conflict.command) })}</p>
      <div className="mt-1 grid gap-2 sm:grid-cols-2">
        <Version title={say('On this device')} fields={fields} value={mine} onKeep={() => settle(conflict, 'mine')} />
        <Version
          title={say('From the other device')}
          fields={fields}
          value={theirs}
          onKeep={() => settle(conflict, 'theirs')}
        />{' '}
        {/* prettier-ignore */}
      </div>
    </div>
  )
}

/** Records that two people changed in the same field: both are shown, and the person chooses. */
export function RecordConflicts() {
  const conflicts = useOutbox((s) => s.conflicts)
  const here = conflicts.filter((c): c is RecordConflict => !isOfStop(c))
  if (here.length === 0) return null
  return (
    <section
      className="no-print mx-2 mb-2 rounded-2xl border-2 border-harm px-4 py-3 min-[901px]:mx-8"
      aria-labelledby="changed-twice"
    >
      <h2 id="changed-twice" className="text-lg text-harm">
        {say('Changed on two devices')}
      </h2>
      {here.map((c) => (
        <One key={c.id ?? c.key} conflict={c} />
      ))}
    </section>
  )
}
