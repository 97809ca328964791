import type { Flora } from '@/core/flora/flora.ts'
import type { GivenName, Verdict } from '@/core/naming/verdict.ts'
import { naturalFrequency } from './certaintyWords.ts'
import { inSentence, say } from './say.ts'

/** Names of the book as the reader's language has them. */
export type NamedFlora = Pick<Flora, 'plants' | 'groups' | 'neighbours'>

const MOST_NAMED = 3

/** Names as a sentence lists them. */
export const listed = (names: string[]): string =>
  names.length < 2
    ? names.join('')
    : say('{{names}} and {{at}}', { names: names.slice(0, -1).join(', '), at: names.at(-1) })

/** What a verdict says, in a sentence. */
export function verdictText(verdict: Verdict, flora: NamedFlora): string {
  const plant = (id: string) => flora.plants.find((p) => p.id === id)?.commonName ?? id
  const groupOf = (name: GivenName) => flora.groups.find((g) => g.id === name.group)
  const named = (name: GivenName) => groupOf(name)?.name ?? plant(name.plants[0]!)
  const harmful = (ids: readonly string[]) => {
    const more = ids.length - MOST_NAMED
    const first = ids.slice(0, MOST_NAMED).map((id) => inSentence(plant(id)))
    return listed([...first, ...(more > 0 ? [say('{{n}} more harmful plants', { n: more })] : [])])
  }
  switch (verdict.code) {
    case 'not-in-book': {
      const often = naturalFrequency(verdict.probability)
      const neighbour = flora.neighbours?.find((n) => n.id === verdict.neighbour)
      return neighbour
        ? say(
            'Probably not in this book ({{naturalFrequency}}); it looks most like {{neighbour}}. What it does to stock or people is not known here.',
            { naturalFrequency: often, neighbour: inSentence(neighbour.commonName) },
          )
        : say('Probably not in this book ({{naturalFrequency}}). What it does to stock or people is not known here.', {
            naturalFrequency: often,
          })
    }
    case 'empty-book':
      return say('The book is empty.')
    case 'many-left':
      return say('Still open: {{count}} plants would have to be set aside.', { count: verdict.count })
    case 'check-first':
      return say('Looks like {{inSentence}}; the check against {{other}} comes first, which it is taken for.', {
        inSentence: inSentence(named(verdict.name)),
        other: inSentence(plant(verdict.against)),
      })
    case 'look-once-more':
      return say('Looks like {{inSentence}}; look once more before it is written, for poisons are among its kin.', {
        inSentence: inSentence(named(verdict.name)),
      })
    case 'harm-open': {
      const values = { inSentence: inSentence(named(verdict.name)), others: harmful(verdict.open) }
      return verdict.open.length > 1
        ? say('Looks like {{inSentence}}, but {{others}} are not excluded yet.', values)
        : say('Looks like {{inSentence}}, but {{others}} is not excluded yet.', values)
    }
    case 'named': {
      const why = groupOf(verdict.name)?.why
      const open =
        verdict.open.length > 0 ? say('Not excluded yet: {{others}}.', { others: harmful(verdict.open) }) : ''
      return say('{{name}}: right about {{naturalFrequency}} times.{{why}}', {
        name: named(verdict.name),
        naturalFrequency: naturalFrequency(verdict.probability),
        why: `${why ? ` ${why}` : ''}${open && ` ${open}`}`,
      })
    }
    case 'few':
      return `${verdict.names.map((n) => `${named(n)}, ${naturalFrequency(n.probability)}`).join(say('; or '))}.`
  }
}
