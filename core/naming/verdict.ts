import { naturalFrequency } from './certainty.ts'
import type { CompiledFlora } from './compileFlora.ts'
import type { Plant, PlantGroup, Stage } from './flora.ts'
import { inSentence, say } from '../say.ts'

export interface Verdict {
  kind: 'named' | 'narrowed' | 'open'
  text: string
}

/** A name is written when it would be right about 19 times in 20. */
export const NAMED_FROM = 0.95
/** Looks that must speak before a harmless herb or legume is named: its kin can be poisons, and three looks can all be odd. */
const LEAST_LOOKS = 4
/** Together with "not in this book", the few still standing hold at least this much. */
const FEW_HOLD = 0.9
const FEW = 4

/** A name that can be given: one plant, or a group that no vegetative eye can split. */
export interface Standing {
  name: string
  probability: number
  plants: string[]
  group?: PlantGroup
}

const stageOrder: Stage[] = ['seedling', 'vegetative', 'mown', 'rosette', 'bolting', 'flowering']

/** True where the members of a group can be told apart at this stage. */
const canSplit = (group: PlantGroup, stage: Stage): boolean =>
  group.until !== undefined && stageOrder.indexOf(stage) >= stageOrder.indexOf(group.until)

/** Candidates as names, members of a group that cannot be split at this stage taken together; the likeliest first. */
export function standing(compiled: CompiledFlora, stage: Stage, probabilityOf: (row: number) => number): Standing[] {
  const names: Standing[] = []
  const ofGroup = new Map<PlantGroup, Standing>()
  compiled.plants.forEach((plant, row) => {
    const group = compiled.groupOf.get(plant.id)
    const probability = probabilityOf(row)
    if (!group || canSplit(group, stage)) {
      names.push({ name: plant.commonName, probability, plants: [plant.id] })
      return
    }
    const known = ofGroup.get(group)
    if (known) {
      known.probability += probability
      known.plants.push(plant.id)
    } else {
      const together = { name: group.name, probability, plants: [plant.id], group }
      ofGroup.set(group, together)
      names.push(together)
    }
  })
  return names.sort((a, b) => b.probability - a.probability || (a.name < b.name ? -1 : 1))
}

const list = (names: string[]): string =>
  names.length < 2
    ? names.join('')
    : say('{{names}} and {{at}}', { names: names.slice(0, -1).join(', '), at: names.at(-1) })

/** Harmful plants by name, three at most and how many more. */
function harmfulNames(plants: readonly Plant[]): string {
  const said = plants.slice(0, 3).map((h) => inSentence(h.commonName))
  const more = plants.length > 3 ? [say('{{n}} more harmful plants', { n: plants.length - 3 })] : []
  return list([...said, ...more])
}

const notExcluded = (plants: readonly Plant[]): string =>
  say('Not excluded yet: {{others}}.', { others: harmfulNames(plants) })

export interface Grounds {
  names: Standing[]
  /** What the even observer makes of plants together: a name must hold under both. */
  evenly: (plants: readonly string[]) => number
  notInBook: number
  /** A plant outside the book that it looks like, where one does. */
  neighbour: string | undefined
  /** Harmful plants not yet excluded. */
  open: Plant[]
  /** Harmful look-alikes of the leading plant whose check was not met yet. */
  unmet: Plant[]
  lead: Plant
  /** Answers that carry evidence. */
  looks: number
}

/** What can be said. A harmless name is not given while a harmful plant is open or its check not met, whatever the figures. */
export function verdictOf({ names, evenly, notInBook, neighbour, open, unmet, lead, looks }: Grounds): Verdict {
  const leadIsHarmful = lead.role === 'toxic'
  const [first] = names
  if (notInBook >= 0.5)
    return {
      kind: 'open',
      text:
        neighbour === undefined
          ? say(
              'Probably not in this book ({{naturalFrequency}}). What it does to stock or people is not known here.',
              {
                naturalFrequency: naturalFrequency(notInBook),
              },
            )
          : say(
              'Probably not in this book ({{naturalFrequency}}); it looks most like {{neighbour}}. What it does to stock or people is not known here.',
              {
                naturalFrequency: naturalFrequency(notInBook),
                neighbour: inSentence(neighbour),
              },
            ),
    }
  if (!first) return { kind: 'open', text: say('The book is empty.') }
  const others = open.filter((h) => !first.plants.includes(h.id))
  const byBoth = Math.min(first.probability, evenly(first.plants))
  const kinOfPoisons = lead.form === 'forb' || lead.form === 'legume'
  if (byBoth >= NAMED_FROM && !leadIsHarmful && others.length === 0 && unmet.length > 0)
    return {
      kind: 'narrowed',
      text: say('Looks like {{inSentence}}; the check against {{other}} comes first, which it is taken for.', {
        inSentence: inSentence(first.name),
        other: inSentence(unmet[0]!.commonName),
      }),
    }
  if (byBoth >= NAMED_FROM && !leadIsHarmful && others.length === 0 && kinOfPoisons && looks < LEAST_LOOKS)
    return {
      kind: 'narrowed',
      text: say('Looks like {{inSentence}}; look once more before it is written, for poisons are among its kin.', {
        inSentence: inSentence(first.name),
      }),
    }
  if (byBoth >= NAMED_FROM && (leadIsHarmful || others.length === 0)) {
    const why = first.group ? ` ${first.group.why}` : ''
    const besides = others.length > 0 ? ` ${notExcluded(others)}` : ''
    return {
      kind: 'named',
      text: say('{{name}}: right about {{naturalFrequency}} times.{{why}}', {
        name: first.name,
        naturalFrequency: naturalFrequency(first.probability),
        why: why + besides,
      }),
    }
  }
  if (first.probability >= NAMED_FROM && !leadIsHarmful && others.length > 0) {
    const all = { inSentence: inSentence(first.name), others: harmfulNames(others) }
    return {
      kind: 'narrowed',
      text:
        others.length > 1
          ? say('Looks like {{inSentence}}, but {{others}} are not excluded yet.', all)
          : say('Looks like {{inSentence}}, but {{others}} is not excluded yet.', all),
    }
  }
  let sum = 0
  const few = names.filter((n) => {
    const needed = sum < FEW_HOLD * (1 - notInBook)
    sum += n.probability
    return needed
  })
  if (few.length > FEW)
    return { kind: 'open', text: say('Still open: {{n}} plants would have to be set aside.', { n: few.length }) }
  return {
    kind: 'narrowed',
    text: `${few.map((n) => `${n.name}, ${naturalFrequency(n.probability)}`).join(say('; or '))}.`,
  }
}
