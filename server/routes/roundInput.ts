import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  IsArray,
  IsDateString,
  IsIn,
  IsInt,
  IsISO8601,
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
  ValidateNested,
} from 'class-validator'
import { regions, type Region } from '@/core/naming/flora.ts'
import { outlooks, type Outlook } from '@/core/records/round.ts'
import { SeenInput } from './identifyInput.ts'

export class HoldingInput {
  @IsUUID() id!: string
  @IsString() @IsNotEmpty() @MaxLength(200) name!: string
  @IsString() @MaxLength(200) client!: string
}

export class PaddockInput {
  @IsUUID() id!: string
  @IsUUID() holdingId!: string
  @IsString() @IsNotEmpty() @MaxLength(200) name!: string
  @IsObject({ message: 'boundary must be GeoJSON' }) boundary!: object
  @IsIn(regions) region!: Region
  @IsIn(outlooks) outlook!: Outlook
  @IsOptional() @IsArray() @ArrayMaxSize(100) @IsString({ each: true }) sown?: string[]
}

export class RoundInput {
  @IsUUID() id!: string
  @IsUUID() paddockId!: string
  @IsString() @IsNotEmpty() @MaxLength(200) title!: string
  @IsString() @MaxLength(500) purpose!: string
  @IsDateString({ strict: true }) @Matches(/^\d{4}-\d{2}-\d{2}$/) plannedOn!: string
  @IsInt() @Min(1) @Max(500) pointsPerStop!: number
  @IsInt() @Min(1) @Max(500) stops!: number
}

export class HitInput {
  @IsString() @MaxLength(200) taxon!: string
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0.001) @Max(10000) amount!: number
}

export class StopInput {
  @IsUUID() id!: string
  @IsArray() @ArrayMaxSize(1000) @ValidateNested({ each: true }) @Type(() => HitInput) hits!: HitInput[]
  @IsOptional() @IsISO8601({ strict: true }) doneAt?: string | null
}

export class UnknownInput {
  @IsOptional() @IsString() namedAs?: string | null
}

class EvidenceInput {
  @IsString() @MaxLength(100) character!: string
  @IsNumber({ allowNaN: false, allowInfinity: false }) bits!: number
}

export class NamingInput extends SeenInput {
  @IsOptional() @IsUUID() roundId?: string | null
  @IsOptional() @Matches(/^[A-Z]$/) letter?: string | null
  @IsString() plant!: string
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1) probability!: number
  @IsISO8601({ strict: true }) namedAt!: string
  @IsOptional() @IsString() @MaxLength(200) place?: string
  @IsOptional() @IsInt() @Min(1) @Max(1000) specimens?: number
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => EvidenceInput)
  evidence?: EvidenceInput[]
}
