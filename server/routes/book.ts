import { Router } from 'express'
import { deltaTable, writeDelta } from '@/core/formats/delta.ts'
import type { CompiledFlora } from '@/core/naming/compileFlora.ts'
import { identify, type Identification } from '@/core/naming/identify.ts'
import { verdictText } from '@/text/verdictText.ts'
import type { Sql } from '../db/db.ts'
import { putOwnPlant } from '../db/ownPlants.ts'
import { bookColumns, bookText } from '@/contract/bookColumns.ts'
import type { Book } from '../flora/book.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { precompressedJson } from '../http/precompressedJson.ts'
import { parseBody } from '../http/parseBody.ts'
import { IdentifyInput, OwnPlantInput } from '@/contract/input/seen.ts'
import { readContext, readObservations } from './readSeen.ts'

/** An answer says its verdict in English too. */
export type SaidIdentification = Identification & { verdict: { text: string } }

/** Identify from an unchecked body: what the route and the command line share. */
export function identifyBody(compiled: CompiledFlora, body: unknown): SaidIdentification {
  const input = parseBody(IdentifyInput, body)
  const context = readContext(input.context, compiled.flora)
  const found = identify(compiled, context, readObservations(input.observations ?? [], compiled.flora))
  return { ...found, verdict: { ...found.verdict, text: verdictText(found.verdict, compiled.flora) } }
}

/** The plant book and the naming; a reader's own plant is checked like a shipped one and kept. */
export function bookRoutes(db: Sql, book: Book): Router {
  return (
    Router()
      .get(
        '/book',
        precompressedJson(() => book.flora),
      )
      // For pages of an earlier version that are still open.
      .get(
        '/book-columns',
        precompressedJson(
          () => book.flora,
          (of) => JSON.stringify(bookColumns(of)),
        ),
      )
      .get(
        '/book-pieces',
        precompressedJson(() => book.flora, bookText),
      )
      .get(
        '/plants',
        precompressedJson(() => book.flora.plants),
      )
      .get('/plants/:id', (req, res) => {
        const plant = book.flora.plants.find((p) => p.id === req.params.id)
        if (!plant) throw notFound('plant')
        res.json(plant)
      })
      .post('/plants', async (req, res) => {
        const { yaml } = parseBody(OwnPlantInput, req.body)
        const added = book.add(yaml)
        if ('problems' in added) {
          const said = added.problems.slice(0, 5).map((p) => `line ${p.line}: ${p.message}`)
          throw badRequest(`${said.join('; ')}.`, 'yaml')
        }
        await putOwnPlant(db, added.plant.id, yaml)
        res.status(201).json(added.plant)
      })
      .get(
        '/characters',
        precompressedJson(() => book.flora.characters),
      )
      .get('/files/characters.delta', (_req, res) => {
        res
          .attachment('characters.delta')
          .type('text/plain')
          .send(writeDelta(deltaTable(book.flora)))
      })
      .get('/hazards', (_req, res) => void res.json(book.flora.hazards))
      .get('/groups', (_req, res) => void res.json(book.flora.groups))
      .post('/identify', (req, res) => void res.json(identifyBody(book.compiled, req.body)))
  )
}
