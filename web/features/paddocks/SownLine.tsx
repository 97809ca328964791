import { type EventKind, type SownPart } from '@/core/records/paddockEvent.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { forField, inUnits, typedIn, unitOf } from '../../parts/units.ts'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

export const amountWords: Record<Exclude<EventKind, 'sown'>, string> = {
  get cut() {
    return say('Cutting height, what was taken')
  },
  get grazed() {
    return say('Animals and days')
  },
  get fertilised() {
    return say('What and how much')
  },
  get treated() {
    return say('Product, dose, who applied it')
  },
  get other() {
    return say('How much')
  },
}

export function SownLine({
  part,
  onChange,
  onRemove,
}: {
  part: SownPart
  onChange: (p: SownPart) => void
  onRemove: () => void
}) {
  const name = useFlora((s) => s.byId.get(part.plant)?.commonName ?? part.plant)
  const number = (label: string, value: number, set: (n: number) => void, max: number, unit: string) => (
    <label className="flex items-center gap-1.5">
      <input
        type="number"
        aria-label={`${name}: ${label}`}
        value={value}
        min={0}
        max={max}
        step="any"
        onChange={(e) => set(Number(e.target.value))}
        className="min-h-11 w-20 rounded-xl border border-rule bg-sheet px-2"
      />
      {unit}
    </label>
  )
  return (
    <li className="flex flex-wrap items-center gap-2 border-b border-rule/60 py-1">
      <span className="grow">{name}</span>
      {number(
        unitOf('perArea') === 'kg/ha' ? say('kilograms a hectare') : say('pounds an acre'),
        forField('perArea', part.kgPerHa),
        (rate) => onChange({ ...part, kgPerHa: typedIn('perArea', rate) }),
        1000,
        unitOf('perArea'),
      )}
      {number(
        say('pure live seed'),
        Math.round(part.pls * 100),
        (p) => onChange({ ...part, pls: p / 100 }),
        100,
        say('% PLS'),
      )}
      <b className="w-24 text-right">
        {say('{{inUnits}} {{unitOf}} live', {
          inUnits: fixed(inUnits('perArea', part.kgPerHa * part.pls), 1),
          unitOf: unitOf('weight'),
        })}
      </b>
      <button
        type="button"
        aria-label={say('Take out {{name}}', { name })}
        className="min-h-11 min-w-11"
        onClick={onRemove}
      >
        ×
      </button>
    </li>
  )
}
