import { requested } from './api/requested.ts'
import { pause } from './pause.ts'

/** Words of a meta element that the server put into the page. */
const named = (name: string): string[] =>
  document.querySelector<HTMLMetaElement>(`meta[name="${name}"]`)?.content.split(' ').filter(Boolean) ?? []

const come = (link: HTMLLinkElement): Promise<unknown> =>
  performance.getEntriesByName(link.href).length > 0
    ? Promise.resolve()
    : new Promise((done) => {
        link.addEventListener('load', done, { once: true })
        link.addEventListener('error', done, { once: true })
      })

function ask(attributes: Partial<Pick<HTMLLinkElement, 'rel' | 'href' | 'as' | 'crossOrigin'>>): HTMLLinkElement {
  const link = Object.assign(document.createElement('link'), attributes)
  document.head.append(link)
  return link
}

/** The two families of `app.css`. */
const FONTS = ['1em "Atkinson Hyperlegible Next Variable"', '600 1em "Literata Variable"']

/** A slow phone takes some milliseconds to ask for one: so many at a stretch. */
const AT_ONCE = 6

/** Asks for scripts and records that the page names; done when the scripts have come. */
async function askFor(scripts: string, records: string): Promise<void> {
  const coming: Promise<unknown>[] = []
  for (const [i, href] of named(scripts).entries()) {
    if (i > 0 && i % AT_ONCE === 0) await pause()
    coming.push(come(ask({ rel: 'modulepreload', href, crossOrigin: '' })))
  }
  for (const href of named(records).filter((r) => !requested.has(r)))
    ask({ rel: 'preload', as: 'fetch', href, crossOrigin: 'anonymous' })
  await Promise.all(coming)
}

/**
 * On a thin line all that is asked for comes late together. So the front of the place is asked for when the frame of the
 * app has come: it is on its way while the frame is being read in. Then the rest of the place, last the letters.
 *
 * @returns done when the letters are there
 */
export async function preload(): Promise<void> {
  const frame = [...document.querySelectorAll<HTMLLinkElement>('link[rel="modulepreload"]')]
  await Promise.all(frame.map(come))
  await askFor('scripts-ahead', 'records-ahead')
  await askFor('scripts-then', 'records-then')
  await Promise.all(FONTS.map((font) => document.fonts.load(font)))
}
