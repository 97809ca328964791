import 'reflect-metadata'
import { createHash } from 'node:crypto'
import { IsISO8601, IsInt, IsNotEmpty, IsString, IsUUID, Matches, Max, MaxLength, Min } from 'class-validator'
import { Router } from 'express'
import { beforeHash, HASH_PLACE, type SignedPage } from '@/core/records/signedPage.ts'
import { without } from '@/core/records/merge.ts'
import { told } from '@/contract/told.ts'
import type { Db } from '../db/db.ts'
import { hasRound } from '../db/rounds.ts'
import { addSignedPage, getSignedPage, listSignatures } from '../db/signedPages.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { idOf } from '../http/idOf.ts'
import { parseBody } from '../http/parseBody.ts'

const MOST_CHARACTERS = 900_000

class SignedPageInput implements Omit<SignedPage, 'roundId'> {
  @IsUUID() id!: string
  @IsInt() @Min(1) @Max(10_000) issue!: number
  @IsString() @IsNotEmpty() @MaxLength(200) signedBy!: string
  @IsISO8601({ strict: true }) signedAt!: string
  @Matches(/^[0-9a-f]{64}$/) hash!: string
  @Matches(/^[0-9a-f]{64}$/) factsHash!: string
  @IsString() @IsNotEmpty() @MaxLength(MOST_CHARACTERS) page!: string
}

const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex')

/** Whether a page holds its own hash, and is the page that the hash was taken of. */
export const isPageOf = (page: string, hash: string): boolean =>
  hash !== HASH_PLACE && page.includes(hash) && sha256(beforeHash(page, hash)) === hash

/** Pages with a name under them: read, and added to; nothing of them is ever changed. */
export function signedPageRoutes(db: Db): Router {
  return Router()
    .get('/rounds/:id/signed-pages', async (req, res) => {
      res.json(await listSignatures(db, idOf(req.params.id, 'round')))
    })
    .get('/signed-pages/:id', async (req, res) => {
      const signed = await getSignedPage(db, idOf(req.params.id, 'signed page'))
      if (!signed) throw notFound('signed page')
      res.json(signed)
    })
    .post('/rounds/:id/signed-pages', async (req, res) => {
      const input = parseBody(SignedPageInput, req.body)
      const roundId = idOf(req.params.id, 'round')
      if (!(await hasRound(db, roundId))) throw notFound('round')
      if (!isPageOf(input.page, input.hash))
        throw badRequest(told('The page is not the one that its hash was taken of.'), 'hash')
      if (!(await addSignedPage(db, { ...input, roundId })))
        throw badRequest(
          told('This issue was signed on another device meanwhile: open the pages again and sign anew.'),
          'issue',
        )
      res.status(201).json({ ...without(input, 'page'), roundId })
    })
}
