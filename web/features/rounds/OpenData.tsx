import { refusedFile } from '@/text/fileWords.ts'
import { useState } from 'react'
import { Link, useRevalidator } from 'react-router'
import { readRoundFile } from '@/core/formats/roundFile.ts'
import { keyOf } from '@/contract/commandKeys.ts'
import { importDune, openRoundFile, type RoundFileTaken } from '../../api/client.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { useOutbox, type Conflict } from '../../stores/outboxStore.ts'
import { UnsentFile } from './UnsentFile.tsx'
import { readUnsent, type Unsent } from '../../stores/unsentFile.ts'
import { say } from '../../language/say.ts'

/** A stop that was counted here and in the file: both stay until the person has chosen. */
function conflictOf(roundId: string, { seq, mine, theirs }: RoundFileTaken['conflicts'][number]): Conflict {
  const { id, hits, doneAt, stratum, measures, skipped, position } = mine
  const stop = { id, hits, doneAt, stratum, measures, skipped, ...(position ? { position } : {}) }
  const command = { do: 'save-stop' as const, roundId, seq, stop }
  return { key: keyOf(command), command, theirs }
}

/** Bring in a round that was handed on as a file, or the open table that ships with the app. */
export function OpenData({ onLoaded }: { onLoaded: (roundId: string) => void }) {
  const [said, setSaid] = useState('')
  const addConflicts = useOutbox((s) => s.addConflicts)
  const [unsent, setUnsent] = useState<Unsent[]>()
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
  /** What another device could not send goes into the outbox of this one, once the person has seen what it is. */
  const takeUnsent = async (list: Unsent[]) => {
    setUnsent(undefined)
    const outbox = useOutbox.getState()
    const open = () => useOutbox.getState().refused.length + useOutbox.getState().conflicts.length
    const before = open()
    for (const { command, ...on } of list) outbox.post(command, on)
    await outbox.drain()
    await revalidate()
    const left = open() - before
    setSaid(
      [
        say('{{n}} entries that were not sent from another device were taken in.', { n: list.length - left }),
        left > 0 ? say('{{left}} were not: the notice above and the rounds say why.', { left }) : '',
      ].join(' '),
    )
  }
  const openFile = async (file: File) => {
    const text = await file.text()
    const read = readUnsent(text)
    if (read) return setUnsent(read)
    await attempt(async () => {
      const read = readRoundFile(text)
      if ('problem' in read) throw refusedFile(read.problem)
      const { roundId, isNew, stopsTaken, conflicts } = await openRoundFile(read.file)
      addConflicts(conflicts.map((c) => conflictOf(roundId, c)))
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
      {unsent ? (
        <UnsentFile unsent={unsent} onTake={() => void takeUnsent(unsent)} onLeave={() => setUnsent(undefined)} />
      ) : null}
      <p role="status" className="mt-1 text-ink-soft">
        {said ||
          say('20 plots with 30 species from Jongman, ter Braak & van Tongeren 1987, to check the arithmetic with.')}
      </p>
    </section>
  )
}
