import type { Traits } from '../flora/traits.ts'
import { light, MEMBRANE, mixed, PURPLE, type Lab } from './colours.ts'
import { round, type Random } from './ground.ts'
import type { MeshBuilder } from './mesh.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, cross, times, unit, type Vec } from './vec.ts'

const HAIR: Lab = [92, -1, 6]

/** One hair, millimetres long. */
export function addHair(to: MeshBuilder, from: Vec, along: Vec, long: number, droop = 0.5, thick = 0.05): void {
  addTube(to, grow({ from, along, length: long, steps: 3, droop }), {
    organ: 'hair',
    radius: (t) => thick * (1 - 0.85 * t),
    colour: () => HAIR,
    sides: 3,
    gloss: 0.5,
  })
}

/** Millimetres of hair, hairs for each centimetre of stem, and radians by which they hang or stand out. */
const COATS: Record<string, { long: number; each: number; droop: number }> = {
  sparse: { long: 1, each: 6, droop: 0.3 },
  'dense-soft': { long: 0.9, each: 40, droop: 0.4 },
  dense: { long: 0.9, each: 36, droop: 0.2 },
  'long-shaggy': { long: 2.6, each: 22, droop: 0.9 },
  'stiff-out-standing': { long: 2.2, each: 18, droop: 0 },
  'stiff-bristly': { long: 2.2, each: 16, droop: 0 },
  'pointing-down': { long: 1.2, each: 24, droop: 1.8 },
  stinging: { long: 1.5, each: 16, droop: -0.1 },
  sticky: { long: 1.2, each: 26, droop: 0 },
  'star-shaped': { long: 0.7, each: 34, droop: 0 },
  'one-line': { long: 1.1, each: 14, droop: 0.2 },
}
/** Most hairs that are put on one stem. */
const MOST = 70

/** Hairs all round a stem or sheath, by how they are coded. */
export function addHairs(
  to: MeshBuilder,
  spine: readonly Frame[],
  state: string | undefined,
  radius: number,
  random: Random,
): void {
  const coat = COATS[state ?? '']
  if (!coat) return
  const far = Math.hypot(...add(spine.at(-1)!.at, times(spine[0]!.at, -1)))
  const count = Math.min(MOST, Math.round((far / 10) * coat.each))
  for (let i = 0; i < count; i++) {
    const f = frameAt(spine, random())
    const a = state === 'one-line' ? 0.2 : random() * Math.PI * 2
    const out = add(times(f.side, Math.cos(a)), times(f.face, Math.sin(a)))
    addHair(
      to,
      add(f.at, times(out, radius * 0.95)),
      unit(add(out, times(f.along, 0.25))),
      round(random, coat.long, 0.3),
      coat.droop,
    )
  }
}

/** How high a membrane stands at a place across it, as a share of its greatest height. */
const ligules: Record<string, (u: number) => number> = {
  'flat-topped': (u) => Math.min(1, 6 * (1 - Math.abs(u))),
  rounded: (u) => Math.sqrt(Math.max(0, 1 - u * u)),
  pointed: (u) => 1 - Math.abs(u) * 0.9,
  ragged: (u) => Math.min(1, 4 * (1 - Math.abs(u))) * (0.72 + 0.28 * Math.abs(Math.sin(u * 17))),
  'toothed-or-notched': (u) => Math.min(1, 5 * (1 - Math.abs(u))) * (0.62 + 0.38 * Math.abs(Math.cos(u * 6))),
}

/** The inside of a collar: ligule and auricles at their size, where the blade leaves the sheath. */
export function addCollar(
  to: MeshBuilder,
  blade: Frame,
  sheath: Frame,
  { states, sizes }: Traits,
  width: number,
  random: Random,
): void {
  const high = sizes['ligule.height'] ?? 1
  const half = Math.max(0.5, width * 0.42)
  const stand = unit(add(times(sheath.along, 0.92), times(blade.face, 0.25)))
  const across = unit(cross(blade.along, blade.face))
  const type = states['ligule.type']
  const n = 11
  const foot = (u: number): Vec =>
    add(add(blade.at, times(across, u * half)), times(blade.face, 0.15 + half * 0.35 * u * u))
  if (type === 'membrane' || type === 'fringed-membrane') {
    const shape = ligules[states['ligule.shape'] ?? 'rounded'] ?? ligules['rounded']!
    const tallest = Math.max(...Array.from({ length: n }, (_, c) => shape((c / (n - 1)) * 2 - 1)))
    const rows = Array.from({ length: 5 }, (_, r) =>
      Array.from({ length: n }, (_u, c): Vec => {
        const u = (c / (n - 1)) * 2 - 1
        return add(foot(u), times(stand, ((high * shape(u)) / tallest) * (r / 4)))
      }),
    )
    const look = {
      organ: 'ligule' as const,
      gloss: 0.5,
      colour: (r: number) => light(mixed(MEMBRANE, [80, -8, 20], 0.5 - r * 0.12)),
    }
    to.sheet(rows, look)
    to.sheet(
      rows.map((r) => r.toReversed()),
      look,
    )
  }
  if (type === 'hairs' || type === 'fringed-membrane')
    for (let i = 0; i < 15; i++) {
      const u = (i / 14) * 2 - 1
      const from = type === 'hairs' ? foot(u) : add(foot(u), times(stand, high * 0.75))
      addHair(
        to,
        from,
        unit(add(stand, times(across, (random() - 0.5) * 0.3))),
        type === 'hairs' ? high : high * 0.4,
        0.1,
        0.04,
      )
    }
  const claw = { clasping: Math.max(1.6, width * 0.42), 'short-blunt': Math.max(0.6, width * 0.13) }[
    states['auricles'] ?? ''
  ]
  if (claw)
    for (const s of [-1, 1]) {
      const curl = states['auricles'] === 'clasping' ? 2.2 : 0.9
      // They leave the foot of the blade to both sides and reach round the shoot to its front.
      const steps = 8
      const spine: Frame[] = []
      let [at, dir]: [Vec, Vec] = [add(blade.at, times(across, s * half)), times(across, s)]
      for (let i = 0; i <= steps; i++) {
        spine.push({ at, along: dir, face: sheath.along, side: unit(cross(dir, sheath.along)) })
        const turn = curl / steps
        dir = unit(add(times(dir, Math.cos(turn)), times(blade.face, Math.sin(turn))))
        at = add(at, times(dir, claw / steps))
      }
      addTube(to, spine, {
        organ: 'auricle',
        radius: (t) => Math.max(0.12, 0.34 * (1 - t * 0.8)) * Math.min(1.6, 0.5 + width * 0.08),
        colour: () => (states['collar.look'] === 'red-tinged' ? mixed(PURPLE, MEMBRANE, 0.4) : [74, -10, 26]),
        sides: 7,
      })
      if (states['auricle.edge'] === 'hair-fringed')
        for (let i = 0; i < 4; i++)
          addHair(to, frameAt(spine, 0.2 + 0.2 * i).at, unit(add(stand, times(across, s * 0.6))), 0.9)
    }
  if (states['collar.look'] === 'hairy-edges' || states['hairs.upper'] === 'tuft-at-base')
    for (const s of [-1, 1])
      for (let i = 0; i < 6; i++)
        addHair(
          to,
          add(blade.at, times(across, s * half)),
          unit(add(stand, times(across, s * (0.3 + random())))),
          round(random, 2.6, 0.3),
          0.6,
        )
}
