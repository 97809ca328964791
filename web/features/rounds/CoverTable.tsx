import { taxonName } from '@/text/taxonNames.ts'
import type { Round } from '@/core/records/round.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { say } from '../../language/say.ts'

/** A round of cover plots as it was recorded: darker where a species covers more. */
export function CoverTable({ round }: { round: Round }) {
  const byId = useFlora((s) => s.byId)
  const taxa = [...new Set(round.stops.flatMap((s) => s.hits.map((h) => h.taxon)))].sort()
  const value = (seq: number, taxon: string) =>
    round.stops.find((s) => s.seq === seq)?.hits.find((h) => h.taxon === taxon)?.amount
  return (
    <div>
      <h1 className="text-[1.65rem]">{round.title}</h1>
      <p className="mt-1 text-ink-soft">{round.source}</p>
      <div className="mt-3 overflow-x-auto" tabIndex={0} role="region" aria-label={say('Cover by species and plot')}>
        <table className="text-center">
          <thead>
            <tr>
              <th scope="col" className="pr-3 text-left">
                {say('Species')}
              </th>
              {round.stops.map((s) => (
                <th key={s.id} scope="col" className="w-7 text-sm font-normal">
                  {s.seq}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {taxa.map((taxon) => (
              <tr key={taxon}>
                <th scope="row" className="pr-3 text-left font-normal whitespace-nowrap">
                  <GroupMark group={groupOf(taxon, byId)} className="mr-2 inline size-4" />
                  {taxonName(taxon, byId)}
                </th>
                {round.stops.map((s) => {
                  const v = value(s.seq, taxon)
                  return (
                    <td
                      key={s.id}
                      className="size-7 border border-rule/50 text-sm"
                      style={
                        v
                          ? {
                              backgroundColor: `color-mix(in srgb, var(--leaf-dark) ${15 + v * 8}%, transparent)`,
                            }
                          : undefined
                      }
                    >
                      {v ?? ''}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  )
}
