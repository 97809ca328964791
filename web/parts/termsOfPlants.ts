import { say } from '../language/say.ts'
import type { Term } from './term.ts'

/** Terms of the plant. */
export const termsOfPlants: Term[] = [
  {
    id: 'vernation',
    get term() {
      return say('Vernation')
    },
    get means() {
      return say('How the newest leaf lies in the shoot: rolled like a sheet of paper, or folded like a card.')
    },
    drawn: ['vernation', 'rolled'],
  },
  {
    id: 'ligule',
    get term() {
      return say('Ligule')
    },
    get means() {
      return say('What stands up inside the collar where blade and sheath meet: a skin, a row of hairs, or nothing.')
    },
    written: ['ligule', 'ligules'],
    drawn: ['ligule.type', 'membrane'],
  },
  {
    id: 'auricle',
    get term() {
      return say('Auricle')
    },
    get means() {
      return say('A claw or stub at each side of the collar; some clasp the shoot.')
    },
    written: ['auricle', 'auricles'],
    drawn: ['auricles', 'clasping'],
  },
  {
    id: 'stipule',
    get term() {
      return say('Stipule')
    },
    get means() {
      return say('A small leaf-like piece at the foot of a leaf stalk, in clover and its kin.')
    },
    written: ['stipule', 'stipules'],
    drawn: ['stipule.form', 'broad-veined'],
  },
  {
    id: 'sheath',
    get term() {
      return say('Sheath')
    },
    get means() {
      return say('The lower part of a grass leaf, wrapped round the shoot.')
    },
    written: ['sheath', 'sheaths'],
    drawn: ['sheath.margin', 'open'],
  },
  {
    id: 'stolon',
    get term() {
      return say('Runner (stolon)')
    },
    get means() {
      return say('A stem that creeps above ground and roots at its joints.')
    },
    written: ['stolon', 'stolons'],
    drawn: ['habit', 'stolon'],
  },
  {
    id: 'rhizome',
    get term() {
      return say('Rhizome')
    },
    get means() {
      return say('A white, jointed stem underground. It is not a root; a plant that has one spreads.')
    },
    written: ['rhizome', 'rhizomes'],
    drawn: ['habit', 'rhizome'],
  },
]
