import { Router } from 'express'
import type { Stop } from '@/core/records/round.ts'
import type { Db, Sql } from '../db/db.ts'
import { addHolding, addPaddock } from '../db/places.ts'
import { getRound, insertRound, putUnknown } from '../db/rounds.ts'
import { isTouched, putStop } from '../db/stops.ts'
import type { Book } from '../flora/book.ts'
import { knownTaxon } from '../http/knownTaxon.ts'
import { parseBody } from '../http/parseBody.ts'
import { paddockOf } from './places.ts'
import { RoundFileInput } from '@/contract/input/roundFile.ts'
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

/** All of a file or nothing of it. */
async function take(tx: Sql, book: Book, input: RoundFileInput): Promise<RoundFileTaken> {
  const { holding, round } = input
  const paddock = paddockOf(round.paddock, book)
  const stops = round.stops.map((s) => ({ ...stopFrom(s, s.seq, book), stratum: s.stratum ?? '' }))
  const unknowns = round.unknowns.map((u) => ({
    letter: u.letter,
    namedAs: u.namedAs ? knownTaxon(u.namedAs, book.flora, 'unknowns') : null,
  }))
  const before = await getRound(tx, round.id)
  await addHolding(tx, holding)
  await addPaddock(tx, paddock)
  if (!before) {
    const route = round.route ? { line: round.route.line as [number, number][], lengthM: round.route.lengthM } : null
    await insertRound(tx, { ...round, settings: { ...round.settings }, route, stops })
    for (const u of unknowns) await putUnknown(tx, round.id, u.letter, u.namedAs)
    return { roundId: round.id, isNew: true, stopsTaken: stops.length, conflicts: [] }
  }
  const taken: RoundFileTaken = { roundId: round.id, isNew: false, stopsTaken: 0, conflicts: [] }
  for (const stop of stops.filter(isTouched)) {
    const written = await putStop(tx, round.id, stop, { by: '', base: -1 }, { anywhere: true })
    if ('noSuchStop' in written) continue
    if ('conflict' in written) taken.conflicts.push({ seq: stop.seq, mine: stop, theirs: written.conflict })
    else taken.stopsTaken++
  }
  for (const u of unknowns)
    if (u.namedAs && !before.unknowns.some((b) => b.letter === u.letter && b.namedAs))
      await putUnknown(tx, round.id, u.letter, u.namedAs)
  return taken
}

/** A round of 500 stops with as many hits as a person counts. */
const LARGEST = { objects: 60_000, values: 300_000 }

/** Rounds handed on as one file. */
export function roundFileRoutes(db: Db, book: Book): Router {
  return Router().post('/round-files', async (req, res) => {
    const input = parseBody(RoundFileInput, req.body, LARGEST)
    res.status(201).json(await db.transaction((tx) => take(tx, book, input)))
  })
}
