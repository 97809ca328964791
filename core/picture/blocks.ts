import type { Picture } from './homography.ts'

/** What is seen of one block of pixels: chromaticity, brightness, two greenness indices and how rough it is. */
export type BlockFeatures = [red: number, green: number, light: number, excess: number, vari: number, rough: number]

/**
 * Blocks of a straight picture and what is seen of each. Excess green 2g - r - b of chromaticities (Woebbecke et al. 1995), VARI
 * (g - r) / (g + r - b) (Gitelson et al. 2002), roughness as the standard deviation of brightness over the mean.
 *
 * @param perSide blocks on each side; the picture is a square of that many pixels or more
 * @returns row by row, from the upper left
 */
export function blockFeatures({ data, width }: Picture, perSide: number): BlockFeatures[] {
  const side = width / perSide
  return Array.from({ length: perSide * perSide }, (_, at): BlockFeatures => {
    const [x0, y0] = [Math.floor((at % perSide) * side), Math.floor(Math.floor(at / perSide) * side)]
    const [x1, y1] = [Math.max(x0 + 1, Math.floor(x0 + side)), Math.max(y0 + 1, Math.floor(y0 + side))]
    let [r, g, b, squares] = [0, 0, 0, 0]
    for (let y = y0; y < y1; y++)
      for (let x = x0; x < x1; x++) {
        const i = (y * width + x) * 4
        const light = data[i]! + data[i + 1]! + data[i + 2]!
        r += data[i]!
        g += data[i + 1]!
        b += data[i + 2]!
        squares += light * light
      }
    const pixels = (x1 - x0) * (y1 - y0)
    const all = r + g + b || 1
    const mean = all / pixels
    const rough = Math.sqrt(Math.max(0, squares / pixels - mean ** 2)) / mean
    const [cr, cg, cb] = [r / all, g / all, b / all]
    const vari = (cg - cr) / Math.max(0.05, cg + cr - cb)
    return [cr, cg, mean / 765, 2 * cg - cr - cb, vari, rough]
  })
}
