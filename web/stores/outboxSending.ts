import { isAnswerTo, requestOf } from '@/contract/commandRequests.ts'
import { ApiError, send } from '../api/client.ts'
import { say } from '../language/say.ts'
import { keepCounted } from './countedStops.ts'
import { deviceId } from './device.ts'
import { applyToCache } from './fieldCache.ts'
import { conflictOf, done, entryOf, notTakenEntry, type Kept } from './outboxEntry.ts'
import { isOwn, isShown, tellTaken, type Told } from './outboxPages.ts'
import { isOurs, noteVersion, parts, readBox, show, type Change, type Get } from './outboxState.ts'

/** So often the server may fail at one command before the others no longer wait for it. */
const MOST_FAILURES = 3

/** Not the command's fault: it is sent later. Nobody is signed in, it took too long, or it was too often. */
const LATER = new Set([401, 408, 425, 429])
const isRefusal = (e: ApiError): boolean => e.status >= 400 && e.status < 500 && !LATER.has(e.status)
/** The server is there and failed at this; one that is away, full or stopped fails at everything. */
const isFailure = (e: ApiError): boolean => e.status === 500

const notOurs = () => new ApiError(0, say('Something between this device and the server answered in its place. What you typed is kept here.')) // prettier-ignore

/** @returns what the server said, once it is surely the server that said it */
async function sendOne(sent: Kept): Promise<{ version?: number; seq?: number }> {
  const { method, url, body } = requestOf(sent.command)
  const stamp = { by: await deviceId(), base: sent.base ?? 0, command: sent.id, after: sent.after }
  const whole =
    sent.command.do === 'save-stop'
      ? { ...(body as object), ...stamp }
      : sent.seen
        ? { ...(body as object | undefined), seen: sent.seen }
        : body
  const answer = await send<{ version?: number; seq?: number }>(method, url, whole)
  if (!isAnswerTo(sent.command, answer)) throw notOurs()
  return answer
}

async function taken(
  sent: Kept,
  { version, seq }: { version?: number; seq?: number },
  get: Get,
  set: Change,
): Promise<void> {
  const { command } = sent
  await applyToCache(command, version)
  const mine = isOwn(sent.id)
  tellTaken({ command, version, seq, mine })
  parts.others?.postMessage({ id: sent.id, command, version, seq } satisfies Told)
  if (command.do === 'save-stop' && version !== undefined) {
    await keepCounted(command, version)
    const here = isShown(sent.id)
    await noteVersion(requestOf(command).url, version, here, set)
    if (!here) show({ command, id: sent.id, after: sent.after ?? [], version }, get, set)
  }
  set((s) => (s.signIn ? { signIn: false } : {}))
}

/** Sends what waits, in its order, until nothing of this account is left or the server is away. */
export async function sendAll(get: Get, set: Change): Promise<void> {
  await readBox(get, set)
  for (;;) {
    // What the server has, this device must know to be newer than what it had before, whatever happens to it.
    await parts.box?.settled()
    const sent = get().pending.find((p) => isOurs(p, get().account))
    if (!sent) return
    const gone = () => set((s) => ({ pending: s.pending.filter((l) => l !== sent && (!sent.id || l.id !== sent.id)) }))
    try {
      await taken(sent, await sendOne(sent), get, set)
      gone()
      parts.box?.store(done(sent))
    } catch (error) {
      if (!(error instanceof ApiError)) return
      if (error.status === 401) set(() => ({ signIn: true }))
      const failed = (sent.failed ?? 0) + (isFailure(error) ? 1 : 0)
      if (isRefusal(error) || failed >= MOST_FAILURES) {
        gone()
        notTaken({ ...sent, failed: 0 }, error, get, set)
      } else if (failed > 0) {
        // The next run tries it again; meanwhile it keeps its place.
        set((s) => ({ pending: s.pending.map((p) => (p.id === sent.id ? { ...p, failed } : p)) }))
        if (sent.id) parts.box?.store([entryOf({ ...sent, failed }, 0, { state: 'waiting' })])
        return
      } else return
    }
  }
}

/** What the server said to a command it would not take. */
function notTaken(sent: Kept, error: ApiError, get: Get, set: Change): void {
  const entry = notTakenEntry(sent, error)
  // A count of this page holds the earlier ones whose place it took; that of another page does not.
  const earlier =
    entry.state === 'conflict' && sent.command.do === 'save-stop'
      ? get().conflicts.filter((c) => c.key === sent.key && c.id !== undefined && sent.after?.includes(c.id))
      : []
  set((s) =>
    entry.state === 'conflict'
      ? { conflicts: [...s.conflicts.filter((c) => !earlier.includes(c)), conflictOf(entry)] }
      : { refused: [...s.refused, { ...entry, message: error.message }] },
  )
  parts.box?.store([...done(...earlier), entry])
}
