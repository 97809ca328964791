// The app waits for the language, so its script is asked for in code; the page names it, and all that it needs, at once.
// The scripts of each place are written down beside it: the server names them in the page of that place.
import { readFileSync } from 'node:fs'
import type { Plugin, Rolldown } from 'vite'

type Bundle = Rolldown.OutputBundle

const isOf =
  (source: string) =>
  (c: Bundle[string]): c is Rolldown.OutputChunk =>
    c.type === 'chunk' && c.facadeModuleId?.endsWith(source) === true

/** Built scripts with all that they import. */
function withImports(bundle: Bundle, files: string[]): string[] {
  const found = new Set<string>()
  const add = (file: string) => {
    const made = bundle[file]
    if (made?.type !== 'chunk' || found.has(file)) return
    found.add(file)
    made.imports.forEach(add)
  }
  files.forEach(add)
  return [...found].map((f) => `/${f}`)
}

/** A built script by the file it was made of, with all that it imports. */
const scriptsOf = (bundle: Bundle, source: string): string[] =>
  withImports(
    bundle,
    Object.values(bundle)
      .filter(isOf(source))
      .map((c) => c.fileName),
  )

/** What the script of a file asks for when it runs, with all that this imports. */
const laterThan = (bundle: Bundle, source: string): string[] =>
  withImports(
    bundle,
    Object.values(bundle)
      .filter(isOf(source))
      .flatMap((c) => c.dynamicImports),
  )

/** Paths of the router with the file of each: `{ path: 'plan', lazy: () => import('./rounds/plan/PlanRoute.tsx') }`. */
function placesOf(router: string): [path: string, source: string][] {
  const lazy = /path: '([^']+)'[^}]*?import\('\.\/([^']+)'\)/g
  return [...router.matchAll(lazy)].map(([, path, source]) => [`/${path!.replace(/^\//, '')}`, `web/${source!}`])
}

export function preloadStart(): Plugin {
  return {
    name: 'preload-start',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler(html, { bundle = {} }) {
        const entry = scriptsOf(bundle, 'index.html')
        const ahead = laterThan(bundle, 'index.html')
          .filter((f) => !entry.includes(f))
          .map((href) => ({
            tag: 'link',
            attrs: { rel: 'modulepreload', crossorigin: true, href, fetchpriority: 'low' },
            injectTo: 'head' as const,
          }))
        // What is looked at comes before what is run: the page says where one is without any script.
        return { html: html.replace(/<(script type="module"|link rel="modulepreload")/g, '<$1 fetchpriority="low"'), tags: ahead } // prettier-ignore
      },
    },
    generateBundle(_options, bundle) {
      const always = [...scriptsOf(bundle, 'index.html'), ...laterThan(bundle, 'index.html')]
      // A place that comes in two steps asks for the rest of itself when its front is there.
      const own = (source: string) => {
        const first = scriptsOf(bundle, source).filter((f) => !always.includes(f))
        const then = laterThan(bundle, source).filter((f) => !always.includes(f) && !first.includes(f))
        return { first, then }
      }
      const places = placesOf(readFileSync('web/router.tsx', 'utf8'))
      const source = JSON.stringify({
        '/': own('web/features/rounds/RoundsRoute.tsx'),
        ...Object.fromEntries(places.map(([path, file]) => [path, own(file)])),
      })
      this.emitFile({ type: 'asset', fileName: 'scripts-by-place.json', source })
    },
  }
}
