import { randomLcg } from 'd3-random'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { metresBetween, type Position } from '@/core/geo/route.ts'
import { browserPosition, simulatedPosition, type Fix } from '@/web/instruments/position.ts'
import { simulatedPlate, simulatedScale } from '@/web/instruments/weighing.ts'

describe('the simulated GPS', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    vi.stubGlobal('window', globalThis)
  })
  afterEach(() => {
    vi.useRealTimers()
    vi.unstubAllGlobals()
  })
  const start: Position = [-29.4, 45.6]
  const goal: Position = [-29.399, 45.6005]

  it('walks to where it is sent, with the error it states, and stops when it is told', () => {
    const source = simulatedPosition(start, () => goal, randomLcg(0.3))
    expect(source).toMatchObject({ simulated: true, name: 'simulated GPS' })
    const fixes: Fix[] = []
    const stop = source.watch(
      (f) => fixes.push(f),
      () => undefined,
    )
    vi.advanceTimersByTime(15_000)
    const far = (f: Fix) => metresBetween(f.position, goal)
    expect(far(fixes[0]!)).toBeGreaterThan(70)
    expect(far(fixes.at(-1)!)).toBeLessThan(5)
    // Six metres a step, give or take the blur of a fix.
    for (let i = 1; i < fixes.length; i++)
      expect(metresBetween(fixes[i - 1]!.position, fixes[i]!.position)).toBeLessThan(6 + 2 * fixes[i]!.accuracyM + 1)
    const heard = fixes.length
    stop()
    vi.advanceTimersByTime(5000)
    expect(fixes).toHaveLength(heard)
  })

  it('stays where it is while it is sent nowhere', () => {
    const fixes: Fix[] = []
    const stop = simulatedPosition(start, () => null, randomLcg(0.3)).watch(
      (f) => fixes.push(f),
      () => undefined,
    )
    vi.advanceTimersByTime(5000)
    for (const f of fixes) expect(metresBetween(f.position, start)).toBeLessThan(6)
    stop()
  })
})

describe('the position of the device', () => {
  afterEach(() => vi.unstubAllGlobals())
  type Failed = { code: number; PERMISSION_DENIED: number }

  it('is told as the browser gives it, and a refusal in words', () => {
    const cleared: number[] = []
    let fail: (e: Failed) => void = () => undefined
    vi.stubGlobal('navigator', {
      geolocation: {
        watchPosition: (ok: (p: { coords: object }) => void, no: (e: Failed) => void) => {
          fail = no
          ok({ coords: { longitude: 1, latitude: 2, accuracy: 7 } })
          return 3
        },
        clearWatch: (id: number) => cleared.push(id),
      },
    })
    const [fixes, problems] = [[] as Fix[], [] as string[]]
    const stop = browserPosition.watch(
      (f) => fixes.push(f),
      (p) => problems.push(p),
    )
    expect(fixes).toEqual([{ position: [1, 2], accuracyM: 7 }])
    fail({ code: 1, PERMISSION_DENIED: 1 })
    fail({ code: 2, PERMISSION_DENIED: 1 })
    expect(problems[0]).toContain('not allowed')
    expect(problems[1]).toContain('Walk by the map')
    stop()
    expect(cleared).toEqual([3])
  })

  it('where there is none, the map is left', () => {
    vi.stubGlobal('navigator', {})
    const problems: string[] = []
    browserPosition.watch(
      () => undefined,
      (p) => problems.push(p),
    )()
    expect(problems[0]).toContain('Walk by the map')
  })
})

describe('the simulated plate meter and scale', () => {
  const many = async <T>(read: () => Promise<T>) => Promise.all(Array.from({ length: 200 }, read))

  it('say that they are simulated', () => {
    for (const gauge of [simulatedPlate, simulatedScale]) {
      expect(gauge.simulated).toBe(true)
      expect(gauge.name).toContain('simulated')
    }
  })

  it('heights come in half centimetres, as a plate gives them', async () => {
    for (const cm of await many(() => simulatedPlate.read())) {
      expect(cm * 2).toBe(Math.round(cm * 2))
      expect(cm).toBeGreaterThanOrEqual(2)
      expect(cm).toBeLessThan(25)
    }
  })

  it('weight follows height and the size of the frame', async () => {
    const mean = async (heightCm: number, frameM2: number) => {
      const all = await many(() => simulatedScale.read({ heightCm, frameM2 }))
      return all.reduce((a, b) => a + b, 0) / all.length
    }
    // 640 + 125 x 10 kg of dry matter a hectare, a fifth dry: 236 g in a quarter square metre.
    expect(Math.abs((await mean(10, 0.25)) - 236)).toBeLessThan(8)
    expect(await mean(20, 0.25)).toBeGreaterThan(1.4 * (await mean(10, 0.25)))
    expect((await mean(10, 1)) / (await mean(10, 0.25))).toBeCloseTo(4, 0)
  })
})
