import { codeWords } from '@/text/codeWords.ts'
import { cellAt, type Plant, type Stage } from '@/core/flora/flora.ts'
import { shareOfWord } from '@/core/flora/frequency.ts'
import { say } from '../../language/say.ts'
import { stateWords } from '../../parts/words.ts'

/** The state a plant shows most often, or its typical size in words. */
export function usualState(plant: Plant, character: string, stage: Stage): string | undefined {
  if (character === 'life.form') return plant.form
  const cell = cellAt(plant, character, stage)
  if (cell?.kind !== 'states') return undefined
  return Object.entries(cell.words).sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])[0]?.[0]
}

export function usualWords(plant: Plant, character: string, stage: Stage): string {
  const cell = cellAt(plant, character, stage)
  if (!cell) return say('not recorded')
  if (cell.kind === 'range')
    return say('{{typical}} to {{typical2}} mm', { typical: cell.typical[0], typical2: cell.typical[1] })
  return Object.entries(cell.words)
    .filter(([, w]) => w !== 'never' && w !== 'rarely')
    .sort((a, b) => shareOfWord[b[1]] - shareOfWord[a[1]])
    .map(([s, w]) => {
      const state = stateWords(s)
      return w === 'always' ? state : `${codeWords(w)} ${state}`
    })
    .join(', ')
}
