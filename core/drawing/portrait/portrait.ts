import type { LifeForm } from '../../flora/flora.ts'
import type { Traits } from '../../flora/traits.ts'
import type { Drawing, Mark } from '../mark.ts'
import type { InsetTitle } from './insetTitles.ts'

export type { Traits }

/** The box that portraits are drawn in, in which a leaf that would reach over its edge stands steeper. */
export const REACH = { left: -2, right: 100, top: 1 }

/** A piece of the plant that can be touched, and the characters it answers. */
export interface Piece {
  /** What it is called: blade, collar, base, below, stem, leaf ... */
  part: string
  /** Characters that can be seen on it, the most telling first. */
  shows: string[]
  marks: Drawing
  /** SVG transform that puts it in its place. */
  transform?: string
}

/** A close look in a circle beside the plant. */
export interface Inset {
  character: string
  /** What it shows. */
  title: InsetTitle
  marks: Drawing
  /** Length of the bar under it, in units of its 100 by 100 box, and what that is in the field. */
  bar?: { units: number; says: string }
}

export interface Portrait {
  form: LifeForm
  /** In a box of 100 wide and 120 high, ground at 88. */
  pieces: Piece[]
  insets: Inset[]
  /** Bar of the main drawing; left out where no size is known. */
  bar?: { units: number; says: string }
}

export const GROUND = 88

/** The same marks for a part that was not looked at: outlines dotted, nothing filled. */
export const dotted = (marks: Drawing): Drawing =>
  marks.filter((m) => m.ink === 'line' || m.ink === 'brush' || m.ink === 'dotted').map((m): Mark => ({ d: m.d, ink: 'dotted' }))

export const known = (piece: Piece, traits: Traits): boolean => piece.shows.some((c) => traits.states[c] !== undefined || traits.sizes[c] !== undefined)

/** A round length in mm that takes up about the wanted number of units. */
export function roundBar(unitsPerMm: number, wanted: number): { units: number; says: string } {
  const mm = wanted / unitsPerMm
  const step = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].reduce((best, s) => (Math.abs(Math.log(s / mm)) < Math.abs(Math.log(best / mm)) ? s : best))
  return { units: step * unitsPerMm, says: step >= 100 ? `${step / 10} cm` : `${step} mm` }
}
