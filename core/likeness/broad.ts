import type { Traits } from '../flora/traits.ts'
import { lighter, type Lab } from './colours.ts'
import { addFibres, addRoot, round, type Random } from './ground.ts'
import { addCompound } from './compound.ts'
import { addLeaf } from './stalkedLeaf.ts'
import { addLamina, oval } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { spots } from './noise.ts'
import { addTube } from './ribbon.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'
import { GOLDEN, addStem, upright, stemsOf } from './stems.ts'

function addStipules(to: MeshBuilder, f: Frame, out: Vec, { states }: Traits, long: number): void {
  const form = states['stipule.form']
  if (!form) return
  const size =
    { 'leafy-large': 0.9, 'broad-veined': 0.55, 'long-sticking-out': 0.7, 'narrow-pointed': 0.45 }[form] ?? 0.4
  const red = states['stipule.colour'] === 'red-veined' || states['stipule.colour'] === 'solid-red'
  const dry = form === 'brown-papery'
  const tint: Lab = dry ? [66, 6, 26] : red ? [46, 18, 16] : [62, -18, 26]
  for (const s of [-1, 1]) {
    const along = unit(add(times(f.along, 0.7), turned(out, f.along, s * 0.8)))
    addLamina(to, grow({ from: f.at, along, face: out, length: long * size, steps: 6 }), {
      width: long * size * (form === 'narrow-pointed' || form === 'long-sticking-out' ? 0.22 : 0.5),
      outline: oval(0.3),
      upper: tint,
      lower: tint,
      fold: 0.2,
      organ: 'stipule',
      fine: [9, 5],
    })
  }
}

/** A clover, medic, vetch or lupine as it stands, from its traits. */
export function addLegume(to: MeshBuilder, traits: Traits, random: Random): void {
  const { states, sizes, young } = traits
  const leaflet = (sizes['leaflet.length'] ?? 16) * (young ? 0.7 : 1)
  const creeps = !young && (states['habit'] === 'stolon' || states['habit'] === 'runner-not-rooting')
  const many = states['leaf.plan']?.startsWith('many') === true
  const stalk = creeps ? leaflet * 2.6 : many ? leaflet * 4 : leaflet * 1.5
  const stems = stemsOf(traits, traits.proportions?.stemMm ?? (creeps ? 50 + leaflet * 3.4 : 40 + leaflet * 6), random)
  const thick = Math.max(0.7, leaflet * 0.07)
  for (const spine of stems) {
    addStem(to, spine, thick, traits, random)
    const leaves = young ? 3 : creeps ? 5 : 6
    for (let i = 0; i < leaves; i++) {
      const t = (i + 0.6) / leaves
      const f = frameAt(spine, t)
      const around = GOLDEN * i + random()
      const out: Vec = creeps
        ? unit([(random() - 0.5) * 0.7, 1, (random() - 0.3) * 0.7])
        : unit(add(times(f.along, 0.5), turned(f.face, f.along, around)))
      addStipules(to, f, unit(turned(f.face, f.along, around)), traits, leaflet)
      addCompound(to, {
        foot: { at: f.at, along: out, face: [0, 1, 0] },
        length: leaflet * (1 - 0.35 * Math.max(0, t - 0.6)),
        traits,
        random,
        stalk: round(random, stalk * (i === leaves - 1 ? 0.55 : 1), 0.2),
      })
      if (creeps && states['habit'] === 'stolon') addFibres(to, f.at, 3, 18, { states: {}, sizes: {} }, random, 0.22)
    }
  }
  addRoot(to, traits, young ? 34 : 80, random)
}

/** Leaves of a rosette by the golden angle, the young ones steeper and within. */
function addRosette(to: MeshBuilder, traits: Traits, length: number, random: Random): void {
  const cut = ['feathery', 'fern-like', 'pinnate-cut'].includes(traits.states['leaf.outline'] ?? '')
  const count = traits.young ? 4 : Math.round(traits.proportions?.leaves ?? (cut ? 7 : 11))
  const flat = traits.states['posture'] === 'flat' || traits.states['posture'] === 'rosette'
  for (let i = 0; i < count; i++) {
    const age = 1 - i / count
    const around = GOLDEN * i + (random() - 0.5) * 0.3
    const off = (flat ? 0.75 : 0.35) + (flat ? 0.65 : 0.7) * age + (random() - 0.5) * 0.12
    const along = upright(around, Math.min(1.5, off))
    addLeaf(to, {
      foot: {
        at: [Math.sin(around) * 2, 1, 2 + Math.cos(around) * 2],
        along,
        face: [-along[0] * 0.6, 1, -along[2] * 0.6],
      },
      length: round(random, length * (0.5 + 0.5 * age), 0.1),
      traits,
      random,
      droop: flat ? 0.25 : 0.6,
    })
  }
}

/** A broad-leaved plant as it stands, from its traits. */
export function addHerb(to: MeshBuilder, traits: Traits, random: Random): void {
  const { states, sizes, young } = traits
  if (states['leaf.outline'] === undefined && states['leaf.plan'] !== undefined)
    return addLegume(to, { ...traits, sizes: { 'leaflet.length': 14, ...sizes } }, random)
  const whole = sizes['leaf.length'] ?? 70
  // The coded length is that of the blade with its stalk.
  const share =
    1 + ({ none: 0, shorter: 0.35, 'about-equal': 0.85, longer: 1.5 }[states['petiole.length'] ?? 'shorter'] ?? 0.35)
  const length = (whole / share) * (young ? 0.45 : 1)
  const setting = states['leaf.set'] ?? 'rosette'
  addRoot(
    to,
    { ...traits, states: { 'root.kind': 'taproot', ...states } },
    Math.min(160, Math.max(30, whole * (young ? 0.4 : 0.75))),
    random,
  )
  if (setting === 'rosette' || setting === 'single-frond') return addRosette(to, traits, length, random)
  const cut = ['feathery', 'fern-like', 'pinnate-cut'].includes(states['leaf.outline'] ?? '')
  const nodes = young ? 2 : cut ? 5 : setting === 'alternate' ? 9 : 6
  const high =
    traits.proportions?.stemMm ?? Math.min(500, Math.max(60, whole * (states['posture'] === 'flat' ? 2.2 : 1.9)))
  const thick = Math.min(7, Math.max(0.8, 0.6 + whole / 50)) * (young ? 0.5 : 1)
  for (const spine of stemsOf(
    {
      ...traits,
      states: { ...states, 'leaf.plan': '', habit: states['habit'] === 'stolon' ? 'stolon' : 'single-crown' },
    },
    high,
    random,
  )) {
    addStem(to, spine, thick, traits, random)
    for (let i = 0; i < nodes; i++) {
      const t = 0.1 + (0.88 * i) / Math.max(1, nodes - 1)
      const f = frameAt(spine, t)
      const each = setting === 'opposite' ? 2 : setting === 'whorled' ? 6 : 1
      for (let k = 0; k < each; k++) {
        const around = setting === 'alternate' ? GOLDEN * i : (Math.PI / 2) * i + (2 * Math.PI * k) / each
        const out = turned(f.face, f.along, around + (random() - 0.5) * 0.2)
        const rise = 0.45 + 0.7 * t
        const at = add(f.at, times(out, thick * 0.6))
        // On a stem that lies down leaves turn up to the light, whichever side they leave on.
        const lies = Math.abs(f.along[1]) < 0.45
        const foot = lies
          ? { at, along: unit([out[0], 0.55 + 0.4 * Math.abs(out[1]), out[2]]), face: [0, 1, 0] as Vec }
          : { at, along: unit(add(out, times(f.along, rise))), face: unit(add(f.along, times(out, -rise))) }
        addLeaf(to, {
          foot,
          length: round(random, length * (1.05 - 0.55 * t), 0.1),
          traits,
          random,
        })
      }
    }
  }
}

/** A woody plant: a forked twig with its leaves. */
export function addShrub(to: MeshBuilder, traits: Traits, random: Random): void {
  const length = traits.sizes['leaf.length'] ?? 50
  const bark: Lab = [44, 6, 16]
  const twig = (from: Vec, along: Vec, long: number, thick: number, level: number): void => {
    const spine = grow({ from, along, length: long, steps: 14, droop: round(random, -0.1, 1.5) })
    addTube(to, spine, {
      organ: 'stem',
      radius: (t) => thick * (1 - 0.6 * t),
      colour: (t, a) => lighter(level === 2 ? [46, -8, 24] : bark, 8 * (spots(t * 20, a * 2) - 0.5)),
      sides: 9,
    })
    if (level < 2)
      for (let i = 0; i < 3; i++) {
        const f = frameAt(spine, 0.35 + 0.25 * i)
        twig(
          f.at,
          unit(add(times(f.along, 0.9), turned(f.face, f.along, GOLDEN * i + level))),
          long * 0.55,
          thick * 0.5,
          level + 1,
        )
      }
    if (level === 0) return
    for (let i = 0; i < 4; i++) {
      const f = frameAt(spine, 0.25 + 0.25 * i)
      const sides = traits.states['leaf.set'] === 'opposite' ? [0, Math.PI] : [GOLDEN * i]
      for (const a of sides) {
        const out = turned(f.face, f.along, a)
        addLeaf(to, {
          foot: { at: f.at, along: unit(add(out, times(f.along, 0.7))), face: unit(add(f.along, times(out, -0.6))) },
          length: round(random, length, 0.2),
          traits: { ...traits, states: { ...traits.states, 'hairs.upper': 'none' } },
          random,
        })
      }
    }
  }
  twig([0, 0, 1], [0.06, 1, 0.05], Math.min(420, 120 + length * 3), 4.5, 0)
  addRoot(to, { ...traits, states: { 'root.kind': 'taproot' } }, 80, random)
}
