import express from 'express'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { openingOf } from '@/server/http/opening.ts'
import { serveApp } from '@/server/http/pages.ts'
import { plantsById } from '@/tests/support/book.ts'

const dist = mkdtempSync(join(tmpdir(), 'fold-sprig-opening-'))
const INDEX = '<html lang="en"><head></head><body><div id="root"><header>sprig</header></div></body></html>'

const served = express()
served.use((_req, res, next) => {
  res.locals.nonce = 'fresh'
  next()
})

beforeAll(() => {
  writeFileSync(join(dist, 'index.html'), INDEX)
  const places = ['/', '/plants', '/plants/:id/:chapter?', '/team']
  writeFileSync(
    join(dist, 'scripts-by-place.json'),
    JSON.stringify(Object.fromEntries(places.map((p) => [p, { first: [], then: [] }]))),
  )
  const plants = { title: 'Plant book', lead: 'Grasses $& <clovers>' }
  const said = {
    en: { '/': plants, '/plants': plants, '/plants/:id/:chapter?': { title: 'Plant book', lead: '' } },
    de: { '/plants': { title: 'Pflanzenbuch', lead: 'Gräser' } },
  }
  writeFileSync(join(dist, 'openings.json'), JSON.stringify(said))
  serveApp(served, dist, (id) => openingOf(plantsById.get(id)))
})
afterAll(() => rmSync(dist, { recursive: true }))

const page = async (path: string, headers: Record<string, string> = {}) =>
  (await request(served).get(path).set(headers).expect(200)).text

describe('what a place opens with', () => {
  it('stands under the head of its page, as text and not as tags', async () => {
    expect(await page('/plants')).toMatch(
      /<\/header><div[^>]*><p[^>]*>Plant book<\/p><p[^>]*>Grasses \$&amp; &lt;clovers&gt;<\/p><\/div><\/div>/,
    )
    expect(await page('/team')).toBe(INDEX.replace('</head>', /<meta.*>(?=<\/head>)/.exec(await page('/team'))![0] + '</head>')) // prettier-ignore
  })

  it('is in the language that the browser asks for, else in English, and the page says which', async () => {
    const german = await page('/plants', { 'accept-language': 'fr, de-AT;q=0.9, en;q=0.5' })
    expect(german).toContain('<html lang="de"')
    expect(german).toContain('Pflanzenbuch')
    const french = await page('/plants', { 'accept-language': 'fr' })
    expect(french).toContain('<html lang="en"')
    expect(french).toContain('Plant book')
    const { headers } = await request(served).get('/plants')
    expect(headers.vary).toMatch(/Accept-Language/)
  })

  it('is left out of the frame that a service worker keeps for every place', async () => {
    expect(await page('/', { 'sec-fetch-dest': 'empty' })).not.toContain('Plant book')
    expect(await page('/', { 'sec-fetch-dest': 'document' })).toContain('Plant book')
  })

  it('shows a plant by the name that needs no language and by its picture; of an id that is none nothing', async () => {
    const ragwort = plantsById.get('tansy-ragwort')!
    const text = await page('/plants/tansy-ragwort')
    expect(text).toContain('Jacobaea vulgaris')
    expect(text).toContain(`/plates/tansy-ragwort-vegetative.${ragwort.plates!.vegetative}.1200.webp 1200w`)
    expect(await page('/plants/no-such-plant')).not.toContain('<img')
    expect(await page('/plants/%3Cimg%3E')).not.toContain('<img')
  })
})
