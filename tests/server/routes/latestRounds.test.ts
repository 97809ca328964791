import { beforeAll, describe, expect, it } from 'vitest'
import type { RoundSummary } from '@/core/records/round.ts'
import { loadDemo } from '@/server/demo/loadDemo.ts'
import { apiForFile } from '@/tests/support/api.ts'

const api = apiForFile()
beforeAll(async () => {
  await loadDemo(api.db, '2027-04-02')
  // Ten years of one paddock: counted to the end, but for one old round with an open stop and one with no stop at all.
  await api.db.query(`insert into round (id, paddock_id, title, method, purpose, planned_on, points_per_stop, source, settings)
    select gen_random_uuid(), (select id from paddock limit 1), 'Year ' || n, 'step-points', '', date '2017-01-01' + n, 20, '', '{}' from generate_series(1, 300) n`) // prettier-ignore
  await api.db.query(`insert into stop (id, round_id, seq, done_at) select gen_random_uuid(), id, 1, case when title = 'Year 3' then null else now() end from round where title like 'Year%' and title <> 'Year 4'`) // prettier-ignore
})
const listed = async (query = '') => (await api.get(`/api/rounds${query}`).expect(200)).body as RoundSummary[]

describe('the latest rounds', () => {
  it('are so many, in the order of all, with those that are still to be walked however old', async () => {
    const [all, latest] = [await listed(), await listed('?latest=40')]
    const toWalk = all.filter((r, i) => i >= 40 && r.stopsDone < Math.max(1, r.stops))
    expect(toWalk.map((r) => r.title)).toEqual(expect.arrayContaining(['Year 3', 'Year 4']))
    const wanted = new Set([...all.slice(0, 40), ...toWalk].map((r) => r.id))
    expect(latest).toEqual(all.filter((r) => wanted.has(r.id)))
  })

  it.each(['0', '-1', 'all', '1e3', '100000', '1.5'])('%s of them cannot be asked for', async (n) => {
    await api.get(`/api/rounds?latest=${n}`).expect(400)
  })
})
