import type { PracticeKind } from '@/core/practice/answer.ts'

export type Wished = PracticeKind | 'mixed'

/** What was pressed before the drawings and the book were there. */
export interface Wish {
  make: (kind: Wished) => void
  /** What was wished last, once. */
  take: () => Wished | undefined
}

export function noWish(): Wish {
  let wished: Wished | undefined
  return {
    make: (kind) => {
      wished = kind
    },
    take: () => {
      const kind = wished
      wished = undefined
      return kind
    },
  }
}
