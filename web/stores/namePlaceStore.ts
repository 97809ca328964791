import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { NamePlace, Region } from '@/core/flora/flora.ts'
import { browserStore } from './browserStore.ts'

/** As people of which place the plants are called in English: a choice of the device. */
export const useNamePlace = create<{ place: NamePlace; setPlace: (place: NamePlace) => void }>()(
  persist((set) => ({ place: 'north-america', setPlace: (place) => set({ place }) }), {
    name: 'fold-sprig-names',
    storage: browserStore,
  }),
)

const homes: Record<NamePlace, Region> = {
  'north-america': 'cool-humid',
  'britain-ireland': 'britain-ireland',
  australasia: 'southern-australasia',
}
/** The region of a new paddock where nothing else says it: that of the people whose names are spoken. */
export const homeRegion = (): Region => homes[useNamePlace.getState().place]
