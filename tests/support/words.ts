import type { Vocabulary } from '@/core/describe/vocabulary.ts'
import { loadWords, type WordLanguage } from '../../server/describe/loadWords.ts'
import { flora } from './book.ts'

const made: Partial<Record<WordLanguage, Vocabulary>> = {}

/** The vocabulary of a language, made once. */
export const words = (language: WordLanguage): Vocabulary => (made[language] ??= loadWords(flora, language))
