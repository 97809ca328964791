import 'reflect-metadata'
import { Type } from 'class-transformer'
import { ArrayMinSize, IsArray, IsIn, IsNotEmpty, IsObject, IsOptional, IsString, ValidateNested } from 'class-validator' // prettier-ignore
import { stages, type Plant, type PlantGroup, type Stage } from '@/core/flora/flora.ts'
import type { FloraProblem } from './problem.ts'
import { readEntries } from './readEntries.ts'

class OnceEntry {
  @IsString() @IsNotEmpty() character!: string
  @IsString() @IsNotEmpty() state!: string
}

class GroupEntry {
  @IsString() @IsNotEmpty() name!: string
  @IsArray() @ArrayMinSize(2) @IsString({ each: true }) plants!: string[]
  @IsOptional() @IsIn(stages) until?: Stage
  @IsOptional() @IsObject() @ValidateNested() @Type(() => OnceEntry) once?: OnceEntry
  @IsString() @IsNotEmpty() why!: string
}

/** Read the groups that are named together, checked against the plants of the book. */
export function readGroups(
  file: string,
  text: string,
  plants: Plant[],
): { groups: PlantGroup[]; problems: FloraProblem[] } {
  const { entries, problems } = readEntries(
    file,
    text,
    GroupEntry,
    plants.map((p) => p.id),
  )
  return { groups: entries.map(([id, entry]) => ({ id, ...entry })), problems }
}
