import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useMe } from '@/web/stores/meStore.ts'
import { useOutbox } from '@/web/stores/outboxStore.ts'

const ODILE = { accounts: true, account: { name: 'Odile Marrow', role: 'advisor' as const } }
const NOBODY = { accounts: true, account: null }
const waits = { key: 'k', command: { do: 'drop-check' as const, namingId: 'n' } }

let asked: string[]
let device: Record<string, string>

beforeEach(() => {
  asked = []
  device = {}
  useOutbox.setState({ pending: [], refused: [], conflicts: [], signIn: false })
  useMe.setState(ODILE)
  // What a browser gives of its store: keys are properties of it.
  vi.stubGlobal(
    'localStorage',
    new Proxy(
      { getItem: (k: string) => device[k] ?? null, setItem: () => undefined },
      {
        ownKeys: () => Object.keys(device),
        getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
        get: (store, key: string) =>
          key === 'removeItem' ? (k: string) => void delete device[k] : (store as Record<string, unknown>)[key],
      },
    ),
  )
  vi.stubGlobal('fetch', async (url: string) => {
    asked.push(url)
    if (url === '/api/sign-out') return new Response(JSON.stringify(NOBODY), { status: 200 })
    if (url === '/api/sign-in' || url === '/api/me') return new Response(JSON.stringify(ODILE), { status: 200 })
    throw new TypeError('no network')
  })
})
afterEach(() => vi.unstubAllGlobals())

describe('signing out', () => {
  it('takes the records off the device and leaves how its screen is read', async () => {
    device = {
      'fold-sprig-mode': 'sun',
      'fold-sprig-units': 'us',
      'fold-sprig-language': 'de',
      'fold-sprig-bench': '{"sheets":{}}',
      'fold-sprig-herds': '{}',
      'of-another-app': 'stays',
    }
    await useMe.getState().signOut()
    expect(asked).toContain('/api/sign-out')
    expect(Object.keys(device).sort()).toEqual([
      'fold-sprig-language',
      'fold-sprig-mode',
      'fold-sprig-units',
      'of-another-app',
    ])
    expect(useMe.getState().account).toBeNull()
    expect(useMe.getState().mustSignIn()).toBe(true)
  })

  // Each of these would go out under the name of whoever signs in next.
  it.each([
    ['waits for a line', { pending: [waits] }],
    ['was refused', { refused: [{ ...waits, message: 'The stop is too long.' }] }],
    ['stands against another device', { conflicts: [{ ...waits, theirs: {} }] }],
  ])('waits for what %s, and says how much', async (_, state) => {
    device = { 'fold-sprig-bench': 'a sheet' }
    useOutbox.setState(state as never)
    await expect(useMe.getState().signOut()).rejects.toThrow(/^One entry is not sent or settled yet/)
    expect(asked).not.toContain('/api/sign-out')
    expect(device).toEqual({ 'fold-sprig-bench': 'a sheet' })
    expect(useMe.getState().account).toEqual(ODILE.account)
  })

  it('without a line keeps who is in', async () => {
    vi.stubGlobal('fetch', () => Promise.reject<Response>(new TypeError('no network')))
    await expect(useMe.getState().signOut()).rejects.toThrow()
    expect(useMe.getState().account).toEqual(ODILE.account)
  })
})

describe('signing in', () => {
  it('lets what waited go out again', async () => {
    useMe.setState(NOBODY)
    useOutbox.setState({ signIn: true })
    await useMe.getState().signIn('Odile Marrow', 'wet gate and no gloves')
    expect(useMe.getState().mustSignIn()).toBe(false)
    expect(useOutbox.getState().signIn).toBe(false)
  })

  it('is not asked for on a machine of one’s own', async () => {
    useMe.setState({ accounts: false, account: null })
    expect(useMe.getState().mustSignIn()).toBe(false)
  })
})
