import { say } from '../../language/say.ts'

/** What was asked, in words, by the address and the method. */
const kinds: [RegExp, () => string][] = [
  [/^POST \/sign-in$/, () => say('signed in')],
  [/^POST \/sign-out$/, () => say('signed out')],
  [/^PUT \/me\/password$/, () => say('took a new password')],
  [/^POST \/accounts$/, () => say('made an account')],
  [/^PUT \/accounts\/[^/]+$/, () => say('changed an account')],
  [/^PUT \/accounts\/[^/]+\/password$/, () => say('gave somebody a new password')],
  [/^POST \/links$/, () => say('made a link for a client')],
  [/^DELETE \/links\//, () => say('took a link back')],
  [/^POST \/rounds$/, () => say('planned a round')],
  [/^PUT \/rounds\/[^/]+\/stops\/\d+$/, () => say('counted a stop')],
  [/^PUT \/rounds\/[^/]+\/unknowns\//, () => say('named an unknown of a round')],
  [/^POST \/round-files$/, () => say('opened a round from a file')],
  [/^POST \/imports\//, () => say('loaded an open table')],
  [/^POST \/namings$/, () => say('wrote a name down')],
  [/^(PUT|DELETE) \/naming-checks\//, () => say('checked a name in flower')],
  [/^PUT \/unknowns\//, () => say('kept an unknown plant')],
  [/^PUT \/photos\//, () => say('kept a picture')],
  [/^DELETE \/photos\//, () => say('took a picture away')],
  [/^POST \/practice-answers$/, () => say('practised')],
  [/^POST \/holdings$/, () => say('added a holding')],
  [/^PUT \/holdings\//, () => say('renamed a holding')],
  [/^POST \/paddocks$/, () => say('added a paddock')],
  [/^PUT \/paddocks\/[^/]+$/, () => say('changed a paddock')],
  [/^PUT \/paddocks\/[^/]+\/events\//, () => say('wrote into the history of a paddock')],
  [/^DELETE \/paddocks\/[^/]+\/events\//, () => say('took something out of the history of a paddock')],
  [/^PUT \/plan-items\//, () => say('wrote into the plan')],
  [/^DELETE \/plan-items\//, () => say('took something out of the plan')],
  [/^PUT \/kept\/herd\//, () => say('said what stock there is')],
  [/^PUT \/kept\/lab\//, () => say('kept a result of the laboratory')],
  [/^PUT \/kept\/conditions\//, () => say('said what is known of the day')],
  [/^PUT \/kept\/contacts\//, () => say('said who advises and whom to call')],
  [/^POST \/rounds\/[^/]+\/signed-pages$/, () => say('signed the pages of a round')],
  [/^PUT \/kept\/runners\//, () => say('counted runners')],
  [/^PUT \/kept\/sowing\//, () => say('checked a sowing')],
  [/^DELETE \/kept\//, () => say('took a note away')],
  [/^POST \/plants$/, () => say('added a plant to the book')],
]

/** "counted a stop", "counted a stop (refused)". */
export function auditWords({ method, path, status }: { method: string; path: string; status: number }): string {
  const asked = `${method} ${path}`
  const words = kinds.find(([is]) => is.test(asked))?.[1]() ?? asked
  return status < 400
    ? words
    : status === 409
      ? say('{{words}} (met another’s)', { words })
      : say('{{words}} (refused)', { words })
}
