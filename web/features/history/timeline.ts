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

/** An entry whose words are made when they are first read: most of a long daybook lies further back than is shown. */
function entry(what: Omit<Entry, 'text'>, words: () => string): Entry {
  let text: string | undefined
  return {
    ...what,
    get text() {
      return (text ??= words())
    },
  }
}

/** Everything found and done, the latest first. */
export function timeline({ rounds, plan, namings, events, paddocks }: Kept): Entry[] {
  const placeOf = new Map(paddocks.map((p) => [p.id, p.name]))
  const roundOf = new Map(rounds.map((r) => [r.id, r]))
  const entries: Entry[] = [
    ...rounds
      .filter((r) => r.stopsDone > 0)
      .map(({ id, plannedOn, paddockId, paddock, title, stopsDone, stops }) =>
        entry({ id, day: plannedOn, kind: 'counted', paddockId, place: paddock, to: `/rounds/${id}/weigh-up` }, () =>
          say('{{title}}: {{stopsDone}} of {{stops}} counted', { title, stopsDone, stops }),
        ),
      ),
    ...namings.map((n) => {
      const round = n.roundId ? roundOf.get(n.roundId) : undefined
      return entry(
        {
          id: n.id,
          day: n.namedAt.slice(0, 10),
          kind: 'named',
          paddockId: round?.paddockId ?? null,
          place: round?.paddock ?? n.place,
          to: `/plants/${n.plant}`,
        },
        () => say('{{shortName}} named', { shortName: shortName(n.plant) }),
      )
    }),
    ...plan.map(({ id, doneOn, dueOn, paddockId, paddock, text, outcome }) =>
      entry({ id, day: doneOn ?? dueOn, kind: doneOn ? 'done' : 'to do', paddockId, place: paddock }, () =>
        doneOn && outcome ? say('{{text}}. Came of it: {{outcome}}', { text, outcome }) : text,
      ),
    ),
    ...events.map((e) =>
      entry(
        {
          id: e.id,
          day: e.onDate,
          kind: 'event',
          paddockId: e.paddockId,
          place: placeOf.get(e.paddockId) ?? '',
          to: `/places/${e.paddockId}`,
        },
        () => eventText(e),
      ),
    ),
  ]
  return entries.sort((a, b) => (a.day < b.day ? 1 : a.day > b.day ? -1 : a.id < b.id ? -1 : 1))
}
