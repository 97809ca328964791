import type { Letter } from './letterBox.ts'

const KIND = 'fold-sprig-not-sent'

/** What could not be sent, to be opened on another device. */
export const unsentFile = (letters: Letter[]) => ({
  kind: KIND,
  letters: letters.map(({ key, method, url, body, stop }) => ({ key, method, url, body, ...(stop ? { stop } : {}) })),
})

/** What the outbox carries; a file somebody sent must not be able to ask for anything else. */
const CARRIED =
  /^\/api\/(rounds|paddocks|holdings|kept|plan-items|namings|unknowns|practice-answers|naming-checks)(\/[\w-]+)*$/

const isLetter = (l: unknown): l is Letter => {
  const { key, method, url } = (l ?? {}) as Partial<Record<keyof Letter, unknown>>
  return (
    typeof url === 'string' &&
    CARRIED.test(url) &&
    typeof key === 'string' &&
    ['POST', 'PUT', 'DELETE'].includes(method as string)
  )
}

/** The letters of such a file; undefined where it is another one. Nothing is sent elsewhere than to the own server. */
export function readUnsent(text: string): Letter[] | undefined {
  try {
    const file = JSON.parse(text) as { kind?: unknown; letters?: unknown }
    if (file.kind !== KIND || !Array.isArray(file.letters) || !file.letters.every(isLetter)) return undefined
    return unsentFile(file.letters).letters
  } catch {
    return undefined
  }
}
