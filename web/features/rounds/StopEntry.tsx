import { metresBetween } from '@/core/geo/route.ts'
import { countingMethods } from '@/core/methods/index.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import { simulatedScale } from '../../instruments/weighing.ts'
import { stopAt, type CountAction, type CountState } from './countState.ts'
import { CellsEntry } from './entry/CellsEntry.tsx'
import { NumberField } from './entry/NumberField.tsx'
import { ReadingEntry } from './entry/ReadingEntry.tsx'
import { SearchEntry } from './entry/SearchEntry.tsx'
import type { ValueChoice } from './entry/valueChoices.ts'
import { ValuesEntry } from './entry/ValuesEntry.tsx'
import { say } from '../../language/say.ts'

interface Props {
  round: Round
  state: CountState
  stop: Stop
  choices: ValueChoice[]
  act: (action: CountAction) => void
}

/** What the hand does at this stop, by the school that the round follows. Points are taken with the keys alone. */
export function StopEntry({ round, state, stop, choices, act }: Props) {
  const { settings, method } = round
  const { entry, values, frameYield } = countingMethods[method]
  switch (entry) {
    case 'points':
      return null
    case 'values': {
      const weighed = values === 'grams'
      return (
        <>
          <ValuesEntry
            chosen={state.chosen}
            choices={choices}
            unit="g"
            given={stop.hits.find((h) => h.taxon === state.chosen)?.amount}
            onValue={(taxon, amount) => act({ kind: 'value', taxon, amount })}
            onCancel={() => act({ kind: 'choose', taxon: null })}
            {...(weighed
              ? {
                  onRead: () => simulatedScale.read({ heightCm: 2, frameM2: (settings.frameM2 ?? 0.25) / 4 }),
                  readLabel: say('Read the scale (simulated)'),
                }
              : {})}
          />
          {frameYield ? (
            <div className="mt-3">
              <NumberField
                key={stop.id}
                label={say('Yield of the frame, where it is taken (any unit, the same in all)')}
                unit=""
                max={100_000}
                value={stop.measures.frameYield}
                onChange={(n) => act({ kind: 'measure', patch: { frameYield: n } })}
              />
            </div>
          ) : null}
        </>
      )
    }
    case 'cells':
      return (
        <CellsEntry stop={stop} chosen={state.chosen} onCell={(taxon, part) => act({ kind: 'cell', taxon, part })} />
      )
    case 'reading':
      return (
        <ReadingEntry
          key={stop.id}
          method={method}
          settings={settings}
          stop={stop}
          onMeasure={(patch) => act({ kind: 'measure', patch })}
          onNext={() => act({ kind: 'next', at: new Date().toISOString() })}
        />
      )
    case 'search': {
      const before = stopAt(state, stop.seq - 1)
      return (
        <SearchEntry
          key={stop.id}
          stop={stop}
          plannedM={
            before?.position && stop.position ? Math.round(metresBetween(before.position, stop.position)) : undefined
          }
          settings={settings}
          onMeasure={(patch) => act({ kind: 'measure', patch })}
        />
      )
    }
  }
}
