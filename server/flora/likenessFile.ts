import type { Likeness } from '@/core/flora/flora.ts'
import { IsOptional } from 'class-validator'
import { Range, Sources } from './useFile.ts'

type Pair = [number, number]

/** Proportions that no character codes, by which a plant is built in space. */
export class LikenessFile {
  @IsOptional() @Range(5, 2000) blade_mm?: Pair
  @IsOptional() @Range(3, 800) sheath_mm?: Pair
  @IsOptional() @Range(1, 300) shoots?: Pair
  @IsOptional() @Range(10, 4000) stem_mm?: Pair
  @IsOptional() @Range(2, 80) leaves?: Pair
  @Sources() sources!: string[]
}

export const likenessOf = ({ blade_mm, sheath_mm, shoots, stem_mm, leaves, sources }: LikenessFile): Likeness => ({
  ...(blade_mm ? { bladeMm: blade_mm } : {}),
  ...(sheath_mm ? { sheathMm: sheath_mm } : {}),
  ...(shoots ? { shoots } : {}),
  ...(stem_mm ? { stemMm: stem_mm } : {}),
  ...(leaves ? { leaves } : {}),
  sources,
})
