import { methods, type Method } from '@/core/records/method.ts'
import { LETTER } from '@/core/records/taxon.ts'
import 'reflect-metadata'

import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Min,
} from 'class-validator'
import { ROUND_FILE, ROUND_FILE_VERSION } from '@/core/formats/roundFile.ts'
import { PaddockInput } from './place.ts'
import { HoldingInput, RouteInput, SettingsInput, StopInput } from './round.ts'
import { Day, ListOf, Named, Nested, Text, Whole } from './decorators.ts'

class FiledPaddockInput extends PaddockInput {}

class FiledStopInput extends StopInput {
  @Whole(1, 1000) seq!: number
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
  @Text(200) holding!: string
  @Text(200) client!: string
  @Named(200) title!: string
  @Text(500) purpose!: string
  @Day() plannedOn!: string
  @Whole(1, 500) pointsPerStop!: number
  @IsIn(methods) method!: Method
  @Text(2000) source!: string
  @Nested(() => SettingsInput) settings!: SettingsInput
  @IsOptional() @Nested(() => RouteInput) route?: RouteInput | null
  @Nested(() => FiledPaddockInput) paddock!: FiledPaddockInput
  @ListOf(() => FiledStopInput, 1000)
  stops!: FiledStopInput[]
  @ListOf(() => FiledUnknownInput, 26)
  unknowns!: FiledUnknownInput[]
}

export class RoundFileInput {
  @IsIn([ROUND_FILE]) kind!: string
  @IsIn([ROUND_FILE_VERSION]) version!: number
  @Nested(() => HoldingInput) holding!: HoldingInput
  @Nested(() => FiledRoundInput) round!: FiledRoundInput
}
