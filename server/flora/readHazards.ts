import 'reflect-metadata'
import { ArrayMinSize, IsArray, IsNotEmpty, IsString } from 'class-validator'
import type { Hazard, Plant } from '@/core/flora/flora.ts'
import type { FloraProblem } from './problem.ts'
import { readEntries } from './readEntries.ts'

class HazardEntry {
  @IsString() @IsNotEmpty() name!: string
  @IsArray() @ArrayMinSize(1) @IsString({ each: true }) who!: string[]
  @IsArray() @ArrayMinSize(1) @IsString({ each: true }) plants!: string[]
  @IsString() @IsNotEmpty() shows!: string
  @IsString() @IsNotEmpty() hidden!: string
  @IsString() @IsNotEmpty() test!: string
  @IsString() @IsNotEmpty() do!: string
  @IsArray() @ArrayMinSize(1) @IsString({ each: true }) sources!: string[]
}

/** Read the dangers that come with feed plants, checked against the plants of the book. */
export function readHazards(
  file: string,
  text: string,
  plants: Plant[],
): { hazards: Hazard[]; problems: FloraProblem[] } {
  const { entries, problems } = readEntries(
    file,
    text,
    HazardEntry,
    plants.map((p) => p.id),
  )
  return { hazards: entries.map(([id, entry]) => ({ id, ...entry })), problems }
}
