import { shuffler } from 'd3-array'
import { randomLcg } from 'd3-random'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { PracticeAnswer, PracticeKind } from '@/core/practice/answer.ts'
import type { FramePlant, SwardFrame } from '@/core/practice/frame.ts'
import type { KeyStep } from '@/core/practice/keyPath.ts'
import { poisonPlants, seedPlants, type Question } from '@/core/practice/question.ts'
import { sessionOf, type Around, type Ask } from '@/core/practice/session.ts'
import type { TrainerSet } from '@/core/practice/trainerSet.ts'
import type { PractiseSpecimen } from '@/core/practice/specimen.ts'
import { drawnCharacters } from '@/core/drawing/drawState.ts'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { practiceWorker } from '../../workers/practiceWorker.ts'
import { madeFrame, type FrameAsked } from './madeFrame.ts'
import { usePracticeAnswers } from '../../entities/practice/usePracticeAnswers.ts'
import { say } from '../../language/say.ts'

/** What stands before the reader. */
export type Shown =
  | { is: 'question'; ask: Ask; question: Question }
  | { is: 'cover'; ask: Ask; asked: FrameAsked; plants: FramePlant[]; frame: SwardFrame }
  | { is: 'rank'; ask: Ask; asked: FrameAsked; plants: FramePlant[]; frame: SwardFrame }
  | { is: 'key'; ask: Ask; specimen: PractiseSpecimen; engine: KeyStep[] }

const SESSION = 12
const ROUND = 8
const FRAME_SIDE = 480
const stages: Stage[] = ['vegetative', 'vegetative', 'seedling', 'mown']

const shuffledBy = <T>(list: readonly T[], random: () => number): T[] => shuffler(random)([...list])

/** Everything that can be asked of a kind. */
export function askable(kind: PracticeKind, plants: Plant[]): string[] {
  if (kind === 'poison') return poisonPlants(plants)
  if (kind === 'seed') return seedPlants(plants)
  if (kind === 'read') return drawnCharacters
  if (kind === 'cover' || kind === 'rank') return [kind]
  if (kind === 'check')
    return [...new Set(plants.flatMap((p) => p.lookalikes.map((l) => [p.id, l.plant].sort().join('|'))))]
  return plants.map((p) => p.id)
}

/** What a round of one kind asks: for plants, those a session would take; else a handful by chance. */
function asksOf(
  kind: PracticeKind | 'mixed',
  answers: PracticeAnswer[],
  plants: Plant[],
  around: Around,
  random: () => number,
): Ask[] {
  const now = new Date()
  if (kind === 'mixed') {
    const list = sessionOf(answers, plants, around, now, SESSION - 3, random)
    const extra: Ask[] = [
      { kind: 'read', about: shuffledBy(drawnCharacters, random)[0]!, because: 'new' },
      { kind: 'poison', about: shuffledBy(poisonPlants(plants), random)[0]!, because: 'new' },
      { kind: 'cover', about: 'cover', because: 'new' },
    ]
    return shuffledBy([...list, ...extra], random)
  }
  const some = (list: readonly string[]): Ask[] =>
    shuffledBy(list, random)
      .slice(0, ROUND)
      .map((about) => ({ kind, about, because: 'new' }))
  if (kind === 'cover' || kind === 'rank')
    return Array.from({ length: ROUND }, () => ({ kind, about: kind, because: 'new' }))
  if (kind !== 'name' && kind !== 'key') return some(askable(kind, plants))
  const session = sessionOf(answers, plants, around, now, ROUND, random)
  return shuffledBy(
    session.map((a) => ({ ...a, kind, about: a.about.split('|')[0]! })),
    random,
  )
}

/** What an ask looks like, the same for the same seed. */
export async function makeShown(ask: Ask, seed: number): Promise<Shown | undefined> {
  const worker = await practiceWorker()
  const stage = stages[Math.floor(seed * stages.length)]!
  if (ask.kind === 'cover' || ask.kind === 'rank') {
    const { asked, plants } = madeFrame(ask.kind, randomLcg(seed))
    return { is: ask.kind, ask, asked, plants, frame: await worker.frame(plants, FRAME_SIDE, seed) }
  }
  if (ask.kind === 'key') {
    const specimen = await worker.specimen(ask.about, 'vegetative', seed)
    return { is: 'key', ask, specimen, engine: await worker.keyPath(specimen) }
  }
  const question = await worker.ask(ask.kind, ask.about, stage, seed)
  return question && { is: 'question', ask, question }
}

/** A practice round: what is asked in turn, and what came of it. */
export function usePractice(around: Around) {
  const plants = useFlora((s) => s.plants)
  const { answers, keep } = usePracticeAnswers()
  const [asks, setAsks] = useState<Ask[]>([])
  const [at, setAt] = useState(0)
  const [shown, setShown] = useState<Shown>()
  const [given, setGiven] = useState<PracticeAnswer>()
  const [done, setDone] = useState<PracticeAnswer[]>([])
  const [set, setSet] = useState<TrainerSet>()
  const [problem, setProblem] = useState('')
  const began = useRef(0)
  const begin = useCallback(
    (kind: PracticeKind | 'mixed') => {
      const random = randomLcg(Math.random())
      setSet(undefined)
      setAsks(asksOf(kind, answers, plants, around, random))
      setAt(0)
      setDone([])
      setGiven(undefined)
      setShown(undefined)
    },
    [plants, around, answers],
  )
  const beginSet = useCallback((given: TrainerSet) => {
    setSet(given)
    setAsks(given.questions.map((q) => ({ ...q, because: 'set' })))
    setAt(0)
    setDone([])
    setGiven(undefined)
    setShown(undefined)
  }, [])
  const ask = asks[at]
  useEffect(() => {
    if (!ask) return
    let current = true
    void makeShown(ask, ask.seed ?? Math.random())
      .then((made) => {
        if (!current) return
        // A pair that nothing tells apart at this stage cannot be asked: the next one is.
        if (!made) return setAt((n) => n + 1)
        began.current = performance.now()
        setShown(made)
      })
      .catch(
        (e: unknown) =>
          current && setProblem(say('This could not be drawn: {{message}}', { message: (e as Error).message })),
      )
    return () => void (current = false)
  }, [ask])
  const answer = (part: Pick<PracticeAnswer, 'about' | 'answered' | 'right' | 'sure' | 'measured'>) => {
    if (!ask || given) return
    const now: PracticeAnswer = {
      id: crypto.randomUUID(),
      kind: ask.kind,
      seconds: Math.round((performance.now() - began.current) / 100) / 10,
      at: new Date().toISOString(),
      ...part,
    }
    keep(now)
    setGiven(now)
    setDone((d) => [...d, now])
  }
  const next = () => {
    setGiven(undefined)
    setShown(undefined)
    setAt((n) => n + 1)
  }
  return {
    answers,
    asks,
    at,
    shown,
    given,
    done,
    set,
    problem,
    running: at < asks.length,
    begin,
    beginSet,
    answer,
    next,
    stop: () => setAsks([]),
  }
}
