import { type MadeSward, SHARES, type CoverageCase } from './coverageCases.ts'

/** Shares from here on are those of main plants. */
const MAIN_FROM = 0.1

export interface Coverage {
  /** Of all plants and other figures of the case. */
  all: number | undefined
  /** Of plants that make up a tenth or more (and of figures that are no shares); undefined where there is none. */
  main: number | undefined
  /** The same of the main plant that fares worst. */
  worstMain: number | undefined
  /** Of the plants below a tenth. */
  minor: number | undefined
}

/**
 * How often the 95 % intervals of a way of counting hold the truth.
 *
 * @param rounds made rounds, each judged on every plant of the case
 */
export function coverage(
  of: CoverageCase,
  sward: Omit<MadeSward, 'shares'>,
  rounds: number,
  random: () => number,
): Coverage {
  const made = { shares: SHARES, ...sward }
  const truth = of.truth(made, random)
  const counts = truth.map((share) => ({ isMain: share >= MAIN_FROM, inside: 0, times: 0 }))
  for (let i = 0; i < rounds; i++)
    of.intervals(made, random).forEach((interval, k) => {
      if (!interval) return
      const count = counts[k]!
      count.times++
      if (interval[0] <= truth[k]! && truth[k]! <= interval[1]) count.inside++
    })
  const judged = counts.filter((c) => c.times > 0)
  const share = (list: typeof counts) => {
    const times = list.reduce((n, c) => n + c.times, 0)
    return times > 0 ? list.reduce((n, c) => n + c.inside, 0) / times : undefined
  }
  const main = judged.filter((c) => c.isMain)
  return {
    all: share(judged),
    main: share(main),
    worstMain: main.length > 0 ? Math.min(...main.map((c) => c.inside / c.times)) : undefined,
    minor: share(judged.filter((c) => !c.isMain)),
  }
}

/** How often each plant's interval holds, at one patchiness; shares as the made sward has them. */
export function coverageByPlant(
  of: CoverageCase,
  evenness: number,
  rounds: number,
  random: () => number,
): { share: number; held: number | undefined }[] {
  const made = { shares: SHARES, evenness }
  const truth = of.truth(made, random)
  const counts = truth.map(() => ({ inside: 0, times: 0 }))
  for (let i = 0; i < rounds; i++)
    of.intervals(made, random).forEach((interval, k) => {
      if (!interval) return
      counts[k]!.times++
      if (interval[0] <= truth[k]! && truth[k]! <= interval[1]) counts[k]!.inside++
    })
  return counts.map((c, k) => ({ share: SHARES[k]!, held: c.times > 0 ? c.inside / c.times : undefined }))
}
