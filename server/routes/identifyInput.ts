import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Max,
  Min,
  ValidateNested,
} from 'class-validator'
import { regions, stages, type Flora, type Region, type Stage } from '@/core/naming/flora.ts'
import { CANT_TELL, type Context, type Observation } from '@/core/naming/observation.ts'
import { surenesses, type Sureness } from '@/core/naming/observerError.ts'
import { nearest } from '../flora/problem.ts'
import { badRequest } from '../http/httpError.ts'

export class ContextInput {
  @IsOptional() @IsInt() @Min(1) @Max(12) month?: number
  @IsOptional() @IsIn(stages, { message: `stage must be one of ${stages.join(', ')}` }) stage?: Stage
  @IsOptional() @IsIn(regions, { message: `region must be one of ${regions.join(', ')}` }) region?: Region
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) sown?: string[]
}

export class ObservationInput {
  @IsString() character!: string
  @IsOptional() @IsArray() @ArrayMinSize(1) @ArrayMaxSize(30) @IsString({ each: true }) states?: string[]
  @IsOptional() @IsNumber({ allowNaN: false, allowInfinity: false }) value?: number
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
  @ValidateNested({ each: true })
  @Type(() => ObservationInput)
  observations?: ObservationInput[]
}

/** Only the fields that were given, so that "missing" has one meaning inside. */
export function readContext(input: ContextInput | undefined, flora: Flora): Context {
  const context: Context = {}
  if (input?.month != null) context.month = input.month
  if (input?.stage != null) context.stage = input.stage
  if (input?.region != null) context.region = input.region
  if (input?.sown != null) {
    const ids = flora.plants.map((p) => p.id)
    input.sown.forEach((id, i) => {
      if (!ids.includes(id))
        throw badRequest(
          `There is no plant "${id}" in the book. Nearest: ${nearest(id, ids).join(', ')}.`,
          `context.sown[${i}]`,
        )
    })
    context.sown = input.sown
  }
  return context
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
  const sureness = input.sureness ?? 'sure'
  const hasStates = input.states != null
  const hasValue = input.value != null
  if (hasStates === hasValue) throw badRequest('Give either states or a value.', field)
  if (hasStates && input.states!.length === 1 && input.states![0] === CANT_TELL)
    return { character: character.id, states: [CANT_TELL], sureness }
  if (character.states) {
    if (!hasStates)
      throw badRequest(`${character.id} is answered by states: ${character.states.join(', ')}.`, `${field}.value`)
    for (const [i, s] of input.states!.entries())
      if (!character.states.includes(s))
        throw badRequest(
          `${character.id} has no state "${s}". Nearest: ${nearest(s, character.states).join(', ')}.`,
          `${field}.states[${i}]`,
        )
    return { character: character.id, states: [...new Set(input.states)], sureness }
  }
  const [low, high] = character.range ?? [0, Infinity]
  if (!hasValue) throw badRequest(`${character.id} is measured: give a value in mm.`, `${field}.states`)
  if (input.value! < low || input.value! > high)
    throw badRequest(`${character.id} must lie between ${low} and ${high} mm.`, `${field}.value`)
  return { character: character.id, value: input.value!, unit: 'mm', sureness }
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
