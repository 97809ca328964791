import argon2 from 'argon2'
import { badRequest } from '../http/httpError.ts'

/** Long enough for a sentence; argon2 takes any length, a request should not. */
export const SHORTEST = 12
export const LONGEST = 200

/** A name as two of them are compared: capitals, width and marks written in two ways make no difference. */
export const nameKey = (name: string): string => name.trim().normalize('NFKC').toLowerCase()

/** @throws HttpError 400 where a password is too easily guessed */
export function checkPassword(password: string, name: string): void {
  const typed = password.normalize('NFKC')
  if ([...typed].length < SHORTEST)
    throw badRequest(`A password has at least ${SHORTEST} characters: three or four words are easy to keep in mind.`, 'password') // prettier-ignore
  if (typed.length > LONGEST) throw badRequest(`A password has at most ${LONGEST} characters.`, 'password')
  if (new Set(typed).size < 5) throw badRequest('That password repeats too few characters.', 'password')
  if (nameKey(typed).includes(nameKey(name)) && nameKey(name).length > 3)
    throw badRequest('A password must not hold the name.', 'password')
}

/** The digest to keep: argon2id with 64 MiB and three passes, the package's own figures (above OWASP's least, 2023). */
export const digestPassword = (password: string): Promise<string> =>
  argon2.hash(password.normalize('NFKC'), { type: argon2.argon2id })

let nobody: Promise<string> | undefined

/** Whether it is the password. Where there is no such account it takes as long: the answer must not tell which it was. */
export async function isPassword(digest: string | undefined, password: string): Promise<boolean> {
  nobody ??= digestPassword('nobody has this password')
  const same = await argon2.verify(digest ?? (await nobody), password.normalize('NFKC'))
  return digest !== undefined && same
}
