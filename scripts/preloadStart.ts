// The app waits for the language, so its script is asked for in code; the page names it, and all that it needs, at once.
import type { Plugin } from 'vite'

export function preloadStart(): Plugin {
  return {
    name: 'preload-start',
    apply: 'build',
    transformIndexHtml: {
      order: 'post',
      handler(_html, { bundle = {}, chunk }) {
        const named = new Set<string>(chunk?.imports)
        const add = (file: string) => {
          const made = bundle[file]
          if (named.has(file) || made?.type !== 'chunk') return
          named.add(file)
          made.imports.forEach(add)
        }
        const start = Object.values(bundle).find(
          (c) => c.type === 'chunk' && c.facadeModuleId?.endsWith('web/start.tsx'),
        )
        if (start) add(start.fileName)
        return [...named]
          .filter((f) => !chunk?.imports.includes(f))
          .map((f) => ({
            tag: 'link',
            attrs: { rel: 'modulepreload', crossorigin: true, href: `/${f}` },
            injectTo: 'head' as const,
          }))
      },
    },
  }
}
