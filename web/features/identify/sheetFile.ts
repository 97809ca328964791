import { fileWords } from '@/text/fileWords.ts'
import { readSheet, writeSheet, type SpecimenSheet } from '@/core/formats/specimenSheet.ts'
import type { Character, Plant } from '@/core/flora/flora.ts'
import { CANT_TELL } from '@/core/records/observation.ts'
import { download, fileSlug } from '../../parts/download.ts'
import type { Sheet } from './sheet.ts'
import { say } from '../../language/say.ts'

const fileName = (sheet: SpecimenSheet): string => {
  const place = fileSlug(sheet.place)
  return `specimen${place ? `-${place}` : ''}-${sheet.id.slice(0, 4)}${sheet.opinion ? '-answered' : ''}.json`
}

export const sendSheet = (sheet: SpecimenSheet): void => download(fileName(sheet), writeSheet(sheet))

export const asSheet = (sheet: Sheet, verdict: string): SpecimenSheet => ({
  id: sheet.id,
  place: sheet.place,
  note: sheet.note,
  context: sheet.context,
  observations: sheet.answers,
  verdict,
  askedAt: new Date().toISOString(),
})

/** A file somebody sent, read and held against this book. */
export async function openSheet(
  file: File,
  characters: Character[],
  byId: Map<string, Plant>,
): Promise<{ sheet: SpecimenSheet } | { problem: string }> {
  const read = readSheet(await file.text())
  if ('problem' in read) return { problem: `${file.name}: ${fileWords(read.problem)}` }
  for (const o of read.sheet.observations) {
    const character = characters.find((c) => c.id === o.character)
    const said = 'states' in o ? o.states : 'counts' in o ? Object.keys(o.counts) : []
    const unknown = said.find((s) => s !== CANT_TELL && !character?.states?.includes(s))
    if (!character || unknown !== undefined)
      return {
        problem: say('{{name}}: this book has no "{{unknown}}". It may come from a newer version.', {
          name: file.name,
          unknown: unknown ?? o.character,
        }),
      }
  }
  const { opinion } = read.sheet
  if (opinion?.plant && !byId.has(opinion.plant))
    return { problem: say('{{name}}: the opinion names a plant that this book does not have.', { name: file.name }) }
  return read
}
