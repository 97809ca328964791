import type { Choice, Question, Why } from '@/core/practice/question.ts'
import { harmKindWords } from '@/text/harmWords.ts'
import { say } from '../../language/say.ts'
import { characterTitle, stateWords } from '../../parts/words.ts'
import { shortName, useFlora } from '../../stores/floraStore.ts'

const titleOf = (character: string) => characterTitle(useFlora.getState().characters, character)

/** An answer that may be chosen, as it is read. */
export function choiceWords({ id, of }: Choice): string {
  if (of === 'plant') return shortName(id)
  if (of === 'character') return titleOf(id)
  if (of === 'state') return stateWords(id)
  return id === 'harmful'
    ? say('Harmful: I would not leave it to stock')
    : say('Not one of the harmful plants of this book')
}

export const rightChoice = ({ choices, right }: Question): Choice => choices.find((c) => c.id === right)!

/** What the book says on the page of a plant, led by its name unless that was just said. */
export const onPageOf = (text: string, of: string | undefined, about: string): string =>
  of === undefined || of === about ? text : say('{{plant}}: {{text}}', { plant: shortName(of), text })

/**
 * Why an answer is right.
 *
 * @param about the plant whose name stands before it
 */
export function whyWords(why: Why, about = ''): string {
  if (why.code === 'prose') return onPageOf(why.text, why.of, about)
  if (why.code === 'tells-apart') return say('{{title}} tells them apart.', { title: titleOf(why.character) })
  if (why.code === 'states') return why.states.map(stateWords).join(', ')
  const harm = why.harm ? `${harmKindWords(why.harm)}: ${why.harm.note} ` : ''
  return `${shortName(why.plant)}. ${harm}${why.text}`.trim()
}
