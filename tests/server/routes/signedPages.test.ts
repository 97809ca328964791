import { createHash, randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { beforeHash, HASH_PLACE, type SignedPage } from '@/core/records/signedPage.ts'
import { listRounds } from '@/server/db/rounds.ts'
import { isPageOf } from '@/server/routes/signedPages.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
// FIPS 180-4, the one-block message: the hash that both sides must come to.
const ABC = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad'
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

/** A page as the device makes it: its hash in the place where noughts stood when it was taken. */
function signed(issue: number, words: string): Omit<SignedPage, 'roundId'> {
  const blank = `<!doctype html><p>${words}</p><p>${HASH_PLACE}</p>`
  const hash = sha256(blank)
  return { id: randomUUID(), issue, signedBy: 'Rosalind Quern', signedAt: '2027-05-01T10:00:00.000Z', factsHash: ABC, hash, page: blank.replace(HASH_PLACE, hash) } // prettier-ignore
}
const roundId = async () => {
  await loadDemo(api.db, '2027-05-01')
  return (await listRounds(api.db))[0]!.id
}

describe('pages with a name under them', () => {
  it('a page knows its own hash, and one letter more or less is another page', () => {
    expect(sha256('abc')).toBe(ABC)
    const { page, hash } = signed(1, 'Not for these horses')
    expect(isPageOf(page, hash)).toBe(true)
    expect(isPageOf(page.replace('Not for', 'Fit for'), hash)).toBe(false)
    expect(isPageOf(beforeHash(page, hash), HASH_PLACE)).toBe(false)
  })

  it('are kept word for word, and a correction is a further issue', async () => {
    const id = await roundId()
    const url = `/api/rounds/${id}/signed-pages`
    const first = signed(1, 'Test first: nitrate, straße, 20 % “…”')
    await api.post(url, first).expect(201)
    const second = signed(2, 'Corrected')
    await api.post(url, second).expect(201)
    const { body: list } = await api.get(url).expect(200)
    expect(list).toMatchObject([{ issue: 1, hash: first.hash, signedBy: 'Rosalind Quern' }, { issue: 2 }])
    const { body: kept } = await api.get(`/api/signed-pages/${first.id}`).expect(200)
    expect(kept).toEqual({ ...first, roundId: id })
  })

  it('are not changed, not taken out, and not signed twice under one number', async () => {
    const id = await roundId()
    const url = `/api/rounds/${id}/signed-pages`
    const first = signed(7, 'As it was')
    await api.post(url, first).expect(201)
    // The answer was lost and it is sent again: the same is known for the same.
    await api.post(url, first).expect(201)
    const other = signed(7, 'Another device')
    const { body } = await api.post(url, other).expect(400)
    expect((body as { error: { message: string } }).error.message).toMatch(/signed on another device/)
    const changed = { ...signed(7, 'Changed'), id: first.id }
    await api.post(url, changed).expect(400)
    expect((await api.get(`/api/signed-pages/${first.id}`)).body).toMatchObject({ page: first.page })
    await api.raw().delete(`/api/signed-pages/${first.id}`).expect(404)
    await api.put(`/api/signed-pages/${first.id}`, first).expect(404)
  })

  it('a page that is not the one its hash was taken of is refused, as is one of no round', async () => {
    const id = await roundId()
    const page = signed(9, 'True')
    await api.post(`/api/rounds/${id}/signed-pages`, { ...page, page: page.page.replace('True', 'False') }).expect(400)
    await api.post(`/api/rounds/${randomUUID()}/signed-pages`, page).expect(404)
  })
})
