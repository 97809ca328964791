import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'

/** Properties and attributes whose words a person reads. */
const READ =
  /^(label|aria-label|placeholder|alt|title|detail|says|text|hint|pressLabel|unitName|units|kit|asks|message|problem|words)$/
/** Names of values, never shown: kinds of units in a package, the two systems of measures. */
const NOT_SHOWN = new Set(['meters', 'metric', 'GPX', 'Fold Sprig', 'Ctrl K'])

const letters = (s: string) => /[a-z]{3,}/i.test(s)

/** Words that would be shown as they stand, whatever the reader's language. */
function bareWords(node: ts.Expression | undefined): string[] {
  if (!node) return []
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return letters(node.text) && !NOT_SHOWN.has(node.text) ? [node.text] : [] // prettier-ignore
  if (ts.isTemplateExpression(node)) {
    const own = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join(' ').trim()
    return [...(letters(own) ? [own] : []), ...node.templateSpans.flatMap((s) => bareWords(s.expression))]
  }
  if (ts.isConditionalExpression(node)) return [...bareWords(node.whenTrue), ...bareWords(node.whenFalse)]
  if (ts.isArrayLiteralExpression(node)) return node.elements.flatMap(bareWords)
  if (ts.isParenthesizedExpression(node)) return bareWords(node.expression)
  return []
}

function wordsOutside(source: string, name = 'a.tsx'): string[] {
  const file = ts.createSourceFile(name, source, ts.ScriptTarget.Latest, true)
  const found: string[] = []
  const visit = (node: ts.Node) => {
    if (ts.isPropertyAssignment(node) && READ.test(node.name.getText(file))) found.push(...bareWords(node.initializer))
    if (ts.isJsxAttribute(node) && READ.test(node.name.getText(file)) && !/^text$/.test(node.name.getText(file))) {
      const given = node.initializer
      found.push(
        ...bareWords(given && ts.isJsxExpression(given) ? given.expression : (given as ts.Expression | undefined)),
      )
    }
    if (ts.isJsxExpression(node) && (ts.isJsxElement(node.parent) || ts.isJsxFragment(node.parent)))
      found.push(...bareWords(node.expression))
    if (ts.isJsxText(node) && letters(node.text)) found.push(node.text.trim())
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

describe('words that a person reads go through the catalogue', () => {
  it('finds what was left out (by hand)', () => {
    expect(wordsOutside(`const a = { label: say('Sown'), detail: done ? 'named' : say('not so') }`)).toEqual(['named'])
    expect(wordsOutside('const a = <p title="Close">{n} {many ? `${n} grids` : null}</p>')).toEqual(['Close', 'grids'])
    expect(wordsOutside(`const a = <p className="flex">{say('Close')} {x === 'one' ? y : null}</p>`)).toEqual([])
    expect(wordsOutside('const a = <b>Close it</b>')).toEqual(['Close it'])
  })

  it.each(['web', 'text'])('in %s', (folder) => {
    const said = readdirSync(folder, { recursive: true })
      .map(String)
      .filter((f) => /\.tsx?$/.test(f))
      .flatMap((f) => wordsOutside(readFileSync(join(folder, f), 'utf8'), f).map((w) => `${f}: ${w}`))
    // Units are the same in every language.
    expect(said.filter((s) => !/: (mm|px)$/.test(s))).toEqual([])
  })

  // They are looked up where they arrive, so each has to be among the texts that are translated.
  it('every whole sentence by which the server refuses something is one of the texts', () => {
    const untold = ['server/http', 'server/access', 'server/routes', 'server/backup', 'contract/input'].flatMap(
      (folder) =>
        readdirSync(folder)
          .filter((f) => f.endsWith('.ts'))
          .flatMap((f) => {
            const found: string[] = []
            const visit = (node: ts.Node) => {
              const sentence = ts.isStringLiteralLike(node) && /^[A-Z"].* .*\.$/.test(node.text)
              if (sentence && !/^(told|say)\(/.test(node.parent.getText())) found.push(`${f}: ${node.text}`)
              ts.forEachChild(node, visit)
            }
            const path = join(folder, f)
            visit(ts.createSourceFile(f, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true))
            return found
          }),
    )
    expect(untold).toEqual([])
  })

  it('the core has no words and no translator', () => {
    const files = readdirSync('core', { recursive: true })
      .map(String)
      .filter((f) => f.endsWith('.ts'))
    expect(files.length).toBeGreaterThan(100)
    expect(files.filter((f) => /\bsay\(|text\/say/.test(readFileSync(join('core', f), 'utf8')))).toEqual([])
  })
})
