import { readFileSync } from 'node:fs'
import { compileFlora } from '@/core/naming/compileFlora.ts'
import { loadFlora } from '../flora/loadFlora.ts'
import { HttpError } from '../http/httpError.ts'
import { identifyBody } from '../routes/book.ts'

const file = process.argv[2]

function answer(compiled: ReturnType<typeof compileFlora>, body: unknown): unknown {
  try {
    return identifyBody(compiled, body)
  } catch (error) {
    if (!(error instanceof HttpError)) throw error
    process.exitCode = 1
    return {
      error: { code: error.code, message: error.message, ...(error.field ? { field: error.field } : {}) },
    }
  }
}

if (!file) {
  console.error('Which file? Use: npm run -s identify -- file.json   (or - for standard input)')
  process.exit(2)
}
try {
  const input: unknown = JSON.parse(readFileSync(file === '-' ? 0 : file, 'utf8'))
  const compiled = compileFlora(loadFlora())
  const out = Array.isArray(input) ? input.map((body) => answer(compiled, body)) : answer(compiled, input)
  console.log(JSON.stringify(out, null, 2))
} catch (error) {
  console.error(`Could not read ${file}: ${(error as Error).message}`)
  process.exit(2)
}
