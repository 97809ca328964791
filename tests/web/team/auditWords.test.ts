import { describe, expect, it } from 'vitest'
import { makeApp } from '@/server/app.ts'
import type { Db } from '@/server/db/db.ts'
import { Book } from '@/server/flora/book.ts'
import { flora } from '@/tests/support/book.ts'
import { everyRoute } from '@/tests/support/everyRoute.ts'
import { auditWords } from '@/web/features/team/auditWords.ts'

/** Routes only: nothing is asked of the database. */
const noDb = {} as Db
const app = makeApp({ db: noDb, book: new Book(flora), accounts: { secret: 'x', proxies: 0 }, log: () => undefined })
/** Looked up, not changed: they leave no line. */
const NO_CHANGE = ['/identify', '/describe', '/backup/check']

const changes = everyRoute(app)
  .filter((r) => r.method !== 'get')
  .map((r) => ({ method: r.method.toUpperCase(), path: r.path.replace('/api', '') }))
  .filter((r) => !NO_CHANGE.includes(r.path))
const asked = ({ method, path }: { method: string; path: string }) => {
  const kinds = path.includes(':kind') ? ['herd', 'lab', 'runners', 'sowing'] : ['']
  return kinds.map((kind) => ({
    method,
    path: path.replace(':kind', kind).replace(':seq', '7').replace(/:\w+/g, 'x-1'),
  }))
}

describe('a line of the trail in words', () => {
  it.each(changes.flatMap(asked))('$method $path is said in words', (line) => {
    const words = auditWords({ ...line, status: 200 })
    expect(words).not.toContain('/')
    expect(words).toMatch(/^[a-z]/)
  })

  it('there are more than twenty of them', () => expect(changes.length).toBeGreaterThan(20))

  it('says what was refused, and what met another’s', () => {
    const line = { method: 'PUT', path: '/rounds/1/stops/4' }
    expect(auditWords({ ...line, status: 200 })).toBe('counted a stop')
    expect(auditWords({ ...line, status: 403 })).toBe('counted a stop (refused)')
    expect(auditWords({ ...line, status: 409 })).toBe('counted a stop (met another’s)')
  })

  it('what has no words is shown as it was asked', () => {
    expect(auditWords({ method: 'PUT', path: '/something/new', status: 200 })).toBe('PUT /something/new')
  })
})
