import type { SigningNeeds, SigningOpen } from '@/core/assess/signing.ts'
import { say } from './say.ts'
import { letterWords } from './taxonNames.ts'

const needs: Record<SigningNeeds['code'], () => string> = {
  'advisor-name': () => say('The name of the advisor'),
  'advisor-phone': () => say('A telephone number of the advisor'),
  'pages-not-whole': () => say('A part of these pages could not be read: open them again'),
}
/** What is missing before pages can be signed. */
export const signingNeedsWords = ({ code }: SigningNeeds): string => needs[code]()

type Words = Record<SigningOpen['code'], (v: NonNullable<SigningOpen['values']>) => string>
const open: Words = {
  'unknown-could-be-poison': (v) =>
    say('Unknown {{letters}} has no name: it could be a poison', {
      letters: String(v.letters).split(' ').map(letterWords).join(', '),
    }),
  'not-described': (v) => say('{{count}} kinds that were counted are not described by the book', v),
  'stock-not-given': () => say('Nobody said what is kept here'),
  'stage-not-noted': () => say('The growth at the walk was not noted at any stop'),
  'result-simulated': () => say('The laboratory result is simulated: it is not on the pages'),
  'stops-not-counted': (v) => say('{{count}} stops were not counted', v),
  'danger-to-settle': (v) => say('To settle first: {{hazard}}', v),
  'vet-not-given': () => say('No veterinarian was given: the page leaves a line to fill in'),
}
/** What is open and stands on the pages as open. */
export const signingOpenWords = ({ code, values = {} }: SigningOpen): string => open[code](values)
