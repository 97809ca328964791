import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import { projectRoot } from '@/server/projectRoot.ts'

// Every text that the screens, the core and the book can show stands in the catalogue, in both languages: none of them is an
// all-clear. Said against: what is not counted, read, named or in season never means that nothing is there.

const german = JSON.parse(readFileSync(join(projectRoot, 'web/language/texts/de.json'), 'utf8')) as Record<
  string,
  string
>
const never = {
  english: /\bsafe(ly|ty)?\b|harmless|no plant that harms|los(es|ing) (its|their) (harm|poison)|without (trouble|risk|danger)|no (risk|danger) to|all-?clear|nothing to fear|not poisonous|non-?toxic/i, // prettier-ignore
  german: /unbedenklich|ungefährlich|harmlos|ungiftig|schadet nicht|unschädlich|verliert .*(Schaden|Gift)|ohne (Gefahr|Bedenken|Schwierigkeiten)|Entwarnung|keine Gefahr/i, // prettier-ignore
}
/** They say that something is not so. */
const denied = [/^That is not the same as harmless\.$/, /Less has never been shown to be harmless\.$/]

it.each(['english', 'german'] as const)('no text in %s says that anything is without harm', (language) => {
  const texts = Object.entries(german).filter(([english]) => !denied.some((d) => d.test(english)))
  expect(texts.length).toBeGreaterThan(3000)
  const found = texts.map(([english, translated]) => (language === 'english' ? english : translated)).filter((t) => never[language].test(t)) // prettier-ignore
  expect(found).toEqual([])
})

it('those that deny it are there', () => {
  for (const d of denied) expect(Object.keys(german).filter((t) => d.test(t))).toHaveLength(1)
})
