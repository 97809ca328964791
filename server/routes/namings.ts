import { Router } from 'express'
import type { Db } from '../db/db.ts'
import { addNaming, listNamings } from '../db/namings.ts'
import { putUnknown } from '../db/rounds.ts'
import { idOf } from '../http/idOf.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { parseBody } from '../http/parseBody.ts'
import { NamingInput } from '@/contract/input/round.ts'
import type { Book } from '../flora/book.ts'
import { readContext, readObservations } from './readSeen.ts'

/** Names written down; one that answers a letter of a round gives that letter its name in the same step. */
export function namingRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/namings', async (req, res) => {
      const { round } = req.query
      res.json(
        await listNamings(db, round === undefined ? undefined : idOf(typeof round === 'string' ? round : '', 'round')),
      )
    })
    .post('/namings', async (req, res) => {
      const input = parseBody(NamingInput, req.body)
      const naming = {
        id: input.id,
        roundId: input.roundId ?? null,
        letter: input.letter ?? null,
        plant: knownPlant(input.plant, book.flora, 'plant'),
        probability: input.probability,
        context: readContext(input.context, book.flora),
        observations: readObservations(input.observations, book.flora),
        namedAt: input.namedAt,
        place: input.place ?? '',
        specimens: input.specimens ?? 1,
        evidence: input.evidence ?? [],
      }
      await db.transaction(async (tx) => {
        await addNaming(tx, naming)
        if (naming.roundId && naming.letter) await putUnknown(tx, naming.roundId, naming.letter, naming.plant)
      })
      res.status(201).json({ id: naming.id })
    })
}
