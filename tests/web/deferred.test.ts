import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { noWish } from '@/web/features/practice/wish.ts'

/** A visit of its own: what counts is whether a place is the first one of it. */
const freshVisit = async () => {
  vi.resetModules()
  return (await import('@/web/parts/deferred.tsx')).deferred
}
const View = () => null
const whole = { View, props: {} }
const after = (ms: number) => new Promise<typeof whole>((r) => setTimeout(() => r(whole), ms))

describe('a place that comes in two steps', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it('shows its front at once where it is the first of a visit', async () => {
    const deferred = await freshVisit()
    const place = await deferred(Promise.resolve(whole))
    expect(place.came).toBeUndefined()
    expect(await place.coming).toBe(whole)
  })

  it('waits a moment from one place to the next, so that a front does not flicker', async () => {
    const deferred = await freshVisit()
    await deferred(Promise.resolve(whole))
    const soon = deferred(after(100))
    await vi.advanceTimersByTimeAsync(100)
    expect((await soon).came).toBe(whole)
  })

  // A tenth of a second feels at once, a second is the longest that a thought is not broken (Miller 1968).
  it('does not let anybody look at the place they left for longer than that', async () => {
    const deferred = await freshVisit()
    await deferred(Promise.resolve(whole))
    let place: Awaited<ReturnType<typeof deferred>> | undefined
    void deferred(after(5000)).then((p) => (place = p))
    await vi.advanceTimersByTimeAsync(200)
    expect(place).toBeDefined()
    expect(place!.came).toBeUndefined()
  })

  it('leaves it to the place to say what went wrong, and nothing is thrown where nobody listens', async () => {
    const deferred = await freshVisit()
    const unheard = vi.fn()
    process.on('unhandledRejection', unheard)
    const place = await deferred(Promise.reject<typeof whole>(new Error('no signal')))
    await vi.advanceTimersByTimeAsync(10)
    await expect(place.coming).rejects.toThrow('no signal')
    process.off('unhandledRejection', unheard)
    expect(unheard).not.toHaveBeenCalled()
  })

  it('fails at once from one place to the next where it is known to fail', async () => {
    const deferred = await freshVisit()
    await deferred(Promise.resolve(whole))
    await expect(deferred(Promise.reject<typeof whole>(new Error('no such round')))).rejects.toThrow('no such round')
  })
})

describe('what was pressed before it could begin', () => {
  it('is the last of it, and comes once', () => {
    const wish = noWish()
    expect(wish.take()).toBeUndefined()
    wish.make('poison')
    wish.make('mixed')
    expect(wish.take()).toBe('mixed')
    expect(wish.take()).toBeUndefined()
  })
})
