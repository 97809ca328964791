import { taxonName } from '@/text/taxonNames.ts'
import type { Frequency } from '@/core/methods/estimators/frequency.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { ShareChart } from '../../ui/charts/ShareChart.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

const MOST = 12

/** How often each plant is there at all. */
export function FrequencyPanel({ frequency, unit }: { frequency: Frequency[]; unit: string }) {
  const byId = useFlora((s) => s.byId)
  const [first] = frequency
  if (!first) return null
  const rows = frequency.slice(0, MOST).map((f) => ({
    id: f.taxon,
    name: `${taxonName(f.taxon, byId).replace(/ \(.*\)/, '')}${f.nestM ? `, ${f.nestM} m` : ''}`,
    group: groupOf(f.taxon, byId),
    harmful: byId.get(f.taxon)?.role === 'toxic',
    share: {
      estimate: f.estimate,
      interval: f.interval,
      se: undefined,
      designEffect: undefined,
      method: 'exact' as const,
    },
  }))
  const seedlings = frequency.filter((f) => f.plantsPerM2 !== undefined).slice(0, 3)
  return (
    <>
      <p className="mt-1 text-ink-soft">
        {say('{{what}} A frequency is not a share of the sward.', {
          what: first.nestM
            ? say(
                'Share of {{it}} frames that hold the plant; behind the name the nest it is read in, which later counts of this ground keep.',
                { it: first.of },
              )
            : say(
                'Share of {{it}} cells that hold the plant, with 95 % intervals that take the {{unit}} as the unit.',
                { it: first.of, unit },
              ),
        })}
      </p>
      <div className="mt-3">
        <ShareChart
          rows={rows}
          label={say('Frequencies: {{rows}}', {
            rows: rows
              .map((r) =>
                say('{{name}} {{estimate}} percent', { name: r.name, estimate: Math.round(r.share.estimate * 100) }),
              )
              .join(', '),
          })}
        />
      </div>
      {seedlings.length > 0 ? (
        <p className="mt-2 text-ink-soft">
          {say(
            'If the cells are 15 by 15 cm and these are seedlings: {{seedlings}} (at the least frequency × 0.4, Vogel and Masters 2001, from memory; in brackets were they scattered at random).',
            {
              seedlings: seedlings
                .map((f) =>
                  say('{{taxonName}} at the least {{plantsPerM}} a m²{{atRandom}}', {
                    atRandom: f.plantsAtRandom === undefined ? '' : ` (${fixed(f.plantsAtRandom, 0)})`,
                    taxonName: taxonName(f.taxon, byId),
                    plantsPerM: fixed(f.plantsPerM2!, 0),
                  }),
                )
                .join(', '),
            },
          )}
        </p>
      ) : null}
    </>
  )
}
