import { isUUID } from 'class-validator'
import { Router } from 'express'
import { ANY_SOWN } from '@/core/records/sowingCheck.ts'
import type { Db } from '../db/db.ts'
import { keptKinds, type KeptKind } from '@/contract/commands.ts'
import { told } from '@/contract/told.ts'
import { deleteKept, getKept, listKept, putKept } from '../db/kept.ts'
import { getEvent, getHolding, getPaddock } from '../db/places.ts'
import { getRound } from '../db/rounds.ts'
import { writeRecord, type Keeper } from '../db/standing.ts'
import type { Book } from '../flora/book.ts'
import { idOf } from '../http/idOf.ts'
import { badRequest, notFound } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { parseBody } from '../http/parseBody.ts'
import { seenIn, standing } from '../http/seenIn.ts'
import {
  ConditionsInput,
  ContactsInput,
  HerdInput,
  LabInput,
  ManagementInput,
  RunnersInput,
  SowingChecksInput,
} from '@/contract/input/kept.ts'

const kindOf = (kind: string): KeptKind => {
  const known = keptKinds.find((k) => k === kind)
  if (!known) throw notFound('address')
  return known
}

/** What a kind is said of, how it is checked, and what is missing where that is not there. */
const kinds = {
  herd: { input: HerdInput, of: getPaddock, missing: told('There is no such paddock.') },
  lab: { input: LabInput, of: getRound, missing: told('There is no such round.') },
  runners: { input: RunnersInput, of: getPaddock, missing: told('There is no such paddock.') },
  sowing: { input: SowingChecksInput, of: getEvent, missing: told('There is no such sowing.') },
  management: { input: ManagementInput, of: getPaddock, missing: told('There is no such paddock.') },
  conditions: { input: ConditionsInput, of: getRound, missing: told('There is no such round.') },
  contacts: { input: ContactsInput, of: getHolding, missing: told('There is no such holding.') },
} as const

/** Checks of a sowing and runners are added to by whoever looks: they stand for themselves. */
const keeperOf = (kind: KeptKind, subject: string): Keeper<Record<string, unknown>> => ({
  get: (sql) => getKept(sql, subject, kind) as Promise<Record<string, unknown> | undefined>,
  put: (sql, value) => putKept(sql, { subject, kind, value }),
  drop: (sql) => deleteKept(sql, subject, kind),
  lists: ['checks', 'runners', 'suspect'],
})

/** Counts of seedlings: whole numbers of plants of the book; in a grid no more than its cells. */
function checkFrames(value: object, book: Book): void {
  if (!(value instanceof SowingChecksInput)) return
  value.checks.forEach((check, i) => {
    const most = check.cells ?? 10_000
    check.others?.forEach((plant, j) => knownPlant(plant, book.flora, `checks[${i}].others[${j}]`))
    if (check.rows && check.rows.bare > check.rows.metres)
      throw badRequest(told('The bare metres are at most those looked along.'), `checks[${i}].rows.bare`)
    check.frames.forEach((frame, j) =>
      Object.entries(frame).forEach(([plant, n]) => {
        const field = `checks[${i}].frames[${j}].${plant}`
        if (check.cells === undefined || plant !== ANY_SOWN) knownPlant(plant, book.flora, field)
        if (!Number.isInteger(n) || n < 0 || n > most)
          throw badRequest(`A count is a whole number from 0 to ${most}.`, field)
      }),
    )
  })
}

/** What is said of a paddock, a round or a sowing besides its counts. */
export function keptRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/kept', async (_req, res) => void res.json(await listKept(db)))
    .put('/kept/:kind/:subject', async (req, res) => {
      const kind = kindOf(req.params.kind)
      const { subject } = req.params
      const { input, of, missing } = kinds[kind]
      const { body, seen } = seenIn(req.body)
      const value = parseBody<object>(input, body)
      checkFrames(value, book)
      if (!isUUID(subject) || !(await of(db, subject))) throw badRequest(missing, 'subject')
      standing(await writeRecord(db, keeperOf(kind, subject), `${kind} ${subject}`, { ...value }, seen))
      res.json({ subject })
    })
    .delete('/kept/:kind/:subject', async (req, res) => {
      const kind = kindOf(req.params.kind)
      const subject = idOf(req.params.subject, 'subject')
      standing(await writeRecord(db, keeperOf(kind, subject), `${kind} ${subject}`, null, seenIn(req.body).seen))
      res.json({ subject })
    })
}
