import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { IsIn, IsNotEmpty, IsObject, IsOptional, IsString, validateSync } from 'class-validator'
import { LineCounter, parseDocument } from 'yaml'
import {
  lifeForms,
  stages,
  type Cell,
  type Character,
  type LifeForm,
  type Neighbour,
  type Stage,
} from '@/core/flora/flora.ts'
import { lineOf, type FloraProblem } from './problem.ts'
import { readCells } from './readCells.ts'

class NeighbourEntry {
  @IsString() @IsNotEmpty() name!: string
  @IsIn(lifeForms) form!: LifeForm
  @IsObject() characters!: Record<string, unknown>
  @IsOptional() @IsObject() stages?: Partial<Record<Stage, Record<string, unknown>>>
}

/** Read the plants outside the book that are known by sight, checked against the characters there are. */
export function readNeighbours(
  file: string,
  text: string,
  characters: Character[],
  plants: readonly string[],
): { neighbours: Neighbour[]; problems: FloraProblem[] } {
  const counter = new LineCounter()
  const doc = parseDocument(text, { lineCounter: counter })
  const problems: FloraProblem[] = doc.errors.map((e) => ({ file, line: e.linePos?.[0].line ?? 1, message: e.message }))
  if (problems.length > 0) return { neighbours: [], problems }
  const say = (path: (string | number)[], message: string) =>
    void problems.push({ file, line: lineOf(doc, counter, path), message })
  const neighbours = Object.entries((doc.toJS() ?? {}) as Record<string, unknown>).map(([id, raw]): Neighbour => {
    const entry = plainToInstance(NeighbourEntry, raw)
    for (const e of validateSync(entry, { whitelist: true, forbidNonWhitelisted: true }))
      say([id], `${id}: ${Object.values(e.constraints ?? {}).join('; ')}`)
    if (plants.includes(id)) say([id], `${id} is in the book`)
    const apart: Partial<Record<Stage, Record<string, Cell>>> = {}
    for (const stage of stages) {
      const block = entry.stages?.[stage]
      if (block) apart[stage] = readCells(block, characters, [id, 'stages', stage], say)
    }
    const cells = readCells(entry.characters ?? {}, characters, [id, 'characters'], say)
    return { id, commonName: entry.name, form: entry.form, characters: cells, stages: apart }
  })
  return { neighbours, problems }
}
