import { pictureClasses } from '@/core/picture/classes.ts'
import type { PictureMeasure } from '@/core/records/measures.ts'
import { methods, type Method } from '@/core/records/method.ts'
import { LETTER } from '@/core/records/taxon.ts'
import 'reflect-metadata'

import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsISO8601,
  IsNumber,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Min,
  ValidateBy,
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
import { Day, ListOf, Named, Nested, Num, Text, Texts, Whole } from './decorators.ts'

export class HoldingInput {
  @IsUUID() id!: string
  @Named(200) name!: string
  @Text(200) client!: string
}

const amount = { allowNaN: false, allowInfinity: false }

class PictureMapInput {
  @Num(0, 1.001) green!: number
  @Num(0, 1.001) legume!: number
  @Num(0, 1.001) bare!: number
  @Num(0, 1.001) litter!: number;
  [other: string]: number
}

class PictureInput implements PictureMeasure {
  @Nested(() => PictureMapInput) map!: PictureMapInput
  @IsArray() @ArrayMaxSize(500) @IsIn(pictureClasses, { each: true }) mapped!: string[]
}

class StopMeasuresInput implements Measures {
  @IsOptional() @Num(0, 1000) reading?: number
  @IsOptional() @Num(0, 100_000) clipFreshG?: number
  @IsOptional() @Num(0, 100_000) clipDryG?: number
  @IsOptional() @Num(0, 100_000) frameYield?: number
  @IsOptional() @Num(0, 100_000) legM?: number
  @IsOptional() @Num(0, 500) heightCm?: number
  @IsOptional() @Num(0, 100) barePercent?: number
  @IsOptional() @IsIn(swardStages) stage?: SwardStage
  @IsOptional() @Nested(() => PictureInput) picture?: PictureInput
  @IsOptional() @IsBoolean() searched?: boolean
  @IsOptional() @Texts(50, 200) near?: string[]
  @IsOptional() @Whole(0, 1000) dung?: number
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
  @IsOptional() @Num(0.005, 0.5) halfWidth?: number
  @IsOptional() @IsBoolean() asWalked?: boolean
  @IsOptional() @Num(1, 50) fenceWidthM?: number
  @IsOptional() @IsIn(['six-class', 'braun-blanquet']) scale?: 'six-class' | 'braun-blanquet'
  @IsOptional() @Num(0.0001, 1000) frameM2?: number
  @IsOptional() @IsArray() @ArrayMaxSize(9) @IsNumber(amount, { each: true }) nestsM?: number[]
  @IsOptional() @IsNestOf() nestOf?: Record<string, number>
  @IsOptional() @IsIn(fewSpeciesConventions) few?: FewSpecies
  @IsOptional() @Num(0.1, 100) stripWidthM?: number
  @IsOptional() @Num(0.01, 1) seenShare?: number
  @IsOptional() @Whole(1, 1000) flagsPlanted?: number
  @IsOptional() @Whole(1, 1000) flagsSeen?: number
  @IsOptional() @Texts(50) targets?: string[]
  @IsOptional() @Num(0.05, 1) dryShare?: number
  @IsOptional() @Text(200) observer?: string
  @IsOptional() @IsUUID() secondOf?: string
}

export class PlannedStopInput {
  @IsUUID() id!: string
  @Whole(1, 1000) seq!: number
  @IsOptional() @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @IsNumber(amount, { each: true }) position?: number[]
  @IsOptional() @Text(200) stratum?: string
}

export class RouteInput {
  @IsArray() @ArrayMaxSize(2000) line!: number[][]
  @Num(0, 1_000_000) lengthM!: number
}

export class RoundInput {
  @IsUUID() id!: string
  @IsUUID() paddockId!: string
  @Named(200) title!: string
  @Text(500) purpose!: string
  @Day() plannedOn!: string
  @Whole(1, 500) pointsPerStop!: number
  /** A W is laid for so many stops, unless the stops were laid already. */
  @IsOptional() @Whole(1, 500) stops?: number
  @IsOptional() @IsIn(methods) method?: Method
  @IsOptional() @Nested(() => SettingsInput) settings?: SettingsInput
  @IsOptional() @Nested(() => RouteInput) route?: RouteInput
  @IsOptional()
  @ListOf(() => PlannedStopInput, 500, 1)
  laid?: PlannedStopInput[]
}

class HitInput {
  @Text(200) taxon!: string
  @Num(0.001, 10000) amount!: number
  @IsOptional() @Whole(1, 1000) part?: number
}

export class StopInput {
  @IsUUID() id!: string
  @ListOf(() => HitInput, 1000)
  hits!: HitInput[]
  @IsOptional() @IsISO8601({ strict: true }) doneAt?: string | null
  @IsOptional() @IsArray() @ArrayMinSize(2) @ArrayMaxSize(2) @IsNumber(amount, { each: true }) position?: number[]
  @IsOptional() @Text(200) stratum?: string
  @IsOptional() @Nested(() => StopMeasuresInput) measures?: StopMeasuresInput
  @IsOptional() @Text(300) skipped?: string | null
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
  @Text(100) character!: string
  @IsNumber({ allowNaN: false, allowInfinity: false }) bits!: number
}

export class NamingInput extends SeenInput {
  @IsOptional() @IsUUID() roundId?: string | null
  @IsOptional() @Matches(LETTER) letter?: string | null
  @IsString() plant!: string
  @Num(0, 1) probability!: number
  @IsISO8601({ strict: true }) namedAt!: string
  @IsOptional() @Text(200) place?: string
  @IsOptional() @Whole(1, 1000) specimens?: number
  @IsOptional()
  @ListOf(() => EvidenceInput, 200)
  evidence?: EvidenceInput[]
}
