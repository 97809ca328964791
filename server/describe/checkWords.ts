import { readMeaning } from '@/core/describe/vocabulary.ts'
import { foldedWords } from '@/core/describe/tokens.ts'
import { regions, type Character } from '@/core/flora/flora.ts'
import { languages, meaningsFile, vocabularyFile } from './loadWords.ts'

/** What a text of a meaning names that the book has not. */
function unknownIn(text: string, characters: ReadonlyMap<string, Character>): string[] {
  return readMeaning(text).flatMap(({ character, states = [] }) => {
    const known = characters.get(character)
    if (!known) return [`there is no character "${character}"`]
    return states.filter((s) => !known.states?.includes(s)).map((s) => `${character} has no state "${s}"`)
  })
}

/**
 * What is wrong with the words in which people describe: states and parts that are not there, meanings without a word, and
 * one phrase for two things.
 */
export function checkWords(all: readonly Character[]): string[] {
  const characters = new Map(all.map((c) => [c.id, c]))
  const meanings = meaningsFile()
  const problems = Object.entries(meanings).flatMap(([concept, by]) =>
    Object.entries(by).flatMap(([part, text]) =>
      unknownIn(text, characters).map((p) => `words/meanings.yaml: ${concept}, ${part}: ${p}`),
    ),
  )
  for (const language of languages) {
    const file = vocabularyFile(language)
    const at = `words/${language}.yaml`
    const parts = new Set([...Object.keys(file.parts), 'any'])
    for (const [concept, by] of Object.entries(meanings))
      for (const part of Object.keys(by))
        if (!parts.has(part) && language === 'en')
          problems.push(`${at}: no word for the part "${part}" of "${concept}"`)
    for (const region of Object.keys(file.regions))
      if (!regions.some((r) => r === region)) problems.push(`${at}: there is no region "${region}"`)
    const passed = new Set(file.passed.split(' '))
    const said = new Map<string, string>()
    for (const [concept, phrases] of Object.entries(file.words)) {
      if (!meanings[concept]) problems.push(...unknownIn(concept, characters).map((p) => `${at}: ${concept}: ${p}`))
      for (const phrase of phrases.split(';')) {
        const folded = foldedWords(phrase, language, passed).join(' ')
        const before = said.get(folded)
        if (before !== undefined && before !== concept)
          problems.push(`${at}: "${phrase.trim()}" stands for ${before} and for ${concept}`)
        said.set(folded, concept)
      }
    }
  }
  return problems
}
