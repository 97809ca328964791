import { create } from 'zustand'
import type { Character, Flora, Plant } from '@/core/naming/flora.ts'
import { getCharacters, getPlants } from '../api/client.ts'

interface FloraState {
  characters: Character[]
  plants: Plant[]
  byId: Map<string, Plant>
  load: () => Promise<void>
}

/** The plant book, read once and kept for the visit. */
export const useFlora = create<FloraState>()((set, get) => ({
  characters: [],
  plants: [],
  byId: new Map(),
  load: async () => {
    if (get().plants.length > 0) return
    const [characters, plants] = await Promise.all([getCharacters(), getPlants()])
    set({ characters, plants, byId: new Map(plants.map((p) => [p.id, p])) })
  },
}))

export const flora = (): Flora => {
  const { characters, plants } = useFlora.getState()
  return { characters, plants }
}

export const characterOf = (id: string): Character | undefined =>
  useFlora.getState().characters.find((c) => c.id === id)
