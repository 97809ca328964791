import { useMemo } from 'react'
import { describe } from '@/core/describe/describe.ts'
import type { Description } from '@/core/describe/description.ts'
import { compileVocabulary } from '@/core/describe/vocabulary.ts'
import { reads, useRead } from '../../../data/reads.ts'
import { useLanguage } from '../../../language/languageStore.ts'
import { say } from '../../../language/say.ts'
import { useFlora } from '../../../stores/floraStore.ts'
import { withOurs, useOurWords } from './ourWords.ts'

/** How a text is read, once the words are there; why not, where they cannot be had. */
export function useDescribing(): { read: ((text: string) => Description) | undefined; problem: string } {
  const language = useLanguage((s) => s.language)
  const characters = useFlora((s) => s.characters)
  const wanted = language === 'de' ? 'de' : 'en'
  const { data, problem } = useRead(useMemo(() => reads.words(wanted), [wanted]))
  const ours = useOurWords((s) => s.words)
  const read = useMemo(() => {
    if (!data) return undefined
    const vocabulary = compileVocabulary(wanted, withOurs(data.file, ours), data.meanings, characters, new Map(Object.entries(data.names))) // prettier-ignore
    return (text: string) => describe(vocabulary, text)
  }, [data, ours, wanted, characters])
  return { read, problem: problem ? say('The words could not be fetched: answer by the drawings.') : '' }
}
