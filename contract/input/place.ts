import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsDateString,
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator'
import { regions, type Region } from '@/core/flora/flora.ts'
import { eventKinds, type EventKind } from '@/core/records/paddockEvent.ts'
import { outlooks, partKinds, type Outlook, type PartKind } from '@/core/records/round.ts'

class PartInput {
  @IsString() @IsNotEmpty() @MaxLength(200) name!: string
  @IsIn(partKinds) kind!: PartKind
  @IsObject({ message: 'polygon must be GeoJSON' }) polygon!: object
  @IsBoolean() keptOut!: boolean
}

export class PaddockInput {
  @IsUUID() id!: string
  @IsUUID() holdingId!: string
  @IsString() @IsNotEmpty() @MaxLength(200) name!: string
  /** Null where only a table of the paddock is known. */
  @ValidateIf((p: PaddockInput) => p.boundary !== null)
  @IsObject({ message: 'boundary must be GeoJSON' })
  boundary!: object | null
  @IsIn(regions) region!: Region
  @IsIn(outlooks) outlook!: Outlook
  @IsOptional() @IsArray() @ArrayMaxSize(100) @IsString({ each: true }) sown?: string[]
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(50)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => PartInput)
  strata?: PartInput[]
  @IsOptional() @IsString() @MaxLength(5000) note?: string
}

class SownPartInput {
  @IsString() plant!: string
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0.01) @Max(1000) kgPerHa!: number
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0.01) @Max(1) pls!: number
}

class DetailInput {
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(50)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => SownPartInput)
  sown?: SownPartInput[]
  @IsOptional() @IsString() @MaxLength(300) amount?: string
}

export class EventInput {
  @IsIn(eventKinds) kind!: EventKind
  @IsDateString({ strict: true }) @Matches(/^\d{4}-\d{2}-\d{2}$/) onDate!: string
  @IsString() @MaxLength(2000) note!: string
  @IsObject() @ValidateNested() @Type(() => DetailInput) detail!: DetailInput
}
