import { readFileSync } from 'node:fs'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { loadFlora } from '../flora/loadFlora.ts'
import { HttpError } from '../http/httpError.ts'
import { describeBody, wordsOf } from '../routes/describe.ts'

const file = process.argv[2]
if (!file) {
  console.error('Which file? Use: npm run -s describe -- file.json   (or - for standard input)')
  process.exit(2)
}
try {
  const input: unknown = JSON.parse(readFileSync(file === '-' ? 0 : file, 'utf8'))
  const flora = loadFlora()
  const book = { flora, compiled: compileFlora(flora) }
  const words = wordsOf(() => flora)
  const answer = (body: unknown): unknown => {
    try {
      return describeBody(book, words, body)
    } catch (error) {
      if (!(error instanceof HttpError)) throw error
      process.exitCode = 1
      return { error: { code: error.code, message: error.message, ...(error.field ? { field: error.field } : {}) } }
    }
  }
  console.log(JSON.stringify(Array.isArray(input) ? input.map(answer) : answer(input), null, 2))
} catch (error) {
  console.error(`Could not read ${file}: ${(error as Error).message}`)
  process.exit(2)
}
