import { useState } from 'react'
import { useRevalidator } from 'react-router'
import { importDune } from '../api/client.ts'

/** Bring in the open table that ships with the app. */
export function OpenData({ onLoaded }: { onLoaded: (roundId: string) => void }) {
  const [said, setSaid] = useState('')
  const { revalidate } = useRevalidator()
  const load = async () => {
    try {
      const { roundId, species, linked } = await importDune()
      await revalidate()
      onLoaded(roundId)
      setSaid(`20 plots of ${species} species are here, ${linked} of them linked to the book.`)
    } catch (error) {
      setSaid((error as Error).message)
    }
  }
  return (
    <section className="mt-6 border-t border-rule pt-4">
      <button type="button" onClick={() => void load()} className="min-h-11 rounded-xl border border-rule px-4">
        Load the open dune-meadow table
      </button>
      <p role="status" className="mt-1 text-ink-soft">
        {said || '20 plots with 30 species from Jongman, ter Braak & van Tongeren 1987, to check the arithmetic with.'}
      </p>
    </section>
  )
}
