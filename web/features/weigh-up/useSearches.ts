import { useEffect, useState } from 'react'
import { figuresOf, type SearchFigure } from '@/core/survey/figures.ts'
import { readRound, readRounds } from '../../data/readRound.ts'
import { useFlora } from '../../stores/floraStore.ts'

/** A search walk that was made in a paddock, with what it found. */
export interface Searched {
  title: string
  on: string
  figures: SearchFigure[]
}

/** Search walks of a paddock, the latest first. */
export function useSearches(paddockId: string): Searched[] {
  const byId = useFlora((s) => s.byId)
  const [searches, setSearches] = useState<Searched[]>([])
  useEffect(() => {
    let current = true
    const look = async () => {
      const rounds = (await readRounds()).filter((r) => r.paddockId === paddockId && r.method === 'search-walk')
      const read = await Promise.all(
        rounds.map(async (r) => ({
          title: r.title,
          on: r.plannedOn,
          figures: figuresOf(await readRound(r.id), byId).search,
        })),
      )
      if (current) setSearches(read.filter((s) => s.figures.length > 0).sort((a, b) => (a.on < b.on ? 1 : -1)))
    }
    look().catch(() => undefined)
    return () => void (current = false)
  }, [paddockId, byId])
  return searches
}
