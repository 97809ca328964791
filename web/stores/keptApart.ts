import { useOutbox } from './outboxStore.ts'

export type KeptKind = 'herd' | 'lab' | 'runners' | 'sowing'

export const keptUrl = (kind: KeptKind, subject: string) => `/api/kept/${kind}/${subject}`

/** What is said of a paddock or round besides its counts goes to the server like everything typed; undefined takes it away. */
export function keep(kind: KeptKind, subject: string, value: object | undefined): void {
  const url = keptUrl(kind, subject)
  useOutbox.getState().post({ key: url, method: value ? 'PUT' : 'DELETE', url, body: value ?? {} })
}
