import type { KeptKind } from '@/contract/commands.ts'
import { keep } from '../stores/keptApart.ts'
import { reads, useRead, type ReadNow } from './reads.ts'

/** What is said of a paddock or round besides its counts: the value as this device knows it, and how to change it. */
export function useKept<T extends object>(
  kind: KeptKind,
  subject: string,
): ReadNow<T> & { set: (value: T | undefined) => void } {
  const now = useRead(reads.kept)
  const data = now.data?.find((k) => k.kind === kind && k.subject === subject)?.value as T | undefined
  return { ...now, data, set: (value) => keep(kind, subject, value) }
}
