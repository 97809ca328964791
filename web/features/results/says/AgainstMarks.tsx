import { useMemo } from 'react'
import { swardFigures, type SwardFigure } from '@/core/assess/indicators/siteIndicators.ts'
import { saidWords } from '@/text/swardWords.ts'
import { taxonName } from '@/text/taxonNames.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { MarksChart } from '../../../ui/charts/MarksChart.tsx'
import { useFlora } from '../../../stores/floraStore.ts'
import { say } from '../../../language/say.ts'
import type { ChapterProps } from '../chapter.ts'

const figure = ({ share, mark, below }: SwardFigure): string =>
  say('{{share}}{{range}}, mark {{below}} {{mark}}', {
    share: percent(share.estimate),
    range: share.interval ? ` (${percentRange(share.interval)})` : '',
    below: below ? say('below') : say('above'),
    mark: percent(mark),
  })

/** Every figure that could speak of the ground, against the mark at which it does. */
export function AgainstMarks({ round }: ChapterProps) {
  const { plants, byId } = useFlora()
  const figures = useMemo(() => swardFigures(round, plants), [round, plants])
  if (figures.length === 0) return <p>{say('Nothing is said from fewer than three stops.')}</p>
  const rows = figures.map((f) => ({
    id: f.id,
    name: saidWords(f.id).title,
    figure: figure(f),
    estimate: f.share.estimate,
    interval: f.share.interval,
    mark: f.mark,
    below: f.below,
    speaks: f.strength !== undefined,
    says: f.of.map((t) => taxonName(t, byId)).join(', '),
  }))
  return (
    <>
      <p className="text-ink-soft">
        {say('Share of the plants that tell of it; hatched is the side of the mark on which it is said.')}
      </p>
      <MarksChart
        rows={rows}
        words={(share) => `${Math.round(share * 100)} %`}
        label={say('Figures against their marks: {{rows}}', {
          rows: rows.map((r) => `${r.name}: ${r.figure}`).join('; '),
        })}
      />
    </>
  )
}
