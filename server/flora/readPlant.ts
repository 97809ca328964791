import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { LineCounter, parseDocument } from 'yaml'
import {
  abundanceWords,
  namePlaces,
  regions,
  stages,
  type Cell,
  type Character,
  type Plant,
  type Stage,
} from '@/core/flora/flora.ts'
import { asWrittenNow } from './earlierPlant.ts'
import { PlantFile } from './plantFile.ts'
import { lineOf, type FloraProblem } from './problem.ts'
import { readCells } from './readCells.ts'
import { useOf, wrongWayRound } from './useOf.ts'

function flatten(errors: ValidationError[], path: string[] = []): { path: string[]; message: string }[] {
  return errors.flatMap((e) => {
    const here = [...path, e.property]
    const own = Object.values(e.constraints ?? {}).map((message) => ({ path: here, message }))
    return [...own, ...flatten(e.children ?? [], here)]
  })
}

function toPlant(file: PlantFile, characters: Record<string, Cell>, stageCells: Plant['stages']): Plant {
  return {
    id: file.id,
    commonName: file.common_name,
    scientificName: file.scientific_name,
    author: file.author,
    family: file.family,
    alsoCalled: file.also_called ?? [],
    ...(file.called ? { called: file.called as NonNullable<Plant['called']> } : {}),
    ...(file.synonyms ? { synonyms: file.synonyms } : {}),
    form: file.form,
    cycle: file.cycle,
    season: file.season,
    role: file.role,
    regions: file.regions as Plant['regions'],
    months: file.months,
    ground: file.ground,
    ...(file.indicates ? { indicates: file.indicates } : {}),
    ...(file.edge ? { edge: file.edge } : {}),
    ...(file.traits ? { traits: file.traits } : {}),
    characters,
    stages: stageCells,
    lookalikes: file.lookalikes ?? [],
    ...useOf(file),
    harm: file.harm ?? [],
    ...(file.exposure ? { exposure: { ...file.exposure, doses: file.exposure.doses ?? [] } } : {}),
    control: (file.control ?? []).map((c) => ({
      stage: c.stage,
      school: c.school,
      do: c.do,
      ...(c.up_to_cm ? { upToCm: c.up_to_cm } : {}),
      ...(c.tools ? { tools: c.tools } : {}),
      ...(c.wear ? { wear: c.wear } : {}),
      ...(c.waste ? { waste: c.waste } : {}),
      ...(c.best ? { best: c.best } : {}),
      ...(c.back_days ? { backDays: c.back_days } : {}),
      tooLate: c.too_late ?? false,
    })),
    sources: file.sources,
    speciesDefault: file.species_default ?? false,
  }
}

/**
 * Read one plant file. `plant` is there only when nothing is wrong with it.
 *
 * @param keepAll a reader's plant that was taken in by an earlier version: what is no code today is kept as a note
 */
export function readPlant(
  name: string,
  text: string,
  characters: Character[],
  keepAll = false,
): { plant?: Plant; problems: FloraProblem[] } {
  const counter = new LineCounter()
  const doc = parseDocument(text, { lineCounter: counter })
  const problems: FloraProblem[] = doc.errors.map((e) => ({
    file: name,
    line: e.linePos?.[0].line ?? 1,
    message: e.message.split('\n')[0] ?? 'not YAML',
  }))
  if (problems.length > 0) return { problems }
  const say = (path: (string | number)[], message: string) =>
    problems.push({ file: name, line: lineOf(doc, counter, path), message })

  const raw: unknown = doc.toJS()
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw))
    return {
      problems: [{ file: name, line: 1, message: 'a plant file holds keys and values, such as "id: tall-fescue"' }],
    }
  asWrittenNow(raw, keepAll)
  const file = plainToInstance(PlantFile, raw)
  for (const { path, message } of flatten(validateSync(file, { whitelist: true, forbidNonWhitelisted: true })))
    say(
      path.map((p) => (/^\d+$/.test(p) ? Number(p) : p)),
      message,
    )
  if (problems.length > 0) return { problems }

  for (const [region, word] of Object.entries(file.regions)) {
    if (!(regions as readonly string[]).includes(region))
      say(['regions', region], `there is no region "${region}"; allowed: ${regions.join(', ')}`)
    else if (!(abundanceWords as readonly string[]).includes(word))
      say(['regions', region], `"${word}" is not a word of abundance; allowed: ${abundanceWords.join(', ')}`)
  }
  for (const place of Object.keys(file.called ?? {}))
    if (!(namePlaces as readonly string[]).includes(place))
      say(['called', place], `there is no place of names "${place}"; allowed: ${namePlaces.join(', ')}`)
  const cells = readCells(file.characters, characters, ['characters'], say)
  const stageCells: Plant['stages'] = {}
  for (const [stage, block] of Object.entries(file.stages ?? {})) {
    if (!(stages as readonly string[]).includes(stage))
      say(['stages', stage], `there is no stage "${stage}"; allowed: ${stages.join(', ')}`)
    else stageCells[stage as Stage] = readCells(block, characters, ['stages', stage], say)
  }
  for (const path of wrongWayRound(file)) say(path, 'the low figure must stand before the high one')
  const known = new Set(characters.map((c) => c.id))
  ;(file.lookalikes ?? []).forEach((l, i) => {
    for (const key of ['check', 'and'] as const)
      if (l[key] !== undefined && !known.has(l[key]))
        say(['lookalikes', i, key], `there is no character "${l[key]}" to decide by`)
  })
  if (name.replace(/\.yaml$/, '') !== file.id) say(['id'], `the id "${file.id}" must be the file's name without .yaml`)
  return problems.length > 0 ? { problems } : { plant: toPlant(file, cells, stageCells), problems }
}
