import { say } from '../../language/say.ts'

/** A file of the page's own origin as text that needs no other file. */
async function asData(url: string): Promise<string> {
  const blob = await (await fetch(url)).blob()
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(reader.result as string)
    reader.onerror = () => reject(reader.error ?? new Error(say('the file could not be read')))
    reader.readAsDataURL(blob)
  })
}

/** The rules that style the page, with the fonts inside them. */
async function styles(): Promise<string> {
  const text = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules].map((r) => r.cssText)).join('\n')
  const urls = new Set([...text.matchAll(/url\("?(\/[^")]+)"?\)/g)].map((m) => m[1]!))
  // Only the letters the page is written with: the other scripts of the fonts would make the file three times as large.
  const wanted = [...urls].filter((u) => /-latin-wght/.test(u))
  const data = new Map(await Promise.all(wanted.map(async (u) => [u, await asData(u)] as const)))
  return text.replace(/url\("?(\/[^")]+)"?\)/g, (all, u: string) => (data.has(u) ? `url("${data.get(u)!}")` : all))
}

/** The client's pages as one HTML file that opens anywhere, without a server and without a signal. */
export async function pageFile(title: string): Promise<string> {
  const page = document.querySelector('article.client-page')!.cloneNode(true) as HTMLElement
  // The chart is drawn to the width of the screen; in the file stands the one that is made for paper.
  page.querySelectorAll('.print\\:hidden').forEach((e) => e.remove())
  page.querySelectorAll('.print\\:block').forEach((e) => e.classList.remove('hidden'))
  for (const image of page.querySelectorAll('img')) {
    image.removeAttribute('srcset')
    image.removeAttribute('loading')
    if (image.getAttribute('src')?.startsWith('/')) image.src = await asData(image.getAttribute('src')!)
  }
  const hatches = document.querySelector('svg defs')?.closest('svg')?.outerHTML ?? ''
  const head = document.createElement('title')
  head.textContent = title
  return `<!doctype html><html lang="${document.documentElement.lang}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">${head.outerHTML}<style>${await styles()}</style></head><body>${hatches}${page.outerHTML}</body></html>`
}
