// Every text that the app says, by its English: from the syntax tree of the code, and from the book.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { parse } from 'yaml'

const LOOKED_UP = new Set(['say', 'word', 'told'])
const isText = (node) => node && (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))

/** What is looked up in one file: `say('…')`, `word('…')`, `told('…')`, `<Say text="…">`. */
function textsOfFile(path) {
  const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, false)
  const found = []
  const visit = (node) => {
    if (ts.isCallExpression(node) && LOOKED_UP.has(node.expression.escapedText) && isText(node.arguments[0]))
      found.push(node.arguments[0].text)
    if (ts.isJsxSelfClosingElement(node) && node.tagName.escapedText === 'Say')
      for (const { name, initializer } of node.attributes.properties) {
        const given = initializer?.expression ?? initializer
        if (name.escapedText === 'text' && isText(given)) found.push(given.text)
      }
    ts.forEachChild(node, visit)
  }
  visit(file)
  return found
}

const textsOfCode = () =>
  ['web', 'text', 'contract', 'server'].flatMap((folder) =>
    readdirSync(folder, { recursive: true })
      .filter((f) => /\.tsx?$/.test(f))
      .flatMap((f) => textsOfFile(join(folder, f))),
  )

const yaml = (file) => parse(readFileSync(join('flora', file), 'utf8'))

/** What the book tells of a plant, but for its sources. */
const textsOfPlant = (p) => [
  p.common_name,
  p.worth,
  ...(p.lookalikes ?? []).map((l) => l.why),
  ...(p.harm ?? []).flatMap((h) => [h.note]),
  ...['parts', 'signs', 'onset', 'first', 'test'].map((k) => p.exposure?.[k]),
  ...(p.control ?? []).flatMap((c) => [c.do, c.tools, c.waste]),
]

/** What the book says, of characters, plants, groups and dangers. */
function textsOfTheBook() {
  const characters = Object.entries(yaml('characters.yaml')).flatMap(([part, group]) => [
    part.replaceAll('-', ' '),
    ...Object.values(group).flatMap((c) => [
      c.title,
      c.asks,
      ...(c.how ?? []),
      ...(c.needs ? [c.needs] : []),
      ...(c.caution ? [c.caution] : []),
      ...[...(c.states ?? []), ...Object.keys(c.covers ?? {})].map((s) => String(s).replaceAll('-', ' ')),
    ]),
  ])
  const groups = Object.values(yaml('groups.yaml')).flatMap((g) => [g.name, g.why])
  const neighbours = Object.values(yaml('neighbours.yaml')).map((n) => n.name)
  const hazards = Object.values(yaml('hazards.yaml')).flatMap((h) => [h.name, h.shows, h.hidden, h.test, h.do])
  const plants = readdirSync('flora/plants')
    .map((f) => yaml(`plants/${f}`))
    .flatMap(textsOfPlant)
  return [...characters, ...groups, ...neighbours, ...hazards, ...plants]
}

/** All of them once, in the order of the alphabet. */
export const allTexts = () =>
  [...new Set([...textsOfCode(), ...textsOfTheBook()])].filter(Boolean).sort((a, b) => (a < b ? -1 : 1))

const CATALOGUES = 'web/language/texts'

/** What a language still lacks and what it has to spare; with `--write` the first stands there in English, the second is gone. */
function check(write) {
  const texts = allTexts()
  for (const file of readdirSync(CATALOGUES).filter((f) => f !== 'en.json')) {
    const path = join(CATALOGUES, file)
    const catalogue = JSON.parse(readFileSync(path, 'utf8'))
    const missing = texts.filter((t) => !(t in catalogue))
    const spare = Object.keys(catalogue).filter((k) => !texts.includes(k.replace(/_one$/, '')))
    const english = texts.filter((t) => catalogue[t] === t && /[a-z]{3} [a-z]{3}/.test(t))
    console.log(`${file}: ${missing.length} missing, ${spare.length} to spare, ${english.length} still in English`)
    for (const t of [...missing, ...english]) console.log(`  ${t}`)
    if (!write) continue
    const kept = Object.entries(catalogue).filter(([k]) => !spare.includes(k))
    const all = [...kept, ...missing.map((t) => [t, t])].sort(([a], [b]) => (a < b ? -1 : 1))
    writeFileSync(path, JSON.stringify(Object.fromEntries(all), null, 2) + '\n')
  }
}

if (process.argv[1]?.endsWith('texts.mjs')) check(process.argv.includes('--write'))
