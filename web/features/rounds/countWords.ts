import { methodWords } from '@/text/methodWords.ts'
import type { Entry } from '@/core/methods/method.ts'
import type { Position } from '@/core/geo/route.ts'
import type { Round, Stop } from '@/core/records/round.ts'
import type { Taxon } from '@/core/records/taxon.ts'
import type { RailStep, NextStep } from '../../parts/StepRail.tsx'
import { entryOf, lacking, pointsAt, stopAt, type CountAction, type CountState } from './countState.ts'
import { valueLabel, type ValueChoice } from './entry/valueChoices.ts'
import { say } from '../../language/say.ts'

export function moreWords(more: number | undefined, halfWidth: number, units: string): string | undefined {
  if (more === undefined) return undefined
  const wanted = `±${Math.round(halfWidth * 100)} %`
  return more === 0
    ? say('enough {{units}} for {{wanted}}', { units, wanted })
    : say('{{more}} more {{units}} for {{wanted}}', { more, units, wanted })
}

/** On to the next stop: now, from where one stands. */
export const nextNow = (here: () => Position | null): CountAction => ({
  ...{ kind: 'next', at: new Date().toISOString(), id: crypto.randomUUID(), position: here() },
})

export function tipOf(
  round: Round,
  state: CountState,
  more: string | undefined,
  act: (action: CountAction) => void,
  here: () => Position | null,
): NextStep {
  const onPress = () => act(nextNow(here))
  const stop = stopAt(state)
  const { unitName: unit } = methodWords(round.method)
  const toDo = state.stops.filter((s) => s.doneAt === null && s.skipped === null).length
  if (toDo === 0)
    return {
      label: say('Weigh it up'),
      detail: say('every {{unit}} is counted', { unit }),
      to: `/rounds/${round.id}/weigh-up`,
    }
  const left = stop ? state.pointsPerStop - pointsAt(state, stop) : 0
  if (stop && entryOf(state) === 'points' && left > 0)
    return {
      label: say('{{count}} more points at {{unit}} {{seq}}', {
        count: left,
        unit,
        seq: stop.seq,
      }),
      ...(more === undefined ? {} : { detail: more }),
    }
  if (stop && lacking(state, stop))
    return { label: say('Write down {{unit}} {{seq}}', { unit, seq: stop.seq }), ...(more ? { detail: more } : {}) }
  if (state.asWalked && toDo === 1 && stop?.doneAt === null)
    return {
      label: say('Walk on to another {{unit}}', { unit }),
      hotkey: say('Enter'),
      ...(more ? { detail: more } : {}),
      onPress,
    }
  if (toDo === 1 && stop?.doneAt === null)
    return {
      label: say('Close {{unit}} {{seq}}', { unit, seq: stop.seq }),
      hotkey: say('Enter'),
      detail: say('the last one'),
      onPress,
    }
  return {
    label: say('Walk to the next {{unit}}', { unit }),
    hotkey: say('Enter'),
    detail: say('{{toDo}} left after this one', { toDo: toDo - 1 }),
    onPress,
  }
}

export function nodesOf(state: CountState, act: (action: CountAction) => void): RailStep[] {
  const done = state.stops.filter((s) => s.doneAt !== null)
  const unit = methodWords(state.method).unitName
  const Unit = unit[0]!.toUpperCase() + unit.slice(1)
  const what = (s: Stop) =>
    entryOf(state) === 'points'
      ? say('{{pointsAt}} points', { pointsAt: pointsAt(state, s) })
      : entryOf(state) === 'reading'
        ? String(s.measures.reading ?? '')
        : say('{{size}} plants', { size: new Set(s.hits.map((h) => h.taxon)).size })
  return done.slice(-9).map((s) => ({
    id: s.id,
    label: `${Unit} ${s.seq}`,
    detail: what(s),
    onPress: () => act({ kind: 'go', seq: s.seq }),
    pressLabel: say('Go back to {{unit}} {{seq}}, {{what}}', { unit, seq: s.seq, what: what(s) }),
  }))
}

export const hints: Record<Entry, string> = {
  get points() {
    return say('Space: the same plant again. A number first: that many')
  },
  get values() {
    return say('0: take it out')
  },
  get cells() {
    return say('Arrow keys: from cell to cell')
  },
  reading: '',
  get search() {
    return say('One key press: one plant found')
  },
}

/** What stands on a key: how often the plant was met here, its class, its rank. */
export function shownOn(state: CountState, stop: Stop, choices: ValueChoice[]) {
  return (taxon: Taxon): string => {
    const here = stop.hits.filter((h) => h.taxon === taxon)
    if (here.length === 0) return ''
    const entry = entryOf(state)
    if (entry === 'values') return valueLabel(choices, here[0]!.amount)
    return String(entry === 'search' ? here[0]!.amount : here.length)
  }
}
