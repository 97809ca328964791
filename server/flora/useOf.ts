import type { Plant, Sowing } from '@/core/flora/flora.ts'
import { likenessOf } from './likenessFile.ts'
import type { PlantFile } from './plantFile.ts'

const sowingOf = (s: NonNullable<PlantFile['sowing']>): Sowing => ({
  kgPerHa: s.kg_per_ha,
  ...(s.mix_kg_per_ha ? { mixKgPerHa: s.mix_kg_per_ha } : {}),
  seedsPerKg: s.seeds_per_kg,
  depthMm: s.depth_mm,
  when: s.when,
  ...(s.ph_least === undefined ? {} : { phLeast: s.ph_least }),
  sources: s.sources,
})

/** What a plant is worth to those who graze, mow or sow it. */
export const useOf = (
  file: PlantFile,
): Pick<Plant, 'feed' | 'eaten' | 'regrowth' | 'turf' | 'mowMm' | 'likeness' | 'worth' | 'sowing'> => ({
  ...(file.likeness ? { likeness: likenessOf(file.likeness) } : {}),
  ...(file.mow_mm ? { mowMm: file.mow_mm } : {}),
  ...(file.feed ? { feed: { ...file.feed, sources: file.feed.sources ?? ['from memory'] } } : {}),
  ...(file.eaten ? { eaten: { ...file.eaten } } : {}),
  ...(file.regrowth
    ? {
        regrowth: {
          days: file.regrowth.days,
          ...(file.regrowth.leaves ? { leaves: file.regrowth.leaves } : {}),
          inCm: file.regrowth.in_cm,
          outCm: file.regrowth.out_cm,
          sources: file.regrowth.sources,
        },
      }
    : {}),
  ...(file.turf
    ? {
        turf: {
          mowMm: { ...file.turf.mow_mm },
          nKgPerHa: file.turf.n_kg_per_ha,
          gPerM2: file.turf.g_per_m2,
          overseedGPerM2: file.turf.overseed_g_per_m2,
          sources: file.turf.sources,
        },
      }
    : {}),
  ...(file.worth ? { worth: file.worth } : {}),
  ...(file.sowing ? { sowing: sowingOf(file.sowing) } : {}),
})

/** Ranges of use whose figures stand the wrong way round, by their path in the file. */
export function wrongWayRound(file: PlantFile): string[][] {
  const { sowing, regrowth, turf, feed } = file
  const ranges: [string[], [number, number] | undefined][] = [
    [['mow_mm'], file.mow_mm],
    ...(['blade_mm', 'sheath_mm', 'shoots', 'stem_mm', 'leaves'] as const).map((k): [string[], [number, number] | undefined] => [['likeness', k], file.likeness?.[k]]), // prettier-ignore
    ...(['kg_per_ha', 'mix_kg_per_ha', 'depth_mm'] as const).map((k): [string[], [number, number] | undefined] => [['sowing', k], sowing?.[k]]), // prettier-ignore
    ...(['days', 'leaves', 'in_cm', 'out_cm'] as const).map((k): [string[], [number, number] | undefined] => [['regrowth', k], regrowth?.[k]]), // prettier-ignore
    ...(['n_kg_per_ha', 'g_per_m2', 'overseed_g_per_m2'] as const).map((k): [string[], [number, number] | undefined] => [['turf', k], turf?.[k]]), // prettier-ignore
    ...(['sports', 'lawn', 'low-upkeep'] as const).map((k): [string[], [number, number] | undefined] => [['turf', 'mow_mm', k], turf?.mow_mm[k]]), // prettier-ignore
    ...(['leafy', 'stemmy', 'ripe', 'cured'] as const).flatMap(
      (state) =>
      (['cp', 'adf', 'ndf'] as const).map((k): [string[], [number, number] | undefined] => [['feed', state, k], feed?.[state]?.[k]]), // prettier-ignore
    ),
  ]
  return ranges.flatMap(([path, range]) => (range && range[0] > range[1] ? [path] : []))
}
