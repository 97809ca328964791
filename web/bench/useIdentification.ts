import { useEffect, useState } from 'react'
import type { Identification } from '@/core/naming/identify.ts'
import type { NextCheck } from '@/core/naming/nextChecks.ts'
import type { Stage } from '@/core/naming/flora.ts'
import { namingWorker } from '../workers/namingWorker.ts'
import type { Sheet } from './benchStore.ts'

/** What follows from a sheet, computed off the page's thread; the last answer stays until the next one is there. */
export function useIdentification({ context, answers }: Sheet): {
  result: Identification | undefined
  fresh: boolean
} {
  const [state, setState] = useState<{
    result: Identification
    of: Sheet['answers']
    under: Sheet['context']
  }>()
  useEffect(() => {
    let current = true
    void namingWorker()
      .then((api) => api.identify(context, answers))
      .then((r) => current && setState({ result: r, of: answers, under: context }))
    return () => void (current = false)
  }, [context, answers])
  return { result: state?.result, fresh: state?.of === answers && state.under === context }
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
