import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { preload } from '@/web/preload.ts'
import { requested } from '@/web/api/requested.ts'

class Link extends EventTarget {
  rel = ''
  href = ''
  as = ''
  crossOrigin: string | null = null
}

/** As little of a page as is asked for: links, meta elements, letters, and what has come already. */
function page({ frame, ...metas }: { frame: string[]; [meta: string]: string | string[] }) {
  const links = frame.map((href) => Object.assign(new Link(), { rel: 'modulepreload', href }))
  const added: Link[] = []
  const letters: string[] = []
  const come = new Set<string>()
  vi.stubGlobal('document', {
    querySelectorAll: () => links,
    querySelector: (selector: string) => {
      const content = metas[/name="([^"]+)"/.exec(selector)![1]!]
      return content === undefined ? null : { content }
    },
    createElement: () => new Link(),
    head: { append: (link: Link) => added.push(link) },
    fonts: { load: (font: string) => letters.push(font) },
  })
  vi.stubGlobal('performance', { getEntriesByName: (name: string) => (come.has(name) ? [{}] : []) })
  return { links, added, letters, come }
}

const settled = () => new Promise((r) => setTimeout(r))

describe('what a first visit asks for ahead', () => {
  let shown: ReturnType<typeof page>
  beforeEach(() => {
    shown = page({
      frame: ['/assets/language.js', '/assets/start.js'],
      'scripts-ahead': '/assets/count.js /assets/page.js',
      'records-ahead': '/api/me /api/rounds/1',
      'scripts-then': '/assets/keys.js',
      'records-then': '/api/book',
    })
  })
  afterEach(() => vi.unstubAllGlobals())

  it('waits until all of the frame has come', async () => {
    void preload()
    shown.links[0]!.dispatchEvent(new Event('load'))
    await settled()
    expect(shown.added).toEqual([])
    shown.links[1]!.dispatchEvent(new Event('load'))
    await settled()
    expect(shown.added.map((l) => [l.rel, l.as, l.href])).toEqual([
      ['modulepreload', '', '/assets/count.js'],
      ['modulepreload', '', '/assets/page.js'],
      ['preload', 'fetch', '/api/me'],
      ['preload', 'fetch', '/api/rounds/1'],
    ])
    // As `fetch` and `import` will ask for them, or the browser would ask twice.
    expect(shown.added.map((l) => l.crossOrigin)).toEqual(['', '', 'anonymous', 'anonymous'])
  })

  it('does not wait for what had come before anybody listened, nor for ever for what could not be had', async () => {
    shown.come.add('/assets/language.js')
    void preload()
    shown.links[1]!.dispatchEvent(new Event('error'))
    await settled()
    expect(shown.added).toHaveLength(4)
  })

  it('asks for the rest of the place when its front is there, and for the letters last', async () => {
    const scriptsCome = () =>
      shown.added.filter((l) => l.rel === 'modulepreload').forEach((l) => l.dispatchEvent(new Event('load')))
    let done = false
    void preload().then(() => (done = true))
    for (const link of shown.links) link.dispatchEvent(new Event('load'))
    await settled()
    expect(shown.added).toHaveLength(4)
    scriptsCome()
    await settled()
    expect(shown.added.slice(4).map((l) => l.href)).toEqual(['/assets/keys.js', '/api/book'])
    expect(shown.letters).toEqual([])
    scriptsCome()
    await settled()
    expect(shown.letters).toHaveLength(2)
    expect(done).toBe(true)
  })

  it('does not ask ahead for what a place has asked for itself meanwhile', async () => {
    void preload()
    for (const link of shown.links) link.dispatchEvent(new Event('load'))
    await settled()
    requested.add('/api/book')
    for (const link of shown.added) link.dispatchEvent(new Event('load'))
    await settled()
    requested.clear()
    expect(shown.added.map((l) => l.href)).not.toContain('/api/book')
    expect(shown.added.map((l) => l.href)).toContain('/assets/keys.js')
  })

  it('asks for nothing where the page names nothing, as without a signal', async () => {
    shown = page({ frame: [], 'scripts-ahead': '', 'records-ahead': '' })
    await preload()
    expect(shown.added).toEqual([])
  })
})
