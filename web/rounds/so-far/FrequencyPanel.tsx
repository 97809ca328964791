import type { Frequency } from '@/core/survey/frequency.ts'
import { groupOf, taxonName } from '@/core/survey/taxon.ts'
import { ShareChart } from '../../parts/ShareChart.tsx'
import { useFlora } from '../../stores/floraStore.ts'

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
        {first.nestM
          ? `Share of ${first.of} frames that hold the plant; behind the name the nest it is read in.`
          : `Share of ${first.of} cells that hold the plant, with 95 % intervals that take the ${unit} as the unit.`}{' '}
        A frequency is not a share of the sward.
      </p>
      <div className="mt-3">
        <ShareChart
          rows={rows}
          label={`Frequencies: ${rows.map((r) => `${r.name} ${Math.round(r.share.estimate * 100)} percent`).join(', ')}`}
        />
      </div>
      {seedlings.length > 0 ? (
        <p className="mt-2 text-ink-soft">
          If the cells are 15 by 15 cm and these are seedlings:{' '}
          {seedlings.map((f) => `${taxonName(f.taxon, byId)} about ${f.plantsPerM2!.toFixed(0)} a m²`).join(', ')}{' '}
          (frequency × 0.4, Vogel and Masters 2001, from memory).
        </p>
      ) : null}
    </>
  )
}
