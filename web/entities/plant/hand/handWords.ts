import type { LifeForm } from '@/core/flora/flora.ts'
import type { Gesture } from '@/core/likeness/closeUp.ts'
import { say } from '../../../language/say.ts'
import type { Look } from '../../../likeness/specimenScene.ts'

/** What a button does, and the key for it while the specimen has the focus. */
export const gestureNames: Record<Gesture, { name: string; key: string }> = {
  get bend() {
    return { name: say('Bend the leaf back'), key: 'b' }
  },
  get roll() {
    return { name: say('Slit the shoot'), key: 'r' }
  },
  get cut() {
    return { name: say('Cut it across'), key: 'c' }
  },
  get snap() {
    return { name: say('Snap it'), key: 's' }
  },
  get crush() {
    return { name: say('Crush and smell'), key: 'm' }
  },
  get head() {
    return { name: say('Its head, when lucky'), key: 'h' }
  },
}

/** What a look or a gesture shows, in words: the page tells it to those who do not see it. */
export function shownWords(
  form: LifeForm,
  of: (character: string) => string,
  { look, lens, gesture }: { look: Look; lens: boolean; gesture: Gesture | undefined },
): string {
  if (lens) return say('Through the hand lens, ten times nearer: move it with the pointer or the arrow keys.')
  switch (gesture) {
    case 'bend':
      return say('Bent back from its sheath. Ligule: {{type}}, {{shape}}, {{height}}. Auricles: {{auricles}}.', {
        type: of('ligule.type'),
        shape: of('ligule.shape'),
        height: of('ligule.height'),
        auricles: of('auricles'),
      })
    case 'roll':
      return say('The shoot slit, and looked down on: the newest leaf is {{vernation}}.', {
        vernation: of('vernation'),
      })
    case 'cut':
      return say('Cut across. Inside: {{inside}}. Shape: {{section}}.', {
        inside: of('stem.inside'),
        section: of('stem.section'),
      })
    case 'snap':
      return say('Snapped. Sap: {{sap}}. Let none of it come to eyes or mouth.', { sap: of('sap') })
    case 'crush':
      return say('Crushed between gloved fingers. Smell: {{smell}}.', { smell: of('smell') })
    case 'head':
      return headWords(form, of)
    case undefined:
  }
  if (look.light === 'sky')
    return say('Held to the sky: light comes through the leaves. Veins: {{veins}}. Hairs above: {{hairs}}.', {
      veins: of(form === 'grass' ? 'blade.ribs' : form === 'legume' ? 'leaflet.veins' : 'leaf.veins'),
      hairs: of('hairs.upper'),
    })
  if (look.pulled) return say('Pulled up. Roots: {{roots}}. Tug: {{tug}}.', { roots: of('root.kind'), tug: of('tug') })
  return say('Stands in the light. Growth: {{habit}}, {{posture}}.', { habit: of('habit'), posture: of('posture') })
}

/** What stands on a plant in flower or in fruit, which mostly it is not. */
function headWords(form: LifeForm, of: (character: string) => string): string {
  if (form === 'grass') return say('Where one is found. Seed head: {{head}}.', { head: of('head.form') })
  if (form === 'sedge')
    return say('Where it is in fruit. Spikes: {{kind}}, {{stand}}. Sacs: {{sacs}}, {{length}}.', {
      kind: of('spikes.kind'),
      stand: of('spikes.stand'),
      sacs: of('sac.form'),
      length: of('sac.length'),
    })
  return say('Where it is in flower. Cluster: {{cluster}}. Colour: {{colour}}.', {
    cluster: of('flower.form'),
    colour: of('flower.colour'),
  })
}
