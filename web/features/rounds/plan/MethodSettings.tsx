import { Fragment, type ReactNode } from 'react'
import type { Method } from '@/core/records/method.ts'
import type { RoundSettings } from '@/core/records/measures.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { fewSpeciesConventions, type FewSpecies } from '@/core/methods/estimators/dryWeightRank.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { SettingAsked } from '@/core/methods/method.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { say } from '../../../language/say.ts'

interface Props {
  method: Method
  settings: RoundSettings
  harmful: Plant[]
  onChange: (settings: RoundSettings) => void
}

const fewWords: Record<FewSpecies, string> = {
  get 'first-takes-third'() {
    return say('of two plants the first takes rank 3 too')
  },
  get 'first-takes-second'() {
    return say('of two plants the first takes rank 2 too')
  },
  get scaled() {
    return say('of two plants the shares are scaled to 1')
  },
  get 'left-out'() {
    return say('missing ranks are left out')
  },
}

interface ChoiceProps<T> {
  label: string
  value: T
  options: [T, string][]
  onChange: (value: T) => void
}

function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  return (
    <Labelled label={label}>
      {(id) => (
        <select id={id} value={value} onChange={(e) => onChange(e.target.value as T)} className={inputClass}>
          {options.map(([n, words]) => (
            <option key={n} value={n}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  )
}

const NumberChoice = ({ value, options, onChange, label }: ChoiceProps<number>) => (
  <Choice
    label={label}
    value={String(value)}
    options={options.map(([n, words]) => [String(n), words])}
    onChange={(n) => onChange(Number(n))}
  />
)

interface FieldProps extends Omit<Props, 'method'> {
  set: (patch: RoundSettings) => void
}

/** How each setting that a method may ask for is chosen. */
const fields: Record<SettingAsked, (props: FieldProps) => ReactNode> = {
  frame: ({ settings, set }) => (
    <NumberChoice
      label={say('Frame')}
      value={settings.frameM2 ?? 0.25}
      options={[
        [0.0625, '25 by 25 cm'],
        [0.1, '20 by 50 cm'],
        [0.25, '50 by 50 cm'],
        [1, '1 by 1 m'],
      ]}
      onChange={(frameM2) => set({ frameM2 })}
    />
  ),
  scale: ({ settings, set }) => (
    <Choice
      label={say('Scale')}
      value={settings.scale ?? 'six-class'}
      options={[
        ['six-class', say('Six classes (Daubenmire)')],
        ['braun-blanquet', say('r + 1 to 5 (Braun-Blanquet)')],
      ]}
      onChange={(scale) => set({ scale })}
    />
  ),
  few: ({ settings, set }) => (
    <Choice
      label={say('Fewer than three plants in a frame')}
      value={settings.few ?? 'first-takes-third'}
      options={fewSpeciesConventions.map((f) => [f, fewWords[f]])}
      onChange={(few) => set({ few })}
    />
  ),
  'dry-share': ({ settings, onChange }) => (
    <NumberChoice
      label={say('Dry matter in what is cut')}
      value={settings.dryShare ?? 0}
      options={[
        [0, say('not known: dry a sample')],
        ...([15, 18, 20, 22, 25, 30, 40] as const).map((p): [number, string] => [p / 100, `${p} %`]),
      ]}
      onChange={(n) => onChange(n > 0 ? { ...settings, dryShare: n } : without(settings, 'dryShare'))}
    />
  ),
  target: ({ settings, set, harmful }) => (
    <Choice
      label={say('Plant looked for')}
      value={settings.targets?.[0] ?? ''}
      options={[['', say('any harmful one')], ...harmful.map((p): [string, string] => [p.id, p.commonName])]}
      onChange={(target) => set({ targets: target ? [target] : [] })}
    />
  ),
  strip: ({ settings, set }) => (
    <NumberChoice
      label={say('Width of the strip')}
      value={settings.stripWidthM ?? 4}
      options={[1, 2, 3, 4, 6, 8].map((m): [number, string] => [m, `${m} m`])}
      onChange={(stripWidthM) => set({ stripWidthM })}
    />
  ),
  flags: ({ settings, set }) => (
    <NumberChoice
      label={say('Of twenty flags planted for a trial you saw')}
      value={settings.flagsSeen ?? 0}
      options={[[0, say('no trial made')], ...[20, 19, 18, 17, 16, 15, 14, 13, 12, 11, 10, 8, 6, 4, 2].map((n): [number, string] => [n, String(n)])]} // prettier-ignore
      onChange={(flagsSeen) => set(flagsSeen > 0 ? { flagsPlanted: 20, flagsSeen } : { flagsPlanted: 0, flagsSeen: 0 })}
    />
  ),
  'seen-share': ({ settings, set }) => (
    <NumberChoice
      label={say('Of the plants in it you would see')}
      value={settings.seenShare ?? 0.8}
      options={[
        [1, say('every one')],
        [0.9, say('9 in 10')],
        [0.8, say('8 in 10')],
        [0.5, say('half')],
        [0.3, say('3 in 10')],
      ]}
      onChange={(seenShare) => set({ seenShare })}
    />
  ),
}

/** What a method asks for beyond stops: the frame, the scale, the strip. */
export function MethodSettings({ method, ...props }: Props) {
  const set = (patch: RoundSettings) => props.onChange({ ...props.settings, ...patch })
  return countingMethods[method].asks.map((asked) => (
    <Fragment key={asked}>{fields[asked]({ ...props, set })}</Fragment>
  ))
}

function without(settings: RoundSettings, key: keyof RoundSettings): RoundSettings {
  const rest = { ...settings }
  delete rest[key]
  return rest
}
