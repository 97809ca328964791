import { refusedFile } from '@/text/fileWords.ts'
import { useState } from 'react'
import { Link, useRevalidator } from 'react-router'
import { readRoundFile } from '@/core/formats/roundFile.ts'
import { importDune, openRoundFile } from '../api/client.ts'
import { FileButton } from '../parts/FileButton.tsx'
import { useOutbox } from '../stores/outboxStore.ts'
import type { Letter } from '../stores/letterBox.ts'
import { readUnsent } from '../stores/unsentFile.ts'
import { stopUrl } from './useSaving.ts'
import { say } from '../language/say.ts'

/** Bring in a round that was handed on as a file, or the open table that ships with the app. */
export function OpenData({ onLoaded }: { onLoaded: (roundId: string) => void }) {
  const [said, setSaid] = useState('')
  const met = useOutbox((s) => s.met)
  const { revalidate } = useRevalidator()
  const attempt = async (work: () => Promise<{ roundId: string; words: string }>) => {
    try {
      const { roundId, words } = await work()
      await revalidate()
      onLoaded(roundId)
      setSaid(words)
    } catch (error) {
      setSaid((error as Error).message)
    }
  }
  /** What another device could not send goes into the outbox of this one. */
  const takeUnsent = async (letters: Letter[]) => {
    for (const letter of letters) useOutbox.getState().post(letter)
    await useOutbox.getState().drain()
    await revalidate()
    setSaid(say('{{n}} entries that were not sent from another device were taken in.', { n: letters.length }))
  }
  const openFile = async (file: File) => {
    const text = await file.text()
    const unsent = readUnsent(text)
    if (unsent) return takeUnsent(unsent)
    await attempt(async () => {
      const read = readRoundFile(text)
      if ('problem' in read) throw refusedFile(read.problem)
      const { roundId, isNew, stopsTaken, conflicts } = await openRoundFile(read.file)
      met(conflicts.map((c) => ({ url: stopUrl(roundId, c.seq), mine: c.mine, theirs: c.theirs })))
      const differ =
        conflicts.length > 0
          ? say(' {{n}} were counted here too, and differently: open the round and choose.', { n: conflicts.length })
          : ''
      return {
        roundId,
        words: isNew
          ? say('The round is here, {{stopsTaken}} stops.', { stopsTaken })
          : say('{{stopsTaken}} stops were taken in.{{differ}}', { stopsTaken, differ }),
      }
    })
  }
  const loadDune = () =>
    attempt(async () => {
      const { roundId, species, linked } = await importDune()
      return {
        roundId,
        words: say('20 plots of {{species}} species are here, {{linked}} of them linked to the book.', {
          species,
          linked,
        }),
      }
    })
  return (
    <section className="mt-6 border-t border-rule pt-4">
      <div className="flex flex-wrap gap-2">
        <FileButton
          label={say('Open a round from a file')}
          accept=".json,application/json"
          onFile={(f) => void openFile(f)}
        />
        <Link to="/rounds/bring-in" className="flex min-h-11 items-center rounded-xl border border-rule px-4">
          {say('Read a table or archive of finds')}
        </Link>
        <button type="button" onClick={() => void loadDune()} className="min-h-11 rounded-xl border border-rule px-4">
          {say('Load the open dune-meadow table')}
        </button>
      </div>
      <p role="status" className="mt-1 text-ink-soft">
        {said ||
          say('20 plots with 30 species from Jongman, ter Braak & van Tongeren 1987, to check the arithmetic with.')}
      </p>
    </section>
  )
}
