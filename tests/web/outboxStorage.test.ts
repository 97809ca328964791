import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Entry } from '@/web/stores/outboxStorage.ts'

const entry = (id: string): Entry => ({
  id,
  n: 1,
  state: 'waiting',
  key: `/api/${id}`,
  command: { do: 'delete-plan-item', id },
})

describe('what a page that is being opened can tell of the one before', () => {
  beforeEach(() => {
    vi.resetModules()
    globalThis.indexedDB = new IDBFactory()
    globalThis.localStorage?.clear()
  })
  const opened = async () => (await import('@/web/stores/outboxStorage.ts')).openOutboxStorage()

  it('an entry that was dealt with since then is known, an earlier one is not taken for it', async () => {
    const storage = await opened()
    expect(await storage.doneSince(0)).toBe(false)
    await storage.write([entry('a')])
    expect(await storage.doneSince(0)).toBe(false)
    await storage.write([{ id: 'a', n: 1, state: 'done', at: 1000 }])
    expect(await storage.doneSince(1000)).toBe(true)
    expect(await storage.doneSince(1001)).toBe(false)
    expect(await storage.read()).toEqual([])
  })

  it('one of an earlier version, without a time, is never taken for one of now', async () => {
    const storage = await opened()
    await storage.write([{ id: 'a', n: 1, state: 'done' }])
    expect(await storage.doneSince(1)).toBe(false)
  })
})
