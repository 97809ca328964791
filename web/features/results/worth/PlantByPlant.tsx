import { useState } from 'react'
import { ToggleGroup } from 'radix-ui'
import type { FeedPart } from '@/core/assess/feed/mixtureFeed.ts'
import { groupOf } from '@/core/records/taxon.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { WeightedBars } from '../../../ui/charts/WeightedBars.tsx'
import { percent } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { fixed } from '../../../language/numbers.ts'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'
import { LabPanel } from './LabPanel.tsx'

const figures = ['cpPct', 'ndfPct', 'tdnPct'] as const
type Figure = (typeof figures)[number]
const figureWords: Record<Figure, () => string> = {
  cpPct: () => say('Protein'),
  ndfPct: () => say('Fibre (NDF)'),
  tdnPct: () => say('Energy (TDN)'),
}

/** The figures of each plant with its weight in the sum, and how far it pulls the mixture. */
function Parts({ parts, figure, mean }: { parts: readonly FeedPart[]; figure: Figure; mean: number }) {
  const byId = useFlora((s) => s.byId)
  return (
    <table className="mt-2 w-full">
      <thead className="text-ink-soft">
        <tr>
          {[say('Plant'), say('in the sum'), say('its own'), say('pulls by')].map((h, i) => (
            <th key={h} scope="col" className={`font-normal ${i === 0 ? 'text-left' : 'text-right'}`}>
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {parts.map((p) => {
          const pull = p.weight * (p[figure] - mean)
          return (
            <tr key={p.plant} className="border-b border-rule/60">
              <th scope="row" className="py-1 text-left font-normal">
                {taxonName(p.plant, byId).replace(/ \(.*\)/, '')}
              </th>
              <td className="text-right">{percent(p.weight)}</td>
              <td className="text-right">
                {fixed(p[figure], 1)} %
                <span className="block text-sm text-ink-soft">
                  {say('{{low}} to {{high}}', {
                    low: fixed(p.range[figure][0], 0),
                    high: fixed(p.range[figure][1], 0),
                  })}
                </span>
              </td>
              <td className="text-right font-semibold">
                {Math.abs(pull) < 0.05 ? '' : pull < 0 ? '−' : '+'}
                {fixed(Math.abs(pull), 1)}
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** What the figures of the feed are put together from: each plant's weight and its own figure; and what a laboratory says. */
export function PlantByPlant({ round, weighed: { feed }, lit }: ChapterProps) {
  const [figure, setFigure] = useState<Figure>('cpPct')
  const byId = useFlora((s) => s.byId)
  const made = feed?.[lit.growth]
  const mean = made ? made.parts.reduce((s, p) => s + p.weight * p[figure], 0) : 0
  const bars = [...(made?.parts ?? [])]
    .sort((a, b) => b[figure] - a[figure])
    .map((p) => ({
      id: p.plant,
      name: taxonName(p.plant, byId).replace(/ \(.*\)/, ''),
      group: groupOf(p.plant, byId),
      weight: p.weight,
      value: p[figure],
      range: p.range[figure],
    }))
  return (
    <>
      {made ? (
        <div>
          <ToggleGroup.Root
            type="single"
            value={figure}
            onValueChange={(v) => v && setFigure(v as Figure)}
            aria-label={say('Figure')}
            className="mt-2 flex w-fit overflow-hidden rounded-xl border border-rule"
          >
            {figures.map((f) => (
              <ToggleGroup.Item
                key={f}
                value={f}
                className="min-h-11 px-4 data-[state=on]:bg-culm data-[state=on]:font-bold data-[state=on]:text-on-culm"
              >
                {figureWords[f]()}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
          <WeightedBars
            bars={bars}
            middle={mean}
            unit={say('% of dry matter')}
            label={say('{{figure}} plant by plant: {{bars}}; all together {{mean}} %', {
              figure: figureWords[figure](),
              bars: bars.map((b) => `${b.name} ${fixed(b.value, 1)} %, ${percent(b.weight)}`).join('; '),
              mean: fixed(mean, 1),
            })}
          />
          <p className="text-sm text-ink-soft">
            {say(
              'As wide as its share of the dry matter, as high as its figure, with the range on file; the line is all of it together.',
            )}
          </p>
          <Parts parts={made.parts} figure={figure} mean={mean} />
        </div>
      ) : null}
      <LabPanel roundId={round.id} estimate={made} />
    </>
  )
}
