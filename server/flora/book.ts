import { compileFlora, type CompiledFlora } from '@/core/naming/compileFlora.ts'
import type { Flora, Plant } from '@/core/flora/flora.ts'
import type { FloraProblem } from './problem.ts'
import { nearest } from './problem.ts'
import { readPlant } from './readPlant.ts'

/** What the reader of YAML itself gives up on, as aliases of aliases, is wrong with the text like all else. */
const read: typeof readPlant = (file, ...rest) => {
  try {
    return readPlant(file, ...rest)
  } catch (error) {
    return { problems: [{ file, line: 1, message: `it could not be read: ${(error as Error).message}` }] }
  }
}

/** The shipped flora with the readers' own plants, ready for naming. Adding one compiles it anew. */
export class Book {
  readonly shipped: Flora
  compiled: CompiledFlora
  private readonly own = new Map<string, Plant>()

  constructor(shipped: Flora) {
    this.shipped = shipped
    this.compiled = compileFlora(shipped)
  }

  get flora(): Flora {
    return this.compiled.flora
  }

  /**
   * Check a plant text as a shipped file is checked; a good one joins the book.
   *
   * @param kept it was taken in before, by this or an earlier version
   * @returns the plant, or what is wrong with line numbers
   */
  add(yaml: string, kept = false): { plant: Plant } | { problems: FloraProblem[] } {
    const id = /^id:\s*(\S+)\s*$/m.exec(yaml)?.[1] ?? 'plant'
    const { plant, problems } = read(`${id}.yaml`, yaml, this.shipped.characters, kept)
    if (!plant) return { problems }
    const say = (message: string) => ({ problems: [{ file: `${id}.yaml`, line: 1, message }] })
    if (this.shipped.plants.some((p) => p.id === id))
      return say(`the book that ships already has a plant "${id}"; choose another id`)
    const ids = [...this.flora.plants.map((p) => p.id), id]
    for (const l of plant.lookalikes)
      if (!ids.includes(l.plant))
        return say(`look-alike "${l.plant}" is not in the book; nearest: ${nearest(l.plant, ids).join(', ')}`)
    this.own.set(id, { ...plant, own: true })
    this.compiled = compileFlora({ ...this.shipped, plants: [...this.shipped.plants, ...this.own.values()] })
    return { plant }
  }
}
