import type { Hit } from '@/core/records/hit.ts'
import { randomGamma, randomLcg } from 'd3-random'
import { addDays } from 'date-fns/addDays'
import { addYears } from 'date-fns/addYears'
import { formatISO } from 'date-fns/formatISO'
import { parseISO } from 'date-fns/parseISO'
import { isSouthern } from '@/core/flora/seasons.ts'
import { openStop } from '@/core/records/round.ts'
import { partAt } from '@/core/survey/layRoute.ts'
import { wRoute } from '@/core/geo/route.ts'
import { letterOf } from '@/core/records/taxon.ts'
import type { Contacts } from '@/core/records/contacts.ts'
import type { Db } from '../db/db.ts'
import { putKept } from '../db/kept.ts'
import { addHolding, addPaddock, putEvent } from '../db/places.ts'
import { putPlanItem } from '../db/plan.ts'
import { addRound, putUnknown } from '../db/rounds.ts'
import type { DemoPlace, DemoRound } from './demoPlace.ts'
import { demoWorld } from './demoWorld.ts'
import { fixedId } from './fixedId.ts'

/** One made-up stop: the sward varies from stop to stop (gamma weights), then each point falls by those shares. */
function madeStop(sward: DemoPlace['sward'], evenness: number, points: number, random: () => number): Hit[] {
  const weights = sward.map(([, share]) => (share > 0 ? randomGamma.source(random)(share * evenness, 1)() : 0))
  const total = weights.reduce((a, b) => a + b, 0)
  return Array.from({ length: points }, () => {
    let u = random() * total
    const i = weights.findIndex((w) => (u -= w) <= 0)
    return { taxon: sward[Math.max(0, i)]![0], amount: 1 }
  })
}

interface DemoCount extends DemoRound {
  id: string
  on: Date
  sward: DemoPlace['sward']
}

/** A round of a place, counted where it has a sward. */
async function loadRound(
  db: Db,
  place: DemoPlace,
  { id, title, purpose, stops: count, pointsPerStop, stage, on, sward }: DemoCount,
  random: () => number,
): Promise<void> {
  const { line, lengthM, stops } = wRoute(place.paddock.boundary!, count)
  const counted = sward.length > 0
  const swardAt = (position: (typeof stops)[number]) => {
    const other = place.inPart?.[partAt(position, place.paddock.strata) ?? ''] ?? {}
    return sward.map(([t, share]): [string, number] => [t, other[t] ?? share])
  }
  await addRound(db, {
    id,
    paddockId: place.paddock.id,
    title,
    method: 'step-points',
    purpose,
    plannedOn: formatISO(on, { representation: 'date' }),
    pointsPerStop,
    route: { line, lengthM },
    source: '',
    settings: { routeKind: 'w', halfWidth: 0.05 },
    stops: stops.map((position, i) => ({
      ...openStop(fixedId(`${id}/stop/${i + 1}`), i + 1, position, partAt(position, place.paddock.strata)),
      hits: counted ? madeStop(swardAt(position), place.evenness, pointsPerStop, random) : [],
      doneAt: counted ? on.toISOString() : null,
      measures: counted && stage ? { stage } : {},
    })),
  })
}

/** The made-up advisor of the valley, and whom its people call; 555-01 numbers belong to nobody. */
const contacts: Contacts = {
  advisor: 'Rosalind Quern',
  credentials: 'grazing and turf advisor',
  advisorPhone: '555-0142',
  vet: 'Tarrow Valley Veterinary Practice',
  vetPhone: '555-0117',
  poisonLine: '555-0199',
}

/** Of the Harrowgum valley. */
const southern: Contacts = {
  ...contacts,
  vet: 'Harrowgum Veterinary Practice',
  vetPhone: '555-0163',
  poisonLine: '555-0188',
}

async function loadPlace(db: Db, place: DemoPlace, today: Date, seed: number): Promise<void> {
  await addHolding(db, place.holding)
  await addPaddock(db, place.paddock)
  await putKept(db, {
    subject: place.holding.id,
    kind: 'contacts',
    value: isSouthern(place.paddock.region) ? southern : contacts,
  })
  if (place.herd) await putKept(db, { subject: place.paddock.id, kind: 'herd', value: place.herd })
  if (place.management) await putKept(db, { subject: place.paddock.id, kind: 'management', value: place.management })
  const roundId = fixedId(`round/${place.paddock.name}/${place.round.title}`)
  const on = addDays(today, place.round.daysFromToday)
  const random = randomLcg(seed)
  await loadRound(db, place, { ...place.round, id: roundId, on, sward: place.sward }, random)
  const { before } = place
  if (before) {
    const id = fixedId(`round/${place.paddock.name}/${before.title}`)
    await loadRound(db, place, { ...before, id, on: addDays(today, before.daysFromToday) }, random)
  }
  for (const { yearsAgo, then } of place.earlier) {
    const year = addYears(on, -yearsAgo)
    const id = fixedId(`round/${place.paddock.name}/${yearsAgo} years ago`)
    const sward = place.sward.map(([t, share]): [string, number] => [t, then[t] ?? share])
    await loadRound(db, place, { ...place.round, id, title: `Count of ${year.getFullYear()}`, on: year, sward }, random)
  }
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

/** Fill an empty database with the two made-up valleys; one that holds anything is left alone. */
export async function loadDemo(db: Db, todayIso: string): Promise<boolean> {
  const { rows } = await db.query<{ n: number }>('select count(*)::int as n from holding')
  if (rows[0]!.n > 0) return false
  for (const [i, place] of demoWorld.entries()) await loadPlace(db, place, parseISO(todayIso), 0.1 + i / 10)
  return true
}
