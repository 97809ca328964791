import { useEffect, useState } from 'react'
import type { Identification } from '@/core/naming/identify.ts'
import type { Context, Observation } from '@/core/records/observation.ts'
import type { NextCheck } from '@/core/naming/nextChecks.ts'
import type { Stage } from '@/core/flora/flora.ts'
import { bookEdition, namingWorker } from '../../workers/namingWorker.ts'
import type { Sheet } from './sheet.ts'

interface Asked {
  context: Context
  edition: number
  promise: Promise<Identification>
  result?: Identification
}
const asked = new WeakMap<Observation[], Asked>()

function known(context: Context, answers: Observation[]): Asked | undefined {
  const before = asked.get(answers)
  return before?.context === context && before.edition === bookEdition() ? before : undefined
}

/** Ask the engine; what was asked before of the same answers is not worked out again. */
export function askEngine(context: Context, answers: Observation[]): Promise<Identification> {
  const before = known(context, answers)
  if (before) return before.promise
  const promise = namingWorker().then((api) => api.identify(context, answers))
  const entry: Asked = { context, edition: bookEdition(), promise }
  asked.set(answers, entry)
  return promise.then((result) => (entry.result = result))
}

/** What follows from a sheet, computed off the page's thread; the last answer stays until the next one is there. */
export function useIdentification({ context, answers }: Sheet): {
  result: Identification | undefined
  fresh: boolean
  /** The answers that the result follows from. */
  of: Sheet['answers']
} {
  const ready = known(context, answers)?.result
  const [state, setState] = useState<{
    result: Identification
    of: Sheet['answers']
    under: Sheet['context']
  }>()
  useEffect(() => {
    let current = true
    void askEngine(context, answers).then((r) => current && setState({ result: r, of: answers, under: context }))
    return () => void (current = false)
  }, [context, answers])
  if (ready) return { result: ready, fresh: true, of: answers }
  return {
    result: state?.result,
    fresh: state?.of === answers && state.under === context,
    of: state?.of ?? answers,
  }
}

/** Looks that tell two plants apart, the best first. */
export function useSplit(a: string | undefined, b: string | undefined, stage: Stage): NextCheck[] {
  const [checks, setChecks] = useState<{ key: string; list: NextCheck[] }>({ key: '', list: [] })
  const key = `${a} ${b} ${stage}`
  useEffect(() => {
    if (!a || !b) return
    let current = true
    void namingWorker()
      .then((api) => api.split(a, b, stage))
      .then((list) => current && setChecks({ key, list }))
    return () => void (current = false)
  }, [a, b, stage, key])
  return checks.key === key ? checks.list : []
}
