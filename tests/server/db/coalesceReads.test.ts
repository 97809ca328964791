import { describe, expect, it } from 'vitest'
import { coalesceReads } from '@/server/db/coalesceReads.ts'

/** A place where every question waits until it is let in, and then until it is answered. */
function counter() {
  const asked: { text: string; begin: () => void; answer: (rows: object[]) => void; fail: (e: Error) => void }[] = []
  const run = (text: string) => (begin: () => void) =>
    new Promise<{ rows: object[] }>((resolve, reject) => {
      asked.push({ text, begin, answer: (rows) => resolve({ rows }), fail: reject })
    })
  const once = coalesceReads<{ rows: object[] }>()
  return { asked, ask: (text: string, params?: unknown[]) => once(text, params, run(text)) }
}

describe('reads of the same thing', () => {
  it('that wait together are asked once, with one answer for all', async () => {
    const { asked, ask } = counter()
    const three = [ask('select a', [1]), ask('select a', [1]), ask('  SELECT a', [1])]
    expect(asked).toHaveLength(2)
    for (const a of asked) {
      a.begin()
      a.answer([{ a: 1 }])
    }
    const [first, second] = await Promise.all(three)
    expect(first).toBe(second)
    expect(first!.rows).toEqual([{ a: 1 }])
  })

  it('are asked anew once the first has begun: what was written meanwhile must be in the answer', async () => {
    const { asked, ask } = counter()
    const before = ask('select a')
    asked[0]!.begin()
    const after = ask('select a')
    expect(asked).toHaveLength(2)
    asked[0]!.answer([])
    asked[1]!.begin()
    asked[1]!.answer([{ a: 2 }])
    expect((await before).rows).toEqual([])
    expect((await after).rows).toEqual([{ a: 2 }])
  })

  it('with other values, and writes of any kind, are never joined', () => {
    const { asked, ask } = counter()
    for (const params of [[1], [2], [[1]]]) void ask('select a where b = $1', params)
    for (const write of [
      'insert into a values (1)',
      'update a set b = 1',
      'delete from a',
      'with s as (insert into a values (1)) select 1',
    ]) {
      // prettier-ignore
      void ask(write)
      void ask(write)
    }
    expect(asked).toHaveLength(3 + 8)
  })

  it('share an error too, and the next one is asked anew', async () => {
    const { asked, ask } = counter()
    const both = [ask('select a'), ask('select a')]
    asked[0]!.fail(new Error('The database is closed.'))
    for (const one of both) await expect(one).rejects.toThrow('closed')
    void ask('select a')
    expect(asked).toHaveLength(2)
  })

  it('hand out rows that nobody can change for the others', async () => {
    const { asked, ask } = counter()
    const answer = ask('select a')
    asked[0]!.answer([{ a: 1 }])
    const row = (await answer).rows[0] as { a: number }
    expect(() => (row.a = 2)).toThrow(TypeError)
  })
})
