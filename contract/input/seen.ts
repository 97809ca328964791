import { surenesses, type Sureness } from '@/core/records/observation.ts'
import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  ValidateNested,
} from 'class-validator'
import { grounds, type Ground } from '@/core/flora/codes.ts'
import { regions, stages, type Region, type Stage } from '@/core/flora/flora.ts'
import { ListOf, Text, Texts, Whole } from './decorators.ts'

export class ContextInput {
  @IsOptional() @Whole(1, 12) month?: number
  @IsOptional() @IsIn(stages, { message: `stage must be one of ${stages.join(', ')}` }) stage?: Stage
  @IsOptional() @IsIn(regions, { message: `region must be one of ${regions.join(', ')}` }) region?: Region
  @IsOptional() @Texts(200) sown?: string[]
  @IsOptional() @Texts(200) found?: string[]
  @IsOptional() @Texts(200) neighbours?: string[]
  @IsOptional()
  @IsArray()
  @IsIn(grounds, { each: true, message: `ground must be of ${grounds.join(', ')}` })
  ground?: Ground[]
  @IsOptional()
  @IsArray()
  @IsIn(['lens', 'spade'], { each: true, message: 'lacking must be of lens, spade' })
  lacking?: ('lens' | 'spade')[]
}

export class ObservationInput {
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
  @ListOf(() => ObservationInput, 200)
  observations?: ObservationInput[]
}

/** A plant as it was seen: what a naming and an unknown both hold. */
export class SeenInput {
  @IsUUID() id!: string
  @ValidateNested() @Type(() => ContextInput) context!: ContextInput
  @ListOf(() => ObservationInput, 200)
  observations!: ObservationInput[]
}

/** A plant of the reader's own, as its file would write it. */
export class OwnPlantInput {
  @Text(50_000) yaml!: string
}
