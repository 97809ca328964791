import type { Amount } from './amounts.ts'
import type { Meaning, Vocabulary } from './vocabulary.ts'

/** Names of places on a part: what they are of stands a word further. */
const SIDELESS = new Set(['edge', 'tip', 'base', 'upper', 'both', 'ground', 'node'])

/** Parts whose hairs are meant when they were spoken of just before. */
const COATED = new Set(['stem', 'sheath', 'leaf', 'under', 'upper', 'seedleaf', 'leaflet'])

/** What a concept means by the parts that are spoken of beside it. */
export function meantBy(
  meanings: Record<string, Meaning[]>,
  parts: readonly { part: string; at: number }[],
  carried: string | undefined,
  at: number,
): Meaning[] | undefined {
  const near = [...parts].sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))
  // The nearest part decides, even where the word means on it what it mostly means.
  if (near[0] && near[0].part in meanings) return meanings[near[0].part]
  if (near[0] && 'any' in meanings && !SIDELESS.has(near[0].part)) return meanings['any']
  const other = near.find((p) => p.part in meanings)
  if (other) return meanings[other.part]
  const coat = meanings['any']?.[0]?.character === 'hairs.upper'
  if (parts.length === 0 && carried !== undefined && carried in meanings && (!coat || COATED.has(carried)))
    return meanings[carried]
  return meanings['any']
}

/** The character that a size is of. */
export function measuredCharacter(
  { measured }: Vocabulary,
  amount: Amount,
  parts: readonly { part: string; at: number }[],
  carried: string | undefined,
): string | undefined {
  // prettier-ignore
  const named = [...parts].sort((a, b) => Math.abs(a.at - amount.first) - Math.abs(b.at - amount.first)).map((p) => p.part)
  for (const part of named.length > 0 ? named : carried ? [carried] : []) {
    const dimension = amount.dimension ?? ''
    const found =
      measured[`${part} ${dimension}`] ?? (dimension === 'wide' && part !== 'leaf' ? undefined : measured[part])
    if (found && !(part === 'leaf' && dimension === 'high')) return found
  }
  return amount.dimension === 'wide' && named.length === 0 ? measured['leaf wide'] : undefined
}
