import { isUUID } from 'class-validator'
import { Router } from 'express'
import { planCalendar } from '@/core/formats/planCalendar.ts'
import { told } from '@/contract/told.ts'
import type { Db } from '../db/db.ts'
import { getPaddock } from '../db/places.ts'
import { deletePlanItem, getPlanItem, listPlan, putPlanItem } from '../db/plan.ts'
import { getRound } from '../db/rounds.ts'
import { writeRecord } from '../db/standing.ts'
import type { Book } from '../flora/book.ts'
import { badRequest } from '../http/httpError.ts'
import { knownPlant } from '../http/knownTaxon.ts'
import { idOf } from '../http/idOf.ts'
import { parseBody } from '../http/parseBody.ts'
import { seenIn, standing } from '../http/seenIn.ts'
import { PlanItemInput } from '@/contract/input/plan.ts'

const planItems = { get: getPlanItem, put: putPlanItem, drop: deletePlanItem }

/** What is to be done, by whom and when, and its calendar. */
export function planRoutes(db: Db, book: Book): Router {
  return Router()
    .get('/plan-items', async (req, res) => {
      const { paddock } = req.query
      if (paddock !== undefined && !isUUID(paddock))
        throw badRequest(told('A paddock is asked for by its UUID.'), 'paddock')
      res.json(await listPlan(db, paddock as string | undefined))
    })
    .put('/plan-items/:id', async (req, res) => {
      if (!isUUID(req.params.id)) throw badRequest(told('A thing to do needs a UUID.'), 'id')
      const { body, seen } = seenIn(req.body)
      const input = parseBody(PlanItemInput, body)
      if (!(await getPaddock(db, input.paddockId))) throw badRequest(told('There is no such paddock.'), 'paddockId')
      if (input.roundId && !(await getRound(db, input.roundId)))
        throw badRequest(told('There is no such round.'), 'roundId')
      if (input.backOn && input.backOn < input.dueOn)
        throw badRequest(told('The day to look again lies before the day it is due.'), 'backOn')
      const plant = input.plant ? knownPlant(input.plant, book.flora, 'plant') : null
      const item = {
        ...input,
        id: req.params.id,
        plant,
        roundId: input.roundId ?? null,
        backOn: input.backOn ?? null,
        doneOn: input.doneOn ?? null,
      }
      standing(await writeRecord(db, planItems, item.id, item, seen))
      res.json({ id: req.params.id })
    })
    .delete('/plan-items/:id', async (req, res) => {
      const id = idOf(req.params.id, 'id')
      standing(await writeRecord(db, planItems, id, null, seenIn(req.body).seen))
      res.json({ id: req.params.id })
    })
    .get('/plan.ics', async (_req, res) => {
      res
        .attachment('plan.ics')
        .type('text/calendar')
        .send(planCalendar(await listPlan(db)))
    })
}
