/** A record as plain data. */
export type Plain = Readonly<Record<string, unknown>>

/** What comes of two changes to one record: one that holds both, or the fields that both changed otherwise. */
export type Merge = { merged: Plain } | { clash: string[] }

/** Fields that are left out and fields that hold nothing are the same. */
const plain = (value: unknown): unknown => {
  if (value === null || value === undefined) return null
  if (Array.isArray(value)) return value.map(plain)
  if (typeof value !== 'object') return value
  const entries = Object.entries(value).filter(([, v]) => v !== null && v !== undefined)
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([k, v]) => [k, plain(v)]))
}
const textOf = (value: unknown): string => JSON.stringify(plain(value))

/** Whether two values say the same: order of names, and fields without a value, do not count. */
export const sameValue = (a: unknown, b: unknown): boolean => textOf(a) === textOf(b)

/** Fields of a record that say something else than in an earlier version of it. */
export const changedFields = (before: object | null, now: object): string[] =>
  Object.entries(now)
    .filter(([field, value]) => !sameValue((before as Plain | null)?.[field], value))
    .map(([field]) => field)

/** How often each item of a list is there, by its text. */
const counted = (list: readonly unknown[]): Map<string, number> => {
  const times = new Map<string, number>()
  for (const item of list) times.set(textOf(item), (times.get(textOf(item)) ?? 0) + 1)
  return times
}

/** Items of a list that another one does not have as often, in their order. */
function beyond(list: readonly unknown[], other: readonly unknown[]): unknown[] {
  const left = counted(other)
  return list.filter((item) => {
    const n = left.get(textOf(item)) ?? 0
    if (n > 0) left.set(textOf(item), n - 1)
    return n === 0
  })
}

/** A list with what one side added and without what it took out; an item that both changed is there in both versions. */
function mergeLists(seen: readonly unknown[], mine: readonly unknown[], theirs: readonly unknown[]): unknown[] {
  const without = beyond(theirs, beyond(seen, mine))
  // Both may have added the same one.
  return [...without, ...beyond(beyond(mine, seen), beyond(theirs, seen))]
}

const listOf = (value: unknown): readonly unknown[] | undefined => (Array.isArray(value) ? value : undefined)

/**
 * Two changes to one record, put together field by field: where only one side changed a field its value stands.
 *
 * @param seen the record that was on the screen when it was changed; null where there was none
 * @param lists fields whose items stand for themselves: what each side added is there, what it took out is not
 */
export function mergeRecord(seen: Plain | null, mine: Plain, theirs: Plain, lists: readonly string[] = []): Merge {
  const merged: Record<string, unknown> = {}
  const clash: string[] = []
  for (const field of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const [was, here, there] = [seen?.[field], mine[field], theirs[field]]
    const [hereList, thereList] = [listOf(here), listOf(there)]
    if (sameValue(here, there) || sameValue(here, was)) merged[field] = there
    else if (sameValue(there, was)) merged[field] = here
    else if (lists.includes(field) && hereList && thereList)
      merged[field] = mergeLists(listOf(was) ?? [], hereList, thereList)
    else clash.push(field)
  }
  return clash.length > 0 ? { clash } : { merged }
}

/** A record without some of its fields. */
export const without = <T extends object, K extends keyof T>(value: T, ...keys: K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(value).filter(([k]) => !(keys as string[]).includes(k))) as Omit<T, K>
