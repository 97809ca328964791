import { checkNormals, dayLength, lightIndex, MONTH_DAYS, waterIndex, type Normals } from './climate.ts'
import { cardinals, growthAt } from './growth.ts'

/** A warm-season sward at its best against a cool-season one at its best (from memory). */
const WARM_PEAK = 1.3
/** Stems in spring make half as much again as leaf alone would; when they are gone the sward rests (from memory). */
const SPRING = 1.7
const AFTER = 0.65
/** Months of spring: mean temperatures between these and rising, days of more than twelve hours. */
const SPRING_C = [6, 19.5] as const

/** Which months stems rise in, and the two that follow the last of them. */
function spring({ meanC, latitude }: Normals): number[] {
  const rises = meanC.map((t, i) => {
    const before = meanC[(i + 11) % 12]!
    return t > before && t >= SPRING_C[0] && t <= SPRING_C[1] && dayLength(latitude, i) > 12
  })
  const last = rises.findIndex((r, i) => r && !rises[(i + 1) % 12])
  return meanC.map((_, i) => {
    if (rises[i]) return SPRING
    return last >= 0 && [1, 2].some((k) => i === (last + k) % 12) ? AFTER : 1
  })
}

export interface Year {
  /** Growth of each month against the best one, by day, 0 to 1. */
  mixture: number[]
  cool: number[]
  warm: number[]
  /** What holds growth back most in each month. */
  heldBy: ('cold' | 'heat' | 'dry' | 'dark' | 'nothing')[]
  /** Share of a year's growth that falls into each month; adds to 1. */
  shareOfYear: number[]
}

/**
 * Growth of a sward through the year: temperature (Yan & Hunt 1999) times water times light, with the flush of stems in
 * spring and the rest after it for cool-season plants.
 *
 * @param shares of cool and warm season plants, together 1
 * @throws RangeError normals of no place, shares out of 0 to 1
 */
export function growthYear(normals: Normals, shares: { cool: number; warm: number }): Year {
  checkNormals(normals)
  for (const s of [shares.cool, shares.warm]) if (!(s >= 0 && s <= 1)) throw new RangeError(`a share is 0 to 1: ${s}`)
  const water = waterIndex(normals)
  const light = lightIndex(normals.latitude)
  const flush = spring(normals)
  const cool = normals.meanC.map(
    (t, i) => shares.cool * growthAt(t, cardinals.cool) * water[i]! * light[i]! * flush[i]!,
  )
  const warm = normals.meanC.map(
    (t, i) => shares.warm * WARM_PEAK * growthAt(t, cardinals.warm) * water[i]! * light[i]!,
  )
  const sum = cool.map((c, i) => c + warm[i]!)
  const top = Math.max(...sum)
  const scaled = (list: number[]) => list.map((x) => (top > 0 ? x / top : 0))
  const grown = sum.map((x, i) => x * MONTH_DAYS[i]!)
  const all = grown.reduce((a, b) => a + b, 0)
  const main = shares.warm > shares.cool ? cardinals.warm : cardinals.cool
  return {
    mixture: scaled(sum),
    cool: scaled(cool),
    warm: scaled(warm),
    heldBy: normals.meanC.map((t, i) => {
      const temperature = growthAt(t, main)
      const least = Math.min(temperature, water[i]!, light[i]!)
      if (least > 0.75) return 'nothing'
      if (least === temperature) return t < main.best ? 'cold' : 'heat'
      return least === water[i] ? 'dry' : 'dark'
    }),
    shareOfYear: grown.map((g) => (all > 0 ? g / all : 0)),
  }
}

export type Filler = 'warm-season-annual' | 'saved-from-late-summer' | 'cool-season-annual' | 'hay'

export interface MonthOfYear {
  /** Growth that can be eaten, and what the herd eats, kg of dry matter a hectare and day. */
  growth: number
  need: number
  gap: number
}

export interface YearPlan {
  months: MonthOfYear[]
  /** Months, 0 to 11, in which the herd eats more than grows. */
  short: number[]
  /** Dry matter lacking over them, kg a hectare. */
  lackingKgPerHa: number
  /** What could fill it, by when it is. */
  fillers: Filler[]
}

/**
 * Growth of what stands against needs of what eats it.
 *
 * @param yieldKgPerHa dry matter in a year
 * @param useShare share of growth that is eaten, 0 to 1
 * @param needKgPerHaDay what the herd eats, over all the ground it has
 */
export function yearPlan(
  year: Year,
  of: { yieldKgPerHa: number; useShare: number; needKgPerHaDay: number },
  latitude = 45,
): YearPlan {
  if (!(of.yieldKgPerHa >= 0 && of.useShare >= 0 && of.useShare <= 1 && of.needKgPerHaDay >= 0))
    throw new RangeError('a yield, a share of it and a need are 0 or more')
  const months = year.shareOfYear.map((share, i): MonthOfYear => {
    const growth = (share * of.yieldKgPerHa * of.useShare) / MONTH_DAYS[i]!
    return { growth, need: of.needKgPerHaDay, gap: Math.max(0, of.needKgPerHaDay - growth) }
  })
  const short = months.flatMap((m, i) => (m.gap > 0.1 * m.need ? [i] : []))
  // Counted from midwinter, in the south half a year later.
  const season = (i: number) => (latitude >= 0 ? i : (i + 6) % 12)
  const summer = short.some((i) => season(i) >= 5 && season(i) <= 8)
  const late = short.some((i) => season(i) >= 9 || season(i) === 11)
  const winter = short.some((i) => season(i) <= 3 || season(i) === 11)
  return {
    months,
    short,
    lackingKgPerHa: short.reduce((sum, i) => sum + months[i]!.gap * MONTH_DAYS[i]!, 0),
    fillers: [
      ...(summer ? ['warm-season-annual' as const] : []),
      ...(late ? ['saved-from-late-summer' as const] : []),
      ...(winter ? ['cool-season-annual' as const, 'hay' as const] : []),
    ],
  }
}
