import type { PaddockEvent } from '@/core/records/paddockEvent.ts'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Determination, Paddock, RoundSummary } from '@/core/records/round.ts'
import { eventWords } from '../../entities/place/eventWords.ts'
import { shortName } from '../../stores/floraStore.ts'
import { rateWords } from '../../parts/units.ts'
import { say } from '../../language/say.ts'

/** One line of the daybook. */
export interface Entry {
  id: string
  /** ISO day. */
  day: string
  kind: 'counted' | 'named' | 'done' | 'to do' | 'event'
  paddockId: string | null
  place: string
  text: string
  to?: string
}

function eventText({ kind, note, detail }: PaddockEvent): string {
  const what =
    detail.sown?.map((s) => `${shortName(s.plant)} ${rateWords(s.kgPerHa)}`).join(', ') ?? detail.amount ?? ''
  return [`${kind === 'other' ? say('Noted') : eventWords[kind]}${what ? `: ${what}` : ''}`, note]
    .filter(Boolean)
    .join('. ')
}

export interface Kept {
  rounds: RoundSummary[]
  plan: PlanLine[]
  namings: Determination[]
  events: PaddockEvent[]
  paddocks: Paddock[]
}

/** Everything found and done, the latest first. */
export function timeline({ rounds, plan, namings, events, paddocks }: Kept): Entry[] {
  const placeOf = new Map(paddocks.map((p) => [p.id, p.name]))
  const roundOf = new Map(rounds.map((r) => [r.id, r]))
  const entries: Entry[] = [
    ...rounds
      .filter((r) => r.stopsDone > 0)
      .map((r): Entry => ({
        id: r.id,
        day: r.plannedOn,
        kind: 'counted',
        paddockId: r.paddockId,
        place: r.paddock,
        text: say('{{title}}: {{stopsDone}} of {{stops}} counted', {
          title: r.title,
          stopsDone: r.stopsDone,
          stops: r.stops,
        }),
        to: `/rounds/${r.id}/weigh-up`,
      })),
    ...namings.map((n): Entry => {
      const round = n.roundId ? roundOf.get(n.roundId) : undefined
      return {
        id: n.id,
        day: n.namedAt.slice(0, 10),
        kind: 'named',
        paddockId: round?.paddockId ?? null,
        place: round?.paddock ?? n.place,
        text: say('{{shortName}} named', { shortName: shortName(n.plant) }),
        to: `/plants/${n.plant}`,
      }
    }),
    ...plan.map((l): Entry => ({
      id: l.id,
      day: l.doneOn ?? l.dueOn,
      kind: l.doneOn ? 'done' : 'to do',
      paddockId: l.paddockId,
      place: l.paddock,
      text:
        l.doneOn && l.outcome ? say('{{text}}. Came of it: {{outcome}}', { text: l.text, outcome: l.outcome }) : l.text,
    })),
    ...events.map((e): Entry => ({
      id: e.id,
      day: e.onDate,
      kind: 'event',
      paddockId: e.paddockId,
      place: placeOf.get(e.paddockId) ?? '',
      text: eventText(e),
      to: `/places/${e.paddockId}`,
    })),
  ]
  return entries.sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : a.id < b.id ? -1 : 1))
}
