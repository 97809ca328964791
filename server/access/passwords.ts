import { LONGEST_PASSWORD } from '@/contract/accounts.ts'
import { told } from '@/contract/told.ts'
import { hash, verify, type Options } from '@node-rs/argon2'
import { badRequest } from '../http/httpError.ts'

export const SHORTEST = 12

/** A name as two of them are compared: capitals, width and marks written in two ways make no difference. */
export const nameKey = (name: string): string => name.trim().normalize('NFKC').toLowerCase()

/** @throws HttpError 400 where a password is too easily guessed */
export function checkPassword(password: string, name: string): void {
  const typed = password.normalize('NFKC')
  if ([...typed].length < SHORTEST)
    throw badRequest(`A password has at least ${SHORTEST} characters: three or four words are easy to keep in mind.`, 'password') // prettier-ignore
  if (typed.length > LONGEST_PASSWORD)
    throw badRequest(`A password has at most ${LONGEST_PASSWORD} characters.`, 'password')
  if (new Set(typed).size < 5) throw badRequest(told('That password repeats too few characters.'), 'password')
  if (nameKey(typed).includes(nameKey(name)) && nameKey(name).length > 3)
    throw badRequest(told('A password must not hold the name.'), 'password')
}

/** 64 MiB and three passes, above the least that OWASP asks for (2023); argon2id is what the package takes by itself. */
const COST: Options = { memoryCost: 65_536, timeCost: 3, parallelism: 4 }

/** The digest to keep. */
export const digestPassword = (password: string): Promise<string> => hash(password.normalize('NFKC'), COST)

let nobody: Promise<string> | undefined

/** Whether it is the password. Where there is no such account it takes as long: the answer must not tell which it was. */
export async function isPassword(digest: string | undefined, password: string): Promise<boolean> {
  nobody ??= digestPassword('nobody has this password')
  const same = await verify(digest ?? (await nobody), password.normalize('NFKC'))
  return digest !== undefined && same
}
