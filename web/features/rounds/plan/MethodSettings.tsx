import type { Method } from '@/core/records/method.ts'
import type { RoundSettings } from '@/core/records/measures.ts'
import type { Plant } from '@/core/flora/flora.ts'
import { fewSpeciesConventions, type FewSpecies } from '@/core/survey/dryWeightRank.ts'
import { methodInfo, READING } from '@/core/survey/methods.ts'
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

function NumberChoice({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: number
  options: [number, string][]
  onChange: (n: number) => void
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <select id={id} value={value} onChange={(e) => onChange(Number(e.target.value))} className={inputClass}>
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

/** What a school asks for beyond stops: the frame, the scale, the strip. */
export function MethodSettings({ method, settings, harmful, onChange }: Props) {
  const set = (patch: RoundSettings) => onChange({ ...settings, ...patch })
  const framed = methodInfo[method].unit === 'frame' || READING[method] !== undefined
  return (
    <>
      {framed ? (
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
      ) : null}
      {method === 'cover-classes' ? (
        <Labelled label={say('Scale')}>
          {(id) => (
            <select
              id={id}
              value={settings.scale ?? 'six-class'}
              onChange={(e) => set({ scale: e.target.value as 'six-class' | 'braun-blanquet' })}
              className={inputClass}
            >
              <option value="six-class">{say('Six classes (Daubenmire)')}</option>
              <option value="braun-blanquet">{say('r + 1 to 5 (Braun-Blanquet)')}</option>
            </select>
          )}
        </Labelled>
      ) : null}
      {method === 'dry-weight-rank' ? (
        <Labelled label={say('Fewer than three plants in a frame')}>
          {(id) => (
            <select
              id={id}
              value={settings.few ?? 'first-takes-third'}
              onChange={(e) => set({ few: e.target.value as FewSpecies })}
              className={inputClass}
            >
              {fewSpeciesConventions.map((f) => (
                <option key={f} value={f}>
                  {fewWords[f]}
                </option>
              ))}
            </select>
          )}
        </Labelled>
      ) : null}
      {framed && ['clips', 'comparative-yield', 'plate-meter', 'ruler-height'].includes(method) ? (
        <NumberChoice
          label={say('Dry matter in what is cut')}
          value={settings.dryShare ?? 0}
          options={[
            [0, say('not known: dry a sample')],
            ...([15, 18, 20, 22, 25, 30, 40] as const).map((p): [number, string] => [p / 100, `${p} %`]),
          ]}
          onChange={(n) => onChange(n > 0 ? { ...settings, dryShare: n } : without(settings, 'dryShare'))}
        />
      ) : null}
      {method === 'search-walk' ? (
        <>
          <Labelled label={say('Plant looked for')}>
            {(id) => (
              <select
                id={id}
                value={settings.targets?.[0] ?? ''}
                onChange={(e) => set({ targets: e.target.value ? [e.target.value] : [] })}
                className={inputClass}
              >
                <option value="">{say('any harmful one')}</option>
                {harmful.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.commonName}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
          <NumberChoice
            label={say('Width of the strip')}
            value={settings.stripWidthM ?? 4}
            options={[1, 2, 3, 4, 6, 8].map((m): [number, string] => [m, `${m} m`])}
            onChange={(stripWidthM) => set({ stripWidthM })}
          />
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
        </>
      ) : null}
    </>
  )
}

function without(settings: RoundSettings, key: keyof RoundSettings): RoundSettings {
  const rest = { ...settings }
  delete rest[key]
  return rest
}
