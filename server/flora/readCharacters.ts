import 'reflect-metadata'
import { plainToInstance, Type } from 'class-transformer'
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
  ValidateNested,
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
  type TakenFor,
} from '@/core/flora/flora.ts'
import { lineOf, type FloraProblem } from './problem.ts'

class TakenForEntry {
  @IsOptional() @IsString() is?: string
  @IsOptional() @IsString() said?: string
  @IsOptional() @IsArray() @ArrayMinSize(2) @IsString({ each: true }) between?: [string, string]
  @Min(0) @Max(0.5) share!: number
  @IsOptional() @IsIn(stages) at?: Stage
}

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
  @IsOptional() @Min(0) @Max(0.5) slip?: number
  @IsOptional() @Min(0) @Max(0.5) near?: number
  @IsOptional() @IsObject() places?: Record<string, Record<string, number>>
  @IsOptional() @IsArray() @ValidateNested({ each: true }) @Type(() => TakenForEntry) taken_for?: TakenForEntry[]
  @IsOptional() @IsObject() covers?: Record<string, string[]>
  @IsOptional() @IsString() plain?: string
  @IsOptional() @IsArray() @IsNumber({}, { each: true }) young_times?: [number, number]
  @IsOptional() @IsObject() young_states?: Record<string, LifeForm[]>
  @IsOptional() @IsObject() none_where?: Record<string, string>
  @IsOptional() @IsArray() @IsString({ each: true }) how?: string[]
}

const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

function noneWhere(given: Record<string, string> | undefined): Pick<Character, 'noneWhere'> {
  const [first] = Object.entries(given ?? {})
  return first ? { noneWhere: { character: first[0], state: first[1] } } : {}
}

/** Pairs in the direction they are mixed up, both ways where none is given. */
function takenFor(entries: TakenForEntry[] = []): TakenFor[] {
  return entries.flatMap(({ is, said, between, share, at }) => {
    const pairs = between ? [between, [between[1], between[0]] as const] : [[is ?? '', said ?? ''] as const]
    return pairs.map(([a, b]): TakenFor => ({ is: a, said: b, share, ...(at ? { stage: at } : {}) }))
  })
}

/** What an entry says of its own states that it does not have. */
function strayStates(entry: CharacterEntry): string[] {
  const said = [
    ...takenFor(entry.taken_for).flatMap((t) => [t.is, t.said]),
    ...Object.keys(entry.places ?? {}),
    ...Object.values(entry.covers ?? {}).flat(),
    ...Object.keys(entry.young_states ?? {}),
    ...(entry.plain ? [entry.plain] : []),
  ]
  return [...new Set(said.filter((s) => !entry.states?.includes(s)))]
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
      for (const stray of strayStates(entry))
        problems.push({ file: name, line, message: `${id}: it has no state "${stray}"` })
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
        ...(entry.slip === undefined ? {} : { slip: entry.slip }),
        ...(entry.places ? { places: entry.places } : {}),
        ...(entry.near === undefined ? {} : { near: entry.near }),
        takenFor: takenFor(entry.taken_for),
        ...(entry.covers ? { covers: entry.covers } : {}),
        ...(entry.young_times ? { young: { times: entry.young_times } } : {}),
        ...(entry.young_states ? { young: { states: entry.young_states } } : {}),
        ...(entry.plain ? { plain: entry.plain } : {}),
        ...noneWhere(entry.none_where),
        how: entry.how ?? [],
      })
    }
  }
  return { characters, problems }
}
