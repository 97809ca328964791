import { describe } from '@/core/describe/describe.ts'
import { observationOf, type Description } from '@/core/describe/description.ts'
import type { Vocabulary } from '@/core/describe/vocabulary.ts'
import type { Flora } from '@/core/flora/flora.ts'
import { Type } from 'class-transformer'
import { IsIn, IsOptional, IsString, MaxLength, ValidateNested } from 'class-validator'
import { Router } from 'express'
import type { Book } from '../flora/book.ts'
import {
  languages,
  loadWords,
  meaningsFile,
  namesOf,
  vocabularyFile,
  type WordLanguage,
} from '../describe/loadWords.ts'
import { notFound } from '../http/httpError.ts'
import { precompressedJson } from '../http/precompressedJson.ts'
import { parseBody } from '../http/parseBody.ts'
import { identifyBody, type SaidIdentification } from './book.ts'
import { ContextInput } from '@/contract/input/seen.ts'
import { readContext } from './readSeen.ts'

const LONGEST = 200_000

class DescribeInput {
  @IsString() @MaxLength(LONGEST) text!: string
  @IsOptional() @ValidateNested() @Type(() => ContextInput) context?: ContextInput
  @IsOptional() @IsIn(languages, { message: `language must be one of ${languages.join(', ')}` }) language?: WordLanguage
}

export type Described = Description & { language: WordLanguage; identification: SaidIdentification }

/** Vocabularies of a book, made when they are first asked for. */
export function wordsOf(flora: () => Flora): (language: WordLanguage) => Vocabulary {
  let made: { of: Flora; by: Partial<Record<WordLanguage, Vocabulary>> } | undefined
  return (language) => {
    const of = flora()
    if (made?.of !== of) made = { of, by: {} }
    return (made.by[language] ??= loadWords(of, language))
  }
}

/** In which of the languages a text is written: that of which more small words stand in it, English where none tells. */
export function languageOf(text: string, words: (language: WordLanguage) => Vocabulary): WordLanguage {
  const said =
    text
      .slice(0, 2000)
      .toLowerCase()
      .match(/\p{L}+/gu) ?? []
  const share = (language: WordLanguage) => {
    const { passed, negators, root } = words(language)
    return (
      said.filter((w) => passed.has(w) || negators.has(w)).length + 0.5 * said.filter((w) => root.next.has(w)).length
    )
  }
  const umlauts = /[äöüß]/i.test(text) ? 2 : 0
  return share('de') + umlauts > share('en') ? 'de' : 'en'
}

/** Describe from an unchecked body: what the route and the command line share. */
export function describeBody(
  book: Pick<Book, 'flora' | 'compiled'>,
  words: (language: WordLanguage) => Vocabulary,
  body: unknown,
): Described {
  // prettier-ignore
  const input = parseBody(DescribeInput, body)
  const language = input.language ?? languageOf(input.text, words)
  const said = describe(words(language), input.text, readContext(input.context, book.flora))
  const observations = said.observations.map((o) => ({ ...o, sureness: o.sureness ?? ('sure' as const) }))
  const plain = observations.map(observationOf)
  return { ...said, observations, language, identification: identifyBody(book.compiled, { context: said.context, observations: plain }) } // prettier-ignore
}

/** The words of a language as they are sent; the same object until the book changes. */
function sentOf(language: WordLanguage, flora: () => Flora): () => object {
  let made: { of: Flora; sent: object } | undefined
  return () => {
    const of = flora()
    if (made?.of !== of) made = { of, sent: { file: vocabularyFile(language), meanings: meaningsFile(), names: Object.fromEntries(namesOf(of)) } } // prettier-ignore
    return made.sent
  }
}

/** A description in somebody's own words, read and named; and the words themselves, for a page that reads without a signal. */
export function describeRoutes(book: Book): Router {
  const words = wordsOf(() => book.flora)
  const files = new Map(languages.map((l) => [l, precompressedJson(sentOf(l, () => book.flora))] as const))
  return Router()
    .post('/describe', (req, res) => void res.json(describeBody(book, words, req.body)))
    .get('/words/:language', (req, res, next) => {
      const send = files.get(req.params.language as WordLanguage)
      if (!send) throw notFound('language')
      return send(req, res, next)
    })
}
