import type { Likeness, Proportion, Tints } from '@/core/flora/flora.ts'
import { ArrayMaxSize, ArrayMinSize, IsArray, IsOptional, Max, Min } from 'class-validator'
import { Range, Sources } from './useFile.ts'

type Pair = [number, number]
type Lab = [number, number, number]

/** A colour as CIELAB: lightness 0 to 100, green to red and blue to yellow -100 to 100. */
const Colour = (): PropertyDecorator => {
  const rules = [IsArray(), ArrayMinSize(3), ArrayMaxSize(3), Min(-100, { each: true }), Max(100, { each: true })]
  return (target, key) => rules.forEach((rule) => rule(target, key as string))
}

/** Proportions and colours that no character codes, by which a plant is built in space. */
export class LikenessFile {
  @IsOptional() @Range(5, 2000) blade_mm?: Pair
  @IsOptional() @Range(3, 800) sheath_mm?: Pair
  @IsOptional() @Range(1, 300) shoots?: Pair
  @IsOptional() @Range(0, 90) lean_degrees?: Pair
  @IsOptional() @Range(0, 180) fall_degrees?: Pair
  @IsOptional() @Range(10, 4000) stem_mm?: Pair
  @IsOptional() @Range(1, 30) stems?: Pair
  @IsOptional() @Range(0, 20) branches?: Pair
  @IsOptional() @Range(1, 80) leaves?: Pair
  @IsOptional() @Range(1, 20) whorl?: Pair
  @IsOptional() @Range(0.005, 1.5) leaf_wide?: Pair
  @IsOptional() @Range(0.05, 0.6) leaflet?: Pair
  @IsOptional() @Range(1, 40) lobes?: Pair
  @IsOptional() @Range(0, 1) cut?: Pair
  @IsOptional() @Range(1, 60) teeth?: Pair
  @IsOptional() @Range(-1, 1) sweep?: Pair
  @IsOptional() @Range(-1, 2) foot?: Pair
  @IsOptional() @Range(0, 2) barb?: Pair
  @IsOptional() @Colour() upper_lab?: Lab
  @IsOptional() @Colour() lower_lab?: Lab
  @IsOptional() @Colour() stem_lab?: Lab
  @IsOptional() @Colour() base_lab?: Lab
  @Sources() sources!: string[]
}

const known = <T>(all: Record<string, T | undefined>): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter((e): e is [string, T] => e[1] !== undefined))

export function likenessOf(file: LikenessFile): Likeness {
  const ranges: Record<Proportion, Pair | undefined> = {
    bladeMm: file.blade_mm,
    sheathMm: file.sheath_mm,
    shoots: file.shoots,
    leanDegrees: file.lean_degrees,
    fallDegrees: file.fall_degrees,
    stemMm: file.stem_mm,
    stems: file.stems,
    branches: file.branches,
    leaves: file.leaves,
    whorl: file.whorl,
    leafWide: file.leaf_wide,
    leaflet: file.leaflet,
    lobes: file.lobes,
    cut: file.cut,
    teeth: file.teeth,
    sweep: file.sweep,
    foot: file.foot,
    barb: file.barb,
  }
  const tints: Record<keyof Tints, Lab | undefined> = {
    upper: file.upper_lab,
    lower: file.lower_lab,
    stem: file.stem_lab,
    base: file.base_lab,
  }
  return { ranges: known(ranges), tints: known(tints), sources: file.sources }
}
