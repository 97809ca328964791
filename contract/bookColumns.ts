import {
  frequencyWords,
  type Cell,
  type Flora,
  type FrequencyWord,
  type Plant,
  type Stage,
} from '../core/flora/flora.ts'

/**
 * The book as it is sent to a page: each field of the plants as one column, and cells as short texts. Like stands beside
 * like, so that it packs to less than its plants one after the other.
 */
export interface BookColumns extends Omit<Flora, 'plants'> {
  plants: Record<string, unknown[]>
  /** By character, a cell of each plant; null where nothing is coded. */
  cells: Record<string, (string | null)[]>
  /** By plant, the cells that differ at a stage. */
  stages: Partial<Record<Stage, Record<string, string>>>[]
}

/** "bunch", always so, or "bunch:o stolon:s", each state with the place of its word; a range is "3 8 2 12". */
function written(cell: Cell): string {
  if (cell.kind === 'range') return [...cell.typical, ...cell.extreme].join(' ')
  return Object.entries(cell.words)
    .map(([state, word]) => (word === 'always' ? state : `${state}:${frequencyWords.indexOf(word)}`))
    .join(' ')
}

function readCell(text: string): Cell {
  if (/^\d/.test(text)) {
    const [a, b, c, d] = text.split(' ').map(Number) as [number, number, number, number]
    return { kind: 'range', typical: [a, b], extreme: [c, d] }
  }
  const words: Record<string, FrequencyWord> = {}
  for (const part of text.split(' ')) {
    const [state, word] = part.split(':') as [string, string | undefined]
    words[state] = frequencyWords[Number(word ?? 0)]!
  }
  return { kind: 'states', words }
}

const each = <A, B>(of: Record<string, A>, made: (a: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(of).map(([k, a]) => [k, made(a)]))

export function bookColumns({ plants, ...rest }: Flora): BookColumns {
  const fields = new Set(plants.flatMap((p) => Object.keys(p)))
  for (const apart of ['characters', 'stages']) fields.delete(apart)
  const coded = new Set(plants.flatMap((p) => Object.keys(p.characters)))
  const column = <T>(names: Set<string>, of: (p: Plant, name: string) => T) =>
    Object.fromEntries([...names].map((n) => [n, plants.map((p) => of(p, n))]))
  return {
    ...rest,
    plants: column(fields, (p, f) => p[f as keyof Plant] ?? null),
    cells: column(coded, (p, c) => (p.characters[c] ? written(p.characters[c]) : null)),
    stages: plants.map((p) => each(p.stages, (cells) => each(cells, written))),
  }
}

/**
 * The columns as a JSON list with a piece on each line, to be read one line at a time: a browser that reads the whole book at once
 * hears no touch meanwhile, and a slow phone takes a tenth of a second for it.
 */
export function bookText(flora: Flora): string {
  const { plants, cells, ...rest } = bookColumns(flora)
  const each = (of: 'plants' | 'cells', columns: Record<string, unknown[]>) =>
    Object.entries(columns).map(([name, column]) => ({ [of]: { [name]: column } }))
  const pieces = [rest, ...each('plants', plants), ...each('cells', cells)]
  return `[\n${pieces.map((piece) => JSON.stringify(piece)).join(',\n')}\n]`
}

/**
 * The lines of that list, each a JSON text. No text within one holds a line break: JSON writes them as two letters.
 *
 * @throws SyntaxError what is no such list: something else answered
 */
export function piecesOf(text: string): string[] {
  const lines = text.split('\n')
  if (lines.shift() !== '[' || lines.pop() !== ']') throw new SyntaxError('not the lines of a book')
  return lines.map((line) => (line.endsWith(',') ? line.slice(0, -1) : line))
}

/** Longest time that is unpacked at a stretch. */
const PIECE_MS = 8

/** Cells that are written alike are one: most plants have many in common. */
function cellReader(): (text: string) => Cell {
  const read = new Map<string, Cell>()
  return (text) => {
    let cell = read.get(text)
    if (!cell) read.set(text, (cell = readCell(text)))
    return cell
  }
}

/** Unpacks column by column: after each there may be a pause. */
function* unpacking(pieces: string[]): Generator<void, Flora> {
  const columns: BookColumns['plants'] = {}
  const cells: BookColumns['cells'] = {}
  let others = {}
  for (const piece of pieces) {
    const read = JSON.parse(piece) as Partial<BookColumns>
    Object.assign(columns, read.plants)
    Object.assign(cells, read.cells)
    if (read.stages) others = read
    yield
  }
  const { stages, ...rest } = others as Omit<BookColumns, 'plants' | 'cells'>
  const cellOf = cellReader()
  const plants = stages.map(() => ({}) as Record<string, unknown>)
  const characters = stages.map(() => ({}) as Record<string, Cell>)
  for (const [field, all] of Object.entries(columns)) {
    all.forEach((value, i) => {
      if (value !== null) plants[i]![field] = value
    })
    yield
  }
  for (const [character, all] of Object.entries(cells)) {
    all.forEach((text, i) => {
      if (text !== null) characters[i]![character] = cellOf(text)
    })
    yield
  }
  for (const [i, plant] of plants.entries()) {
    plant.characters = characters[i]!
    plant.stages = each(stages[i]!, (of) => each(of, cellOf))
    if (i % 32 === 0) yield
  }
  return { ...rest, plants: plants as unknown as Plant[] }
}

/**
 * The book out of its pieces; the inverse of `bookText` and `piecesOf`. Its cells are not to be written to: plants share them.
 *
 * @param pause waited for after each piece: a slow phone takes a tenth of a second for the whole, in which no touch would be heard
 */
export async function bookOf(pieces: string[], pause: () => Promise<unknown>): Promise<Flora> {
  const steps = unpacking(pieces)
  let since = performance.now()
  for (;;) {
    const { done, value } = steps.next()
    if (done) return value
    if (performance.now() - since < PIECE_MS) continue
    await pause()
    since = performance.now()
  }
}
