const KEY = 'fold-sprig-device'
/** Until some version ago the id stood in one line with what waited, which every page wrote over. */
const OLD_LINE = 'fold-sprig-outbox'

let asked: Promise<string> | undefined

function oldId(): string | undefined {
  const line = JSON.parse(localStorage.getItem(OLD_LINE) ?? '{}') as { state?: { device?: string } }
  return line.state?.device
}

function readOrMake(): string {
  const fresh = crypto.randomUUID()
  try {
    if (localStorage.getItem(KEY) === null) localStorage.setItem(KEY, oldId() ?? fresh)
    // What stands there now, whoever wrote it.
    return localStorage.getItem(KEY) ?? fresh
  } catch {
    // Nothing can be kept here: the id holds for this page.
    return fresh
  }
}

let mark = ''
/** The mark of this device, under which it gives out letters; empty until its id is known. */
export const ownMark = (): string => mark

/** The id of this device, made once: pages that open at the same moment wait for one another. */
export function deviceId(): Promise<string> {
  asked ??= globalThis.navigator?.locks
    ? navigator.locks.request(KEY, () => readOrMake())
    : Promise.resolve(readOrMake())
  void asked.then((id) => (mark = id.slice(-3)))
  return asked
}
