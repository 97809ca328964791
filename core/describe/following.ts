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

/** Last word of the piece of a sentence that begins here: up to the next break. */
export function pieceEnd(from: number, tokens: readonly Token[]): number {
  let end = from
  while (end < tokens.length - 1 && tokens[end]!.break === '') end++
  return end
}

const OR = new Set(['or', 'nor', 'oder', 'noch'])

/** Whether a list goes on over commas: "no hairs, spots or wings". */
export function listGoesOn(from: number, tokens: readonly Token[]): boolean {
  const rest = tokens.slice(from, from + 7)
  const end = rest.findIndex((t) => t.break === 'hard')
  return (end < 0 ? rest : rest.slice(0, end + 1)).some((t, i) => OR.has(t.raw) && i <= 4)
}

/** Words that say of what stands before them that there is none. */
export const NONE_AFTER: ReadonlySet<string> = new Set(['none', 'nil', 'absent', 'missing', 'lacking', 'keine', 'keiner', 'fehlt', 'fehlen']) // prettier-ignore

/** Whether nothing that says something stands between two words. */
export const onlyPassed = (
  after: number,
  before: number,
  tokens: readonly Token[],
  { passed }: Pick<Vocabulary, 'passed'>,
): boolean => tokens.slice(after + 1, before).every((t) => passed.has(t.raw))
