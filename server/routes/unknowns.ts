import 'reflect-metadata'
import { Type } from 'class-transformer'
import { IsISO8601, IsNumber, IsOptional, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator'
import { Router } from 'express'
import { without } from '@/core/records/merge.ts'
import type { UndeterminedSpecimen } from '@/core/records/specimen.ts'
import { told } from '@/contract/told.ts'
import type { Db, Sql } from '../db/db.ts'
import { writeRecord, type Keeper } from '../db/standing.ts'
import { getUndetermined, listUnknowns, putUndetermined } from '../db/unknowns.ts'
import type { Book } from '../flora/book.ts'
import { badRequest } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { parseBody } from '../http/parseBody.ts'
import { seenIn, standing } from '../http/seenIn.ts'
import { SeenInput } from '@/contract/input/seen.ts'
import { readContext, readObservations } from './readSeen.ts'

class OpinionInput {
  @IsString() @MaxLength(200) by!: string
  @IsOptional() @IsString() plant!: string | null
  @IsOptional() @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1) probability!: number | null
  @IsString() @MaxLength(8000) note!: string
  @IsISO8601({ strict: true }) at!: string
}

class UnknownInput extends SeenInput {
  @IsString() @MaxLength(200) place!: string
  @IsString() @MaxLength(8000) note!: string
  @IsISO8601({ strict: true }) madeAt!: string
  @IsOptional() @ValidateNested() @Type(() => OpinionInput) opinion?: OpinionInput | null
  @IsOptional() @IsString() namedAs?: string | null
}

/** A description as it is sent: its letter is ours to give. */
async function withoutLetter(sql: Sql, id: string): Promise<Omit<UndeterminedSpecimen, 'letter'> | undefined> {
  const there = await getUndetermined(sql, id)
  return there && without(there, 'letter')
}
const unknownPlants: Keeper<Omit<UndeterminedSpecimen, 'letter'>> = { get: withoutLetter, put: putUndetermined }

/** Plants that could not be named, each under its letter, until somebody can. */
export function unknownRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/unknowns', async (_req, res) => void res.json(await listUnknowns(db)))
    .put('/unknowns/:id', async (req, res) => {
      const { body, seen } = seenIn(req.body)
      const input = parseBody(UnknownInput, body)
      if (input.id !== req.params.id) throw badRequest(told('The id in the body is not that of the address.'), 'id')
      const known = (id: string | null | undefined, field: string) => (id ? knownPlant(id, book.flora, field) : null)
      const unknown = {
        id: input.id,
        place: input.place,
        note: input.note,
        context: readContext(input.context, book.flora),
        observations: readObservations(input.observations, book.flora),
        madeAt: new Date(input.madeAt).toISOString(),
        opinion: input.opinion
          ? {
              ...input.opinion,
              plant: known(input.opinion.plant, 'opinion.plant'),
              probability: input.opinion.probability ?? null,
            }
          : null,
        namedAs: known(input.namedAs, 'namedAs'),
      }
      standing(await writeRecord(db, unknownPlants, unknown.id, unknown, seen))
      res.json(await getUndetermined(db, unknown.id))
    })
}
