import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { VocabularyFile } from '@/core/describe/vocabulary.ts'
import { browserStore } from '../../../stores/browserStore.ts'

/** A phrase of this installation and what it means: "stem.marks=red-tinged". */
export interface OurWord {
  phrase: string
  means: string
}

interface OurWords {
  words: OurWord[]
  teach: (word: OurWord) => void
  forget: (phrase: string) => void
}

/** Phrases that somebody said here and marked with what they meant; kept on this device. */
export const useOurWords = create<OurWords>()(
  persist(
    (set) => ({
      words: [],
      teach: (word) => set((s) => ({ words: [...s.words.filter((w) => w.phrase !== word.phrase), word] })),
      forget: (phrase) => set((s) => ({ words: s.words.filter((w) => w.phrase !== phrase) })),
    }),
    { name: 'fold-sprig-our-words', storage: browserStore },
  ),
)

/** A vocabulary with the words of this installation in it. */
export const withOurs = (file: VocabularyFile, ours: readonly OurWord[]): VocabularyFile => ({
  ...file,
  words: ours.reduce<Record<string, string>>(
    (all, { phrase, means }) => ({ ...all, [means]: all[means] ? `${all[means]}; ${phrase}` : phrase }),
    file.words,
  ),
})
