import { useMemo } from 'react'
import { countingMethods } from '@/core/methods/index.ts'
import type { SearchFigure } from '@/core/methods/method.ts'
import { figuresOf } from '@/core/survey/figures.ts'
import { roundsOf } from '../../../data/readRound.ts'
import { useRead, type ReadNow } from '../../../data/reads.ts'
import { useFlora } from '../../../stores/floraStore.ts'

/** A search walk that was made in a paddock, with what it found. */
export interface Searched {
  title: string
  on: string
  figures: SearchFigure[]
}

/** Search walks of a paddock, the latest first. */
export function useSearches(paddockId: string): ReadNow<Searched[]> {
  const byId = useFlora((s) => s.byId)
  const now = useRead(
    useMemo(() => roundsOf(paddockId, 'search', (r) => countingMethods[r.method].forHarm === true), [paddockId]),
  )
  const data = useMemo(
    () =>
      now.data
        ?.map((r) => ({ title: r.title, on: r.plannedOn, figures: figuresOf(r, byId).search }))
        .filter((s) => s.figures.length > 0)
        .sort((a, b) => (a.on < b.on ? 1 : -1)),
    [now.data, byId],
  )
  return { ...now, data }
}
