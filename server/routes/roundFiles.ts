import { Router } from 'express'
import type { Stop } from '@/core/records/round.ts'
import type { Db } from '../db/db.ts'
import { addHolding, addPaddock } from '../db/places.ts'
import { addRound, getRound, putStop, putUnknown } from '../db/rounds.ts'
import type { Book } from '../flora/book.ts'
import { knownTaxon } from '../http/knownTaxon.ts'
import { parseBody } from '../http/parseBody.ts'
import { paddockOf } from './places.ts'
import { RoundFileInput } from './roundFileInput.ts'
import { stopFrom } from './rounds.ts'

/** What became of a file that was opened. */
export interface RoundFileTaken {
  roundId: string
  /** The round was not known here before. */
  isNew: boolean
  stopsTaken: number
  /** Stops that were counted here too, and differently: nothing was overwritten. */
  conflicts: { seq: number; mine: Stop; theirs: Stop }[]
}

const touched = (s: Stop): boolean => s.doneAt !== null || s.skipped !== null || s.hits.length > 0

async function take(db: Db, book: Book, input: RoundFileInput): Promise<RoundFileTaken> {
  const { holding, round } = input
  const paddock = paddockOf(round.paddock, book)
  const stops = round.stops.map((s) => ({ ...stopFrom(s, s.seq, book), stratum: s.stratum ?? '' }))
  const unknowns = round.unknowns.map((u) => ({
    letter: u.letter,
    namedAs: u.namedAs ? knownTaxon(u.namedAs, book.flora, 'unknowns') : null,
  }))
  const before = await getRound(db, round.id)
  await addHolding(db, holding)
  await addPaddock(db, paddock)
  if (!before) {
    const route = round.route ? { line: round.route.line as [number, number][], lengthM: round.route.lengthM } : null
    await addRound(db, { ...round, settings: { ...round.settings }, route, stops })
    for (const u of unknowns) await putUnknown(db, round.id, u.letter, u.namedAs)
    return { roundId: round.id, isNew: true, stopsTaken: stops.length, conflicts: [] }
  }
  const taken: RoundFileTaken = { roundId: round.id, isNew: false, stopsTaken: 0, conflicts: [] }
  for (const stop of stops.filter(touched)) {
    const here = before.stops.find((s) => s.seq === stop.seq)
    const written =
      here && touched(here)
        ? await putStop(db, round.id, stop, { by: '', base: -1 }, { anywhere: true })
        : await putStop(db, round.id, stop, undefined, { anywhere: true })
    if ('noSuchStop' in written) continue
    if ('conflict' in written) taken.conflicts.push({ seq: stop.seq, mine: stop, theirs: written.conflict })
    else taken.stopsTaken++
  }
  for (const u of unknowns)
    if (u.namedAs && !before.unknowns.some((b) => b.letter === u.letter && b.namedAs))
      await putUnknown(db, round.id, u.letter, u.namedAs)
  return taken
}

/** Rounds handed on as one file. */
export function roundFileRoutes(db: Db, book: Book): Router {
  return Router().post('/round-files', async (req, res) => {
    res.status(201).json(await take(db, book, parseBody(RoundFileInput, req.body)))
  })
}
