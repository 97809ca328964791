import { frequencyWords, type Cell, type Flora, type FrequencyWord, type Stage } from '../flora/flora.ts'

/**
 * The character table as DELTA text (Dallwitz 1980; TDWG standard): characters, then one item per plant, and one more per
 * stage at which it is coded apart. Frequency words stand in DELTA comments, sizes in its own notation:
 * (extreme low-)typical low-typical high(-extreme high).
 */
export interface DeltaTable {
  characters: { id: string; states?: string[]; unit?: string }[]
  items: { plant: string; stage?: Stage; cells: Record<string, Cell> }[]
}

export function deltaTable({ characters, plants }: Flora): DeltaTable {
  return {
    characters: characters.map((c) => ({
      id: c.id,
      ...(c.states ? { states: c.states } : {}),
      ...(c.unit ? { unit: c.unit } : {}),
    })),
    items: plants.flatMap((p) => [
      { plant: p.id, cells: p.characters },
      ...(Object.entries(p.stages) as [Stage, Record<string, Cell>][]).map(([stage, cells]) => ({
        plant: p.id,
        stage,
        cells,
      })),
    ]),
  }
}

function writeCell(cell: Cell, states: string[] | undefined): string {
  if (cell.kind === 'range') {
    const { typical: t, extreme: e } = cell
    return `(${e[0]}-)${t[0]}-${t[1]}(-${e[1]})`
  }
  return Object.entries(cell.words)
    .map(([state, word]) => `${states!.indexOf(state) + 1}<${word}>`)
    .join('/')
}

/** Write a character table as DELTA text. */
export function writeDelta({ characters, items }: DeltaTable): string {
  const number = new Map(characters.map((c, i) => [c.id, i + 1]))
  const characterList = characters.map((c, i) => {
    const lines = c.states ? c.states.map((s, j) => `       ${j + 1}. ${s}/`) : [`       ${c.unit ?? ''}/`]
    return [`#${i + 1}. ${c.id}/`, ...lines].join('\n')
  })
  const types = characters.flatMap((c, i) => (c.states ? [] : [`${i + 1},RN`]))
  const itemList = items.map(({ plant, stage, cells }) => {
    const attributes = Object.entries(cells).map(([id, cell]) => {
      const n = number.get(id)
      if (n === undefined) throw new RangeError(`item ${plant} has a cell of a character that is not listed: ${id}`)
      return `${n},${writeCell(cell, characters[n - 1]!.states)}`
    })
    return `# ${plant}${stage ? ` <${stage}>` : ''}/\n${attributes.join(' ')}`
  })
  return [
    '*SHOW Fold Sprig: vegetative characters',
    `*NUMBER OF CHARACTERS ${characters.length}`,
    `*CHARACTER TYPES ${types.join(' ')}`,
    '*CHARACTER LIST',
    characterList.join('\n\n'),
    '*ITEM DESCRIPTIONS',
    itemList.join('\n\n'),
    '',
  ].join('\n\n')
}

function readCharacter(block: string): DeltaTable['characters'][number] {
  const [head = '', ...rest] = block.split('\n').map((l) => l.trim())
  const id = /^\d+\. (.+)\/$/.exec(head)?.[1]
  if (!id) throw new RangeError(`not a character: #${head}`)
  const states = rest.flatMap((l) => /^\d+\. (.+)\/$/.exec(l)?.[1] ?? [])
  if (states.length > 0) return { id, states }
  const unit = /^(.*)\/$/.exec(rest[0] ?? '')?.[1]
  return { id, ...(unit ? { unit } : {}) }
}

function readCell(text: string, character: DeltaTable['characters'][number], where: string): Cell {
  if (!character.states) {
    const m = /^\(([\d.]+)-\)([\d.]+)-([\d.]+)\(-([\d.]+)\)$/.exec(text)
    if (!m) throw new RangeError(`${where}: not a size range: ${text}`)
    const [low, from, to, high] = m.slice(1).map(Number) as [number, number, number, number]
    return { kind: 'range', typical: [from, to], extreme: [low, high] }
  }
  const words: Record<string, FrequencyWord> = {}
  for (const part of text.split('/')) {
    const m = /^(\d+)(?:<([a-z]+)>)?$/.exec(part)
    const state = character.states[Number(m?.[1]) - 1]
    const word = (m?.[2] ?? 'always') as FrequencyWord
    if (!m || state === undefined) throw new RangeError(`${where}: ${character.id} has no state number ${part}`)
    if (!frequencyWords.includes(word)) throw new RangeError(`${where}: not a frequency word: ${word}`)
    words[state] = word
  }
  return { kind: 'states', words }
}

function readItem(block: string, characters: DeltaTable['characters']): DeltaTable['items'][number] {
  const [head = '', ...rest] = block.split('\n')
  const m = /^(.+?)(?: <([a-z]+)>)?\/$/.exec(head.trim())
  if (!m) throw new RangeError(`not an item: # ${head}`)
  const plant = m[1]!
  const cells: Record<string, Cell> = {}
  for (const attribute of rest.join(' ').split(/\s+/).filter(Boolean)) {
    const comma = attribute.indexOf(',')
    const character = characters[Number(attribute.slice(0, comma)) - 1]
    if (!character) throw new RangeError(`${plant}: there is no character number ${attribute.slice(0, comma)}`)
    cells[character.id] = readCell(attribute.slice(comma + 1), character, plant)
  }
  return { plant, ...(m[2] ? { stage: m[2] as Stage } : {}), cells }
}

/**
 * Read DELTA text back.
 *
 * @throws RangeError naming the item or character that was not understood
 */
export function readDelta(text: string): DeltaTable {
  const part = (name: string): string => {
    const from = text.indexOf(`*${name}`)
    if (from < 0) throw new RangeError(`the text has no *${name}`)
    const to = text.indexOf('\n*', from + 1)
    return text.slice(from + name.length + 1, to < 0 ? undefined : to)
  }
  const blocks = (body: string) =>
    body
      .split(/(?:^|\n)#\s*/)
      .map((b) => b.trim())
      .filter(Boolean)
  const characters = blocks(part('CHARACTER LIST')).map(readCharacter)
  return { characters, items: blocks(part('ITEM DESCRIPTIONS')).map((b) => readItem(b, characters)) }
}
