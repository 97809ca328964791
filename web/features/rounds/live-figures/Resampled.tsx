import { taxonName } from '@/text/taxonNames.ts'
import * as Comlink from 'comlink'
import { useEffect, useRef, useState } from 'react'
import type { Round } from '@/core/records/round.ts'
import type { Bootstrapped } from '@/core/stats/bootstrap.ts'
import type { Composition } from '@/core/survey/composition.ts'
import { countedStops } from '@/core/survey/counted.ts'
import { resolvedUnknowns } from '@/core/survey/figures.ts'
import { abundanceMatrix } from '@/core/methods/tally.ts'
import { type Taxon } from '@/core/records/taxon.ts'
import { percent, percentRange } from '../../../parts/words.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import type { ResamplingApi } from '../../../workers/resampling.worker.ts'
import { say } from '../../../language/say.ts'

const MAIN = 4

interface Line {
  taxon: Taxon
  result: Bootstrapped
}

/** A second opinion on the intervals: the stops themselves drawn again and again, with no formula in between. */
export function Resampled({ round, made }: { round: Round; made: Composition }) {
  const byId = useFlora((s) => s.byId)
  const worker = useRef<Worker>(null)
  const [share, setShare] = useState<number>()
  const [lines, setLines] = useState<Line[]>([])
  const stop = () => {
    worker.current?.terminate()
    worker.current = null
    setShare(undefined)
  }
  useEffect(() => () => worker.current?.terminate(), [])
  const start = async () => {
    const together = abundanceMatrix(countedStops(round), resolvedUnknowns(round))
    const own = new Worker(new URL('../../../workers/resampling.worker.ts', import.meta.url), { type: 'module' })
    worker.current = own
    const api = Comlink.wrap<ResamplingApi>(own)
    const main = made.taxa.slice(0, MAIN)
    setLines([])
    setShare(0)
    for (const [i, { taxon }] of main.entries()) {
      const hits = Array.from(together.amounts[together.taxa.indexOf(taxon)]!)
      const progress = Comlink.proxy((s: number) => worker.current === own && setShare((i + s) / main.length))
      const result = await api.resample(hits, Array.from(together.totals), progress)
      if (worker.current !== own) return
      if (result) setLines((l) => [...l, { taxon, result }])
    }
    stop()
  }
  return (
    <section className="mt-2" aria-label={say('By resampling')}>
      {share === undefined ? (
        <button type="button" className="min-h-11 rounded-xl border border-rule px-4" onClick={() => void start()}>
          {say('Check the intervals by resampling')}
        </button>
      ) : (
        <p className="flex items-center gap-3" role="status">
          <progress value={share} className="h-3 w-40" aria-label={say('Resampling')} />
          {Math.round(share * 100)} %
          <button type="button" className="min-h-11 underline" onClick={stop}>
            {say('Stop')}
          </button>
        </p>
      )}
      {lines.length > 0 ? (
        <ul className="mt-1">
          {lines.map(({ taxon, result }) => (
            <li key={taxon}>
              {say('{{taxonName}} {{estimate}}: {{bca}} over 10,000 draws of whole stops (BCa)', {
                taxonName: taxonName(taxon, byId),
                estimate: percent(result.estimate),
                bca: percentRange(result.bca),
              })}
            </li>
          ))}
        </ul>
      ) : null}
    </section>
  )
}
