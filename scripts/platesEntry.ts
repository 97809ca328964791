import { randomLcg } from 'd3-random'
import { plantPortrait } from '@/core/drawing/portrait/portraitOf.ts'
import type { Plant, Stage } from '@/core/flora/flora.ts'
import { usualTraits } from '@/core/flora/traits.ts'
import { closeUpOf, type Gesture } from '@/core/likeness/closeUp.ts'
import { fingerprint, plateSeed } from '@/core/likeness/fingerprint.ts'
import { FOR_A_PICTURE, plantSpecimen } from '@/core/likeness/specimenOf.ts'
import { leafKinds, swardFrame, type FramePlant } from '@/core/practice/frame.ts'
import { seedTray } from '@/core/practice/seedTray.ts'
import { firstLook, specimenScene } from '../web/likeness/specimenScene.ts'

/** Round lengths of a scale bar, mm. */
const BARS = [5, 10, 20, 50, 100, 200, 500]

function addBar(canvas: HTMLCanvasElement, millimetresHigh: number): void {
  const pen = canvas.getContext('2d')!
  const perMm = canvas.height / millimetresHigh
  const mm = BARS.findLast((b) => b * perMm < canvas.width * 0.24) ?? BARS[0]!
  const unit = canvas.width / 360
  const [x, y, long] = [8 * unit, canvas.height - 9 * unit, mm * perMm]
  for (const [colour, wide] of [
    ['#ffffff', 5],
    ['#20281f', 2],
  ] as const) {
    pen.strokeStyle = colour
    pen.lineWidth = wide * unit
    pen.beginPath()
    pen.moveTo(x, y - 4 * unit)
    pen.lineTo(x, y)
    pen.lineTo(x + long, y)
    pen.lineTo(x + long, y - 4 * unit)
    pen.stroke()
  }
  pen.font = `600 ${13 * unit}px sans-serif`
  pen.lineWidth = 3 * unit
  pen.strokeStyle = '#ffffff'
  pen.fillStyle = '#20281f'
  const text = mm >= 10 ? `${mm / 10} cm` : `${mm} mm`
  pen.strokeText(text, x + long + 6 * unit, y + 1 * unit)
  pen.fillText(text, x + long + 6 * unit, y + 1 * unit)
}

/** The picture made smaller by halves, which keeps thin blades whole. */
function smaller(from: HTMLCanvasElement, side: number): HTMLCanvasElement {
  let at = from
  while (at.width > side) {
    const next = document.createElement('canvas')
    next.width = next.height = Math.max(side, Math.ceil(at.width / 2))
    const pen = next.getContext('2d')!
    pen.imageSmoothingQuality = 'high'
    pen.drawImage(at, 0, 0, next.width, next.height)
    at = next
  }
  return at
}

const bytesOf = (dataUrl: string): number => (dataUrl.length - 23) * 0.75

/** As small a file as is asked for. */
function packed(canvas: HTMLCanvasElement, most: number): string {
  let url = ''
  for (const quality of [0.86, 0.78, 0.7, 0.6, 0.5, 0.4]) {
    url = canvas.toDataURL('image/webp', quality)
    if (bytesOf(url) <= most) break
  }
  return url
}

const KILOBYTE = 1024

/** Draws one specimen: called in a browser by `plates.mjs`. Sides in pixels, the largest first; each at most so many kB. */
function plates(
  plant: Plant,
  stage: Stage,
  seed: number,
  sides: readonly [side: number, kilobytes: number][],
): string[] {
  const canvas = document.createElement('canvas')
  const specimen = plantSpecimen(plant, stage, randomLcg(seed), FOR_A_PICTURE)
  const scene = specimenScene(canvas, specimen)
  const drawn = sides[0]![0] > 600 ? sides[0]![0] * 1.6 : sides[0]![0] * 3
  scene.resize(drawn, drawn)
  scene.draw(firstLook(specimen))
  const out = sides.map(([side, kilobytes]) => {
    // Outlines of thin blades are kept whole, however small the file: where they are too many the picture is a little smaller.
    for (const share of [1, 0.86, 0.74, 0.64, 0.54]) {
      const picture = smaller(canvas, Math.round(side * share))
      addBar(picture, scene.millimetresHigh())
      const url = packed(picture, kilobytes * KILOBYTE)
      if (bytesOf(url) <= kilobytes * KILOBYTE || share === 0.54) return url
    }
    return ''
  })
  scene.end()
  return out
}

/** What a gesture shows of a plant, in one picture. */
function closeUp(plant: Plant, stage: Stage, gesture: Gesture, seed: number, side: number): string {
  const specimen = closeUpOf(usualTraits(plant, stage), gesture, randomLcg(seed))
  if (!specimen) return ''
  const canvas = document.createElement('canvas')
  const scene = specimenScene(canvas, specimen)
  scene.resize(2 * side, 2 * side)
  scene.draw(firstLook(specimen))
  const url = smaller(canvas, side).toDataURL('image/png')
  scene.end()
  return url
}

const INKS: Record<string, string> = { leaf: '#cfe0b4', leafDark: '#7d9d5c', paper: '#efe7d2', hollow: '#ffffff', purple: '#7c2350', yellow: '#dfb73a', straw: '#c5a067', silver: '#d3d9d8', greenMid: '#86a95c', greenDark: '#2f5a2c', greenLight: '#c3d98a', greenBlue: '#74a3a6', greenGrey: '#aab5a6' } // prettier-ignore

/** The close looks of a plant's ink drawing, as markup. */
function insets(plant: Plant, stage: Stage, side: number): string {
  const { insets: all } = plantPortrait(plant, stage, randomLcg(plateSeed(plant.id)))
  return all
    .map(({ marks }) => {
      const paths = marks.map(({ d, ink }) => {
        if (['line', 'fine', 'dotted', 'soil'].includes(ink)) return `<path d="${d}" fill="none" stroke="#222" stroke-width="${ink === 'fine' ? 1 : 2}"/>` // prettier-ignore
        return `<path d="${d}" fill="${ink === 'brush' ? '#222' : (INKS[ink] ?? '#bbb')}"/>`
      })
      return `<svg viewBox="0 0 100 100" width="${side}" height="${side}" style="border:1px solid #999;border-radius:50%;background:#fff">${paths.join('')}</svg>`
    })
    .join('')
}

/** Pictures beside the kinds of practice: a sward, a tray of seed, two that look alike, or one plant. */
function kindPicture(kind: string, plants: Plant[], side: number): string {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = side
  const pen = canvas.getContext('2d')!
  const put = (made: { side: number; rgba: Uint8ClampedArray }) => {
    const whole = document.createElement('canvas')
    whole.width = whole.height = made.side
    whole.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(made.rgba), made.side), 0, 0)
    pen.drawImage(whole, 0, 0, side, side)
  }
  const plantOnto = (plant: Plant, stage: Stage, x: number, wide: number) => {
    const on = document.createElement('canvas')
    const specimen = plantSpecimen(plant, stage, randomLcg(plateSeed(plant.id)))
    const scene = specimenScene(on, specimen)
    scene.resize(3 * wide, 3 * wide)
    scene.draw(firstLook(specimen))
    pen.imageSmoothingQuality = 'high'
    pen.drawImage(on, x, (side - wide) / 2, wide, wide)
    scene.end()
  }
  if (kind === 'cover' || kind === 'rank') {
    const covers = kind === 'cover' ? [0.5, 0.18, 0.05] : [0.2, 0.3, 0.22]
    put(swardFrame(covers.map((cover, i): FramePlant => ({ kind: leafKinds[i]!, cover, clumped: 0.6, highMm: 60 })), 2 * side, randomLcg(0.31))) // prettier-ignore
  } else if (kind === 'seed') put(seedTray(plants[0]!, 4 * side, randomLcg(0.2)))
  else if (plants.length === 2) plants.forEach((p, i) => plantOnto(p, 'vegetative', i * side * 0.46, side * 0.54))
  else plantOnto(plants[0]!, kind === 'name' ? 'mown' : 'vegetative', 0, side)
  return packed(canvas, 12 * KILOBYTE)
}

Object.assign(window, {
  closeUp,
  kindPicture,
  plates,
  insets,
  plateSeed,
  printOf: (plant: Plant, stage: Stage) => fingerprint(plantSpecimen(plant, stage, randomLcg(plateSeed(plant.id)))),
})
