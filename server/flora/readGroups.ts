import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { ArrayMinSize, IsArray, IsIn, IsNotEmpty, IsOptional, IsString, validateSync } from 'class-validator'
import { LineCounter, parseDocument } from 'yaml'
import { stages, type Plant, type PlantGroup, type Stage } from '@/core/naming/flora.ts'
import { lineOf, nearest, type FloraProblem } from './problem.ts'

class GroupEntry {
  @IsString() @IsNotEmpty() name!: string
  @IsArray() @ArrayMinSize(2) @IsString({ each: true }) plants!: string[]
  @IsOptional() @IsIn(stages) until?: Stage
  @IsString() @IsNotEmpty() why!: string
}

/** Read the groups that are named together, checked against the plants of the book. */
export function readGroups(
  file: string,
  text: string,
  plants: Plant[],
): { groups: PlantGroup[]; problems: FloraProblem[] } {
  const counter = new LineCounter()
  const doc = parseDocument(text, { lineCounter: counter })
  const problems: FloraProblem[] = doc.errors.map((e) => ({ file, line: e.linePos?.[0].line ?? 1, message: e.message }))
  if (problems.length > 0) return { groups: [], problems }
  const ids = plants.map((p) => p.id)
  const groups: PlantGroup[] = []
  for (const [id, raw] of Object.entries((doc.toJS() ?? {}) as Record<string, unknown>)) {
    const line = lineOf(doc, counter, [id])
    const entry = plainToInstance(GroupEntry, raw)
    for (const e of validateSync(entry, { whitelist: true, forbidNonWhitelisted: true }))
      problems.push({ file, line, message: `${id}: ${Object.values(e.constraints ?? {}).join('; ')}` })
    for (const plant of entry.plants ?? [])
      if (!ids.includes(plant))
        problems.push({
          file,
          line,
          message: `${id}: there is no plant "${plant}"; nearest: ${nearest(plant, ids).join(', ')}`,
        })
    groups.push({
      id,
      name: entry.name,
      plants: entry.plants,
      why: entry.why,
      ...(entry.until ? { until: entry.until } : {}),
    })
  }
  return { groups, problems }
}
