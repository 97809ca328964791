import { plainToInstance } from 'class-transformer'
import { validateSync } from 'class-validator'
import { LineCounter, parseDocument } from 'yaml'
import { lineOf, nearest, type FloraProblem } from './problem.ts'

/** The entries of a file of the book that name plants, each checked by its class and against the plants there are. */
export function readEntries<T extends { plants: string[] }>(
  file: string,
  text: string,
  kind: new () => T,
  ids: readonly string[],
): { entries: [id: string, entry: T][]; problems: FloraProblem[] } {
  const counter = new LineCounter()
  const doc = parseDocument(text, { lineCounter: counter })
  const problems: FloraProblem[] = doc.errors.map((e) => ({ file, line: e.linePos?.[0].line ?? 1, message: e.message }))
  if (problems.length > 0) return { entries: [], problems }
  const entries = Object.entries((doc.toJS() ?? {}) as Record<string, unknown>).map(([id, raw]): [string, T] => {
    const line = lineOf(doc, counter, [id])
    const entry = plainToInstance(kind, raw)
    for (const e of validateSync(entry, { whitelist: true, forbidNonWhitelisted: true }))
      problems.push({ file, line, message: `${id}: ${Object.values(e.constraints ?? {}).join('; ')}` })
    for (const plant of entry.plants ?? [])
      if (!ids.includes(plant))
        problems.push({
          file,
          line,
          message: `${id}: there is no plant "${plant}"; nearest: ${nearest(plant, ids).join(', ')}`,
        })
    return [id, entry]
  })
  return { entries, problems }
}
