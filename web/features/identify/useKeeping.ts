import { useNavigate } from 'react-router'
import type { Candidate } from '@/core/naming/identify.ts'
import { without } from '@/core/records/merge.ts'
import type { Round } from '@/core/records/round.ts'
import { specimensIn, type UndeterminedSpecimen } from '@/core/records/specimen.ts'
import { fresh, reads, useRead } from '../../data/reads.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { useBench } from './benchStore.ts'
import type { Sheet } from './sheet.ts'
import { say } from '../../language/say.ts'

/** What is written beside it, with what was said of it. */
const noteOf = ({ note, said }: Sheet): string =>
  [note, said?.trim() ? say('Said: {{text}}', { text: said.trim() }) : ''].filter(Boolean).join('\n')

interface Keeping {
  subject: string
  sheet: Sheet
  round: Round | null
  letter: string | null
  /** Told what was done, in the reader's words. */
  onSaid: (text: string) => void
}

/** What becomes of a sheet: a name written down, or a description kept under a letter. Both wait where the server is away. */
export function useKeeping({ subject, sheet, round, letter, onSaid }: Keeping) {
  const byId = useFlora((s) => s.byId)
  const { data: waiting = [] } = useRead(reads.unknowns)
  const navigate = useNavigate()
  const post = useOutbox((s) => s.post)
  const setFrom = (from: UndeterminedSpecimen) => useBench.getState().setFrom(subject, from)

  /** Keep the description under its letter; the server gives a new one the next that is free. */
  const keep = (namedAs: string | null) => {
    const before = sheet.from ?? waiting.find((u) => u.id === sheet.id)
    const unknown = {
      id: sheet.id,
      place: sheet.place,
      note: noteOf(sheet),
      context: sheet.context,
      observations: sheet.answers,
      madeAt: before?.madeAt ?? new Date().toISOString(),
      opinion: sheet.sent?.opinion ?? before?.opinion ?? null,
      namedAs,
    }
    // It was written on top of what was opened, not of what others have made of it since.
    post({ do: 'keep-unknown', unknown }, before ? { seen: [without(before, 'letter')] } : {})
    if (before) setFrom({ ...before, ...unknown })
    return useOutbox
      .getState()
      .drain()
      .then(() => fresh(reads.unknowns))
      .then(
        (list) => list.find((u) => u.id === sheet.id)?.letter,
        () => undefined,
      )
  }
  const keepUnknown = async () => {
    const letter = await keep(null)
    onSaid(
      letter
        ? say('Kept as unknown {{letter}}.', { letter })
        : say('Kept here; it gets its letter when the server is back.'),
    )
  }

  const write = (candidate: Candidate) => {
    post({
      do: 'write-naming',
      naming: {
        id: crypto.randomUUID(),
        roundId: round?.id ?? null,
        letter,
        plant: candidate.plant,
        probability: candidate.probability,
        context: sheet.context,
        observations: sheet.answers,
        namedAt: new Date().toISOString(),
        place: round ? `${round.paddock.name}, ${round.holding}` : sheet.place,
        specimens: specimensIn(sheet.answers),
        evidence: candidate.evidence,
      },
    })
    const unknown = waiting.find((u) => u.id === sheet.id)
    if (unknown) void keep(candidate.plant)
    if (round)
      void useOutbox
        .getState()
        .drain()
        .then(() => navigate(`/rounds/${round.id}`))
    else onSaid(say('{{commonName}} was written down.', { commonName: byId.get(candidate.plant)?.commonName }))
  }

  return { waiting, keepUnknown, write }
}
