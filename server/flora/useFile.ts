import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsObject, IsOptional, IsString, Max, Min, ValidateNested } from 'class-validator' // prettier-ignore
import { eatenWords, type EatenWord, type Grazer, type TurfUse } from '@/core/flora/use.ts'
import { sowingTimes, type SowingTime } from '@/core/flora/flora.ts'

type Pair = [number, number]

/** A low and a high figure between limits. */
export const Range = (least: number, most: number): PropertyDecorator => {
  const rules = [IsArray(), ArrayMinSize(2), ArrayMaxSize(2), Min(least, { each: true }), Max(most, { each: true })]
  return (target, key) => rules.forEach((rule) => rule(target, key as string))
}
export const Sources = (): PropertyDecorator => {
  const rules = [IsArray(), ArrayMinSize(1), IsString({ each: true })]
  return (target, key) => rules.forEach((rule) => rule(target, key as string))
}

class FeedRangeFile {
  @Range(0, 100) cp!: Pair
  @Range(0, 100) adf!: Pair
  @Range(0, 100) ndf!: Pair
}

export class FeedFile {
  @IsObject() @ValidateNested() @Type(() => FeedRangeFile) leafy!: FeedRangeFile
  @IsObject() @ValidateNested() @Type(() => FeedRangeFile) stemmy!: FeedRangeFile
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FeedRangeFile) ripe?: FeedRangeFile
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FeedRangeFile) cured?: FeedRangeFile
  // A plant of somebody's own may say nothing of it.
  @IsOptional() @Sources() sources?: string[]
}

export class EatenFile implements Partial<Record<Grazer, EatenWord>> {
  @IsOptional() @IsIn(eatenWords) cattle?: EatenWord
  @IsOptional() @IsIn(eatenWords) sheep?: EatenWord
  @IsOptional() @IsIn(eatenWords) goats?: EatenWord
  @IsOptional() @IsIn(eatenWords) horses?: EatenWord
}

export class RegrowthFile {
  @Range(7, 400) days!: Pair
  @IsOptional() @Range(1, 12) leaves?: Pair
  @Range(3, 150) in_cm!: Pair
  @Range(2, 60) out_cm!: Pair
  @Sources() sources!: string[]
}

class MowFile implements Partial<Record<TurfUse, Pair>> {
  @IsOptional() @Range(3, 300) sports?: Pair
  @IsOptional() @Range(3, 300) lawn?: Pair
  @IsOptional() @Range(3, 300) 'low-upkeep'?: Pair
}

export class TurfFile {
  @IsObject() @ValidateNested() @Type(() => MowFile) mow_mm!: MowFile
  @Range(0, 500) n_kg_per_ha!: Pair
  @Range(0.5, 100) g_per_m2!: Pair
  @Range(0.5, 100) overseed_g_per_m2!: Pair
  @Sources() sources!: string[]
}

export class SowingFile {
  @Range(0.01, 600) kg_per_ha!: Pair
  @IsOptional() @Range(0.01, 600) mix_kg_per_ha?: Pair
  @IsInt() @Min(1000) @Max(50_000_000) seeds_per_kg!: number
  @Range(0, 100) depth_mm!: Pair
  @IsArray() @ArrayMinSize(1) @IsIn(sowingTimes, { each: true }) when!: SowingTime[]
  @IsOptional() @Min(3) @Max(9) ph_least?: number
  @Sources() sources!: string[]
}
