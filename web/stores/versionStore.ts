import { openDB, type IDBPDatabase } from 'idb'

/** The version of each record that this device has seen last, by its address: a record each, so that pages do not write over one another. */
export interface VersionStore {
  read: () => Promise<Record<string, number>>
  write: (versions: Record<string, number>) => Promise<void>
}

/** Where the browser has no such store, a version is known as long as the page is open. */
const onlyThisPage: VersionStore = { read: () => Promise.resolve({}), write: () => Promise.resolve() }

async function read(db: IDBPDatabase): Promise<Record<string, number>> {
  const tx = db.transaction('versions')
  const [urls, versions] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()])
  return Object.fromEntries(urls.map((url, i) => [url as string, versions[i] as number]))
}

async function write(db: IDBPDatabase, versions: Record<string, number>): Promise<void> {
  const tx = db.transaction('versions', 'readwrite')
  await Promise.all([...Object.entries(versions).map(([url, v]) => tx.store.put(v, url)), tx.done])
}

export async function openVersionStore(): Promise<VersionStore> {
  try {
    // A database of its own: the one of what waits may be held open, at its first shape, by a page of an earlier version.
    const db = await openDB('fold-sprig-versions', 1, { upgrade: (d) => void d.createObjectStore('versions') })
    return { read: () => read(db), write: (versions) => write(db, versions) }
  } catch {
    return onlyThisPage
  }
}
