import { useEffect, useMemo, useState } from 'react'
import { describe } from '@/core/describe/describe.ts'
import type { Description } from '@/core/describe/description.ts'
import { compileVocabulary } from '@/core/describe/vocabulary.ts'
import { reads, useRead } from '../../data/reads.ts'
import { useLanguage } from '../../language/languageStore.ts'
import { say } from '../../language/say.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { withOurs, useOurWords } from './ourWords.ts'

/** So long the typing rests before it is read. */
const REST_MS = 40

/** What a text says of a plant, a moment after the typing rests; why not, where the words cannot be had. */
export function useDescribing(text: string): { said: Description | undefined; text: string; problem: string } {
  const language = useLanguage((s) => s.language)
  const characters = useFlora((s) => s.characters)
  const wanted = language === 'de' ? 'de' : 'en'
  const { data, problem } = useRead(useMemo(() => reads.words(wanted), [wanted]))
  const ours = useOurWords((s) => s.words)
  const vocabulary = useMemo(
    () => data && compileVocabulary(wanted, withOurs(data.file, ours), data.meanings, characters, new Map(Object.entries(data.names))), // prettier-ignore
    [data, ours, wanted, characters],
  )
  const [rested, setRested] = useState(text)
  useEffect(() => {
    const timer = setTimeout(() => setRested(text), REST_MS)
    return () => clearTimeout(timer)
  }, [text])
  const said = useMemo(() => vocabulary && describe(vocabulary, rested), [vocabulary, rested])
  return { said, text: rested, problem: problem ? say('The words could not be fetched: answer by the drawings.') : '' }
}
