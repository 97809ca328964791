import type { Traits } from '../flora/traits.ts'
import type { Lab } from './colours.ts'
import { addCompound, addLeaflet } from './compound.ts'
import { addFibres, addRoot, round, type Random } from './ground.ts'
import { addLamina, oval } from './lamina.ts'
import type { MeshBuilder } from './mesh.ts'
import { frameAt, grow, type Frame } from './spine.ts'
import { stamps } from './stamp.ts'
import { addStem, GOLDEN, stemsOf } from './stems.ts'
import { add, times, turned, unit, type Vec } from './vec.ts'

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
  const stamp = stamps(to, leaflet, (one, place) => addLeaflet(one, { ...place, traits, random }), random)
  for (const spine of stems) {
    addStem(to, spine, thick, traits, random)
    const leaves = young ? 3 : Math.round(traits.proportions?.leaves ?? (creeps ? 5 : 6))
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
        leaflet: stamp,
        stalk: round(random, stalk * (i === leaves - 1 ? 0.55 : 1), 0.2),
      })
      if (creeps && states['habit'] === 'stolon') addFibres(to, f.at, 3, 18, { states: {}, sizes: {} }, random, 0.22)
    }
  }
  addRoot(to, traits, young ? 34 : 80, random)
}
