import { fileWords } from '@/text/fileWords.ts'
import { stopMarkWords } from '@/text/stopMarkWords.ts'
import { groupName, taxonName } from '@/text/taxonNames.ts'
import { isUUID } from 'class-validator'
import { Router } from 'express'
import JSZip from 'jszip'
import { writtenFiles } from '@/core/formats/formatIds.ts'
import { writers } from '@/core/formats/write/index.ts'
import { isRefused } from '@/core/formats/write/writer.ts'
import type { Db } from '../db/db.ts'
import { getRound } from '../db/rounds.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import type { Book } from '../flora/book.ts'

/** Files are in English: programs read them. */
const names = { taxon: taxonName, group: groupName }

const zipped = (texts: Record<string, string>): Promise<Buffer> => {
  const zip = new JSZip()
  for (const [name, text] of Object.entries(texts)) zip.file(name, text)
  return zip.generateAsync({ type: 'nodebuffer', compression: 'DEFLATE' })
}

/** Files of a round that other programs open. */
export function fileRoutes(db: Db, book: Book): Router {
  return Router().get('/rounds/:id/files/:name', async (req, res) => {
    const round = isUUID(req.params.id) ? await getRound(db, req.params.id) : undefined
    if (!round) throw notFound('round')
    const name = writtenFiles.find((f) => f === req.params.name)
    if (!name) throw notFound('file')
    const { type, write } = writers[name]
    const plants = new Map(book.flora.plants.map((p) => [p.id, p]))
    const made = write({ round, plants, names, marks: stopMarkWords() })
    if (isRefused(made)) throw badRequest(fileWords(made.problem))
    const body = typeof made === 'string' ? made : await zipped(made)
    res.attachment(name).type(type).send(body)
  })
}
