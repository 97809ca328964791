import 'reflect-metadata'
import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator'
import type { LabResult } from '@/core/feed/labResult.ts'
import { animalClasses } from '@/core/feed/needs.ts'
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
  @IsNumber(number) @Min(0) @Max(100) cpPct!: number
  @IsNumber(number) @Min(0) @Max(100) adfPct!: number
  @IsNumber(number) @Min(0) @Max(100) ndfPct!: number
  @IsOptional() @IsNumber(number) @Min(0) @Max(1_000_000) nitrateNPpm?: number
  @IsBoolean() simulated!: boolean
}
