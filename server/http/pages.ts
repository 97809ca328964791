import express, { type Express, type Request, type Response } from 'express'
import expressStaticGzip from 'express-static-gzip'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Scripts of each place by its path, as the build wrote them down. */
type Scripts = Record<string, string[]>

/** What the first place reads before it shows anything. */
const ROUNDS = ['/api/rounds', '/api/places', '/api/plan-items']
const recordsOf: Record<string, string[]> = { '/': ROUNDS, '/rounds': ROUNDS }

const head = (html: string, scripts: string[], records: string[] = []): string => {
  const links = [
    ...scripts.map((s) => `<link rel="modulepreload" crossorigin href="${s}">`),
    ...records.map((r) => `<link rel="preload" href="${r}" as="fetch" crossorigin="anonymous">`),
  ]
  return html.replace('</head>', `${links.join('')}</head>`)
}

/**
 * The built pages. Each names the scripts of its own place beside those of the app, so that a first visit asks for all
 * of them at once and not for one after the other.
 */
export function pages(app: Express, dist: string): void {
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
  app.use(express.static(dist, { index: false }))
  /** Who comes with a link, or is not in yet, asks for the book in another way or not at all. */
  const withoutBook = html.replace(/<link rel="preload" href="\/api[^>]*>\s*/g, '')
  const send = (page: string) => (_req: Request, res: Response) =>
    void res
      .set('cache-control', 'no-cache')
      .type('html')
      .send(page.replaceAll('__CSP_NONCE__', res.locals.nonce as string))
  app.get(['/sign-in', '/shared'], send(withoutBook))
  const known = join(dist, 'scripts-by-place.json')
  const scripts = existsSync(known) ? (JSON.parse(readFileSync(known, 'utf8')) as Scripts) : {}
  for (const [path, files] of Object.entries(scripts)) app.get(path, send(head(html, files, recordsOf[path])))
  app.get('/{*path}', send(html))
}
