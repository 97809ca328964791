import type { Plant } from './flora.ts'

const made = new WeakMap<readonly Plant[], Map<string, string>>()
const cut = (name: string) => name.replace(/ \(.*\)/, '')

/** Common names without what stands in brackets, but where two plants of a book would then be called the same. */
export function shortNames(plants: readonly Plant[]): ReadonlyMap<string, string> {
  const known = made.get(plants)
  if (known) return known
  const times = new Map<string, number>()
  for (const p of plants) times.set(cut(p.commonName), (times.get(cut(p.commonName)) ?? 0) + 1)
  const names = new Map(
    plants.map((p) => [p.id, times.get(cut(p.commonName)) === 1 ? cut(p.commonName) : p.commonName]),
  )
  made.set(plants, names)
  return names
}
