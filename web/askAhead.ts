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

/**
 * On a thin line all that is asked for comes late together. So the scripts of the place and its records are asked for when
 * the frame of the app has come: they are on their way while it is being read in. Last the letters: where the line is not
 * thin they are there before the first words, which then do not move.
 */
export async function askAhead(): Promise<void> {
  const frame = [...document.querySelectorAll<HTMLLinkElement>('link[rel="modulepreload"]')]
  await Promise.all(frame.map(come))
  const scripts = named('scripts-ahead').map((href) => ask({ rel: 'modulepreload', href, crossOrigin: '' }))
  for (const href of named('records-ahead')) ask({ rel: 'preload', as: 'fetch', href, crossOrigin: 'anonymous' })
  await Promise.all(scripts.map(come))
  for (const font of FONTS) void document.fonts.load(font)
}
