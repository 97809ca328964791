import { surenesses, type Sureness } from '@/core/records/observation.ts'
import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator'
import { regions, stages, type Character, type Flora, type Region, type Stage } from '@/core/flora/flora.ts'
import { isAnswer } from '@/core/naming/likelihoods.ts'
import { CANT_TELL, type Context, type Observation } from '@/core/records/observation.ts'
import { told } from '@/text/say.ts'
import { nearest } from '../flora/problem.ts'
import { badRequest } from '../http/httpError.ts'

const grounds = ['wet', 'dry', 'shade', 'compacted', 'fertile', 'disturbed']

export class ContextInput {
  @IsOptional() @IsInt() @Min(1) @Max(12) month?: number
  @IsOptional() @IsIn(stages, { message: `stage must be one of ${stages.join(', ')}` }) stage?: Stage
  @IsOptional() @IsIn(regions, { message: `region must be one of ${regions.join(', ')}` }) region?: Region
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) sown?: string[]
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) found?: string[]
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) neighbours?: string[]
  @IsOptional()
  @IsArray()
  @IsIn(grounds, { each: true, message: `ground must be of ${grounds.join(', ')}` })
  ground?: string[]
  @IsOptional()
  @IsArray()
  @IsIn(['lens', 'spade'], { each: true, message: 'lacking must be of lens, spade' })
  lacking?: ('lens' | 'spade')[]
}

class ObservationInput {
  @IsString() character!: string
  @IsOptional() @IsArray() @ArrayMinSize(1) @ArrayMaxSize(30) @IsString({ each: true }) states?: string[]
  @IsOptional() @IsNumber({ allowNaN: false, allowInfinity: false }) value?: number
  /** Several plants pulled: how many showed each state. */
  @IsOptional() @IsObject() counts?: Record<string, number>
  /** Several plants measured. */
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(50)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  values?: number[]
  @IsOptional() @IsIn(['mm'], { message: 'unit must be mm' }) unit?: 'mm'
  @IsOptional()
  @IsIn(surenesses, { message: `sureness must be one of ${surenesses.join(', ')}` })
  sureness?: Sureness
}

export class IdentifyInput {
  @IsOptional() @ValidateNested() @Type(() => ContextInput) context?: ContextInput
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => ObservationInput)
  observations?: ObservationInput[]
}

/** A plant as it was seen: what a naming and an unknown both hold. */
export class SeenInput {
  @IsUUID() id!: string
  @ValidateNested() @Type(() => ContextInput) context!: ContextInput
  @IsArray()
  @ArrayMaxSize(200)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => ObservationInput)
  observations!: ObservationInput[]
}

/** A plant of the reader's own, as its file would write it. */
export class OwnPlantInput {
  @IsString() @MaxLength(50_000) yaml!: string
}

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
