import { expect, test, type Page } from '@playwright/test'
import { goInside } from './inside.ts'
import { ownServer } from './ownServer.ts'

// Every text of the catalogue stands under accents: what a person reads without them was never given to it.

// A server of its own: what other journeys write meanwhile would be taken for texts.
const { address, start, end } = ownServer(4177)
test.use({ locale: 'en-GB', baseURL: address })
test.beforeAll(start)
test.afterAll(end)

interface Named extends Record<string, unknown> {
  exposure?: { sources?: unknown; doses?: { source: string }[] }
  sowing?: { sources?: unknown }
}
interface Listed {
  id: string
  title: string
  method: string
  stopsDone: number
}

const read = async (page: Page, path: string): Promise<unknown> => (await page.request.get(path)).json()

/** All that people wrote or the server names: it stays as it is in every language. */
async function written(page: Page, rounds: Listed[]): Promise<string[]> {
  const found = new Set<string>()
  const take = (value: unknown): void => {
    if (typeof value === 'string') {
      if (/[a-z]{3}/i.test(value))
        found.add(
          value
            .trim()
            .replace(/^latin:/, '')
            .toLowerCase(),
        )
    } else if (Array.isArray(value)) value.forEach(take)
    else if (typeof value === 'object' && value !== null) Object.values(value).forEach(take)
  }
  for (const list of ['rounds', 'places', 'unknowns', 'plan-items', 'namings', 'kept'])
    take(await read(page, `/api/${list}`).catch(() => undefined))
  const { paddocks } = (await read(page, '/api/places')) as { paddocks: { id: string }[] }
  for (const { id } of paddocks) take(await read(page, `/api/paddocks/${id}`))
  const { plants, hazards } = (await read(page, '/api/book')) as { plants: Named[]; hazards: Named[] }
  for (const {
    commonName,
    called,
    alsoCalled,
    scientificName,
    synonyms,
    family,
    author,
    sources,
    exposure,
    sowing,
  } of [...plants, ...hazards])
    take([
      commonName,
      called,
      alsoCalled,
      scientificName,
      synonyms,
      family,
      author,
      sources,
      exposure?.sources,
      exposure?.doses,
      sowing?.sources,
    ])
  for (const { id } of rounds) take(await read(page, `/api/rounds/${id}`))
  // Longer ones first, so that a name within a sentence does not break it.
  return [...found].sort((a, b) => b.length - a.length)
}

/** Dates are written by the browser's own locale. */
const MONTHS =
  /\b(january|february|march|april|may|june|july|august|september|october|november|december|(mon|tues|wednes|thurs|fri|satur|sun)day)\b/g

/** Same in every language: units, names of files and formats, of what is fed, of places on a keyboard; authors as sources. */
const SAME =
  /^(copy|zip|hits|stop|stops|lat|lon|composition|GeoJSON|GPX|KML|CSV|Darwin|Core|Fold|Sprig|English|Deutsch|Shift|Esc|Enter|ADF|NDF|RFV|Mcal|ppm)$/i

async function leaks(page: Page, own: readonly string[]): Promise<string[]> {
  await page.locator('h1').first().waitFor({ state: 'attached' })
  await page.waitForLoadState('networkidle')
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0)
  await page.evaluate(() => document.querySelectorAll('details').forEach((d) => (d.open = true)))
  const lines = (await page.locator('body').innerText()).split(/[\n\t]+/)
  return lines.flatMap((line) => {
    let rest = line.toLowerCase()
    for (const o of own) if (rest.includes(o)) rest = rest.replaceAll(o, ' ')
    rest = rest.replace(MONTHS, ' ')
    const plain = (rest.match(/[\p{L}'-]+/gu) ?? []).filter(
      (w) => /^[a-z]{3,}$/i.test(w) && /[aeiou]/i.test(w) && !SAME.test(w),
    )
    return plain.length > 0 ? [`${plain.join(' ')}   < ${line.slice(0, 160)}`] : []
  })
}

test('no text of any screen stands outside the catalogue', async ({ page }) => {
  test.slow()
  await page.addInitScript(() => localStorage.setItem('fold-sprig-language', 'pseudo'))
  const rounds = (await read(page, '/api/rounds')) as Listed[]
  const { paddocks } = (await read(page, '/api/places')) as { paddocks: { id: string }[] }
  const own = await written(page, rounds)
  const counted = rounds.filter((r) => r.stopsDone > 0)
  const CHAPTERS = ['says', 'harm', 'unseen', 'do', 'worth', 'stock', 'sow', 'ground', 'year']
  const OF_ONE = ['/beside', '/pocket', '/field-sheet', ...CHAPTERS.map((c) => `/weigh-up/${c}`)]
  const SUB = ['', '/weigh-up', '/hand-over', ...OF_ONE]
  const ofEachMethod = [...new Map(counted.map((r) => [r.method, r])).values()]
  const paths = [
    '/rounds',
    '/plan',
    '/bench',
    '/plants',
    '/plants/tansy-ragwort',
    '/plants/white-clover',
    '/plants/map',
    '/compare?plants=timothy,redtop',
    '/practice',
    '/daybook',
    '/team',
    '/glossary',
    '/first-round',
    '/group-key',
    '/rounds/bring-in',
    '/bench/sheet?subject=bench',
    '/drawings', // prettier-ignore
    ...paddocks.slice(0, 2).map((p) => `/places/${p.id}`),
    // All of one round, and what differs by method of the others.
    ...ofEachMethod.flatMap((r, i) => (i === 0 ? SUB : SUB.slice(0, 3)).map((s) => `/rounds/${r.id}${s}`)),
  ]
  const found: string[] = []
  for (const path of paths) {
    await goInside(page, path)
    for (const leak of await leaks(page, own)) found.push(`${path.replace(/[0-9a-f-]{36}/, ':id')}: ${leak}`)
  }
  expect([...new Set(found)]).toEqual([])
})
