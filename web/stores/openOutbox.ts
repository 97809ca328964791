import { requestOf } from '@/contract/commandRequests.ts'
import { deviceId } from './device.ts'
import { deleteEarlierOutbox, readEarlierOutbox } from './earlierOutbox.ts'
import { Box } from './outboxBox.ts'
import type { Conflict } from './outboxEntry.ts'
import { isOwn, isShown, noteShown, tellTaken, type TakenElsewhere, type Told } from './outboxPages.ts'
import { noteVersion, parts, readBox, show, type Change } from './outboxState.ts'
import type { Entry } from './outboxStorage.ts'
import { useOutbox } from './outboxStore.ts'
import { openVersionStore } from './versionStore.ts'

/** Another page tells of each entry; after so long all of them are read at once. */
const TOLD_MS = 100
/** The page before this one was still sending while this one was being opened: what was asked for ahead may be older. */
let sentMeanwhile = false
export const wasSentWhileOpening = (): boolean => sentMeanwhile

const get = useOutbox.getState
const set: Change = (change) => useOutbox.setState(change)

/** Take over what an earlier version kept, and only then do away with it. */
async function moveEarlier(): Promise<void> {
  const earlier = readEarlierOutbox()
  if (!earlier) return
  for (const [url, v] of Object.entries(earlier.versions)) await noteVersion(url, v, true, set)
  for (const command of earlier.commands) useOutbox.getState().post(command)
  if (earlier.conflicts.length > 0) useOutbox.getState().addConflicts(earlier.conflicts as Conflict[])
  await deviceId()
  await parts.box?.settled()
  if (useOutbox.getState().unkept.length === 0) deleteEarlierOutbox()
}

/** Open the store; what waits in it is known when this is done. */
export async function openOutbox(): Promise<void> {
  parts.box = new Box(
    (changed, lost) => set((s) => ({ unkept: [...s.unkept.filter((id) => !changed.includes(id)), ...lost] })),
    () => parts.others?.postMessage('changed'),
  )
  parts.versions = await openVersionStore()
  await readBox(get, set)
  // What this page shows is built on them.
  for (const { id } of useOutbox.getState().pending) noteShown(id)
  await moveEarlier()
  const versions = await parts.versions.read().catch(() => ({}))
  set((s) => ({ versions: { ...versions, ...s.versions } }))
  if ('BroadcastChannel' in globalThis) listen()
  // Asked when the others are heard: what they are done with from now on they say.
  sentMeanwhile = await parts.box.doneSince(performance.timeOrigin)
}

function listen(): void {
  parts.others = new BroadcastChannel('fold-sprig-outbox')
  let soon: ReturnType<typeof setTimeout> | undefined
  parts.others.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data !== 'changed') return 'posted' in data ? heardPosted(data.posted) : heardTaken(data)
    soon ??= setTimeout(() => {
      soon = undefined
      void readBox(get, set)
    }, TOLD_MS)
  }
}

/** Another page has posted it: it waits here too, at once, and is shown where nothing speaks against it. */
function heardPosted(entry: Entry): void {
  const gone = [entry.id, ...(entry.after ?? [])]
  set((s) => ({ pending: [...s.pending.filter((p) => !p.id || !gone.includes(p.id)), entry] }))
  const { command, base = 0 } = entry
  if (command.do !== 'save-stop') return
  if (base === (useOutbox.getState().versions[requestOf(command).url] ?? 0))
    show({ command, id: entry.id, after: entry.after ?? [] }, get, set)
}

/** Another page sent it: perhaps one that this page had posted. */
function heardTaken({ id, command, version, seq }: TakenElsewhere): void {
  const sent = useOutbox.getState().pending.find((p) => p.id === id)
  tellTaken({ command, version, seq, mine: id !== undefined && isOwn(id) })
  if (id) set((s) => ({ pending: s.pending.filter((p) => p.id !== id) }))
  if (command.do !== 'save-stop' || version === undefined) return
  if (id !== undefined && isShown(id)) void noteVersion(requestOf(command).url, version, true, set)
  else show({ command, id, after: sent?.after ?? [], version }, get, set)
}

/** Try again now and then, and as soon as the browser says it is back. */
export function keepDraining(): void {
  const drain = () => void useOutbox.getState().drain()
  window.addEventListener('online', drain)
  window.setInterval(drain, 5000)
  drain()
}
