import { useMemo } from 'react'
import { pastureCondition } from '@/core/assess/grazing/condition.ts'
import { paddocksFor, restOf, wantedOnEntry } from '@/core/assess/grazing/sward.ts'
import { dailyNeeds } from '@/core/assess/feed/needs.ts'
import { askedConditions } from '@/core/records/management.ts'
import type { Round } from '@/core/records/round.ts'
import { BARE, LITTER } from '@/core/records/taxon.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { conditionEnds, conditionPartWords } from '@/text/grazingWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { inSentence } from '@/text/say.ts'
import { useWanted } from '../../../entities/round/useWanted.ts'
import { useManagement } from '../../../entities/round/herd.ts'
import { useGrazing } from '../../../entities/round/useGrazing.ts'
import { areaWords, heightWords, massFigure, unitOf } from '../../../parts/units.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { atMost } from '../../../language/numbers.ts'
import { say } from '../../../language/say.ts'
import { Say } from '../../../language/Say.tsx'
import { NumberInput } from '../../../parts/NumberInput.tsx'

const USUAL_STAY = 4

/** What the condition of the pasture is scored from, of what was counted. */
function useCondition(round: Round, made: Composition, animal: 'cattle' | 'sheep' | 'goats' | 'horses') {
  const byId = useFlora((s) => s.byId)
  const { data: management } = useManagement(round.paddockId)
  const answers = management?.condition
  const { desirable, share } = useWanted(round, animal)
  return useMemo(() => {
    const noted = round.stops.flatMap((s) => s.measures.grazed ?? [])
    return pastureCondition(
      {
        desirable,
        legume: share((t) => byId.get(t)?.form === 'legume'),
        cover: share((t) => t !== BARE && t !== LITTER),
        litter: share((t) => t === LITTER),
        groups: made.byGroup.filter((g) => g.group !== 'ground' && g.group !== 'unknown').map((g) => g.estimate),
        hard: noted.length > 0 ? noted.filter((g) => g === 'hard').length / noted.length : undefined,
      },
      answers ?? {},
    )
  }, [round, made, byId, desirable, share, answers])
}

function Scores({
  round,
  made,
  animal,
}: {
  round: Round
  made: Composition
  animal: 'cattle' | 'sheep' | 'goats' | 'horses'
}) {
  const condition = useCondition(round, made, animal)
  return (
    <>
      <h3 className="mt-3 text-lg">{say('Condition of the pasture')}</h3>
      <p>
        <Say
          text="<b>{{sum}} of {{of}}</b> ({{low}} to {{high}} by the counts); first to be seen to: {{weakest}}."
          values={{
            sum: condition.sum,
            of: condition.of,
            low: condition.low,
            high: condition.high,
            weakest: inSentence(conditionPartWords(condition.weakest)),
          }}
          components={{ b: <b /> }}
        />
      </p>
      <ul className="mt-1 grid gap-x-4 @md:grid-cols-2">
        {condition.parts.map((p) => (
          <li key={p.part} className="flex items-center justify-between gap-2 border-b border-rule/60 py-1">
            <span>{conditionPartWords(p.part)}</span>
            <span className="flex items-center gap-1" aria-label={say('{{score}} of 5', { score: p.score })} role="img">
              {[1, 2, 3, 4, 5].map((n) => (
                <i key={n} className={`size-3.5 rounded-full border border-culm ${n <= p.score ? 'bg-culm' : ''}`} />
              ))}
            </span>
          </li>
        ))}
      </ul>
      <p className="text-ink-soft">{say('Marks of extension services, from memory.')}</p>
    </>
  )
}

/** What no count tells of a pasture, scored by somebody who looks at it. */
export function ConditionAsked({ paddockId }: { paddockId: string }) {
  const { data: management, change, problem } = useManagement(paddockId)
  return (
    <fieldset disabled={problem !== undefined} className="mt-2 grid gap-3 @md:grid-cols-2">
      {askedConditions.map((part) => {
        const [poor, good] = conditionEnds(part)
        return (
          <label key={part} className="block">
            {conditionPartWords(part)}
            <span className="block text-sm text-ink-soft">{say('1: {{poor}}; 5: {{good}}', { poor, good })}</span>
            <select
              value={management?.condition?.[part] ?? ''}
              onChange={(e) => {
                const others = Object.entries(management?.condition ?? {}).filter(([p]) => p !== part)
                const now = e.target.value === '' ? [] : [[part, Number(e.target.value)]]
                change({ condition: Object.fromEntries([...others, ...now]) })
              }}
              className="mt-1 min-h-12 w-full rounded-xl border border-rule bg-sheet px-3"
            >
              <option value="">{say('not looked at')}</option>
              {[1, 2, 3, 4, 5].map((n) => (
                <option key={n} value={n}>
                  {n}
                </option>
              ))}
            </select>
          </label>
        )
      })}
    </fieldset>
  )
}

/** Rest, heights, paddocks and what must stand when stock come in; and the condition of the pasture. */
export function MovesPanel({ round, made }: { round: Round; made: Composition }) {
  const byId = useFlora((s) => s.byId)
  const { plan, animal, hectares, management } = useGrazing(round, made)
  const { change, problem } = useManagement(round.paddockId)
  const living = made.taxa.filter((t) => t.group !== 'ground')
  const rest = restOf(living, byId)
  const stay = management.stayDays ?? USUAL_STAY
  const ground = management.groundHa ?? hectares
  const eats = dailyNeeds(animal).eatsKg * plan.count
  return (
    <section className="mt-6" aria-labelledby="moves">
      <h2 id="moves" className="text-xl">
        {say('Rest and moves')}
      </h2>
      {rest ? (
        <>
          <ul>
            <li className="border-b border-rule/60 py-1">
              <Say
                text="<b>Rest</b> {{low}} to {{high}} days in full growth; longest for {{slowest}}.{{leaves}}"
                values={{
                  low: Math.round(rest.days[0]),
                  high: Math.round(rest.days[1]),
                  slowest: inSentence(taxonName(rest.slowest, byId)),
                  leaves: rest.leaves
                    ? say(' Ready when a tiller of {{of}} has {{low}} to {{high}} new leaves.', {
                        of: inSentence(taxonName(rest.leaves.of, byId)),
                        low: rest.leaves.count[0],
                        high: rest.leaves.count[1],
                      })
                    : '',
                }}
                components={{ b: <b /> }}
              />
            </li>
            <li className="border-b border-rule/60 py-1">
              <Say
                text="<b>In</b> at {{inLow}} to {{inHigh}}, <b>out</b> at {{outLow}} to {{outHigh}}."
                values={{
                  inLow: atMost(rest.inCm[0], 0),
                  inHigh: heightWords(rest.inCm[1]),
                  outLow: atMost(rest.outCm[0], 0),
                  outHigh: heightWords(rest.outCm[1]),
                }}
                components={{ b: <b /> }}
              />
            </li>
            <li className="border-b border-rule/60 py-1">
              <Say
                text="<b>Paddocks</b> for a stay of {{stay}} days: {{few}} to {{many}}.{{wedge}}"
                values={{
                  stay,
                  few: paddocksFor(rest.days[0], stay),
                  many: paddocksFor(rest.days[1], stay),
                  wedge: ground
                    ? say(' On {{area}} in all {{mass}} must stand when the stock come in.', {
                        area: areaWords(ground),
                        mass: `${massFigure(wantedOnEntry(eats, (rest.days[0] + rest.days[1]) / 2, ground, plan.residualKgPerHa))} ${unitOf('perArea')}`,
                      })
                    : '',
                }}
                components={{ b: <b /> }}
              />
            </li>
          </ul>
          <fieldset disabled={problem !== undefined} className="mt-2 max-w-xs">
            <NumberInput
              label={say('Days they stay')}
              value={stay}
              min={0.5}
              max={365}
              onChange={(stayDays) => change({ stayDays })}
            />
          </fieldset>
          <p className="mt-1 text-ink-soft">
            {say(
              'By what the plants with figures need, {{known}} in 100 of the sward: Fulkerson & Donaghy 2001, Voisin, common practice; from memory. In slow growth rest is longer.',
              { known: Math.round(100 * rest.known) },
            )}
          </p>
        </>
      ) : (
        <p className="mt-1">{say('No plant here has figures of rest on file.')}</p>
      )}
      <Scores round={round} made={made} animal={animal.kind} />
    </section>
  )
}
