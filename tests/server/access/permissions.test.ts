import { describe, expect, it } from 'vitest'
import { isPermitted, type Role } from '@/server/access/permissions.ts'
import { everyRoute } from '@/tests/support/everyRoute.ts'
import { teamForFile } from '@/tests/support/team.ts'

const team = teamForFile()

/** What of all routes a role may ask, as it would be asked. */
const allowed = (role: Role) =>
  everyRoute(team.app())
    .map(({ method, path }) => ({ method: method.toUpperCase(), path: path.replace('/api', '') }))
    .filter((r) => isPermitted(role, r))
    .map((r) => `${r.method} ${r.path}`)
    .sort()

describe('what each may ask, of every route there is', () => {
  it('an advisor all of them; nobody only who they are, to sign in, and whether the server is there', () => {
    expect(allowed('advisor')).toHaveLength(everyRoute(team.app()).length)
    expect(allowed('nobody')).toEqual(['GET /health', 'GET /me', 'POST /sign-in'])
  })

  it('the holder of a link the plant book and the one round it is for', () => {
    expect(allowed('link')).toEqual([
      'GET /book',
      'GET /book-columns',
      'GET /book-pieces',
      'GET /characters',
      'GET /groups',
      'GET /hazards',
      'GET /health',
      'GET /me',
      'GET /plants',
      'GET /shared',
      'POST /sign-in',
    ])
  })

  it('a trainee writes what was seen and answered, and changes no place, plan or account', () => {
    const writes = allowed('trainee').filter((r) => !r.startsWith('GET'))
    expect(writes).toEqual([
      'POST /describe',
      'POST /identify',
      'POST /namings',
      'POST /practice-answers',
      'POST /sign-in',
      'POST /sign-out',
      'PUT /me/password',
      'PUT /naming-checks/:naming',
      'PUT /photos/:id',
      'PUT /rounds/:id/stops/:seq',
      'PUT /rounds/:id/unknowns/:letter',
      'PUT /unknowns/:id',
    ])
    expect(isPermitted('trainee', { method: 'PUT', path: '/kept/runners/1' })).toBe(true)
    expect(isPermitted('trainee', { method: 'PUT', path: '/kept/lab/1' })).toBe(false)
    const reads = everyRoute(team.app()).filter((r) => r.method === 'get')
    const mayRead = new Set(allowed('trainee'))
    expect(
      reads
        .map((r) => `GET ${r.path.slice(4)}`)
        .filter((r) => !mayRead.has(r))
        .sort(),
    ).toEqual(['GET /accounts', 'GET /audit', 'GET /backup', 'GET /copies', 'GET /copies/state', 'GET /links'])
  })

  it.each([
    ['capitals', 'GET', '/ACCOUNTS'],
    ['a slash behind', 'GET', '/accounts/'],
    ['several slashes behind', 'GET', '/backup//'],
    ['only the head of it', 'HEAD', '/backup'],
    ['something below it', 'GET', '/accounts/1/password'],
    ['another verb', 'PATCH', '/rounds/1/stops/1'],
    ['one step too deep', 'PUT', '/rounds/1/stops/1/2'],
    ['one that is named like an allowed one', 'PUT', '/unknowns/1/photos/2'],
  ])('the same rule holds for %s', (_says, method, path) => {
    expect(isPermitted('trainee', { method, path })).toBe(false)
    expect(isPermitted('nobody', { method, path })).toBe(false)
  })
})
