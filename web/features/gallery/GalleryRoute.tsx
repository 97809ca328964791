import { useState, type ReactNode } from 'react'
import type { Share } from '@/core/survey/composition.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { Empty } from '../../ui/Empty.tsx'
import { MarksChart } from '../../ui/charts/MarksChart.tsx'
import { MonthStrip } from '../../ui/charts/MonthStrip.tsx'
import { ShareChart } from '../../ui/charts/ShareChart.tsx'
import { WeightedBars } from '../../ui/charts/WeightedBars.tsx'
import { PanelBoundary } from '../../ui/PanelBoundary.tsx'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { fixed } from '../../language/numbers.ts'
import { say } from '../../language/say.ts'

function Broken(): ReactNode {
  throw new Error(say('Broken on purpose'))
}

const long = Array.from({ length: 30 }, (_, i) => i)
const share = (estimate: number, spread: number): Share => ({
  estimate,
  interval: [Math.max(0, estimate - spread), Math.min(1, estimate + spread)],
  se: spread / 2,
  designEffect: 1,
  method: 'clustered',
})

/** A chart of thirty made rows, the names long: what a long list does to it. */
function LongChart() {
  const [chosen, choose] = useState('3')
  const rows = long.map((i) => ({
    id: String(i),
    name: say('A plant with a very long name, number {{i}}', { i: i + 1 }),
    group: 'forb' as const,
    harmful: i % 7 === 3,
    share: share(0.3 / (i + 1), 0.05),
  }))
  return <ShareChart rows={rows} label={say('Long list')} chosen={chosen} onChoose={choose} />
}

/** Every state that a screen can be in, and each part of a chart, to be looked at while it is worked on. */
const states: Record<string, { name: () => string; Shown: () => ReactNode }> = {
  empty: {
    name: () => say('Empty'),
    Shown: () => (
      <Empty to="/bench" act={say('Name one on the bench')}>
        {say('Nothing was counted yet.')}
      </Empty>
    ),
  },
  loading: {
    name: () => say('On its way'),
    Shown: () => <p className="mt-2 text-ink-soft">{say('Weighing it up …')}</p>,
  },
  unread: {
    name: () => say('Not read'),
    Shown: () => (
      <ReadProblem
        of={say('The plan')}
        problem={new Error(say('The server does not answer.'))}
        again={() => undefined}
      />
    ),
  },
  broken: {
    name: () => say('Broken'),
    Shown: () => (
      <PanelBoundary name={say('Made of')}>
        <Broken />
      </PanelBoundary>
    ),
  },
  long: { name: () => say('Long list'), Shown: LongChart },
  months: {
    name: () => say('Months'),
    Shown: () => (
      <MonthStrip
        label={say('Months')}
        day="2027-05-20"
        rows={[
          { id: 'a', name: say('Winter'), months: [10, 11, 0, 1], harmful: true },
          {
            id: 'b',
            name: say('Summer'),
            months: [4, 5, 6, 7],
            due: [{ id: 'b', day: '2027-07-01', says: say('Look again') }],
          },
        ]}
      />
    ),
  },
  marks: {
    name: () => say('Marks'),
    Shown: () => (
      <MarksChart
        label={say('Marks')}
        words={(s) => `${Math.round(100 * s)} %`}
        rows={[0.02, 0.1, 0.4].map((estimate, i) => ({
          id: String(i),
          name: say('Marks'),
          figure: `${fixed(100 * estimate, 0)} %`,
          ...share(estimate, 0.06),
          mark: 0.15,
          below: i === 0,
          speaks: i !== 1,
          says: '',
        }))}
      />
    ),
  },
  bars: {
    name: () => say('Weighted bars'),
    Shown: () => (
      <WeightedBars
        label={say('Weighted bars')}
        unit="%"
        middle={14}
        bars={[
          { id: 'a', name: say('Legume'), group: 'legume', weight: 0.3, value: 22, range: [19, 26] },
          { id: 'b', name: say('Grass'), group: 'cool-grass', weight: 0.68, value: 11, range: [8, 15] },
          { id: 'c', name: say('Herb'), group: 'forb', weight: 0.02, value: 9, range: [6, 13] },
        ]}
      />
    ),
  },
}

/** For whoever works on the screens: states that are hard to come by otherwise. Nothing leads here. */
export function Component() {
  const [now, choose] = useState('empty')
  const { Shown, name } = states[now]!
  return (
    <TwoPane
      names={{ left: say('States'), right: name() }}
      tip={undefined}
      nodes={[]}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('States of a screen')}</h1>
          <ul className="mt-2">
            {Object.entries(states).map(([id, s]) => (
              <li key={id}>
                <button
                  type="button"
                  aria-pressed={id === now}
                  onClick={() => choose(id)}
                  className={`min-h-12 w-full border-b border-rule px-2 text-left ${id === now ? 'bg-lit font-bold' : 'hover:bg-culm/8'}`}
                >
                  {s.name()}
                </button>
              </li>
            ))}
          </ul>
        </>
      }
      right={<Shown key={now} />}
    />
  )
}
