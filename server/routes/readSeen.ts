import { told } from '@/contract/told.ts'
import type { ContextInput, ObservationInput } from '@/contract/input/seen.ts'
import type { Character, Flora } from '@/core/flora/flora.ts'
import { isAnswer } from '@/core/naming/likelihoods.ts'
import { CANT_TELL, type Context, type Observation } from '@/core/records/observation.ts'
import { nearest } from '../flora/problem.ts'
import { badRequest } from '../http/httpError.ts'

/** Only the fields that were given, so that "missing" has one meaning inside. */
export function readContext(input: ContextInput | undefined, flora: Flora): Context {
  const context: Context = {}
  if (input?.month != null) context.month = input.month
  if (input?.stage != null) context.stage = input.stage
  if (input?.region != null) context.region = input.region
  const ids = flora.plants.map((p) => p.id)
  for (const key of ['sown', 'found', 'neighbours'] as const) {
    const list = input?.[key]
    if (list == null) continue
    list.forEach((id, i) => {
      if (!ids.includes(id))
        throw badRequest(
          `There is no plant "${id}" in the book. Nearest: ${nearest(id, ids).join(', ')}.`,
          `context.${key}[${i}]`,
        )
    })
    context[key] = list
  }
  if (input?.ground != null) context.ground = input.ground
  if (input?.lacking != null) context.lacking = input.lacking
  return context
}

const answersOf = (c: Character): string[] => [...c.states!, ...Object.keys(c.covers ?? {})]

function checkStates(character: Character, states: string[], field: (i: number) => string): void {
  states.forEach((s, i) => {
    if (!isAnswer(character, s))
      throw badRequest(
        `${character.id} has no state "${s}". Nearest: ${nearest(s, answersOf(character)).join(', ')}.`,
        field(i),
      )
  })
}

function readStates(input: ObservationInput, field: string, character: Character): Observation {
  const sureness = input.sureness ?? 'sure'
  if (input.states != null) {
    if (input.states.length === 1 && input.states[0] === CANT_TELL)
      return { character: character.id, states: [CANT_TELL], sureness }
    checkStates(character, input.states, (i) => `${field}.states[${i}]`)
    return { character: character.id, states: [...new Set(input.states)], sureness }
  }
  if (input.counts == null)
    throw badRequest(
      `${character.id} is answered by states: ${character.states!.join(', ')}.`,
      `${field}.${input.value != null ? 'value' : 'values'}`,
    )
  const counts = Object.entries(input.counts)
  checkStates(
    character,
    counts.map(([s]) => s),
    (i) => `${field}.counts.${counts[i]![0]}`,
  )
  if (
    counts.length === 0 ||
    !counts.every(([, n]) => Number.isInteger(n) && n >= 0 && n <= 100) ||
    !counts.some(([, n]) => n > 0)
  )
    throw badRequest(told('Counts are whole numbers of plants from 0 to 100, at least one above 0.'), `${field}.counts`)
  return { character: character.id, counts: Object.fromEntries(counts.filter(([, n]) => n > 0)), sureness }
}

function readSizes(input: ObservationInput, field: string, character: Character): Observation {
  const sureness = input.sureness ?? 'sure'
  const [low, high] = character.range ?? [0, Infinity]
  if (input.states != null && input.states.length === 1 && input.states[0] === CANT_TELL)
    return { character: character.id, states: [CANT_TELL], sureness }
  const sizes = input.values ?? (input.value != null ? [input.value] : undefined)
  if (!sizes)
    throw badRequest(
      `${character.id} is measured: give a value in mm.`,
      `${field}.${input.states != null ? 'states' : 'counts'}`,
    )
  if (sizes.some((x) => x < low || x > high))
    throw badRequest(
      `${character.id} must lie between ${low} and ${high} mm.`,
      `${field}.${input.values ? 'values' : 'value'}`,
    )
  if (input.values) return { character: character.id, values: sizes, unit: 'mm', sureness }
  return { character: character.id, value: sizes[0]!, unit: 'mm', sureness }
}

function readObservation(input: ObservationInput, field: string, flora: Flora): Observation {
  const character = flora.characters.find((c) => c.id === input.character)
  if (!character) {
    const ids = flora.characters.map((c) => c.id)
    throw badRequest(
      `There is no character "${input.character}". Nearest: ${nearest(input.character, ids).join(', ')}.`,
      `${field}.character`,
    )
  }
  const given = [input.states, input.counts, input.value, input.values].filter((x) => x != null)
  if (given.length !== 1)
    throw badRequest(told('Give either states or a value (or counts or values of several plants).'), field)
  return character.states ? readStates(input, field, character) : readSizes(input, field, character)
}

/**
 * Observations whose ids, states and sizes are all known to the book. The last word on a character counts.
 *
 * @throws HttpError 400 naming the field and the nearest valid ids
 */
export function readObservations(input: ObservationInput[], flora: Flora): Observation[] {
  const read = input.map((o, i) => readObservation(o, `observations[${i}]`, flora))
  return [...new Map(read.map((o) => [o.character, o])).values()]
}
