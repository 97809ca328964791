import type { Amount } from './amounts.ts'
import type { Meaning, Vocabulary } from './vocabulary.ts'

/** Parts whose hairs are meant when they were spoken of just before. */
const COATED = new Set(['stem', 'sheath', 'leaf', 'under', 'upper', 'seedleaf', 'leaflet'])

/** What a concept means by the parts that are spoken of beside it. */
export function meantBy(
  meanings: Record<string, Meaning[]>,
  parts: readonly { part: string; at: number }[],
  carried: string | undefined,
  at: number,
): Meaning[] | undefined {
  const near = parts.filter((p) => p.part in meanings).sort((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))
  if (near[0]) return meanings[near[0].part]
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
