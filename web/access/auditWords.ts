/** What was asked, in words, by the address and the method. */
const kinds: [RegExp, string][] = [
  [/^POST \/sign-in$/, 'signed in'],
  [/^POST \/sign-out$/, 'signed out'],
  [/^PUT \/me\/password$/, 'took a new password'],
  [/^POST \/accounts$/, 'made an account'],
  [/^PUT \/accounts\/[^/]+$/, 'changed an account'],
  [/^PUT \/accounts\/[^/]+\/password$/, 'gave somebody a new password'],
  [/^POST \/links$/, 'made a link for a client'],
  [/^DELETE \/links\//, 'took a link back'],
  [/^POST \/rounds$/, 'planned a round'],
  [/^PUT \/rounds\/[^/]+\/stops\/\d+$/, 'counted a stop'],
  [/^PUT \/rounds\/[^/]+\/unknowns\//, 'named an unknown of a round'],
  [/^POST \/round-files$/, 'opened a round from a file'],
  [/^POST \/imports\//, 'loaded an open table'],
  [/^POST \/namings$/, 'wrote a name down'],
  [/^(PUT|DELETE) \/naming-checks\//, 'checked a name in flower'],
  [/^PUT \/unknowns\//, 'kept an unknown plant'],
  [/^PUT \/photos\//, 'kept a picture'],
  [/^DELETE \/photos\//, 'took a picture away'],
  [/^POST \/practice-answers$/, 'practised'],
  [/^POST \/holdings$/, 'added a holding'],
  [/^PUT \/holdings\//, 'renamed a holding'],
  [/^POST \/paddocks$/, 'added a paddock'],
  [/^PUT \/paddocks\/[^/]+$/, 'changed a paddock'],
  [/^PUT \/paddocks\/[^/]+\/events\//, 'wrote into the history of a paddock'],
  [/^DELETE \/paddocks\/[^/]+\/events\//, 'took something out of the history of a paddock'],
  [/^PUT \/plan-items\//, 'wrote into the plan'],
  [/^DELETE \/plan-items\//, 'took something out of the plan'],
  [/^PUT \/kept\/herd\//, 'said what stock there is'],
  [/^PUT \/kept\/lab\//, 'kept a result of the laboratory'],
  [/^PUT \/kept\/runners\//, 'counted runners'],
  [/^PUT \/kept\/sowing\//, 'checked a sowing'],
  [/^DELETE \/kept\//, 'took a note away'],
  [/^POST \/plants$/, 'added a plant to the book'],
]

/** "counted a stop", "counted a stop (refused)". */
export function auditWords({ method, path, status }: { method: string; path: string; status: number }): string {
  const asked = `${method} ${path}`
  const words = kinds.find(([is]) => is.test(asked))?.[1] ?? asked
  return status < 400 ? words : status === 409 ? `${words} (met another’s)` : `${words} (refused)`
}
