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
import { labExtras, type LabResult } from '@/core/assess/feed/labResult.ts'
import { frosts, type Conditions, type Frost } from '@/core/records/conditions.ts'
import { turfUses, type TurfUse } from '@/core/flora/use.ts'
import { grazingSystems, type ConditionAnswers, type GrazingSystem, type Management, type Normals } from '@/core/records/management.ts' // prettier-ignore
import type { Contacts } from '@/core/records/contacts.ts'
import { animalClasses } from '@/core/assess/feed/needs.ts'
import { runnerGroups, type Runner, type RunnerGroup } from '@/core/naming/groupKey.ts'
import { sowingFlags, type SeedlingFrame, type SowingCheck, type SowingFlag } from '@/core/records/sowingCheck.ts'
import type { HerdPlan } from '@/core/records/herdPlan.ts'

const number = { allowNaN: false, allowInfinity: false }

/** The stock of a paddock. */
export class HerdInput implements HerdPlan {
  @IsIn(animalClasses.map((a) => a.id)) animal!: string
  @IsInt() @Min(1) @Max(100_000) count!: number
  @IsNumber(number) @Min(0) @Max(20_000) residualKgPerHa!: number
  @IsNumber(number) @Min(0) @Max(100) usePct!: number
  @IsNumber(number) @Min(0) @Max(100) refusedPct!: number
  @IsNumber(number) @Min(0) @Max(20_000) guessKgPerHa!: number
  @IsOptional() @IsNumber(number) @Min(1) @Max(365) wantedDays?: number
}

/** A laboratory's result for the sward of a round. */
export class LabInput implements LabResult {
  @IsString() @MaxLength(200) sample!: string
  @IsOptional() @IsNumber(number) @Min(0) @Max(100) cpPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(100) adfPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(100) ndfPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(1_000_000) nitrateNPpm?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.hcnPpm) hcnPpm?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.ergovalinePpb) ergovalinePpb?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.ergotAlkaloidPpb) ergotAlkaloidPpb?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.formononetinPct) formononetinPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.coumestanPpm) coumestanPpm?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.kPct) kPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.caPct) caPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.mgPct) mgPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.wscPct) wscPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.starchPct) starchPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.sePpm) sePpm?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.cuPpm) cuPpm?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.moPpm) moPpm?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.ph) ph?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.ndfdPct) ndfdPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.fatPct) fatPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.ashPct) ashPct?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(labExtras.dryPct) dryPct?: number
  @IsBoolean() simulated!: boolean
}

const DAY = /^\d{4}-\d{2}-\d{2}$/

/** What somebody knows of the day, the weather and the stock of a round. */
export class ConditionsInput implements Conditions {
  @IsOptional() @IsBoolean() pregnant?: boolean
  @IsOptional() @IsNumber(number) @Min(0) @Max(500) heightCm?: number
  @IsOptional() @IsIn(frosts) frost?: Frost
  @IsOptional() @IsDateString({ strict: true }) @Matches(DAY) frostOn?: string
  @IsOptional() @IsBoolean() drought?: boolean
  @IsOptional() @IsDateString({ strict: true }) @Matches(DAY) rainOn?: string
  @IsOptional() @IsNumber(number) @Min(0) @Max(2000) nitrogenKgPerHa?: number
  @IsOptional() @IsBoolean() potash?: boolean
  @IsOptional() @IsNumber(number) @Min(0) @Max(10_000) waterNitrateMgPerL?: number
  @IsOptional() @IsBoolean() wet?: boolean
  @IsOptional() @IsInt() @Min(1) @Max(10_000) tillersTested?: number
  @IsOptional() @IsInt() @Min(0) @Max(10_000) tillersInfected?: number
  @IsOptional() @IsDateString({ strict: true }) @Matches(DAY) joiningOn?: string
  @IsOptional() @IsInt() @Min(1) @Max(100_000) headsLooked?: number
  @IsOptional() @IsInt() @Min(0) @Max(100_000) headsWithErgot?: number
  @IsOptional() @IsDateString({ strict: true }) @Matches(DAY) cutOn?: string
  @IsOptional() @IsBoolean() conditioned?: boolean
  @IsOptional() @IsBoolean() wrapped?: boolean
}

/** Who stands behind the pages of a holding, and whom its people call. */
export class ContactsInput implements Contacts {
  @IsOptional() @IsString() @MaxLength(200) advisor?: string
  @IsOptional() @IsString() @MaxLength(200) credentials?: string
  @IsOptional() @IsString() @MaxLength(60) advisorPhone?: string
  @IsOptional() @IsString() @MaxLength(200) vet?: string
  @IsOptional() @IsString() @MaxLength(60) vetPhone?: string
  @IsOptional() @IsString() @MaxLength(60) poisonLine?: string
  @IsOptional() @IsString() @MaxLength(4000) noxious?: string
}

class NormalsInput implements Normals {
  @IsArray() @ArrayMinSize(12) @ArrayMaxSize(12) @IsNumber(number, { each: true }) @Min(-60, { each: true }) @Max(50, { each: true }) meanC!: number[] // prettier-ignore
  @IsArray() @ArrayMinSize(12) @ArrayMaxSize(12) @IsNumber(number, { each: true }) @Min(0, { each: true }) @Max(2000, { each: true }) rainMm!: number[] // prettier-ignore
  @IsNumber(number) @Min(-65) @Max(65) latitude!: number
}

class ConditionInput implements ConditionAnswers {
  @IsOptional() @IsInt() @Min(1) @Max(5) compaction?: number
  @IsOptional() @IsInt() @Min(1) @Max(5) erosion?: number
  @IsOptional() @IsInt() @Min(1) @Max(5) vigour?: number
  @IsOptional() @IsInt() @Min(1) @Max(5) gathering?: number
}

/** How a paddock is used, and what is known of it besides its plants. */
export class ManagementInput implements Management {
  @IsOptional() @IsIn(turfUses) turfUse?: TurfUse
  @IsOptional() @IsIn(grazingSystems) system?: GrazingSystem
  @IsOptional() @IsNumber(number) @Min(0.5) @Max(365) stayDays?: number
  @IsOptional() @IsNumber(number) @Min(0.01) @Max(100_000) groundHa?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(60_000) yieldKgPerHaYear?: number
  @IsOptional() @IsNumber(number) @Min(3) @Max(10) ph?: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(5000) stemsPerM2?: number
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ConditionInput) condition?: ConditionInput
  @IsOptional() @IsObject() @ValidateNested() @Type(() => NormalsInput) normals?: NormalsInput
}

class RunnerInput implements Runner {
  @IsOptional() @IsUUID() id?: string
  @IsOptional() @IsBoolean() runnerHairy: boolean | null = null
  @IsOptional() @IsBoolean() calyxRed: boolean | null = null
  @IsOptional() @IsBoolean() stipuleRed: boolean | null = null
}

/** Runners of subterranean clover pulled in a paddock, and the groups that hold an oestrogenic cultivar there. */
export class RunnersInput {
  @IsArray()
  @ArrayMaxSize(1000)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => RunnerInput)
  runners!: RunnerInput[]
  @IsArray() @ArrayMaxSize(6) @IsIn(runnerGroups, { each: true }) suspect!: RunnerGroup[]
}

class RowsInput {
  @IsNumber(number) @Min(0.1) @Max(100_000) metres!: number
  @IsNumber(number) @Min(0) @Max(100_000) bare!: number
}

class SowingCheckInput implements SowingCheck {
  @IsDateString({ strict: true }) @Matches(/^\d{4}-\d{2}-\d{2}$/) on!: string
  @IsNumber(number) @Min(0.0001) @Max(100) frameM2!: number
  @IsArray() @ArrayMaxSize(500) @IsObject({ each: true }) frames!: SeedlingFrame[]
  @IsOptional() @IsInt() @Min(4) @Max(400) cells?: number
  @IsOptional() @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) @MaxLength(100, { each: true }) others?: string[]
  @IsOptional() @IsArray() @IsIn(sowingFlags, { each: true }) flags?: SowingFlag[]
  @IsOptional() @IsObject() @ValidateNested() @Type(() => RowsInput) rows?: RowsInput
  @IsString() @MaxLength(2000) note!: string
}

/** Checks of one sowing, in the order in which they were made. */
export class SowingChecksInput {
  @IsArray()
  @ArrayMaxSize(50)
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => SowingCheckInput)
  checks!: SowingCheckInput[]
}
