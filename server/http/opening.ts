import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Request } from 'express'
import type { Plant } from '@/core/flora/flora.ts'
import { pictureOf } from '@/core/likeness/pictureOf.ts'

interface Words {
  title: string
  lead: string
}

/** What stands for a plant before its page has come. */
export interface PlantOpening {
  name: string
  /** Addresses of its picture, 360 and 1,200 pixels. */
  pictures?: [small: string, large: string]
}

export type PlantOpenings = (id: string) => PlantOpening | undefined

/** The name that needs no language, and the picture that its page shows first. */
export function openingOf(plant: Plant | undefined): PlantOpening | undefined {
  if (!plant) return undefined
  const [small, large] = ([360, 1200] as const).map((pixels) => pictureOf(plant, 'vegetative', pixels))
  return { name: plant.scientificName, ...(small && large ? { pictures: [small, large] } : {}) }
}

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!)

const paragraph = (classes: string, text: string): string => (text ? `<p class="${classes}">${text}</p>` : '')

function plantPart({ name, pictures }: PlantOpening): string {
  const picture = pictures
    ? `<img src="${pictures[0]}" srcset="${pictures[0]} 360w, ${pictures[1]} 1200w" sizes="min(34rem, 90vw)" width="360" height="360" alt="" fetchpriority="high" class="plate mt-3 w-full max-w-[min(34rem,48dvh)]" />`
    : ''
  return `<p class="text-xl italic">${escaped(name)}</p>${picture}`
}

/** Whether a page is for a reader, and not kept by a service worker as the frame of every place. */
const isForReader = (req: Request): boolean => (req.get('sec-fetch-dest') ?? 'document') === 'document'

/**
 * What a place is called and what is found there, as it stands in its page before any script has come: on a thin line that is seconds earlier.
 * In the language that the browser asks for; left out where nothing is known of the place.
 *
 * @param dist folder of the built pages
 */
export function openingsIn(dist: string, plants: PlantOpenings = () => undefined) {
  const file = join(dist, 'openings.json')
  const spoken = existsSync(file)
    ? (JSON.parse(readFileSync(file, 'utf8')) as Record<string, Record<string, Words>>)
    : {}
  return (path: string, req: Request): { language: string; html: string } => {
    const language = req.acceptsLanguages(Object.keys(spoken)) || 'en'
    const words = isForReader(req) ? spoken[language]?.[path] : undefined
    if (!words) return { language, html: '' }
    const plant = typeof req.params.id === 'string' ? plants(req.params.id) : undefined
    const html = `<div class="p-4 min-[901px]:px-8">${paragraph('font-plant text-[1.65rem] font-semibold', escaped(words.title))}${paragraph('mt-2 max-w-prose text-xl', escaped(words.lead))}${plant ? plantPart(plant) : ''}</div>`
    return { language, html }
  }
}
