import { isUUID } from 'class-validator'
import express, { type Express, type Request, type Response } from 'express'
import expressStaticGzip from 'express-static-gzip'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { openingsIn, type PlantOpenings } from './opening.ts'

/** Scripts of each place by its path, as the build wrote them down: those of its front, and those of the rest. */
type Scripts = Record<string, { first: string[]; then: string[] }>

/** What a page reads before it can show its front, and what it reads for the rest; `:id` is put in where it is an id. */
interface Records {
  first: string[]
  then: string[]
}

const ME = '/api/me'
const BOOK = '/api/book-pieces'
/** A place that shows nothing before the book is there. */
const WITH_BOOK: Records = { first: [ME, BOOK], then: [] }
/** Names of plants in the first place may come later. */
const ROUNDS: Records = { first: [ME, '/api/rounds?latest=100', '/api/places', '/api/plan-items'], then: [] }
const withRound = (...then: string[]): Records => ({ first: [ME, '/api/rounds/:id'], then: [BOOK, ...then] })
const api = (...names: string[]) => names.map((n) => `/api/${n}`)
const recordsOf: Record<string, Records> = {
  '/': ROUNDS,
  '/rounds': ROUNDS,
  '/team': { first: [ME], then: [] },
  '/first-round': { first: [ME], then: [] },
  '/plan': { first: [ME], then: [BOOK, ...api('rounds', 'places')] },
  '/rounds/:id': withRound(),
  '/rounds/:id/weigh-up/:chapter?': withRound('/api/kept'),
  '/rounds/:id/hand-over': withRound(...api('kept', 'plan-items', 'namings')),
  '/plants': { first: [ME], then: [BOOK] },
  '/plants/:id/:chapter?': { first: [ME, '/api/plants/:id'], then: [BOOK] },
  '/practice': {
    first: [ME],
    then: [BOOK, ...api('practice-answers', 'places', 'recently-found', 'namings', 'naming-checks')],
  },
  '/daybook/:chapter?': {
    first: [ME],
    then: [
      ...api(
        'most-counted',
        'rounds',
        'plan-items',
        'namings',
        'naming-checks',
        'events',
        'places',
        'practice-answers',
      ),
      BOOK,
    ],
  },
  // Who comes with a link, or is not in yet, asks for the book in another way or not at all.
  '/sign-in': { first: [], then: [] },
  '/shared': { first: [], then: [] },
}

/** Said again by `web/main.tsx`, which takes it away: a first visit has its letters last, after all that says something. */
const LETTERS_LATER = ' data-letters="later"'

const meta = (name: string, addresses: string[]): string => `<meta name="${name}" content="${addresses.join(' ')}">`

/** A path of the page's router as this one writes what may be left out. */
const inExpress = (path: string): string => path.replace(/\/:(\w+)\?/g, '{/:$1}')

/** An id of a round, or the short name of a plant; nothing else is put into a page. */
const isName = (id: unknown): id is string =>
  isUUID(id) || (typeof id === 'string' && /^[a-z][a-z0-9-]{0,79}$/.test(id))

/**
 * The built pages. Each names the scripts of its own place and the records that it reads first, so that a first visit
 * does not ask for one after the other.
 */
export function serveApp(app: Express, dist: string, plants?: PlantOpenings): void {
  const file = join(dist, 'index.html')
  if (!existsSync(file)) return
  const html = readFileSync(file, 'utf8')
  app.use(
    '/assets',
    expressStaticGzip(join(dist, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { fallthrough: false, immutable: true, maxAge: '1y' },
    }),
  )
  // Pictures are named by what they show.
  app.use(
    '/plates',
    express.static(join(dist, 'plates'), { index: false, fallthrough: false, immutable: true, maxAge: '1y' }),
  )
  app.use(express.static(dist, { index: false }))
  const openingOf = openingsIn(dist, plants)
  const send =
    (scripts: Scripts[string], records: Records, path = '') =>
    (req: Request, res: Response) => {
      const { id } = req.params
      const asked = (list: string[]) =>
        list.flatMap((r) => (!r.includes('/:id') ? r : isName(id) ? r.replace('/:id', `/${id}`) : []))
      // What `web/preload.ts` asks for once the frame of the app is there.
      const ahead = [
        meta('scripts-ahead', scripts.first),
        meta('records-ahead', asked(records.first)),
        meta('scripts-then', scripts.then),
        meta('records-then', asked(records.then)),
      ].join('')
      const opening = openingOf(path, req)
      const page = html
        .replace('<html lang="en"', `<html lang="${opening.language}"${opening.html ? LETTERS_LATER : ''}`)
        .replace('</head>', () => `${ahead}</head>`)
        .replace('</header>', () => `</header>${opening.html}`)
        .replaceAll('__CSP_NONCE__', res.locals.nonce as string)
      res.vary('Accept-Language').vary('Sec-Fetch-Dest').set('cache-control', 'no-cache').type('html').send(page)
    }
  const known = join(dist, 'scripts-by-place.json')
  const scripts = existsSync(known) ? (JSON.parse(readFileSync(known, 'utf8')) as Scripts) : {}
  for (const [path, files] of Object.entries(scripts))
    app.get(inExpress(path), send(files, recordsOf[path] ?? WITH_BOOK, path))
  app.get('/{*path}', send({ first: [], then: [] }, WITH_BOOK))
}
