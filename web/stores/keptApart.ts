import type { KeptKind } from '@/contract/commands.ts'
import { useOutbox } from './outboxStore.ts'

/** What is said of a paddock or round besides its counts goes to the server like everything typed; undefined takes it away. */
export function keep(kind: KeptKind, subject: string, value: object | undefined): void {
  useOutbox.getState().post(value ? { do: 'keep-apart', kind, subject, value } : { do: 'drop-apart', kind, subject })
}
