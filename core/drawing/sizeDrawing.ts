import { bladeToScale } from './blade.ts'
import { liguleToScale } from './collar.ts'
import { leaf, oval } from './leafShape.ts'
import { smoothClosed, straight, type Drawing } from './mark.ts'
import { roundBar } from './portrait/portrait.ts'

/** The longest size of each measured character that a drawing shows in full, in mm: sizes met in pasture. */
export const STRIP_MM: Record<string, number> = { 'ligule.height': 10, 'blade.width': 30, 'leaflet.length': 60, 'leaf.length': 400, 'seedleaf.length': 60, 'seed.size': 5 }

/** Sizes offered to be touched, in mm, each about half as large again as the one before. */
export const QUICK_MM: Record<string, number[]> = {
  'ligule.height': [0.3, 0.6, 1, 1.5, 2, 3, 4.5, 7],
  'blade.width': [1, 2, 3, 4, 6, 9, 13, 20],
  'leaflet.length': [5, 8, 12, 16, 22, 30, 45, 60],
  'leaf.length': [10, 20, 40, 70, 110, 170, 260, 400],
  'seedleaf.length': [2, 4, 7, 10, 15, 22, 32, 45],
  'seed.size': [1, 1.4, 1.8, 2.3, 3, 4],
}

/** Drawing units to a millimetre, so that the longest size shown fills the box. */
export const unitsPerMm = (character: string): number => (character === 'ligule.height' ? 54 : 92) / (STRIP_MM[character] ?? 100)

const withBar = (drawing: Drawing, perMm: number): { drawing: Drawing; bar: string } => {
  const bar = roundBar(perMm, 26)
  return { drawing: [...drawing, { d: straight([4, 95], [4, 97], [4 + bar.units, 97], [4 + bar.units, 95]), ink: 'line' }], bar: bar.says }
}

/** A part of a given size, to scale; sizes beyond the strip fill the box. */
export function partToScale(character: string, mm: number): Drawing {
  const perMm = unitsPerMm(character)
  const units = Math.max(0.5, Math.min(92, mm * perMm))
  switch (character) {
    case 'ligule.height':
      return liguleToScale(mm, perMm)
    case 'blade.width':
      return bladeToScale(mm, perMm)
    case 'leaflet.length':
      return leaf({ length: units, width: units * 0.7, profile: oval(0.56) }, [50, 96], -90, { veins: units > 20 ? 4 : 0 })
    case 'seedleaf.length':
    case 'leaf.length':
      return leaf({ length: units, width: units * 0.42, profile: oval(0.5) }, [50, 96], -90, { veins: units > 20 ? 5 : 0 })
    default: {
      const h = units / 2
      const outline = smoothClosed([[50, 50 - h], [50 + h * 0.6, 50 - h * 0.5], [50 + h * 0.7, 50 + h * 0.3], [50, 50 + h], [50 - h * 0.7, 50 + h * 0.3], [50 - h * 0.6, 50 - h * 0.5]])
      return [{ d: outline, ink: 'beige' }, { d: outline, ink: 'line' }]
    }
  }
}

/** A part at a share of the longest size shown, with a bar. */
export function sizeDrawing(character: string, share: number): { drawing: Drawing; mm: number; bar: string } {
  const mm = Number(((STRIP_MM[character] ?? 100) * share).toPrecision(2))
  return { mm, ...withBar(partToScale(character, mm), unitsPerMm(character)) }
}
