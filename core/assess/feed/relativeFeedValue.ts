export interface FibrePct {
  /** Acid detergent fibre, % of dry matter. */
  adfPct: number
  /** Neutral detergent fibre, % of dry matter. */
  ndfPct: number
}

/**
 * Relative feed value: digestible intake, scaled so that full-bloom alfalfa is about 100.
 *
 *   DDM = 88.9 - 0.779 ADF    digestible dry matter, % of dry matter
 *   DMI = 120 / NDF           dry matter intake, % of body weight
 *   RFV = DDM x DMI / 1.29    index, no unit
 *
 * Source: Rohweder, Barnes & Jorgensen 1978, J. Anim. Sci. 47:747.
 *
 * @param fibre ADF 0 to NDF, NDF above 0 and at most 100
 * @throws RangeError out of range, or ADF above NDF (ADF is a part of NDF)
 * @example relativeFeedValue({ adfPct: 41, ndfPct: 53 }) // 99.98
 */
export function relativeFeedValue({ adfPct, ndfPct }: FibrePct): number {
  if (!(ndfPct > 0 && ndfPct <= 100)) throw new RangeError(`ndfPct must be in (0, 100]: ${ndfPct}`)
  if (!(adfPct >= 0 && adfPct <= ndfPct)) throw new RangeError(`adfPct must be in [0, ndfPct]: ${adfPct}`)
  return ((88.9 - 0.779 * adfPct) * (120 / ndfPct)) / 1.29
}
