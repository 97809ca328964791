import { randomUUID } from 'node:crypto'
import JSZip from 'jszip'
import { beforeAll, describe, expect, it } from 'vitest'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { RoundSummary } from '@/core/records/round.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
beforeAll(() => loadDemo(api.db, '2027-04-02'))

const lines = async (query = '') => (await api.get(`/api/plan-items${query}`).expect(200)).body as PlanLine[]
const harmRound = async () =>
  ((await api.get('/api/rounds')).body as RoundSummary[]).find((r) => r.title === 'Harm walk and count')!
const item = async (patch: object = {}) => ({
  paddockId: (await harmRound()).paddockId,
  text: 'Dig the thistles',
  owner: '',
  dueOn: '2027-04-10',
  lookFor: '',
  outcome: '',
  ...patch,
})

describe('the plan', () => {
  it('is kept once however often it is sent, changed by the same id, and taken out', async () => {
    const url = `/api/plan-items/${randomUUID()}`
    await api.put(url, await item()).expect(200)
    await api.put(url, await item()).expect(200)
    await api.put(url, await item({ doneOn: '2027-04-09', outcome: 'all out', owner: 'Joss' })).expect(200)
    const mine = (await lines()).filter((l) => url.endsWith(l.id))
    expect(mine).toHaveLength(1)
    expect(mine[0]).toMatchObject({ doneOn: '2027-04-09', outcome: 'all out', owner: 'Joss', paddock: 'Pond Paddock' })
    await api.raw().delete(url).expect(200)
    expect((await lines()).some((l) => url.endsWith(l.id))).toBe(false)
  })

  it('is asked for by paddock, the earliest first', async () => {
    const { paddockId } = await harmRound()
    const of = await lines(`?paddock=${paddockId}`)
    expect(of.length).toBeGreaterThan(0)
    expect(new Set(of.map((l) => l.paddockId))).toEqual(new Set([paddockId]))
    const due = (await lines()).map((l) => l.dueOn)
    expect(due).toEqual([...due].sort())
  })

  it.each([
    [{ text: '' }, /what is to be done/],
    [{ dueOn: '2027-13-40' }, /dueOn/],
    [{ dueOn: 'soon' }, /dueOn/],
    [{ backOn: '2027-04-01' }, /before the day it is due/],
    [{ plant: 'tansy-ragwert' }, /tansy-ragwort/],
    [{ paddockId: randomUUID() }, /no such paddock/],
    [{ roundId: randomUUID() }, /no such round/],
    [{ text: 'x'.repeat(1001) }, /text/],
  ])('%j is refused in words', async (patch, says) => {
    const res = await api.put(`/api/plan-items/${randomUUID()}`, await item(patch)).expect(400)
    expect((res.body as { error: { message: string } }).error.message).toMatch(says)
  })

  it('ids that are none are refused', async () => {
    await api.put('/api/plan-items/seven', await item()).expect(400)
    await api.get('/api/plan-items?paddock=seven').expect(400)
    await api.raw().delete('/api/plan-items/seven').expect(400)
    expect(api.logged).toEqual([])
  })

  it('goes along as a calendar', async () => {
    const res = await api
      .get('/api/plan.ics')
      .expect(200)
      .expect('content-type', /text\/calendar/)
    expect(res.text).toContain('BEGIN:VEVENT')
    expect(res.text.match(/BEGIN:VEVENT/g)).toHaveLength((await lines()).length)
  })
})

describe('files of a round', () => {
  it('GPX has as many waypoints as stops with a place', async () => {
    const { id, stops } = await harmRound()
    const res = await api.get(`/api/rounds/${id}/files/stops.gpx`).expect(200)
    expect(String(res.text ?? res.body).match(/<wpt /g)).toHaveLength(stops)
  })

  it('the Darwin Core archive opens: meta, occurrences, facts, a row for each', async () => {
    const { id } = await harmRound()
    const res = await api
      .get(`/api/rounds/${id}/files/darwin-core.zip`)
      .buffer(true)
      .parse((r, done) => {
        const chunks: Buffer[] = []
        r.on('data', (c: Buffer) => chunks.push(c)).on('end', () => done(null, Buffer.concat(chunks)))
      })
      .expect(200)
    const zip = await JSZip.loadAsync(res.body as Buffer)
    expect(Object.keys(zip.files).sort()).toEqual(['measurementorfact.csv', 'meta.xml', 'occurrence.csv'])
    const rows = async (name: string) => (await zip.file(name)!.async('string')).trimEnd().split('\r\n')
    const occurrences = await rows('occurrence.csv')
    expect(occurrences.length).toBeGreaterThan(100)
    expect(await rows('measurementorfact.csv')).toHaveLength(occurrences.length)
  })
})
