// The app without a signal: the shell and the book are kept, what was read from the server is shown again when it is away.
const SHELL = 'shell-__VERSION__'
const DATA = 'fold-sprig-data'
const PLATES = 'fold-sprig-plates'
const files = __FILES__
/** Read once at the start, so that a device that never had a second look at a screen can still open it. */
const firstData = ['/api/book-pieces', '/api/rounds', '/api/rounds?latest=100', '/api/places', '/api/kept']

async function install() {
  const shell = await caches.open(SHELL)
  await shell.addAll(['/', ...files])
  const data = await caches.open(DATA)
  await Promise.allSettled(firstData.map((url) => data.add(url)))
}

/** The shell before this one stays: a page of it may still be open, and asks for a part of it later. */
async function activate() {
  const shells = (await caches.keys()).filter((n) => n.startsWith('shell-') && n !== SHELL)
  await Promise.all(shells.slice(0, -1).map((n) => caches.delete(n)))
  await self.clients.claim()
}

/** What may be kept of the records, by address: what an advisor alone may read is not among it. */
const keptReads =
  /^\/api\/(book|book-columns|book-pieces|plants|characters|groups|hazards|rounds|places|plan-items|kept|namings|naming-checks|unknowns|practice-answers|events|most-counted|recently-found|me|words\/(?:en|de))$|^\/api\/(rounds|paddocks)\/[^/]+(\/counts)?$/
/** Counts the sign-outs: an answer that was asked for before one is for nobody who comes after. */
let epoch = 0

const roundAddress = /^\/api\/rounds\/[^/]+$/

/**
 * A round as it is kept: the answer, but each stop that this device has sent meanwhile as it was sent. An answer may be
 * written down later than what came after it.
 */
async function withNewer(answer, kept) {
  const [round, before] = await Promise.all([answer.json(), kept.json()])
  const newer = new Map(before.stops.map((s) => [s.seq, s]))
  const stops = round.stops.map((s) => (newer.get(s.seq)?.version > s.version ? newer.get(s.seq) : s))
  return new Response(JSON.stringify({ ...round, stops }), { headers: { 'content-type': 'application/json' } })
}

/** The page writes into the same store: one at a time. */
const alone = (work) => (navigator.locks ? navigator.locks.request('fold-sprig-data', work) : work())

function keep(request, answer, asked) {
  return alone(async () => {
    if (asked !== epoch) return
    const cache = await caches.open(DATA)
    const kept = roundAddress.test(new URL(request.url).pathname) ? await cache.match(request) : undefined
    await cache.put(request, kept ? await withNewer(answer, kept) : answer)
  })
}

const isData = (answer) => answer.ok && (answer.headers.get('content-type') ?? '').includes('json')

async function fromServer(request) {
  const asked = epoch
  const answer = await fetch(request)
  // Nobody is signed in any more: what was read for somebody goes.
  if (answer.status === 401) await forget()
  // A store that is full must not stand between the server and the page; a page to sign in at is no record.
  if (isData(answer) && asked === epoch) await keep(request, answer.clone(), asked).catch(() => undefined)
  return answer
}

function forget() {
  epoch++
  return alone(() => caches.delete(DATA))
}

const lastSaid = async (request) => (await caches.open(DATA)).match(request)

async function serverFirst(request) {
  try {
    const answer = await fromServer(request)
    // What the server said last is nearer to it than what somebody else says now.
    return answer.ok && !isData(answer) ? ((await lastSaid(request)) ?? answer) : answer
  } catch (error) {
    const kept = await lastSaid(request)
    if (kept) return kept
    throw error
  }
}

async function shellFirst(request) {
  const shells = (await caches.keys()).filter((n) => n.startsWith('shell-') && n !== SHELL)
  for (const cacheName of [SHELL, ...shells]) {
    const kept = await caches.match(request, { cacheName, ignoreVary: true })
    if (kept) return kept
  }
  return fetch(request)
}

/** Pictures of plants never change under their name: kept from the first look on, so that they are there without a signal. */
async function plate(request) {
  const cache = await caches.open(PLATES)
  const kept = await cache.match(request)
  if (kept) return kept
  const answer = await fetch(request)
  if (answer.ok && (answer.headers.get('content-type') ?? '').startsWith('image/'))
    await cache.put(request, answer.clone()).catch(() => undefined)
  return answer
}

async function page(request) {
  try {
    return await fetch(request)
  } catch {
    return (await caches.match('/', { cacheName: SHELL, ignoreVary: true })) ?? Response.error()
  }
}

self.addEventListener('install', (e) => e.waitUntil(install()))
self.addEventListener('activate', (e) => e.waitUntil(activate()))
self.addEventListener('fetch', (e) => {
  const { request } = e
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== self.location.origin) return
  if (request.mode === 'navigate') e.respondWith(page(request))
  else if (keptReads.test(pathname)) e.respondWith(serverFirst(request))
  else if (pathname.startsWith('/api/')) return
  else if (pathname.startsWith('/plates/')) e.respondWith(plate(request))
  else e.respondWith(shellFirst(request))
})
self.addEventListener('message', (e) => {
  if (e.data === 'forget') e.waitUntil(forget())
  // Never under an open page: it says when.
  if (e.data === 'take-over') e.waitUntil(self.skipWaiting())
})
