// The app waits for the language, so its script is asked for in code; the page names it, and all that it needs, at once.
// The scripts of each place are written down beside it: the server names them in the page of that place.
import { readFileSync } from 'node:fs'
import type { Plugin, Rolldown } from 'vite'

type Bundle = Rolldown.OutputBundle

/** A built script by the file it was made of, with all that it imports. */
function scriptsOf(bundle: Bundle, source: string): string[] {
  const found = new Set<string>()
  const add = (file: string) => {
    const made = bundle[file]
    if (made?.type !== 'chunk' || found.has(file)) return
    found.add(file)
    made.imports.forEach(add)
  }
  const entry = Object.values(bundle).find((c) => c.type === 'chunk' && c.facadeModuleId?.endsWith(source))
  if (entry) add(entry.fileName)
  return [...found].map((f) => `/${f}`)
}

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
      handler(_html, { bundle = {} }) {
        const entry = scriptsOf(bundle, 'index.html')
        return scriptsOf(bundle, 'web/start.tsx')
          .filter((f) => !entry.includes(f))
          .map((href) => ({ tag: 'link', attrs: { rel: 'modulepreload', crossorigin: true, href }, injectTo: 'head' }))
      },
    },
    generateBundle(_options, bundle) {
      const always = [...scriptsOf(bundle, 'index.html'), ...scriptsOf(bundle, 'web/start.tsx')]
      const own = (source: string) => scriptsOf(bundle, source).filter((f) => !always.includes(f))
      const places = placesOf(readFileSync('web/router.tsx', 'utf8'))
      const source = JSON.stringify({
        '/': own('web/rounds/RoundsRoute.tsx'),
        ...Object.fromEntries(places.map(([path, file]) => [path, own(file)])),
      })
      this.emitFile({ type: 'asset', fileName: 'scripts-by-place.json', source })
    },
  }
}
