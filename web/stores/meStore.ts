import { create } from 'zustand'
import { getMe, signIn, signOut, type Me } from '../api/client.ts'
import { serverReads } from '../data/reads.ts'
import { forgetRecords } from './fieldCache.ts'
import { useOutbox } from './outboxStore.ts'
import { say } from '../language/say.ts'

interface MeState extends Me {
  load: () => Promise<void>
  mustSignIn: () => boolean
  signIn: (name: string, password: string) => Promise<void>
  /** @throws Error while something waits to be sent: it would go out under the next one's name */
  signOut: () => Promise<void>
}

/** How the screen is read belongs to the device, not to who is signed in. */
const STAYS = new Set(['fold-sprig-mode', 'fold-sprig-units', 'fold-sprig-language', 'fold-sprig-letter-keys'])

/** The outbox sends under no other name than that of who typed. */
function known(me: Me): Me {
  useOutbox.setState({ account: me.account?.name ?? null })
  return me
}

const LAST = 'fold-sprig-account'
/** What was read for somebody else is not for whoever signs in now. */
async function forgetOthers(name: string | undefined): Promise<void> {
  const last = localStorage.getItem(LAST)
  if (last !== null && last !== name) {
    serverReads.clear()
    await forgetRecords()
  }
  if (name !== undefined) localStorage.setItem(LAST, name)
}

/** Who is at this device. On a machine of one's own there are no accounts, and nobody is asked. */
export const useMe = create<MeState>()((set, get) => ({
  accounts: false,
  account: null,
  load: async () => set(known(await getMe())),
  mustSignIn: () => get().accounts && !get().account,
  signIn: async (name, password) => {
    const me = known(await signIn(name, password))
    await forgetOthers(me.account?.name)
    set(me)
    useOutbox.setState({ signIn: false })
    void useOutbox.getState().drain()
  },
  signOut: async () => {
    await useOutbox.getState().drain()
    const { pending, refused, conflicts } = useOutbox.getState()
    const open = pending.length + refused.length + conflicts.length
    if (open > 0)
      throw new Error(
        say(
          '{{count}} entries are not sent or settled yet. Sign out when they are: they would go out under another name.',
          { count: open },
        ),
      )
    set(await signOut())
    serverReads.clear()
    await forgetRecords()
    for (const key of Object.keys(localStorage))
      if (key.startsWith('fold-sprig-') && !STAYS.has(key)) localStorage.removeItem(key)
  },
}))
