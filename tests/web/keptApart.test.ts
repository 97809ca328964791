import { keyOf } from '@/contract/commandKeys.ts'
import { requestOf } from '@/contract/commandRequests.ts'
import type { Command, KeptApart } from '@/contract/commands.ts'
import { randomLcg } from 'd3-random'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { plantsById } from '@/tests/support/book.ts'
import { countedStop, emptyPaddock, hitsOf, roundOf } from '@/tests/support/rounds.ts'
import { weighUp } from '@/core/assess/weighUp.ts'
import { madeFrame } from '@/web/features/practice/madeFrame.ts'
import { fresh, reads, serverReads } from '@/web/data/reads.ts'
import { keep } from '@/web/stores/keptApart.ts'
import { tellTaken } from '@/web/stores/outboxPages.ts'
import { useOutbox } from '@/web/stores/outboxStore.ts'
import { firstHerd } from '@/web/entities/round/herd.ts'
import { seasonShares } from '@/web/entities/round/seasonShares.ts'
import { stillToFind } from '@/web/entities/round/stillToFind.ts'
import { unwanted } from '@/web/features/results/do/unwanted.ts'

const posted: Command[] = []
beforeEach(() => {
  posted.length = 0
  serverReads.clear()
  useOutbox.setState({ pending: [], post: (command) => void posted.push(command) })
})
afterEach(() => void vi.unstubAllGlobals())

const waits = (...commands: Command[]) =>
  useOutbox.setState({ pending: commands.map((command) => ({ key: keyOf(command), command })) })
const serverSays = (value: unknown) => vi.stubGlobal('fetch', async () => new Response(JSON.stringify(value)))

describe('stock of a paddock', () => {
  const herd = (count: number) => ({ ...firstHerd, count })
  const saidOf = (kept: KeptApart[]) => kept.map((k) => [k.subject, (k.value as { count: number }).count])

  it('of another device is taken over, but not over what still waits to be sent from here', async () => {
    waits({ do: 'keep-apart', kind: 'herd', subject: 'here', value: herd(5) })
    serverSays(['here', 'other'].map((subject) => ({ subject, kind: 'herd', value: herd(80) })))
    expect(saidOf(await fresh(reads.kept))).toEqual([
      ['here', 5],
      ['other', 80],
    ])
  })

  it('that was taken away, here or on another device, is not said any more', async () => {
    serverSays([{ subject: 'r1', kind: 'lab', value: herd(1) }])
    expect(await fresh(reads.kept)).toHaveLength(1)
    waits({ do: 'drop-apart', kind: 'lab', subject: 'r1' })
    expect(await fresh(reads.kept)).toEqual([])
    waits()
    serverSays([])
    expect(await fresh(reads.kept)).toEqual([])
    expect(serverReads.getQueryData(['kept'])).toEqual([])
  })

  it('what is taken away is taken away on the server', () => {
    keep('lab', 'r1', undefined)
    expect(posted).toEqual([{ do: 'drop-apart', kind: 'lab', subject: 'r1' }])
    expect(requestOf(posted[0]!)).toMatchObject({ method: 'DELETE', url: '/api/kept/lab/r1' })
  })
})

describe('answers of practice', () => {
  const answer = (id: string) => ({ id, kind: 'name', about: 'timothy' }) as unknown as PracticeAnswer

  it('go out each under its own id', () => {
    const keys = ['a', 'b'].map((id) => keyOf({ do: 'keep-answers', answers: [answer(id)] }))
    expect(new Set(keys).size).toBe(2)
  })

  it('of the server and those that wait stand once each', async () => {
    waits({ do: 'keep-answers', answers: [answer('b')] }, { do: 'keep-answers', answers: [answer('c')] })
    serverSays([answer('a'), answer('b')])
    expect((await fresh(reads.answers)).map((a) => a.id)).toEqual(['a', 'b', 'c'])
  })

  it('one that the server takes while the list is on its way is in the list', async () => {
    let come: (answer: Response) => void = () => undefined
    vi.stubGlobal('fetch', () => new Promise<Response>((r) => (come = r)))
    const reading = fresh(reads.answers)
    await vi.waitFor(() => expect(serverReads.isFetching()).toBe(0))
    await new Promise((r) => setTimeout(r))
    tellTaken({ command: { do: 'keep-answers', answers: [answer('b')] }, mine: true })
    come(new Response(JSON.stringify([answer('a')])))
    expect((await reading).map((a) => a.id)).toEqual(['a', 'b'])
  })
})

describe('a frame of practice', () => {
  const random = randomLcg(4)
  const made = Array.from({ length: 400 }, () => madeFrame('cover', random))

  it('asks for covers from half of one in 100 to 95, and the plants share what is left', () => {
    const asked = made.map(({ asked: { of }, plants }) =>
      of === 0 ? 1 - plants.reduce((s, p) => s + p.cover, 0) : plants[of - 1]!.cover,
    )
    for (const cover of asked) {
      expect(cover).toBeGreaterThanOrEqual(0.0049)
      expect(cover).toBeLessThanOrEqual(0.951)
    }
    // Rare and common ones are both met.
    expect(Math.min(...asked)).toBeLessThan(0.05)
    expect(Math.max(...asked)).toBeGreaterThan(0.7)
    for (const { plants } of made) {
      expect(Math.min(...plants.map((p) => p.cover))).toBeGreaterThan(0)
      expect(plants.reduce((s, p) => s + p.cover, 0)).toBeLessThanOrEqual(1 + 1e-9)
    }
  })

  it('asks for the bare ground and for every plant, and names what it asks for', () => {
    expect([...new Set(made.map((m) => m.asked.of))].sort()).toEqual([0, 1, 2, 3])
    for (const { asked } of made) expect(asked.words).toBe(asked.of === 0 ? 'bare ground' : asked.names[asked.of - 1])
    expect(madeFrame('rank', random).asked.of).toBe(0)
  })
})

describe('what follows from a count', () => {
  const sward = { timothy: 40, 'broadleaf-dock': 20, 'tansy-ragwort': 2, 'annual-bluegrass': 8, bermudagrass: 30 }
  const stops = Array.from({ length: 10 }, (_, i) => countedStop(i + 1, { hits: hitsOf(sward) }))
  const round = roundOf('step-points', stops, { pointsPerStop: 100, paddock: { ...emptyPaddock, sown: ['timothy'] } })
  const weighed = weighUp(round, plantsById, () => randomLcg(1))!

  it('harmful plants come first among those to act on, however rare; then weeds by how common', () => {
    const ids = unwanted(round, weighed, plantsById).map((p) => p.id)
    expect(ids[0]).toBe('tansy-ragwort')
    expect(ids.indexOf('broadleaf-dock')).toBeGreaterThan(0)
    expect(ids).not.toContain('timothy')
  })

  it('a weed that was sown is none', () => {
    const sown = { ...round, paddock: { ...round.paddock, sown: ['broadleaf-dock'] } }
    expect(unwanted(sown, weighed, plantsById).map((p) => p.id)).not.toContain('broadleaf-dock')
  })

  it('shares of cool and warm plants are of those with a season', () => {
    const season = (t: string) => plantsById.get(t)?.season
    const shares = seasonShares(weighed.composition, season)!
    expect(shares.warm).toBeCloseTo(0.3, 10)
    expect(shares.cool + shares.warm).toBeCloseTo(1, 10)
    expect(seasonShares(weighed.composition, () => undefined)).toBeUndefined()
  })

  // Chao 1987 by hand: 20 met, 6 once, 3 twice: 20 + 36/6 = 26, times 9/10 for ten stops 25.4.
  it('says what more stops would find, and when nothing can be said', () => {
    expect(stillToFind(20, { estimate: 25.4, se: 5, interval: [21.2, 44.6], once: 6, twice: 3 })).toBe(
      '6 were met at one stop only, 3 at two: at the least about 25 in all; that lower bound itself is known from 21 to 45 (Chao 1987).',
    )
    expect(stillToFind(20, { estimate: 20, se: 0.2, interval: [20, 20.3], once: 1, twice: 4 })).toBe(
      '1 was met at one stop only, 4 at two: too few to say how many are still to find.',
    )
    expect(stillToFind(20, { estimate: 20, se: 0, interval: [20, 20], once: 0, twice: 2 })).toMatch(
      /^No plant was met at one/,
    )
  })
})
