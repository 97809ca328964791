import { leaf, oval } from './leafShape.ts'
import { brush, circle, closed, straight, type Drawing, type Point } from './mark.ts'

const ground = (): Drawing => [{ d: straight([4, 92], [96, 92]), ink: 'line' }]
const trefoil = (x: number, y: number, size: number): Drawing => [
  brush([[50, 92], [(50 + x) / 2 + 2, (92 + y) / 2], [x, y]], [2, 1.8, 1.4]),
  ...[-158, -22, -90].flatMap((d) => leaf({ length: size, width: size * 0.72, profile: oval(0.56) }, [x, y], d, { midrib: false })),
]
const blade = (tip: Point, bend: Point): Drawing => [brush([[50, 92], bend, tip], [3.4, 3.2, 0.6])]

/** A plant of each kind at first glance. */
export const lifeForm: Record<string, () => Drawing> = {
  grass: () => [...ground(), ...([[[12, 34], [34, 52]], [[30, 12], [42, 48]], [[52, 6], [50, 48]], [[74, 16], [58, 50]], [[90, 40], [68, 54]]] as [Point, Point][]).flatMap(([tip, bend]) => blade(tip, bend))],
  sedge: () => [
    ...ground(),
    ...([[14, 26], [50, 4], [88, 30]] as Point[]).flatMap((tip) => blade(tip, [50 + (tip[0] - 50) * 0.35, 46])),
    { d: closed([50, 60], [38, 80], [62, 80]), ink: 'hollow' },
    { d: closed([50, 60], [38, 80], [62, 80]), ink: 'line' },
  ],
  rush: () => [...ground(), ...[30, 40, 50, 60, 70].map((x, i) => brush([[50 + (x - 50) * 0.4, 92], [x, 50], [x + (x - 50) * 0.3, 8 + (i % 2) * 10]], [3, 3, 1])), { d: circle([50, 76], 9), ink: 'hollow' }, { d: circle([50, 76], 9), ink: 'line' }],
  legume: () => [...ground(), ...trefoil(28, 46, 20), ...trefoil(52, 30, 22), ...trefoil(76, 50, 19)],
  forb: () => [...ground(), ...[-160, -130, -90, -50, -20].flatMap((d) => leaf({ length: d === -90 ? 66 : 50, width: 22, profile: oval(0.55) }, [50, 90], d, { veins: 3 }))],
  shrub: () => [
    ...ground(),
    brush([[50, 92], [49, 70], [46, 50]], [8, 6, 3]),
    brush([[49, 70], [64, 52], [80, 30]], [4, 3, 1]),
    brush([[47, 56], [34, 38], [24, 18]], [4, 3, 1]),
    brush([[46, 50], [50, 30], [52, 8]], [3, 2.4, 1]),
    ...([[80, 30], [72, 42], [24, 18], [31, 33], [52, 8], [50, 28], [62, 54], [40, 46]] as Point[]).flatMap(([x, y], i) => [...leaf({ length: 12, width: 6, profile: oval(0.5) }, [x, y], i % 2 ? -150 : -30), ...leaf({ length: 12, width: 6, profile: oval(0.5) }, [x, y], -90)]),
  ],
}

