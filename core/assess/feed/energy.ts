/** Energy of a feed, megacalories a kilogram of dry matter. */
export interface EnergyMcalPerKg {
  de: number
  me: number
  nem: number
  neg: number
}

/**
 * Digestible, metabolizable and net energy from total digestible nutrients.
 *
 *   DE = 0.04409 TDN,  ME = 0.82 DE
 *   NEm = 1.37 ME - 0.138 ME^2 + 0.0105 ME^3 - 1.12
 *   NEg = 1.42 ME - 0.174 ME^2 + 0.0122 ME^3 - 1.65
 *
 * Source: National Research Council, Nutrient Requirements of Beef Cattle, 1996.
 *
 * @param tdnPct 0 to 100 % of dry matter
 * @throws RangeError out of range
 * @example energyFromTdn(60).me // 2.17
 */
export function energyFromTdn(tdnPct: number): EnergyMcalPerKg {
  if (!(tdnPct >= 0 && tdnPct <= 100)) throw new RangeError(`tdnPct must be 0 to 100: ${tdnPct}`)
  const de = 0.04409 * tdnPct
  const me = 0.82 * de
  return {
    de,
    me,
    nem: 1.37 * me - 0.138 * me ** 2 + 0.0105 * me ** 3 - 1.12,
    neg: 1.42 * me - 0.174 * me ** 2 + 0.0122 * me ** 3 - 1.65,
  }
}

/** What a laboratory gives, % of dry matter; NDFD is % of NDF digested in 48 hours. */
export interface LabValues {
  cpPct: number
  adfPct: number
  ndfPct: number
  ndfdPct: number
  /** Ether extract (fat). */
  eePct: number
  ashPct: number
}

/** Nitrogen-free fibre, non-fibre carbohydrate and fatty acids, % of dry matter (Moore & Undersander 2002, from memory). */
function fractions({ cpPct, ndfPct, eePct, ashPct }: LabValues) {
  const ndfn = 0.93 * ndfPct
  return { ndfn, nfc: 100 - (ndfn + cpPct + eePct + ashPct), fa: eePct - 1 }
}

export interface ForageQuality {
  tdnPct: number
  /** Dry matter intake, % of body weight. */
  dmiPct: number
  /** Relative forage quality: DMI x TDN / 1.23, no unit. */
  rfq: number
}

const quality = (tdnPct: number, dmiPct: number): ForageQuality => ({ tdnPct, dmiPct, rfq: (dmiPct * tdnPct) / 1.23 })

/**
 * Relative forage quality of a legume. Source: Moore & Undersander 2002 (from memory).
 *
 *   TDN = 0.98 NFC + 0.93 CP + 0.97 x 2.25 FA + NDFn x NDFD / 100 - 7
 *   DMI = 120 / NDF + (NDFD - 45) x 0.374 / 1350 x 100
 */
export function legumeQuality(lab: LabValues): ForageQuality {
  const { ndfn, nfc, fa } = fractions(lab)
  const tdn = 0.98 * nfc + 0.93 * lab.cpPct + 0.97 * 2.25 * fa + (ndfn * lab.ndfdPct) / 100 - 7
  return quality(tdn, 120 / lab.ndfPct + ((lab.ndfdPct - 45) * 0.374 * 100) / 1350)
}

/**
 * Relative forage quality of a grass. Source: Moore & Undersander 2002 (from memory).
 *
 *   NDFDp = 22.7 + 0.664 NDFD
 *   TDN = 0.98 NFC + 0.87 CP + 0.97 x 2.25 FA + NDFn x NDFDp / 100 - 10
 */
export function grassQuality(lab: LabValues): ForageQuality {
  const { ndfn, nfc, fa } = fractions(lab)
  const { cpPct: cp, adfPct: adf } = lab
  const tdn = 0.98 * nfc + 0.87 * cp + 0.97 * 2.25 * fa + (ndfn * (22.7 + 0.664 * lab.ndfdPct)) / 100 - 10
  const dmi =
    -2.318 +
    0.442 * cp -
    0.01 * cp ** 2 -
    0.0638 * tdn +
    0.000922 * tdn ** 2 +
    0.18 * adf -
    0.00196 * adf ** 2 -
    0.00529 * cp * adf
  return quality(tdn, dmi)
}
