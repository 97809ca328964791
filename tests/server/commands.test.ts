import { expect, it } from 'vitest'
import { requestOf } from '@/contract/commandRequests.ts'
import { oneOfEach } from '@/tests/support/commands.ts'
import { everyRoute } from '@/tests/support/everyRoute.ts'
import { teamForFile } from '@/tests/support/team.ts'

const team = teamForFile()

it.each(Object.values(oneOfEach).map((c) => [c.do, c] as const))('the server has a route for %s', (_name, command) => {
  const { method, url } = requestOf(command)
  const routes = everyRoute(team.app()).filter((r) => r.method.toUpperCase() === method)
  const matches = routes.filter(({ path }) => new RegExp(`^${path.replace(/:\w+/g, '[^/]+')}$`).test(url))
  expect(matches.length, `${method} ${url}`).toBeGreaterThan(0)
})
