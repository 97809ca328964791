import 'reflect-metadata'
import { ArrayMinSize, IsArray, IsIn, IsNotEmpty, IsObject, IsOptional, IsString } from 'class-validator'
import { atRisk, type AtRisk } from '@/core/flora/codes.ts'
import type { Hazard, Plant } from '@/core/flora/flora.ts'
import type { FloraProblem } from './problem.ts'
import { readEntries } from './readEntries.ts'

class HazardEntry {
  @IsString() @IsNotEmpty() name!: string
  @IsArray() @ArrayMinSize(1) @IsIn(atRisk, { each: true }) who!: AtRisk[]
  @IsArray() @IsString({ each: true }) plants!: string[]
  @IsOptional() @IsObject() amounts?: Record<string, [number, number]>
  @IsOptional() @IsArray() @IsString({ each: true }) lowers?: string[]
  @IsString() @IsNotEmpty() shows!: string
  @IsString() @IsNotEmpty() hidden!: string
  @IsString() @IsNotEmpty() test!: string
  @IsString() @IsNotEmpty() do!: string
  @IsArray() @ArrayMinSize(1) @IsString({ each: true }) sources!: string[]
}

/** What is wrong with the amounts of a danger: each is of one of its plants, two figures, the lower first. */
function wrongAmounts(id: string, { plants, amounts = {}, lowers = [] }: HazardEntry, ids: string[]): string[] {
  const isRange = (r: unknown) =>
    Array.isArray(r) && r.length === 2 && r.every((n) => typeof n === 'number' && n >= 0) && r[0] <= r[1]
  return [
    ...Object.keys(amounts).flatMap((p) => (plants.includes(p) ? [] : [`${id}: "${p}" has an amount and is not among its plants`])), // prettier-ignore
    ...Object.entries(amounts).flatMap(([p, r]) => (isRange(r) ? [] : [`${id}: the amount of "${p}" must be a low and a high`])), // prettier-ignore
    ...lowers.flatMap((p) => (ids.includes(p) ? [] : [`${id}: there is no plant "${p}"`])),
  ]
}

/** Read the dangers that come with feed plants, checked against the plants of the book. */
export function readHazards(
  file: string,
  text: string,
  plants: Plant[],
): { hazards: Hazard[]; problems: FloraProblem[] } {
  const ids = plants.map((p) => p.id)
  const { entries, problems } = readEntries(file, text, HazardEntry, ids)
  if (problems.length === 0)
    for (const [id, entry] of entries)
      problems.push(...wrongAmounts(id, entry, ids).map((message) => ({ file, line: 1, message })))
  return { hazards: entries.map(([id, entry]) => ({ id, ...entry })), problems }
}
