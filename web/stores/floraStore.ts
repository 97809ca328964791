import { create } from 'zustand'
import { shortNames } from '@/core/naming/shortName.ts'
import type { Character, Flora, Hazard, Plant, PlantGroup } from '@/core/naming/flora.ts'
import { getCharacters, getGroups, getHazards, getPlants } from '../api/client.ts'

interface FloraState {
  characters: Character[]
  plants: Plant[]
  groups: PlantGroup[]
  hazards: Hazard[]
  byId: Map<string, Plant>
  load: () => Promise<void>
  /** Read it again, after a plant was added. */
  reload: () => Promise<void>
}

/** One reading for all who ask while it is under way. */
let loading: Promise<void> | undefined

/** The plant book, read once and kept for the visit. */
export const useFlora = create<FloraState>()((set, get) => ({
  characters: [],
  plants: [],
  groups: [],
  hazards: [],
  byId: new Map(),
  load: () => {
    loading ??= get()
      .reload()
      .catch((e: unknown) => {
        loading = undefined
        throw e
      })
    return loading
  },
  reload: async () => {
    const [characters, plants, groups, hazards] = await Promise.all([
      getCharacters(),
      getPlants(),
      getGroups(),
      getHazards(),
    ])
    set({ characters, plants, groups, hazards, byId: new Map(plants.map((p) => [p.id, p])) })
  },
}))

export const flora = (): Flora => {
  const { characters, plants, groups, hazards } = useFlora.getState()
  return { characters, plants, groups, hazards }
}

export const characterOf = (id: string): Character | undefined =>
  useFlora.getState().characters.find((c) => c.id === id)

/** What a plant is called where there is little room, told apart from every other. */
export const shortName = (id: string): string => shortNames(useFlora.getState().plants).get(id) ?? id
