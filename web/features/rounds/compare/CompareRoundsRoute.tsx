import { typedText } from '../../../parts/typedText.ts'
import { methodWords } from '@/text/methodWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { inSentence } from '@/text/say.ts'
import { useMemo } from 'react'
import { useLoaderData, useNavigate, type LoaderFunctionArgs } from 'react-router'
import type { Plant } from '@/core/flora/flora.ts'
import type { Round, RoundSummary } from '@/core/records/round.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { sideBySide } from '@/core/survey/sideBySide.ts'
import { nestsFixedBy } from '@/core/methods/estimators/frequency.ts'
import { relationWords } from '@/text/relationWords.ts'
import { relationOf } from '@/core/survey/relations.ts'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { TwoPane } from '../../../parts/TwoPane.tsx'
import { ShareChart } from '../../../ui/charts/ShareChart.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { useOutbox } from '../../../stores/outboxStore.ts'
import { readRound, readRounds } from '../../../data/readRound.ts'
import type { PlannedRound } from '@/contract/commands.ts'
import { FrequencyPanel } from '../../../entities/round/FrequencyPanel.tsx'
import { MassPanel } from '../../../entities/round/MassPanel.tsx'
import { SearchPanel } from '../../../entities/round/SearchPanel.tsx'
import { PairChart } from './PairChart.tsx'
import { Observers } from './Observers.tsx'
import { say } from '../../../language/say.ts'
import { dayWords } from '../../../language/dates.ts'

interface Loaded {
  round: Round
  other: Round | null
  others: RoundSummary[]
}

export async function loader({ params, request }: LoaderFunctionArgs): Promise<Loaded> {
  const round = await readRound(params.id!)
  const others = (await readRounds()).filter((r) => r.paddockId === round.paddockId && r.id !== round.id)
  const pair = others.find((r) => r.settings.secondOf === round.id || round.settings.secondOf === r.id)
  const wanted = new URL(request.url).searchParams.get('with') ?? pair?.id ?? others.find((r) => r.stopsDone > 0)?.id
  return { round, others, other: wanted ? await readRound(wanted) : null }
}

const inNestsOf = (earlier: Round, round: Round, byId: Map<string, Plant>): Round => ({
  ...round,
  settings: {
    ...round.settings,
    nestOf: nestsFixedBy(figuresOf(earlier, byId).frequency, earlier.settings.nestOf),
  },
})

/** What one round says, by its own method. @param after the earlier of the two */
function Said({ round, after, charted }: { round: Round; after: Round; charted: boolean }) {
  const byId = useFlora((s) => s.byId)
  // Both are read in the nests of the earlier one: nests that follow each count would hide a change, or make one.
  const read = after === round ? round : inNestsOf(after, round, byId)
  const { composition, frequency, mass, search } = figuresOf(read, byId)
  const words = methodWords(round.method)
  const rows = (composition?.taxa ?? []).slice(0, 8).map((t) => ({
    id: t.taxon,
    name: taxonName(t.taxon, byId).replace(/ \(.*\)/, ''),
    group: t.group,
    harmful: byId.get(t.taxon)?.role === 'toxic',
    share: t,
  }))
  return (
    <>
      <h2 className="text-[1.65rem]">{words.name}</h2>
      <p className="text-ink-soft">
        {round.title}, {dayWords(round.plannedOn)}
        {round.settings.observer ? `, ${round.settings.observer}` : ''}: {words.says}
      </p>
      {rows.length > 0 && !charted ? null : rows.length > 0 ? (
        <ShareChart rows={rows} label={say('Shares by {{name}}', { name: words.name })} />
      ) : frequency.length + search.length === 0 && !mass ? (
        <p>{say('Nothing counted yet.')}</p>
      ) : null}
      <FrequencyPanel frequency={frequency} unit={words.unitName} />
      {mass ? <MassPanel mass={mass} method={round.method} /> : null}
      <SearchPanel search={search} />
    </>
  )
}

/** A second round over the same stops, for another observer. */
function secondOf(round: Round, observer: string): PlannedRound {
  return {
    id: crypto.randomUUID(),
    paddockId: round.paddockId,
    title: say('{{title}}, second observer', { title: round.title }),
    purpose: round.purpose,
    plannedOn: round.plannedOn,
    pointsPerStop: round.pointsPerStop,
    method: round.method,
    settings: { ...round.settings, secondOf: round.id, observer },
    route: round.route ?? { line: [], lengthM: 0 },
    laid: round.stops.flatMap((s) =>
      s.position ? [{ id: crypto.randomUUID(), seq: s.seq, position: s.position, stratum: s.stratum }] : [],
    ),
  }
}

const titleOf = (round: Round) => `${round.title}, ${dayWords(round.plannedOn)}`

/** Two rounds of one paddock side by side. Their data are never put together. */
export function Component() {
  const { round, other, others } = useLoaderData<typeof loader>()
  const navigate = useNavigate()
  const post = useOutbox((s) => s.post)
  const pair = other && (other.settings.secondOf === round.id || round.settings.secondOf === other.id)
  const [first, second] = other && round.settings.secondOf === other.id ? [other, round] : [round, other]
  const byId = useFlora((s) => s.byId)
  // What changed is read from the earlier to the later, whichever was opened.
  const [earlier, later] = second && second.plannedOn < first.plannedOn ? [second, first] : [first, second]
  const beside = useMemo(() => (later ? sideBySide(earlier, later, byId) : undefined), [earlier, later, byId])
  const countAgain = (observer: string) => {
    const plan = secondOf(round, observer)
    post({ do: 'plan-round', round: plan })
    void navigate(`/rounds/${plan.id}`)
  }
  const left = (
    <>
      <p className="text-ink-soft">
        {round.paddock.name}, {round.holding}
      </p>
      <h1 className="text-[1.65rem]">{say('Side by side')}</h1>
      <Labelled label={say('Beside it')}>
        {(id) => (
          <select
            id={id}
            value={other?.id ?? ''}
            onChange={(e) =>
              void navigate(`/rounds/${round.id}/beside?with=${e.target.value}`, { preventScrollReset: true })
            }
            className={inputClass}
          >
            {others.length === 0 ? <option value="">{say('no other round of this paddock yet')}</option> : null}
            {others.map((o) => (
              <option key={o.id} value={o.id}>
                {o.title}, {inSentence(methodWords(o.method).name)}, {dayWords(o.plannedOn)}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      {other ? (
        <p className="mt-3 rounded-xl border border-rule px-4 py-2">
          {say('{{what}} The two are never put together into one figure.', {
            what: pair
              ? say('Two observers at the same stops.')
              : relationWords(relationOf(round.method, other.method)),
          })}
        </p>
      ) : null}
      <form
        className="mt-5 flex flex-wrap items-end gap-2 border-t border-rule pt-3"
        onSubmit={(e) => {
          e.preventDefault()
          countAgain(typedText(new FormData(e.currentTarget), 'observer'))
        }}
      >
        <Labelled label={say('Another observer counts the same stops')}>
          {(id) => (
            <input id={id} name="observer" required maxLength={200} placeholder={say('Name')} className={inputClass} />
          )}
        </Labelled>
        <button type="submit" className="min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm">
          {say('Lay the same stops again')}
        </button>
      </form>
      <div className="mt-5">
        <Said round={first} after={earlier} charted={beside === undefined} />
      </div>
    </>
  )
  return (
    <TwoPane
      names={{ left: say('This round'), right: say('Beside it') }}
      left={left}
      right={
        second ? (
          <>
            {beside ? (
              <section aria-labelledby="both" className="mb-5">
                <h2 id="both" className="text-[1.65rem]">
                  {say('Both on one line')}
                </h2>
                <PairChart beside={beside} names={[titleOf(earlier), titleOf(later!)]} />
              </section>
            ) : null}
            <Said round={second} after={earlier} charted={beside === undefined} />
            {pair ? (
              <section className="mt-5" aria-labelledby="observers">
                <h2 id="observers" className="text-[1.65rem]">
                  {say('Two observers')}
                </h2>
                <Observers first={first} second={second} />
              </section>
            ) : null}
          </>
        ) : (
          <p>
            {say(
              'Plan a second round in this paddock, by another method or with another observer, to hold the two side by side.',
            )}
          </p>
        )
      }
      tip={{ label: say('Plan another round here'), to: `/plan?paddock=${round.paddockId}` }}
      nodes={[]}
      first="right"
      chapters={[
        {
          id: 'results',
          label: say('Results'),
          detail: round.title,
          to: `/rounds/${round.id}/weigh-up`,
          current: false,
        },
        { id: 'changed', label: say('Changed'), to: `/rounds/${round.id}/beside`, current: true },
      ]}
    />
  )
}
