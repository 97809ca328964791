import { create } from 'zustand'
import { shortNames } from '@/core/flora/shortName.ts'
import type { Character, Flora, Hazard, NamePlace, Neighbour, Plant, PlantGroup } from '@/core/flora/flora.ts'
import { onLanguage } from '../language/languageStore.ts'
import { word } from '../language/say.ts'
import { getBook } from '../api/client.ts'
import { pause } from '../pause.ts'
import { useNamePlace } from './namePlaceStore.ts'

interface FloraState {
  characters: Character[]
  plants: Plant[]
  groups: PlantGroup[]
  hazards: Hazard[]
  neighbours: Neighbour[]
  byId: Map<string, Plant>
  load: () => Promise<void>
  /** Read it again, after a plant was added. */
  reload: () => Promise<void>
}

/** One reading for all who ask while it is under way. */
let loading: Promise<void> | undefined

/** A plant under the English name of the reader's place; its names in the others are still found. */
function calledHere(p: Plant, place: NamePlace): Plant {
  if (!p.called) return p
  const commonName = p.called[place] ?? p.commonName
  const names = new Set([p.commonName, ...Object.values(p.called), ...p.alsoCalled])
  names.delete(commonName)
  return { ...p, commonName, alsoCalled: [...names] }
}

/** A plant as the reader's language speaks of it; its English names are still found. */
export function spokenPlant(p: Plant, place: NamePlace = 'north-america'): Plant {
  const name = word(p.commonName)
  const here = calledHere(p, place)
  if (name === p.commonName) return here
  const { exposure } = p
  return {
    ...p,
    commonName: name,
    alsoCalled: [here.commonName, ...here.alsoCalled],
    lookalikes: p.lookalikes.map((l) => ({ ...l, why: word(l.why) })),
    harm: p.harm.map((h) => ({ ...h, note: word(h.note) })),
    ...(p.worth ? { worth: word(p.worth) } : {}),
    ...(exposure
      ? {
          exposure: {
            ...exposure,
            parts: word(exposure.parts),
            signs: word(exposure.signs),
            onset: word(exposure.onset),
            first: word(exposure.first),
            ...(exposure.test ? { test: word(exposure.test) } : {}),
          },
        }
      : {}),
    control: p.control.map((c) => ({
      ...c,
      do: word(c.do),
      ...(c.tools ? { tools: word(c.tools) } : {}),
      ...(c.waste ? { waste: word(c.waste) } : {}),
    })),
  }
}

const spokenCharacter = (c: Character): Character => ({
  ...c,
  title: word(c.title),
  asks: word(c.asks),
  how: c.how.map(word),
  ...(c.needs ? { needs: word(c.needs) } : {}),
  ...(c.caution ? { caution: word(c.caution) } : {}),
})

const spokenHazard = (h: Hazard): Hazard => ({
  ...h,
  name: word(h.name),
  shows: word(h.shows),
  hidden: word(h.hidden),
  // "none" is asked for by name.
  test: h.test === 'none' ? h.test : word(h.test),
  do: word(h.do),
})

/** The book as it came, in English. */
let asWritten: Flora | undefined

function spoken({ characters, plants: english, groups, hazards, neighbours = [] }: Flora) {
  const { place } = useNamePlace.getState()
  const plants = english.map((p) => spokenPlant(p, place))
  return {
    characters: characters.map(spokenCharacter),
    plants,
    groups: groups.map((g) => ({ ...g, name: word(g.name), why: word(g.why) })),
    hazards: hazards.map(spokenHazard),
    neighbours: neighbours.map((n) => ({ ...n, commonName: word(n.commonName) })),
    byId: new Map(plants.map((p) => [p.id, p])),
  }
}

/** The plant book, read once and kept for the visit. */
export const useFlora = create<FloraState>()((set, get) => ({
  characters: [],
  plants: [],
  groups: [],
  hazards: [],
  neighbours: [],
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
    const book = await getBook()
    // A touch is heard before it is shown. It is put into words and shown in one go: the language may change in a pause.
    await pause()
    asWritten = book
    set(spoken(book))
  },
}))

// Codes and figures stay as they were written; only its names and its prose are put into other words.
const speakAgain = () => {
  if (asWritten) useFlora.setState(spoken(asWritten))
}
onLanguage(speakAgain)
useNamePlace.subscribe(speakAgain)

export const flora = (): Flora => {
  const { characters, plants, groups, hazards, neighbours } = useFlora.getState()
  return { characters, plants, groups, hazards, neighbours }
}

export const characterOf = (id: string): Character | undefined =>
  useFlora.getState().characters.find((c) => c.id === id)

/** What a plant is called where there is little room, told apart from every other. */
export const shortName = (id: string): string => shortNames(useFlora.getState().plants).get(id) ?? id
