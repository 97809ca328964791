import express from 'express'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import request from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { serveApp } from '@/server/http/pages.ts'

const dist = mkdtempSync(join(tmpdir(), 'fold-sprig-pages-'))
const INDEX = `<html><head>
<script type="module" src="/assets/index.js" nonce="__CSP_NONCE__"></script></head><body></body></html>`
const BY_PLACE = {
  '/rounds': { first: ['/assets/rounds.js'], then: [] },
  '/rounds/bring-in': { first: ['/assets/bring-in.js'], then: [] },
  '/sign-in': { first: ['/assets/sign-in.js'], then: [] },
  '/shared': { first: ['/assets/shared.js'], then: [] },
  '/plants/:id/:chapter?': { first: ['/assets/plant.js'], then: ['/assets/drawing.js'] },
  '/rounds/:id': { first: ['/assets/count.js'], then: ['/assets/keys.js', '/assets/figures.js'] },
}

const served = (folder: string) => {
  const app = express()
  app.use((_req, res, next) => {
    res.locals.nonce = 'fresh'
    next()
  })
  serveApp(app, folder)
  return request(app)
}
const named = (html: string, name: string) =>
  new RegExp(`<meta name="${name}" content="([^"]*)">`).exec(html)?.[1]?.split(' ').filter(Boolean)
/** What is asked for first, and what after it. */
const scriptsIn = (html: string) => [named(html, 'scripts-ahead'), named(html, 'scripts-then')]
const recordsIn = (html: string) => [named(html, 'records-ahead'), named(html, 'records-then')]

beforeAll(() => {
  mkdirSync(join(dist, 'assets'))
  writeFileSync(join(dist, 'index.html'), INDEX)
  writeFileSync(join(dist, 'scripts-by-place.json'), JSON.stringify(BY_PLACE))
  writeFileSync(join(dist, 'assets/rounds.js'), 'export const rounds = 1')
})
afterAll(() => rmSync(dist, { recursive: true }))

describe('a page', () => {
  it.each([
    ['/rounds', [['/assets/rounds.js'], []]],
    ['/rounds/bring-in', [['/assets/bring-in.js'], []]],
    ['/rounds/1e29c1ef', [['/assets/count.js'], ['/assets/keys.js', '/assets/figures.js']]],
    ['/rounds/1e29c1ef/elsewhere', [[], []]],
    ['/nowhere', [[], []]],
  ])('%s names the scripts of its place, those of its front first', async (path, scripts) => {
    const { text, headers } = await served(dist).get(path).expect(200)
    expect(scriptsIn(text)).toEqual(scripts)
    expect(headers['cache-control']).toBe('no-cache')
    expect(text).toContain('nonce="fresh"')
    expect(text).not.toContain('__CSP_NONCE__')
  })

  it('asks for its records at once where it cannot show anything without them', async () => {
    const { text } = await served(dist).get('/rounds').expect(200)
    expect(recordsIn(text)).toEqual([['/api/me', '/api/rounds?latest=100', '/api/places', '/api/plan-items'], []])
    const id = '1e29c1ef-c07e-5bdd-81f7-339cb30f0c27'
    const asked = async (path: string) => recordsIn((await served(dist).get(path)).text)
    expect(await asked(`/rounds/${id}`)).toEqual([['/api/me', `/api/rounds/${id}`], ['/api/book-pieces']])
    expect(await asked('/plants/tansy-ragwort')).toEqual([
      ['/api/me', '/api/plants/tansy-ragwort'],
      ['/api/book-pieces'],
    ])
    expect(await asked('/nowhere')).toEqual([['/api/me', '/api/book-pieces'], []])
  })

  it('puts nothing into the page but an id or the short name of a plant', async () => {
    for (const odd of ['Tansy%20ragwort', '..%2Fbook', 'a%22b', 'x'.repeat(81)])
      expect(recordsIn((await served(dist).get(`/plants/${odd}`)).text)).toEqual([['/api/me'], ['/api/book-pieces']])
  })

  it('asks for no records where nobody is in yet', async () => {
    for (const path of ['/sign-in', '/shared']) expect(recordsIn((await served(dist).get(path)).text)).toEqual([[], []])
  })

  it('holds nothing of the address it was asked by', async () => {
    const { text } = await served(dist).get('/rounds/%3Cscript%3Ealert(1)%3C%2Fscript%3E?q=%22onload=').expect(200)
    expect(text).not.toMatch(/alert|onload/)
    expect(recordsIn((await served(dist).get('/rounds/%22%3E%3Cb%3E')).text)!.join()).not.toMatch(/[<>"]|%/)
  })

  it('is itself, without scripts of places, from a build that did not write them down', async () => {
    const bare = mkdtempSync(join(tmpdir(), 'fold-sprig-bare-'))
    writeFileSync(join(bare, 'index.html'), INDEX)
    const { text } = await served(bare).get('/rounds').expect(200)
    expect(scriptsIn(text)).toEqual([[], []])
    rmSync(bare, { recursive: true })
  })

  it('is not there before anything is built', async () => {
    await served(join(dist, 'assets')).get('/rounds').expect(404)
  })
})

describe('a built file', () => {
  it('may be kept for a year under the name that changes with it; one that is not there is not a page', async () => {
    const { headers } = await served(dist).get('/assets/rounds.js').expect(200)
    expect(headers['cache-control']).toContain('immutable')
    await served(dist).get('/assets/gone.js').expect(404)
    await served(dist).get('/assets/%2e%2e/index.html').expect(403)
  })
})
