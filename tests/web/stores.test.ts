import type { Command } from '@/contract/commands.ts'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Observation } from '@/core/records/observation.ts'
import { emptySheet, useBench, withAnswer } from '@/web/features/identify/benchStore.ts'
import { useOutbox } from '@/web/stores/outboxStore.ts'

describe('a sheet of the bench', () => {
  const subject = 'loose'
  const sheet = () => useBench.getState().sheets[subject] ?? emptySheet
  const { start, remove, undo, clear, setContext, setText, open } = useBench.getState()
  const answer = (to: string, o: Observation) =>
    useBench.getState().answer(to, withAnswer(useBench.getState().sheets[to]?.answers ?? [], o))
  const characters = () => sheet().answers.map((a) => a.character)

  beforeEach(() => useBench.setState({ sheets: {} }))

  it('keeps answers in the order they were made, one a character', () => {
    answer(subject, { character: 'vernation', states: ['rolled'] })
    answer(subject, { character: 'smell', states: ['none'] })
    answer(subject, { character: 'vernation', states: ['folded'] })
    expect(characters()).toEqual(['smell', 'vernation'])
    expect(sheet().answers.at(-1)).toMatchObject({ states: ['folded'] })
  })

  it('undo goes back step by step to nothing, and no further', () => {
    answer(subject, { character: 'vernation', states: ['rolled'] })
    answer(subject, { character: 'smell', states: ['none'] })
    remove(subject, 'vernation')
    clear(subject)
    expect(characters()).toEqual([])
    const seen = [1, 2, 3, 4, 5].map(() => {
      undo(subject)
      return characters().length
    })
    expect(seen).toEqual([1, 2, 1, 0, 0])
  })

  it('each subject has a sheet of its own', () => {
    answer(subject, { character: 'vernation', states: ['rolled'] })
    answer('round/A', { character: 'smell', states: ['none'] })
    expect(characters()).toEqual(['vernation'])
  })

  it('a sheet that is there keeps the context its reader chose', () => {
    start(subject, { month: 4 })
    setContext(subject, { month: 6, stage: 'mown' })
    start(subject, { month: 4 })
    expect(sheet().context).toEqual({ month: 6, stage: 'mown' })
  })

  it('a new plant is a sheet of its own at the same place', () => {
    start(subject, { region: 'cool-humid' })
    setText(subject, { place: 'Mill Bank', note: 'by the gate' })
    const before = sheet().id
    clear(subject)
    expect(sheet()).toMatchObject({ place: 'Mill Bank', note: '', context: { region: 'cool-humid' } })
    expect(sheet().id).not.toBe(before)
  })

  it('a sheet that was opened keeps the id it came with', () => {
    open(subject, { id: 'theirs', answers: [{ character: 'smell', states: ['minty'] }] })
    start(subject, { month: 4 })
    expect(sheet()).toMatchObject({ id: 'theirs', place: '' })
    expect(characters()).toEqual(['smell'])
  })

  it('a sheet kept by an earlier version, without an id, gets one and loses nothing', () => {
    const old = { context: { month: 5 }, answers: [{ character: 'smell', states: ['minty'] }], past: [] }
    useBench.setState({ sheets: { [subject]: old as never } })
    start(subject, {})
    expect(sheet().id).not.toBe('')
    expect(sheet().context).toEqual({ month: 5 })
    expect(characters()).toEqual(['smell'])
  })
})

describe('the outbox', () => {
  const sent: { url: string; body: unknown }[] = []
  let answerWith: () => Response | Promise<Response>
  const ok = () => new Response('{}', { status: 200 })
  const command = (key: string, body: unknown): Command => ({ do: 'request', method: 'PUT', url: `/api/${key}`, body })
  const { post, drain, dropRefused } = useOutbox.getState()
  const waiting = () => useOutbox.getState().pending.map((l) => l.key.replace('/api/', ''))

  beforeEach(() => {
    sent.length = 0
    answerWith = ok
    useOutbox.setState({ pending: [], refused: [] })
    vi.stubGlobal('fetch', async (url: string, init: { body: string }) => {
      const answered = await answerWith()
      sent.push({ url, body: JSON.parse(init.body) as unknown })
      return answered
    })
  })
  afterEach(() => vi.unstubAllGlobals())

  it('sends in order and is empty afterwards', async () => {
    post(command('a', 1))
    post(command('b', 2))
    await vi.waitFor(() => expect(waiting()).toEqual([]))
    expect(sent.map((s) => s.url)).toEqual(['/api/a', '/api/b'])
  })

  it('keeps everything while the server does not answer, and sends it once when it is back', async () => {
    answerWith = () => Promise.reject(new TypeError('no network'))
    post(command('a', 1))
    post(command('b', 2))
    await drain()
    expect(waiting()).toEqual(['a', 'b'])
    answerWith = ok
    await drain()
    expect(waiting()).toEqual([])
    expect(sent.map((s) => s.body)).toEqual([1, 2])
  })

  it('a later version takes the place of one that still waits', async () => {
    answerWith = () => Promise.reject(new TypeError('no network'))
    post(command('stop/1', 'first'))
    await drain()
    post(command('stop/1', 'second'))
    await drain()
    answerWith = ok
    await drain()
    expect(sent.at(-1)).toEqual({ url: '/api/stop/1', body: 'second' })
  })

  it('a server in trouble (5xx) is not a refusal: the letter stays', async () => {
    answerWith = () => new Response('{}', { status: 503 })
    post(command('a', 1))
    await drain()
    expect(waiting()).toEqual(['a'])
    expect(useOutbox.getState().refused).toEqual([])
  })

  it('what the server refuses is shown, not dropped in silence, and does not hold up the rest', async () => {
    let first = true
    answerWith = () => {
      if (!first) return ok()
      first = false
      return new Response(JSON.stringify({ error: { message: 'There is no plant "moss".' } }), { status: 400 })
    }
    post(command('bad', 1))
    post(command('good', 2))
    await vi.waitFor(() => expect(waiting()).toEqual([]))
    expect(useOutbox.getState().refused).toMatchObject([
      { command: { url: '/api/bad', body: 1 }, message: 'There is no plant "moss".' },
    ])
    dropRefused()
    expect(useOutbox.getState().refused).toEqual([])
  })

  describe('with stops that other devices count too', () => {
    const url = '/api/rounds/r/stops/1'
    const stop = (taxon: string): Command => ({
      do: 'save-stop',
      roundId: 'r',
      seq: 1,
      stop: { id: 's1', hits: [{ taxon, amount: 1 }], doneAt: null, stratum: '', measures: {}, skipped: null },
    })
    const theirs = { seq: 1, version: 4, hits: [{ taxon: 'bare', amount: 1 }], measures: {}, skipped: null }
    const conflict = () => new Response(JSON.stringify({ error: { message: 'both', theirs } }), { status: 409 })
    const bodies = () => sent.map((s) => s.body as { by: string; base: number; hits: { taxon: string }[] })
    beforeEach(() => useOutbox.setState({ versions: {}, conflicts: [] }))

    it('each write says which device it is and which version it had', async () => {
      answerWith = () => new Response('{"version":3}', { status: 200 })
      useOutbox.getState().noteVersions({ [url]: 2 })
      post(stop('timothy'))
      await vi.waitFor(() => expect(waiting()).toEqual([]))
      post(stop('bare'))
      await vi.waitFor(() => expect(waiting()).toEqual([]))
      expect(bodies().map((b) => b.base)).toEqual([2, 3])
      expect(new Set(bodies().map((b) => b.by)).size).toBe(1)
    })

    it('both versions are kept until one is chosen; mine is then written over theirs', async () => {
      answerWith = conflict
      post(stop('timothy'))
      await vi.waitFor(() => expect(useOutbox.getState().conflicts).toHaveLength(1))
      expect(useOutbox.getState().refused).toEqual([])
      expect(useOutbox.getState().conflicts[0]).toMatchObject({
        theirs,
        command: { stop: { hits: [{ taxon: 'timothy' }] } },
      })
      answerWith = () => new Response('{"version":5}', { status: 200 })
      useOutbox.getState().resolveConflict(useOutbox.getState().conflicts[0]!, 'mine')
      await vi.waitFor(() => expect(waiting()).toEqual([]))
      expect(bodies().at(-1)).toMatchObject({ base: 4, hits: [{ taxon: 'timothy' }] })
      expect(useOutbox.getState().conflicts).toEqual([])
    })

    it('when theirs is kept nothing is sent', async () => {
      answerWith = conflict
      post(stop('timothy'))
      await vi.waitFor(() => expect(useOutbox.getState().conflicts).toHaveLength(1))
      const before = sent.length
      useOutbox.getState().resolveConflict(useOutbox.getState().conflicts[0]!, 'theirs')
      await drain()
      expect(sent).toHaveLength(before)
      expect(useOutbox.getState().versions[url]).toBe(4)
    })

    it('a version read anew does not replace the one that a waiting write was made over', async () => {
      answerWith = () => Promise.reject(new TypeError('no network'))
      useOutbox.getState().noteVersions({ [url]: 1 })
      post(stop('timothy'))
      await drain()
      useOutbox.getState().noteVersions({ [url]: 6 })
      expect(useOutbox.getState().versions[url]).toBe(1)
    })
  })
})
