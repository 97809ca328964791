import { methods, type Method } from '@/core/records/method.ts'
import { LETTER } from '@/core/records/taxon.ts'
import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDateString,
  IsIn,
  IsInt,
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
import { ROUND_FILE, ROUND_FILE_VERSION } from '@/core/formats/roundFile.ts'
import { PaddockInput } from './place.ts'
import { HoldingInput, RouteInput, SettingsInput, StopInput } from './round.ts'

class FiledPaddockInput extends PaddockInput {}

class FiledStopInput extends StopInput {
  @IsInt() @Min(1) @Max(1000) seq!: number
  @IsOptional() @IsInt() @Min(0) version?: number
  @IsOptional()
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { each: true })
  declare position?: number[]
}

class FiledUnknownInput {
  @Matches(LETTER) letter!: string
  @IsOptional() @IsString() namedAs?: string | null
}

class FiledRoundInput {
  @IsUUID() id!: string
  @IsUUID() paddockId!: string
  @IsString() @MaxLength(200) holding!: string
  @IsString() @MaxLength(200) client!: string
  @IsString() @IsNotEmpty() @MaxLength(200) title!: string
  @IsString() @MaxLength(500) purpose!: string
  @IsDateString({ strict: true }) @Matches(/^\d{4}-\d{2}-\d{2}$/) plannedOn!: string
  @IsInt() @Min(1) @Max(500) pointsPerStop!: number
  @IsIn(methods) method!: Method
  @IsString() @MaxLength(2000) source!: string
  @IsObject() @ValidateNested() @Type(() => SettingsInput) settings!: SettingsInput
  @IsOptional() @IsObject() @ValidateNested() @Type(() => RouteInput) route?: RouteInput | null
  @IsObject() @ValidateNested() @Type(() => FiledPaddockInput) paddock!: FiledPaddockInput
  @IsArray()
  @ArrayMaxSize(1000)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => FiledStopInput)
  stops!: FiledStopInput[]
  @IsArray()
  @ArrayMaxSize(26)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => FiledUnknownInput)
  unknowns!: FiledUnknownInput[]
}

export class RoundFileInput {
  @IsIn([ROUND_FILE]) kind!: string
  @IsIn([ROUND_FILE_VERSION]) version!: number
  @IsObject() @ValidateNested() @Type(() => HoldingInput) holding!: HoldingInput
  @IsObject() @ValidateNested() @Type(() => FiledRoundInput) round!: FiledRoundInput
}
