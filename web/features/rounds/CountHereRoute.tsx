import { useState } from 'react'
import { useLoaderData, useNavigate } from 'react-router'
import type { Method } from '@/core/records/method.ts'
import type { Holding, Paddock } from '@/core/records/round.ts'
import { countingMethods } from '@/core/methods/index.ts'
import { methodWords } from '@/text/methodWords.ts'
import type { Command } from '@/contract/commands.ts'
import { readPlaces } from '../../data/readPlaces.ts'
import { momentWords, today } from '../../language/dates.ts'
import { Empty } from '../../ui/Empty.tsx'
import { say } from '../../language/say.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { homeRegion } from '../../stores/namePlaceStore.ts'
import { useOutbox } from '../../stores/outboxStore.ts'

interface Loaded {
  holdings: Holding[]
  paddocks: Paddock[]
}

export const loader = (): Promise<Loaded> => readPlaces()

/** Methods that need no route laid beforehand, the quickest first. */
const OFFERED: readonly Method[] = ['step-points', 'search-walk', 'cover-classes', 'dry-weight-rank', 'picture-frame', 'pin-frame', 'ruler-height'] // prettier-ignore

/** A holding and a paddock without a name, for what is counted before anybody said where; both are named later. */
function unnamedPlace({ holdings, paddocks }: Loaded): { commands: Command[]; paddock: Paddock } {
  const known = holdings.find((h) => h.name === say('Not named yet'))
  const holding = known ?? { id: crypto.randomUUID(), name: say('Not named yet'), client: '' }
  const name = say('Here, {{moment}}', { moment: momentWords(new Date().toISOString()) })
  const paddock: Paddock = {
    ...{ id: crypto.randomUUID(), holdingId: holding.id, name, boundary: null, outlook: 'grazing' },
    region: paddocks[0]?.region ?? homeRegion(),
    ...{ sown: [], strata: [], note: '' },
  }
  const first: Command[] = known ? [] : [{ do: 'add-holding', holding }]
  return { commands: [...first, { do: 'add-paddock', paddock }], paddock }
}

/** A count begun where one stands: a method is touched, and the first stop is open. */
export function Component() {
  const places = useLoaderData<typeof loader>()
  const [paddockId, setPaddockId] = useState('')
  const navigate = useNavigate()
  const post = useOutbox((s) => s.post)
  const begin = (method: Method) => {
    const { commands, paddock } = paddockId === '' ? unnamedPlace(places) : { commands: [], paddock: places.paddocks.find((p) => p.id === paddockId)! } // prettier-ignore
    const { points, entry, defaults } = countingMethods[method]
    const id = crypto.randomUUID()
    for (const command of commands) post(command)
    post({
      do: 'plan-round',
      round: {
        ...{ id, paddockId: paddock.id, title: say('Counted on the way'), purpose: '', plannedOn: today() },
        ...{ pointsPerStop: entry === 'points' ? points : 1, method },
        settings: { ...defaults, asWalked: true },
        route: { line: [], lengthM: 0 },
        laid: [{ id: crypto.randomUUID(), seq: 1, stratum: '' }],
      },
    })
    void navigate(`/rounds/${id}`)
  }
  return (
    <TwoPane
      names={{ left: say('Count here'), right: say('What comes of it') }}
      left={
        <>
          <h1 className="text-[1.65rem]">{say('Count here')}</h1>
          <p className="mt-1">{say('Touch a way of counting: the first stop opens.')}</p>
          <div className="mt-3 grid gap-2">
            {OFFERED.map((m) => (
              <button
                key={m}
                type="button"
                onClick={() => begin(m)}
                className="min-h-14 rounded-xl border-2 border-culm px-4 py-2 text-left"
              >
                <b className="block">{methodWords(m).name}</b>
                <span className="text-ink-soft">{methodWords(m).says}</span>
              </button>
            ))}
          </div>
          {places.paddocks.length > 0 ? (
            <div className="mt-4">
              <Labelled label={say('Where')}>
                {(id) => (
                  <select
                    id={id}
                    value={paddockId}
                    onChange={(e) => setPaddockId(e.target.value)}
                    className={inputClass}
                  >
                    <option value="">{say('a place that is named later')}</option>
                    {places.paddocks.map((p) => (
                      <option key={p.id} value={p.id}>
                        {p.name}, {places.holdings.find((h) => h.id === p.holdingId)?.name}
                      </option>
                    ))}
                  </select>
                )}
              </Labelled>
            </div>
          ) : null}
        </>
      }
      right={
        <>
          <h2 className="text-[1.65rem]">{say('What comes of it')}</h2>
          <p className="mt-2">
            {say(
              'Stops are made as you walk: with a position where the device may tell it, else in their order. Take a fixed number of paces from one to the next and look up only when you stop, so that no nice spot is picked.',
            )}
          </p>
          <p className="mt-2">
            {say('The paddock can be named, drawn or walked round later; the stops stay where they were counted.')}
          </p>
          <p className="mt-2">
            {say('Nobody drew these stops beforehand: the figures speak for where you walked, and say so.')}
          </p>
          <Empty>{say('The stops of this walk will stand here.')}</Empty>
        </>
      }
      tip={{ label: say('Plan a round instead'), to: '/plan' }}
      nodes={[]}
    />
  )
}
