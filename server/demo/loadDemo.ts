import { randomGamma, randomLcg } from 'd3-random'
import { addDays } from 'date-fns/addDays'
import { formatISO } from 'date-fns/formatISO'
import { parseISO } from 'date-fns/parseISO'
import { openStop } from '@/core/records/round.ts'
import { partAt } from '@/core/survey/layRoute.ts'
import { wRoute } from '@/core/survey/route.ts'
import type { Hit } from '@/core/survey/tally.ts'
import { letterOf } from '@/core/survey/taxon.ts'
import type { Db } from '../db/db.ts'
import { addHolding, addPaddock, putEvent } from '../db/places.ts'
import { putPlanItem } from '../db/plan.ts'
import { addRound, putUnknown } from '../db/rounds.ts'
import { demoWorld, type DemoPlace } from './demoWorld.ts'
import { fixedId } from './fixedId.ts'

/** One made-up stop: the sward varies from stop to stop (gamma weights), then each point falls by those shares. */
function madeStop(place: DemoPlace, random: () => number): Hit[] {
  const weights = place.sward.map(([, share]) => randomGamma.source(random)(share * place.evenness, 1)())
  const total = weights.reduce((a, b) => a + b, 0)
  return Array.from({ length: place.round.pointsPerStop }, () => {
    let u = random() * total
    const i = weights.findIndex((w) => (u -= w) <= 0)
    return { taxon: place.sward[Math.max(0, i)]![0], amount: 1 }
  })
}

async function loadPlace(db: Db, place: DemoPlace, today: Date, seed: number): Promise<void> {
  await addHolding(db, place.holding)
  await addPaddock(db, place.paddock)
  const roundId = fixedId(`round/${place.paddock.name}/${place.round.title}`)
  const route = wRoute(place.paddock.boundary!, place.round.stops)
  const on = addDays(today, place.round.daysFromToday)
  const random = randomLcg(seed)
  const counted = place.sward.length > 0
  await addRound(db, {
    id: roundId,
    paddockId: place.paddock.id,
    title: place.round.title,
    method: 'step-points',
    purpose: place.round.purpose,
    plannedOn: formatISO(on, { representation: 'date' }),
    pointsPerStop: place.round.pointsPerStop,
    route: { line: route.line, lengthM: route.lengthM },
    source: '',
    settings: { routeKind: 'w', halfWidth: 0.05 },
    stops: route.stops.map((position, i) => ({
      ...openStop(fixedId(`${roundId}/stop/${i + 1}`), i + 1, position, partAt(position, place.paddock.strata)),
      hits: counted ? madeStop(place, random) : [],
      doneAt: counted ? on.toISOString() : null,
    })),
  })
  for (const [i, { daysAgo, ...event }] of place.history.entries())
    await putEvent(db, {
      ...event,
      id: fixedId(`${place.paddock.id}/event/${i}`),
      paddockId: place.paddock.id,
      onDate: formatISO(addDays(today, -daysAgo), { representation: 'date' }),
    })
  const dayAfter = (days: number) => formatISO(addDays(today, days), { representation: 'date' })
  for (const [i, { dueInDays, backInDays, ...task }] of place.plan.entries())
    await putPlanItem(db, {
      ...task,
      id: fixedId(`${place.paddock.id}/plan/${i}`),
      paddockId: place.paddock.id,
      roundId,
      dueOn: dayAfter(dueInDays),
      backOn: backInDays === null ? null : dayAfter(backInDays),
      doneOn: null,
      outcome: '',
    })
  for (const [taxon] of place.sward) {
    const letter = letterOf(taxon)
    if (letter) await putUnknown(db, roundId, letter, null)
  }
}

/** Fill an empty database with the Tarrow valley; one that holds anything is left alone. */
export async function loadDemo(db: Db, todayIso: string): Promise<boolean> {
  const { rows } = await db.query<{ n: number }>('select count(*)::int as n from holding')
  if (rows[0]!.n > 0) return false
  for (const [i, place] of demoWorld.entries()) await loadPlace(db, place, parseISO(todayIso), 0.1 + i / 10)
  return true
}
