import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { followVersions, openNewVersion, useNewVersion } from '@/web/stores/newVersion.ts'

// How a browser tells of workers: Service Workers, W3C Working Draft, "updatefound", "statechange", "controllerchange".
class Worker extends EventTarget {
  state = 'installing'
  told: string[] = []
  postMessage = (message: string) => void this.told.push(message)
  become(state: string): void {
    this.state = state
    this.dispatchEvent(new Event('statechange'))
  }
}
class Registration extends EventTarget {
  waiting: Worker | null = null
  installing: Worker | null = null
  looked = 0
  update = () => {
    this.looked++
    return Promise.reject(new TypeError('no network'))
  }
  found(worker: Worker): void {
    this.installing = worker
    this.dispatchEvent(new Event('updatefound'))
  }
}
const follow = (r: Registration) => followVersions(r as unknown as ServiceWorkerRegistration)

let container: EventTarget & { controller: object | null }
let reloads: number
beforeEach(() => {
  reloads = 0
  container = Object.assign(new EventTarget(), { controller: {} })
  vi.useFakeTimers()
  vi.stubGlobal('navigator', { serviceWorker: container })
  vi.stubGlobal('location', { reload: () => void reloads++ })
  useNewVersion.setState({ waiting: null })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a newer version of the app', () => {
  test('that comes while a page is open is offered, and does nothing until somebody says so', () => {
    const [registration, newer] = [new Registration(), new Worker()]
    follow(registration)
    registration.found(newer)
    expect(useNewVersion.getState().waiting).toBeNull()
    newer.become('installed')
    expect(useNewVersion.getState().waiting).toBe(newer)
    expect(newer.told).toEqual([])
    expect(reloads).toBe(0)
  })

  test('let in, it takes over first and the page opens anew after it, once', () => {
    const [registration, newer] = [new Registration(), new Worker()]
    follow(registration)
    registration.found(newer)
    newer.become('installed')
    openNewVersion()
    expect(newer.told).toEqual(['take-over'])
    expect(reloads).toBe(0)
    container.dispatchEvent(new Event('controllerchange'))
    container.dispatchEvent(new Event('controllerchange'))
    expect(reloads).toBe(1)
  })

  test('let in by another page, this one opens anew without asking it again', () => {
    const [registration, newer] = [new Registration(), new Worker()]
    follow(registration)
    registration.found(newer)
    newer.become('installed')
    newer.become('activated')
    openNewVersion()
    expect(newer.told).toEqual([])
    expect(reloads).toBe(1)
  })

  test('the very first worker of a device is no newer version', () => {
    container.controller = null
    const [registration, first] = [new Registration(), new Worker()]
    follow(registration)
    registration.found(first)
    first.become('installed')
    expect(useNewVersion.getState().waiting).toBeNull()
  })

  test('one that waited when the page was opened is let in at once: nothing stands half typed', () => {
    const registration = new Registration()
    const waited = new Worker()
    registration.waiting = waited
    follow(registration)
    expect(waited.told).toEqual(['take-over'])
    expect(useNewVersion.getState().waiting).toBeNull()
  })

  test('is looked for each hour while a page stays open; without a signal it is looked for an hour later', async () => {
    const registration = new Registration()
    follow(registration)
    await vi.advanceTimersByTimeAsync(3 * 3_600_000)
    expect(registration.looked).toBe(3)
  })
})
