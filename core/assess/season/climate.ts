import type { Normals } from '../../records/management.ts'

/** Sun, evaporation and water in the ground, month by month. */

export type { Normals }

export const MONTH_DAYS = [31, 28.25, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const
/** Day of the year in the middle of each month. */
const MID = [15, 46, 74, 105, 135, 166, 196, 227, 258, 288, 319, 349] as const

/** @throws RangeError what is no climate of a place */
export function checkNormals({ meanC, rainMm, latitude }: Normals): void {
  if (meanC.length !== 12 || rainMm.length !== 12) throw new RangeError('twelve months are needed')
  if (!meanC.every((t) => t >= -60 && t <= 50)) throw new RangeError('a monthly mean lies between -60 and 50 degrees')
  if (!rainMm.every((r) => r >= 0 && r <= 2000)) throw new RangeError('monthly rain lies between 0 and 2000 mm')
  if (!(latitude >= -65 && latitude <= 65)) throw new RangeError('a pasture lies between 65 degrees south and north')
}

const radians = (degrees: number) => (degrees * Math.PI) / 180

function sun(latitude: number, month: number) {
  const day = MID[month]!
  const declination = 0.409 * Math.sin((2 * Math.PI * day) / 365 - 1.39)
  const phi = radians(latitude)
  const sunset = Math.acos(Math.max(-1, Math.min(1, -Math.tan(phi) * Math.tan(declination))))
  const distance = 1 + 0.033 * Math.cos((2 * Math.PI * day) / 365)
  return { declination, phi, sunset, distance }
}

/** Hours from sunrise to sunset (Allen et al. 1998, FAO Irrigation and Drainage Paper 56, equation 34). @param month 0 to 11 */
export const dayLength = (latitude: number, month: number): number => (24 / Math.PI) * sun(latitude, month).sunset

/** Sun above the air, MJ a square metre and day (the same, equation 21). */
export function sunAboveMj(latitude: number, month: number): number {
  const { declination, phi, sunset, distance } = sun(latitude, month)
  const G = 0.082
  return (
    ((24 * 60) / Math.PI) *
    G *
    distance *
    (sunset * Math.sin(phi) * Math.sin(declination) + Math.cos(phi) * Math.cos(declination) * Math.sin(sunset))
  )
}

/** Water that a green sward would use in each month, mm: Thornthwaite 1948, held above 26.5 degrees as he did. */
export function thornthwaite({ meanC, latitude }: Pick<Normals, 'meanC' | 'latitude'>): number[] {
  const warm = meanC.map((t) => Math.max(0, t))
  const heat = warm.reduce((sum, t) => sum + (t / 5) ** 1.514, 0)
  if (heat === 0) return warm.map(() => 0)
  const a = 6.75e-7 * heat ** 3 - 7.71e-5 * heat ** 2 + 1.792e-2 * heat + 0.49239
  return warm.map((t, i) => {
    const unadjusted = t >= 26.5 ? -415.85 + 32.24 * t - 0.43 * t * t : 16 * ((10 * t) / heat) ** a
    return unadjusted * (dayLength(latitude, i) / 12) * (MONTH_DAYS[i]! / 30)
  })
}

/** Water that a sward can draw from its root zone, mm; a stated usual, for a loam. */
export const ROOT_STORE_MM = 100

/**
 * Water used over water wanted in each month, 0 to 1, by a store that fills with rain and gives the slower the emptier it
 * is (Thornthwaite & Mather 1955). The year is run until it repeats itself.
 */
export function waterIndex(normals: Normals, storeMm = ROOT_STORE_MM): number[] {
  const wanted = thornthwaite(normals)
  let store = storeMm
  let index: number[] = []
  for (let year = 0; year < 5; year++) {
    index = wanted.map((pet, i) => {
      const rain = normals.rainMm[i]!
      if (rain >= pet) {
        store = Math.min(storeMm, store + rain - pet)
        return 1
      }
      const left = store * Math.exp(-(pet - rain) / storeMm)
      const used = rain + store - left
      store = left
      return used / pet
    })
  }
  return index
}

/** Sunlight at the ground against what a leaf can use, 0 to 1: 1 - exp(-3.5 R / 31.4) (Fitzpatrick & Nix 1970, from memory), half of the sun coming through. */
export const lightIndex = (latitude: number): number[] =>
  MID.map((_, i) => 1 - Math.exp((-3.5 * 0.5 * sunAboveMj(latitude, i)) / 31.4))
