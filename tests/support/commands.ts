import type { Command } from '@/contract/commands.ts'
import { emptyPaddock } from './rounds.ts'

const holding = { id: 'h', name: 'Withy Bank', client: '' }
const event = { id: 'e', paddockId: 'p', kind: 'cut' as const, onDate: '2027-05-02', note: 'late', detail: {} }
const item = { id: 'i', paddockId: 'p', roundId: null, plant: null, text: 'Pull it', owner: '', dueOn: '2027-05-09', backOn: null, lookFor: '', doneOn: null, outcome: '' } // prettier-ignore
const naming = { id: 'n', roundId: 'r', letter: 'A', plant: 'timothy', probability: 0.9, context: {}, observations: [], namedAt: '2027-05-02T10:00:00Z', place: '', specimens: 1, evidence: [] } // prettier-ignore
const stop = { id: 's', hits: [], doneAt: null, stratum: '', measures: {}, skipped: null }

/** One command of each kind. */
export const oneOfEach: { [D in Exclude<Command['do'], 'request'>]: Extract<Command, { do: D }> } = {
  'plan-round': { do: 'plan-round', round: { id: 'r', paddockId: 'p', title: 'T', purpose: '', plannedOn: '2027-05-02', pointsPerStop: 20, settings: {}, method: 'clips', laid: [], route: { line: [], lengthM: 0 } } }, // prettier-ignore
  'sign-page': { do: 'sign-page', signed: { id: 'g', roundId: 'r', issue: 1, signedBy: 'Odile Marrow', signedAt: '2027-05-02T10:00:00.000Z', factsHash: 'f'.repeat(64), hash: 'e'.repeat(64), page: '<html>' } }, // prettier-ignore
  'save-stop': { do: 'save-stop', roundId: 'r', seq: 3, stop },
  'name-letter': { do: 'name-letter', roundId: 'r', letter: 'A', namedAs: 'timothy' },
  'write-naming': { do: 'write-naming', naming },
  'keep-unknown': { do: 'keep-unknown', unknown: { id: 'u', place: 'gate', note: '', context: {}, observations: [], madeAt: '', opinion: null, namedAs: null } }, // prettier-ignore
  'add-holding': { do: 'add-holding', holding },
  'save-holding': { do: 'save-holding', holding },
  'add-paddock': { do: 'add-paddock', paddock: emptyPaddock },
  'save-paddock': { do: 'save-paddock', paddock: emptyPaddock },
  'save-event': { do: 'save-event', event },
  'delete-event': { do: 'delete-event', paddockId: 'p', eventId: 'e' },
  'save-plan-item': { do: 'save-plan-item', item },
  'delete-plan-item': { do: 'delete-plan-item', id: 'i' },
  'keep-apart': { do: 'keep-apart', kind: 'herd', subject: 'p', value: { count: 3 } },
  'drop-apart': { do: 'drop-apart', kind: 'lab', subject: 'r' },
  'keep-answers': { do: 'keep-answers', answers: [{ id: 'a' } as never] },
  'check-naming': { do: 'check-naming', check: { namingId: 'n', checkedOn: '2027-06-01', was: 'timothy', note: '' } },
  'drop-check': { do: 'drop-check', namingId: 'n' },
}
