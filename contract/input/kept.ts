import 'reflect-metadata'

import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsUUID,
  Max,
  Min,
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
import { Day, ListOf, Nested, Num, Text, Texts, Whole } from './decorators.ts'

const number = { allowNaN: false, allowInfinity: false }

/** The stock of a paddock. */
export class HerdInput implements HerdPlan {
  @IsIn(animalClasses.map((a) => a.id)) animal!: string
  @Whole(1, 100_000) count!: number
  @Num(0, 20_000) residualKgPerHa!: number
  @Num(0, 100) usePct!: number
  @Num(0, 100) refusedPct!: number
  @Num(0, 20_000) guessKgPerHa!: number
  @IsOptional() @Num(1, 365) wantedDays?: number
}

/** A laboratory's result for the sward of a round. */
export class LabInput implements LabResult {
  @Text(200) sample!: string
  @IsOptional() @Num(0, 100) cpPct?: number
  @IsOptional() @Num(0, 100) adfPct?: number
  @IsOptional() @Num(0, 100) ndfPct?: number
  @IsOptional() @Num(0, 1_000_000) nitrateNPpm?: number
  @IsOptional() @Num(0, labExtras.hcnPpm) hcnPpm?: number
  @IsOptional() @Num(0, labExtras.ergovalinePpb) ergovalinePpb?: number
  @IsOptional() @Num(0, labExtras.ergotAlkaloidPpb) ergotAlkaloidPpb?: number
  @IsOptional() @Num(0, labExtras.formononetinPct) formononetinPct?: number
  @IsOptional() @Num(0, labExtras.coumestanPpm) coumestanPpm?: number
  @IsOptional() @Num(0, labExtras.kPct) kPct?: number
  @IsOptional() @Num(0, labExtras.caPct) caPct?: number
  @IsOptional() @Num(0, labExtras.mgPct) mgPct?: number
  @IsOptional() @Num(0, labExtras.wscPct) wscPct?: number
  @IsOptional() @Num(0, labExtras.starchPct) starchPct?: number
  @IsOptional() @Num(0, labExtras.sePpm) sePpm?: number
  @IsOptional() @Num(0, labExtras.cuPpm) cuPpm?: number
  @IsOptional() @Num(0, labExtras.moPpm) moPpm?: number
  @IsOptional() @Num(0, labExtras.ph) ph?: number
  @IsOptional() @Num(0, labExtras.ndfdPct) ndfdPct?: number
  @IsOptional() @Num(0, labExtras.fatPct) fatPct?: number
  @IsOptional() @Num(0, labExtras.ashPct) ashPct?: number
  @IsOptional() @Num(0, labExtras.dryPct) dryPct?: number
  @IsBoolean() simulated!: boolean
}

/** What somebody knows of the day, the weather and the stock of a round. */
export class ConditionsInput implements Conditions {
  @IsOptional() @IsBoolean() pregnant?: boolean
  @IsOptional() @Num(0, 500) heightCm?: number
  @IsOptional() @IsIn(frosts) frost?: Frost
  @IsOptional() @Day() frostOn?: string
  @IsOptional() @IsBoolean() drought?: boolean
  @IsOptional() @Day() rainOn?: string
  @IsOptional() @Num(0, 2000) nitrogenKgPerHa?: number
  @IsOptional() @IsBoolean() potash?: boolean
  @IsOptional() @Num(0, 10_000) waterNitrateMgPerL?: number
  @IsOptional() @IsBoolean() wet?: boolean
  @IsOptional() @Whole(1, 10_000) tillersTested?: number
  @IsOptional() @Whole(0, 10_000) tillersInfected?: number
  @IsOptional() @Day() joiningOn?: string
  @IsOptional() @Whole(1, 100_000) headsLooked?: number
  @IsOptional() @Whole(0, 100_000) headsWithErgot?: number
  @IsOptional() @Day() cutOn?: string
  @IsOptional() @IsBoolean() conditioned?: boolean
  @IsOptional() @IsBoolean() wrapped?: boolean
}

/** Who stands behind the pages of a holding, and whom its people call. */
export class ContactsInput implements Contacts {
  @IsOptional() @Text(200) advisor?: string
  @IsOptional() @Text(200) credentials?: string
  @IsOptional() @Text(60) advisorPhone?: string
  @IsOptional() @Text(200) vet?: string
  @IsOptional() @Text(60) vetPhone?: string
  @IsOptional() @Text(60) poisonLine?: string
  @IsOptional() @Text(4000) noxious?: string
}

class NormalsInput implements Normals {
  @IsArray() @ArrayMinSize(12) @ArrayMaxSize(12) @IsNumber(number, { each: true }) @Min(-60, { each: true }) @Max(50, { each: true }) meanC!: number[] // prettier-ignore
  @IsArray() @ArrayMinSize(12) @ArrayMaxSize(12) @IsNumber(number, { each: true }) @Min(0, { each: true }) @Max(2000, { each: true }) rainMm!: number[] // prettier-ignore
  @Num(-65, 65) latitude!: number
}

class ConditionInput implements ConditionAnswers {
  @IsOptional() @Whole(1, 5) compaction?: number
  @IsOptional() @Whole(1, 5) erosion?: number
  @IsOptional() @Whole(1, 5) vigour?: number
  @IsOptional() @Whole(1, 5) gathering?: number
}

/** How a paddock is used, and what is known of it besides its plants. */
export class ManagementInput implements Management {
  @IsOptional() @IsIn(turfUses) turfUse?: TurfUse
  @IsOptional() @IsIn(grazingSystems) system?: GrazingSystem
  @IsOptional() @Num(0.5, 365) stayDays?: number
  @IsOptional() @Num(0.01, 100_000) groundHa?: number
  @IsOptional() @Num(0, 60_000) yieldKgPerHaYear?: number
  @IsOptional() @Num(3, 10) ph?: number
  @IsOptional() @Num(0, 5000) stemsPerM2?: number
  @IsOptional() @Nested(() => ConditionInput) condition?: ConditionInput
  @IsOptional() @Nested(() => NormalsInput) normals?: NormalsInput
}

class RunnerInput implements Runner {
  @IsOptional() @IsUUID() id?: string
  @IsOptional() @IsBoolean() runnerHairy: boolean | null = null
  @IsOptional() @IsBoolean() calyxRed: boolean | null = null
  @IsOptional() @IsBoolean() stipuleRed: boolean | null = null
}

/** Runners of subterranean clover pulled in a paddock, and the groups that hold an oestrogenic cultivar there. */
export class RunnersInput {
  @ListOf(() => RunnerInput, 1000)
  runners!: RunnerInput[]
  @IsArray() @ArrayMaxSize(6) @IsIn(runnerGroups, { each: true }) suspect!: RunnerGroup[]
}

class RowsInput {
  @Num(0.1, 100_000) metres!: number
  @Num(0, 100_000) bare!: number
}

class SowingCheckInput implements SowingCheck {
  @Day() on!: string
  @Num(0.0001, 100) frameM2!: number
  @IsArray() @ArrayMaxSize(500) @IsObject({ each: true }) frames!: SeedlingFrame[]
  @IsOptional() @Whole(4, 400) cells?: number
  @IsOptional() @Texts(40, 100) others?: string[]
  @IsOptional() @IsArray() @IsIn(sowingFlags, { each: true }) flags?: SowingFlag[]
  @IsOptional() @Nested(() => RowsInput) rows?: RowsInput
  @Text(2000) note!: string
}

/** Checks of one sowing, in the order in which they were made. */
export class SowingChecksInput {
  @ListOf(() => SowingCheckInput, 50)
  checks!: SowingCheckInput[]
}
