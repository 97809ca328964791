/** Who asks: an advisor, a trainee, the holder of a client's link, or nobody that is known. */
export type Role = 'advisor' | 'trainee' | 'link' | 'nobody'

interface Rule {
  method: string
  path: RegExp
}

const rule = (method: string, path: RegExp): Rule => ({ method, path })
const ID = '[^/]+'

/** What needs no name: to be told who one is, to sign in, and whether the server is there. */
const open = [rule('GET', /^\/health$/), rule('GET', /^\/me$/), rule('POST', /^\/sign-in$/)]

/** The plant book, which a client's pages are drawn from, and the one round the link is for. */
const forLinks = [rule('GET', /^\/(book|book-columns|book-pieces|plants|characters|groups|hazards|shared)$/)]

/** What a trainee may not even read: copies of everything, who has an account, and who did what. */
const advisorsRead = /^\/(backup|copies|accounts|audit|links)(\/|$)/

/** What a trainee writes: what was seen in the field and answered in practice, under the eye of an advisor. */
const traineesWrite = [
  rule('POST', /^\/(identify|describe|namings|practice-answers|sign-out)$/),
  rule('PUT', /^\/me\/password$/),
  rule('PUT', new RegExp(`^/rounds/${ID}/stops/${ID}$`)),
  rule('PUT', new RegExp(`^/rounds/${ID}/unknowns/${ID}$`)),
  rule('PUT', new RegExp(`^/unknowns/${ID}$`)),
  rule('PUT', new RegExp(`^/photos/${ID}$`)),
  rule('PUT', new RegExp(`^/naming-checks/${ID}$`)),
  rule('PUT', new RegExp(`^/kept/(runners|sowing)/${ID}$`)),
]

const fits = (rules: Rule[], method: string, path: string) =>
  rules.some((r) => r.method === method && r.path.test(path))

/** Without the slashes at its end, in one pass: a path is what anybody may send. */
function trimmed(path: string): string {
  let end = path.length
  while (path[end - 1] === '/') end--
  return path.slice(0, end)
}

/**
 * Whether a role may ask this of the API. What is named nowhere is for advisors only.
 *
 * @param path below `/api`, as it was asked, without the query
 */
export function isPermitted(role: Role, asked: { method: string; path: string }): boolean {
  const method = asked.method === 'HEAD' ? 'GET' : asked.method
  // The routes are found whatever the capitals and with a slash behind: so must the rules be.
  const path = trimmed(asked.path.toLowerCase())
  if (fits(open, method, path)) return true
  if (role === 'advisor') return true
  if (role === 'trainee') return method === 'GET' ? !advisorsRead.test(path) : fits(traineesWrite, method, path)
  return role === 'link' && fits(forLinks, method, path)
}
