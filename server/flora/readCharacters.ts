import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import {
  ArrayMinSize,
  IsArray,
  IsIn,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  Max,
  Min,
  validateSync,
} from 'class-validator'
import { LineCounter, parseDocument } from 'yaml'
import {
  efforts,
  lifeForms,
  stages,
  type Character,
  type Effort,
  type LifeForm,
  type Stage,
} from '@/core/naming/flora.ts'
import { lineOf, type FloraProblem } from './problem.ts'

class CharacterEntry {
  @IsString() @IsNotEmpty() title!: string
  @IsString() @IsNotEmpty() asks!: string
  @IsIn([...lifeForms, 'all'], { each: true }) forms!: LifeForm[] | 'all'
  @IsIn(efforts) effort!: Effort
  @IsOptional() @IsArray() @ArrayMinSize(2) @IsString({ each: true }) states?: string[]
  @IsOptional() @IsIn(['mm']) unit?: 'mm'
  @IsOptional() @IsArray() @IsNumber({}, { each: true }) range?: [number, number]
  @IsOptional() @IsString() needs?: string
  @IsOptional() @IsString() caution?: string
  @IsOptional() @Min(0) @Max(0.5) mistake?: number
  @IsOptional() @IsString() group?: string
  @IsOptional() @IsIn(stages, { each: true }) lacks_at?: Stage[]
  @IsOptional() @IsIn(lifeForms, { each: true }) none_if_left_out?: LifeForm[]
  @IsOptional() @IsObject() none_where?: Record<string, string>
  @IsOptional() @IsArray() @IsString({ each: true }) how?: string[]
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function noneWhere(given: Record<string, string> | undefined): Pick<Character, 'noneWhere'> {
  const [first] = Object.entries(given ?? {})
  return first ? { noneWhere: { character: first[0], state: first[1] } } : {}
}

/** Read the vocabulary of characters: parts, then characters, in the order an advisor looks. */
export function readCharacters(name: string, text: string): { characters: Character[]; problems: FloraProblem[] } {
  const counter = new LineCounter()
  const doc = parseDocument(text, { lineCounter: counter })
  const problems: FloraProblem[] = doc.errors.map((e) => ({
    file: name,
    line: e.linePos?.[0].line ?? 1,
    message: e.message,
  }))
  if (problems.length > 0) return { characters: [], problems }
  const characters: Character[] = []
  for (const [part, block] of Object.entries(doc.toJS() as Record<string, Record<string, unknown>>)) {
    for (const [id, raw] of Object.entries(block)) {
      const entry = plainToInstance(CharacterEntry, raw)
      const line = lineOf(doc, counter, [part, id])
      const errors = validateSync(entry, { whitelist: true, forbidNonWhitelisted: true })
      for (const e of errors)
        problems.push({
          file: name,
          line,
          message: `${id}: ${Object.values(e.constraints ?? {}).join('; ')}`,
        })
      if ((entry.states === undefined) === (entry.unit === undefined))
        problems.push({ file: name, line, message: `${id}: give either states, or unit and range` })
      characters.push({
        id,
        part,
        title: entry.title,
        asks: sentence(entry.asks),
        forms: entry.forms === 'all' ? [...lifeForms] : entry.forms,
        effort: entry.effort,
        ...(entry.states ? { states: entry.states } : {}),
        ...(entry.unit && entry.range ? { unit: entry.unit, range: entry.range } : {}),
        ...(entry.needs ? { needs: entry.needs } : {}),
        ...(entry.caution ? { caution: entry.caution } : {}),
        mistake: entry.mistake ?? (entry.effort === 'glance' || entry.effort === 'hand' ? 0.04 : 0.05),
        ...(entry.group ? { group: entry.group } : {}),
        lacksAt: entry.lacks_at ?? [],
        noneIfLeftOut: entry.none_if_left_out ?? [],
        ...noneWhere(entry.none_where),
        how: entry.how ?? [],
      })
    }
  }
  return { characters, problems }
}
