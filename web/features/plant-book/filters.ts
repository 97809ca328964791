import { cellAt, type Plant, type Role } from '@/core/flora/flora.ts'
import { shareOfWord } from '@/core/flora/frequency.ts'

export interface BookFilter {
  text: string
  role: Role | ''
  character: string
  state: string
  /** Plants of one sward: its sown list and what was counted; null for the whole book. */
  sward: string[] | null
}

export const noFilter: BookFilter = { text: '', role: '', character: '', state: '', sward: null }

/** A state counts as shown where at least one plant in five shows it. */
const SHOWN_FROM = shareOfWord.sometimes

const showsState = (plant: Plant, character: string, state: string): boolean => {
  if (character === 'life.form') return plant.form === state
  const cell = cellAt(plant, character, 'vegetative')
  const word = cell?.kind === 'states' ? cell.words[state] : undefined
  return word !== undefined && shareOfWord[word] >= SHOWN_FROM
}

/** Plants of the book that pass every filter that is set. */
export function filtered(plants: Plant[], { text, role, character, state, sward }: BookFilter): Plant[] {
  const wanted = text.trim().toLowerCase()
  return plants.filter(
    (p) =>
      (wanted === '' ||
        [p.commonName, p.scientificName, p.family, ...p.alsoCalled].some((n) => n.toLowerCase().includes(wanted))) &&
      (role === '' || p.role === role) &&
      (character === '' || state === '' || showsState(p, character, state)) &&
      (sward === null || sward.includes(p.id)),
  )
}
