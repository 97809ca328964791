import { distance } from 'fastest-levenshtein'
import type { Document, LineCounter } from 'yaml'
import { isNode } from 'yaml'

/** One thing wrong in a flora file, said so that its writer can mend it. */
export interface FloraProblem {
  file: string
  line: number
  message: string
}

/** No id is longer: what lies beyond makes it no nearer to any, and the work grows with it. */
const LONGEST = 60

/** The ids of a list that are nearest to a mistyped one. */
export function nearest(typed: string, allowed: readonly string[], count = 3): string[] {
  const near = typed.slice(0, LONGEST)
  return allowed
    .map((id) => ({ id, far: distance(near, id) }))
    .sort((a, b) => a.far - b.far || (a.id < b.id ? -1 : 1))
    .slice(0, count)
    .map(({ id }) => id)
}

/** Line (from 1) at which a path of a YAML document stands, or that of its nearest parent that does. */
export function lineOf(doc: Document, counter: LineCounter, path: (string | number)[]): number {
  for (let length = path.length; length > 0; length--) {
    const node: unknown = doc.getIn(path.slice(0, length), true)
    if (isNode(node) && node.range) return counter.linePos(node.range[0]).line
  }
  return 1
}
