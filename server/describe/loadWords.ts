import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { parse } from 'yaml'
import { compileVocabulary, type Meanings, type Vocabulary, type VocabularyFile } from '@/core/describe/vocabulary.ts'
import type { Flora } from '@/core/flora/flora.ts'
import { floraFolder } from '../flora/loadFlora.ts'

export const languages = ['en', 'de'] as const
export type WordLanguage = (typeof languages)[number]

const read = (name: string): unknown => parse(readFileSync(join(floraFolder, 'words', name), 'utf8'))

export const vocabularyFile = (language: WordLanguage): VocabularyFile => read(`${language}.yaml`) as VocabularyFile
export const meaningsFile = (): Meanings => read('meanings.yaml') as Meanings

/** Names by which plants are called: those of the book, without what stands in brackets. */
export function namesOf({ plants }: Pick<Flora, 'plants'>): Map<string, string[]> {
  const namesOfOne = (p: Flora['plants'][number]) =>
    [p.commonName, p.scientificName, ...p.alsoCalled, ...Object.values(p.called ?? {})].map((name) =>
      name.replace(/ \(.*\)/, ''),
    )
  // Where two kinds of one species share a name, the usual one is meant.
  const usual = new Set(
    plants.filter((p) => p.speciesDefault).flatMap((p) => namesOfOne(p).map((n) => n.toLowerCase())),
  )
  return new Map(
    plants.map((p) => [p.id, namesOfOne(p).filter((n) => p.speciesDefault || !usual.has(n.toLowerCase()))]),
  )
}

/** The vocabulary of a language, ready to be read with. */
export function loadWords(flora: Flora, language: WordLanguage): Vocabulary {
  if (!existsSync(join(floraFolder, 'words', `${language}.yaml`))) throw new Error(`no words in ${language}`)
  return compileVocabulary(language, vocabularyFile(language), meaningsFile(), flora.characters, namesOf(flora))
}
