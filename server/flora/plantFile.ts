import 'reflect-metadata'
import { Type } from 'class-transformer'
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsObject,
  IsOptional,
  IsString,
  Matches,
  Max,
  Min,
  ValidateNested,
} from 'class-validator'
import {
  atRisk,
  grounds,
  type AtRisk,
  type Ground,
  doseParts,
  doseStates,
  doseTimes,
  acutenesses,
  bestTimes,
  edges,
  harmKinds,
  type Acuteness,
  type BestTime,
  type Edge,
  indications,
  protectiveItems,
  traits,
  type DosePart,
  type DoseState,
  type DoseTime,
  type HarmKind,
  type Indication,
  type ProtectiveItem,
  type Trait,
} from '@/core/flora/codes.ts'
import {
  formWords,
  lifeForms,
  roles,
  schools,
  stages,
  type FeedForm,
  type FormWord,
  type LifeForm,
  type Role,
  type School,
  type Stage,
} from '@/core/flora/flora.ts'

import { LikenessFile } from './likenessFile.ts'
import { EatenFile, FeedFile, RegrowthFile, SowingFile, TurfFile } from './useFile.ts'

const ID = /^[a-z][a-z0-9-]*$/

class LookalikeFile {
  @Matches(ID) plant!: string
  @IsString() check!: string
  @IsOptional() @IsString() and?: string
  @IsOptional() @IsBoolean() undecided?: boolean
  @IsString() @IsNotEmpty() why!: string
}

class HarmFormsFile implements Partial<Record<Exclude<FeedForm, 'standing'>, FormWord>> {
  @IsOptional() @IsIn(formWords) wilted?: FormWord
  @IsOptional() @IsIn(formWords) hay?: FormWord
  @IsOptional() @IsIn(formWords) silage?: FormWord
}

class HarmFile {
  @IsArray() @ArrayMinSize(1) @IsIn(atRisk, { each: true }) who!: AtRisk[]
  @IsIn(harmKinds) kind!: HarmKind
  @IsOptional() @IsArray() @IsIn(harmKinds, { each: true }) also?: HarmKind[]
  @IsOptional() @IsObject() @ValidateNested() @Type(() => HarmFormsFile) forms?: HarmFormsFile
  @IsOptional() @IsIn(acutenesses) acute?: Acuteness
  @IsOptional() @IsArray() @ArrayMinSize(1) @IsIn(stages, { each: true }) stages?: Stage[]
  @IsOptional() @IsArray() @ArrayMinSize(1) @IsString({ each: true }) sources?: string[]
  @IsOptional() @IsArray() @IsIn(protectiveItems, { each: true }) protect?: ProtectiveItem[]
  @IsString() @IsNotEmpty() note!: string
}

class FormsFile implements Record<FeedForm, FormWord> {
  @IsIn(formWords) standing!: FormWord
  @IsIn(formWords) wilted!: FormWord
  @IsIn(formWords) hay!: FormWord
  @IsIn(formWords) silage!: FormWord
}

class DoseFile {
  @IsIn(atRisk) animal!: AtRisk
  @IsIn(doseParts) part!: DosePart
  @IsOptional() @IsIn(doseStates) state?: DoseState
  @IsOptional() @IsIn(doseTimes) taken?: DoseTime
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @Min(0.0001, { each: true })
  @Max(500, { each: true })
  percent!: [number, number]
  @IsString() @IsNotEmpty() source!: string
}

class ExposureFile {
  @IsString() @IsNotEmpty() parts!: string
  @IsObject() @ValidateNested() @Type(() => FormsFile) forms!: FormsFile
  @IsString() @IsNotEmpty() signs!: string
  @IsString() @IsNotEmpty() onset!: string
  @IsString() @IsNotEmpty() first!: string
  @IsOptional() @IsString() test?: string
  @IsOptional()
  @IsArray()
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => DoseFile)
  doses?: DoseFile[]
  @IsArray() @ArrayMinSize(1) @IsString({ each: true }) sources!: string[]
}

class ControlFile {
  @IsIn(stages) stage!: Stage
  @IsIn(schools) school!: School
  @IsString() @IsNotEmpty() do!: string
  @IsOptional() @Min(1) @Max(500) up_to_cm?: number
  @IsOptional() @IsString() tools?: string
  @IsOptional() @IsArray() @IsIn(protectiveItems, { each: true }) wear?: ProtectiveItem[]
  @IsOptional() @IsString() waste?: string
  @IsOptional() @IsArray() @IsIn(bestTimes, { each: true }) best?: BestTime[]
  @IsOptional() @IsInt() @Min(1) @Max(1000) back_days?: number
  @IsOptional() @IsBoolean() too_late?: boolean
}

/** One plant, as its YAML file writes it. Cells of characters are checked apart, against the vocabulary. */
export class PlantFile {
  @Matches(ID) id!: string
  @IsString() @IsNotEmpty() common_name!: string
  @IsString() @IsNotEmpty() scientific_name!: string
  @IsString() author!: string
  @Matches(/^[A-Z][a-z]+aceae$/, { message: 'family must be a plant family name such as Poaceae' })
  family!: string
  @IsOptional() @IsString({ each: true }) also_called?: string[]
  @IsOptional() @IsObject() called?: Record<string, string>
  @IsOptional() @IsArray() @IsString({ each: true }) synonyms?: string[]
  @IsIn(lifeForms) form!: LifeForm
  @IsIn(['annual', 'biennial', 'perennial']) cycle!: 'annual' | 'biennial' | 'perennial'
  @IsIn(['cool', 'warm']) season!: 'cool' | 'warm'
  @IsIn(roles) role!: Role
  @IsObject() regions!: Record<string, string>
  @IsArray()
  @ArrayMinSize(1)
  @IsInt({ each: true })
  @Min(1, { each: true })
  @Max(12, { each: true })
  months!: number[]
  @IsArray()
  @IsIn(grounds, { each: true })
  ground!: Ground[]
  @IsOptional() @IsArray() @IsIn(indications, { each: true }) indicates?: Indication[]
  @IsOptional() @IsArray() @IsIn(edges, { each: true }) edge?: Edge[]
  @IsOptional() @IsArray() @IsIn(traits, { each: true }) traits?: Trait[]
  @IsOptional()
  @IsArray()
  @ArrayMinSize(2)
  @ArrayMaxSize(2)
  @Min(1, { each: true })
  @Max(300, { each: true })
  mow_mm?: [number, number]
  @IsObject() characters!: Record<string, unknown>
  @IsOptional() @IsObject() stages?: Record<string, Record<string, unknown>>
  @IsOptional()
  @IsArray()
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => LookalikeFile)
  lookalikes?: LookalikeFile[]
  @IsOptional() @IsObject() @ValidateNested() @Type(() => FeedFile) feed?: FeedFile
  @IsOptional() @IsObject() @ValidateNested() @Type(() => EatenFile) eaten?: EatenFile
  @IsOptional() @IsObject() @ValidateNested() @Type(() => RegrowthFile) regrowth?: RegrowthFile
  @IsOptional() @IsObject() @ValidateNested() @Type(() => TurfFile) turf?: TurfFile
  @IsOptional() @IsObject() @ValidateNested() @Type(() => LikenessFile) likeness?: LikenessFile
  @IsOptional() @IsString() worth?: string
  @IsOptional() @IsObject() @ValidateNested() @Type(() => SowingFile) sowing?: SowingFile
  @IsOptional()
  @IsArray()
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => HarmFile)
  harm?: HarmFile[]
  @IsOptional() @IsObject() @ValidateNested() @Type(() => ExposureFile) exposure?: ExposureFile
  @IsOptional()
  @IsArray()
  @IsObject({ each: true })
  @ValidateNested({ each: true })
  @Type(() => ControlFile)
  control?: ControlFile[]
  @IsArray() @ArrayMinSize(1) @IsString({ each: true }) sources!: string[]
  @IsOptional() @IsBoolean() species_default?: boolean
}
