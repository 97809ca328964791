import { has, type Step } from './steps.ts'
import type { Token } from './tokens.ts'
import type { Vocabulary } from './vocabulary.ts'

const DOES = new Set(['does', 'do'])

/** "Does not smell" tells of the plant; "have not smelled" tells of the one who looked. @param before the word in front */
export const tellsOfPlant = (step: Step, before: Token | undefined): boolean =>
  before !== undefined && DOES.has(before.raw) && has(step.entries, 'word')

/** Characters that the next word could mean, where it follows at once: "does not smell | of mint". */
export function charactersRightAfter(
  last: number,
  here: readonly Step[],
  tokens: readonly Token[],
  { passed, meanings }: Vocabulary,
): string[] {
  const next = here.find((s) => s.first > last)
  if (!next || !tokens.slice(last + 1, next.first).every((t) => passed.has(t.raw))) return []
  return next.entries.flatMap((e) =>
    e.is === 'word' ? Object.values(meanings.get(e.concept)!).flatMap((list) => list.map((m) => m.character)) : [],
  )
}
