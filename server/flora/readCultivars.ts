import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { IsBoolean, IsIn, IsNotEmpty, IsOptional, IsString, validateSync } from 'class-validator'
import { LineCounter, parseDocument } from 'yaml'
import type { Cultivar } from '@/core/naming/groupKey.ts'
import { lineOf, type FloraProblem } from './problem.ts'

const subspecies = ['subterraneum', 'yanninicum', 'brachycalycinum'] as const

class CultivarEntry {
  @IsString() @IsNotEmpty() name!: string
  @IsIn(subspecies) subspecies!: (typeof subspecies)[number]
  @IsOptional() @IsBoolean() oestrogenic?: boolean
  @IsOptional() @IsBoolean() runner_hairy?: boolean
  @IsOptional() @IsBoolean() calyx_red?: boolean
  @IsOptional() @IsBoolean() stipule_red?: boolean
  @IsString() @IsNotEmpty() source!: string
}

/** Read the cultivars of subterranean clover that the group key knows. What is not said of one is left out. */
export function readCultivars(file: string, text: string): { cultivars: Cultivar[]; problems: FloraProblem[] } {
  const counter = new LineCounter()
  const doc = parseDocument(text, { lineCounter: counter })
  const problems: FloraProblem[] = doc.errors.map((e) => ({ file, line: e.linePos?.[0].line ?? 1, message: e.message }))
  if (problems.length > 0) return { cultivars: [], problems }
  const cultivars = ((doc.toJS() ?? []) as unknown[]).map((raw, i): Cultivar => {
    const entry = plainToInstance(CultivarEntry, raw)
    for (const e of validateSync(entry, { whitelist: true, forbidNonWhitelisted: true }))
      problems.push({ file, line: lineOf(doc, counter, [i]), message: Object.values(e.constraints ?? {}).join('; ') })
    const { name, oestrogenic, runner_hairy: runnerHairy, calyx_red: calyxRed, stipule_red: stipuleRed } = entry
    return {
      name,
      source: entry.source,
      ...(oestrogenic === undefined ? {} : { oestrogenic }),
      ...(runnerHairy === undefined ? {} : { runnerHairy }),
      ...(calyxRed === undefined ? {} : { calyxRed }),
      ...(stipuleRed === undefined ? {} : { stipuleRed }),
    }
  })
  return { cultivars, problems }
}
