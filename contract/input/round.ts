import { pictureClasses } from '@/core/picture/classes.ts'
import type { PictureMeasure } from '@/core/records/measures.ts'
import { methods, type Method } from '@/core/records/method.ts'
import { LETTER } from '@/core/records/taxon.ts'
import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
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
  ValidateBy,
  ValidateNested,
} from 'class-validator'
import {
  grazings,
  routeKinds,
  swardStages,
  type Grazed,
  type Measures,
  type RoundSettings,
  type RouteKind,
  type SwardStage,
} from '@/core/records/measures.ts'
import { fewSpeciesConventions, type FewSpecies } from '@/core/methods/estimators/dryWeightRank.ts'
import { SeenInput } from './seen.ts'

export class HoldingInput {
  @IsUUID() id!: string
  @IsString() @IsNotEmpty() @MaxLength(200) name!: string
  @IsString() @MaxLength(200) client!: string
}

const amount = { allowNaN: false, allowInfinity: false }

class PictureMapInput {
  @IsNumber(amount) @Min(0) @Max(1.001) green!: number
  @IsNumber(amount) @Min(0) @Max(1.001) legume!: number
  @IsNumber(amount) @Min(0) @Max(1.001) bare!: number
  @IsNumber(amount) @Min(0) @Max(1.001) litter!: number;
  [other: string]: number
}

class PictureInput implements PictureMeasure {
  @IsObject() @ValidateNested() @Type(() => PictureMapInput) map!: PictureMapInput
  @IsArray() @ArrayMaxSize(500) @IsIn(pictureClasses, { each: true }) mapped!: string[]
}

class StopMeasuresInput implements Measures {
  @IsOptional() @IsNumber(amount) @Min(0) @Max(1000) reading?: number
  @IsOptional() @IsNumber(amount) @Min(0) @Max(100_000) clipFreshG?: number
  @IsOptional() @IsNumber(amount) @Min(0) @Max(100_000) clipDryG?: number
  @IsOptional() @IsNumber(amount) @Min(0) @Max(100_000) frameYield?: number
  @IsOptional() @IsNumber(amount) @Min(0) @Max(100_000) legM?: number
  @IsOptional() @IsNumber(amount) @Min(0) @Max(500) heightCm?: number
  @IsOptional() @IsNumber(amount) @Min(0) @Max(100) barePercent?: number
  @IsOptional() @IsIn(swardStages) stage?: SwardStage
  @IsOptional() @IsObject() @ValidateNested() @Type(() => PictureInput) picture?: PictureInput
  @IsOptional() @IsBoolean() searched?: boolean
  @IsOptional() @IsArray() @ArrayMaxSize(50) @IsString({ each: true }) @MaxLength(200, { each: true }) near?: string[]
  @IsOptional() @IsInt() @Min(0) @Max(1000) dung?: number
  @IsOptional() @IsIn(grazings) grazed?: Grazed
}

const MOST_TAXA = 500
const isNestOf = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length <= MOST_TAXA &&
  Object.entries(value).every(([taxon, m]) => taxon.length <= 200 && typeof m === 'number' && m > 0 && m <= 100)

/** Sides of nests in metres by the plant they are read for. */
const IsNestOf = () =>
  ValidateBy({
    name: 'isNestOf',
    validator: { validate: isNestOf, defaultMessage: () => 'nestOf must give a side in metres for each plant' },
  })

export class SettingsInput implements RoundSettings {
  @IsOptional() @IsIn(routeKinds) routeKind?: RouteKind
  @IsOptional() @IsNumber(amount) @Min(0.005) @Max(0.5) halfWidth?: number
  @IsOptional() @IsBoolean() asWalked?: boolean
  @IsOptional() @IsNumber(amount) @Min(1) @Max(50) fenceWidthM?: number
  @IsOptional() @IsIn(['six-class', 'braun-blanquet']) scale?: 'six-class' | 'braun-blanquet'
  @IsOptional() @IsNumber(amount) @Min(0.0001) @Max(1000) frameM2?: number
  @IsOptional() @IsArray() @ArrayMaxSize(9) @IsNumber(amount, { each: true }) nestsM?: number[]
  @IsOptional() @IsNestOf() nestOf?: Record<string, number>
  @IsOptional() @IsIn(fewSpeciesConventions) few?: FewSpecies
  @IsOptional() @IsNumber(amount) @Min(0.1) @Max(100) stripWidthM?: number
  @IsOptional() @IsNumber(amount) @Min(0.01) @Max(1) seenShare?: number
  @IsOptional() @IsInt() @Min(1) @Max(1000) flagsPlanted?: number
  @IsOptional() @IsInt() @Min(1) @Max(1000) flagsSeen?: number
  @IsOptional() @IsArray() @ArrayMaxSize(50) @IsString({ each: true }) targets?: string[]
  @IsOptional() @IsNumber(amount) @Min(0.05) @Max(1) dryShare?: number
  @IsOptional() @IsString() @MaxLength(200) observer?: string
  @IsOptional() @IsUUID() secondOf?: string
}

export class PlannedStopInput {
  @IsUUID() id!: string
  @IsInt() @Min(1) @Max(1000) seq!: number
  @IsOptional() @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @IsNumber(amount, { each: true }) position?: number[]
  @IsOptional() @IsString() @MaxLength(200) stratum?: string
}

export class RouteInput {
  @IsArray() @ArrayMaxSize(2000) line!: number[][]
  @IsNumber(amount) @Min(0) @Max(1_000_000) lengthM!: number
}

export class RoundInput {
  @IsUUID() id!: string
  @IsUUID() paddockId!: string
  @IsString() @IsNotEmpty() @MaxLength(200) title!: string
  @IsString() @MaxLength(500) purpose!: string
  @IsDateString({ strict: true }) @Matches(/^\d{4}-\d{2}-\d{2}$/) plannedOn!: string
  @IsInt() @Min(1) @Max(500) pointsPerStop!: number
  /** A W is laid for so many stops, unless the stops were laid already. */
  @IsOptional() @IsInt() @Min(1) @Max(500) stops?: number
  @IsOptional() @IsIn(methods) method?: Method
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SettingsInput) settings?: SettingsInput
  @IsOptional() @IsObject() @ValidateNested() @Type(() => RouteInput) route?: RouteInput
  @IsOptional()
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => PlannedStopInput)
  laid?: PlannedStopInput[]
}

class HitInput {
  @IsString() @MaxLength(200) taxon!: string
  @IsNumber(amount) @Min(0.001) @Max(10000) amount!: number
  @IsOptional() @IsInt() @Min(1) @Max(1000) part?: number
}

export class StopInput {
  @IsUUID() id!: string
  @IsArray()
  @ArrayMaxSize(1000)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => HitInput)
  hits!: HitInput[]
  @IsOptional() @IsISO8601({ strict: true }) doneAt?: string | null
  @IsOptional() @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @IsNumber(amount, { each: true }) position?: number[]
  @IsOptional() @IsString() @MaxLength(200) stratum?: string
  @IsOptional() @IsObject() @ValidateNested() @Type(() => StopMeasuresInput) measures?: StopMeasuresInput
  @IsOptional() @IsString() @MaxLength(300) skipped?: string | null
  /** The device that writes, and the version of the stop that it had. */
  @IsOptional() @IsUUID() by?: string
  @IsOptional() @IsInt() @Min(-1) base?: number
  /** Id of the command, and of those that it takes the place of. */
  @IsOptional() @IsUUID() command?: string
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsUUID('all', { each: true }) after?: string[]
  /** Added on the way, not planned. */
  @IsOptional() @IsBoolean() added?: boolean
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
  @IsOptional() @Matches(LETTER) letter?: string | null
  @IsString() plant!: string
  @IsNumber({ allowNaN: false, allowInfinity: false }) @Min(0) @Max(1) probability!: number
  @IsISO8601({ strict: true }) namedAt!: string
  @IsOptional() @IsString() @MaxLength(200) place?: string
  @IsOptional() @IsInt() @Min(1) @Max(1000) specimens?: number
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => EvidenceInput)
  evidence?: EvidenceInput[]
}
