import type { PlanItem, PlanLine } from '@/core/records/planItem.ts'
import type { Sql } from './db.ts'

const ITEM = `i.id, i.paddock_id as "paddockId", i.round_id as "roundId", i.plant, i.text, i.owner,
  i.due_on::text as "dueOn", i.back_on::text as "backOn", i.look_for as "lookFor", i.done_on::text as "doneOn",
  i.outcome`
const FROM = 'from plan_item i join paddock p on p.id = i.paddock_id join holding h on h.id = p.holding_id'

/** Things to do, of one paddock or of all, the earliest first. */
export async function listPlan(db: Sql, paddockId?: string): Promise<PlanLine[]> {
  const { rows } = await db.query<PlanLine>(
    `select ${ITEM}, p.name as paddock, h.name as holding ${FROM} where $1::uuid is null or i.paddock_id = $1 order by i.due_on, i.id`,
    [paddockId ?? null],
  )
  return rows
}

export async function getPlanItem(db: Sql, id: string): Promise<PlanItem | undefined> {
  return (await db.query<PlanItem>(`select ${ITEM} from plan_item i where i.id = $1`, [id])).rows[0]
}

/** Keep a thing to do; a second time with the same id changes it. */
export async function putPlanItem(db: Sql, i: PlanItem): Promise<void> {
  await db.query(
    `insert into plan_item (id, paddock_id, round_id, plant, text, owner, due_on, back_on, look_for, done_on, outcome)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
     on conflict (id) do update set text = excluded.text, owner = excluded.owner, due_on = excluded.due_on,
       back_on = excluded.back_on, look_for = excluded.look_for, done_on = excluded.done_on,
       outcome = excluded.outcome`,
    [i.id, i.paddockId, i.roundId, i.plant, i.text, i.owner, i.dueOn, i.backOn, i.lookFor, i.doneOn, i.outcome],
  )
}

export async function deletePlanItem(db: Sql, id: string): Promise<void> {
  await db.query('delete from plan_item where id = $1', [id])
}
